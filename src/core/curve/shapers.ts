// How a channel's curve is read. An exported script holds it only where a channel has one.
import { stops } from './curve'

export const shapers = { stops }
