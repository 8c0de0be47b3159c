// What only some figures need of the page. An exported script holds those that its figures use.
import { frames } from './frames'
import { parts } from './parts'
import { telling } from './telling'

export const abilities: { readonly frames?: typeof frames; readonly parts?: typeof parts; readonly telling?: typeof telling } = { frames, parts, telling }
