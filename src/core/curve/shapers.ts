// How curves are read. An exported script holds those that its channels and outputs need.
import { colours } from './colour'
import { stops } from './curve'

export const shapers = { stops, colours }
