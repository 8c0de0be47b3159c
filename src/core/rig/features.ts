// What only some rigs need. An exported script holds those that its page's figures use.
import { chains } from './chains'
import { crossings } from './crossings'
import { machine } from './machine'

export const features: { readonly chains?: typeof chains; readonly crossings?: typeof crossings; readonly machine?: typeof machine } = { chains, crossings, machine }
