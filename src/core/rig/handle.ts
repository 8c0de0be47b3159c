import type { Described } from '../described'
import type { handleSchema } from './schema'

/** How a number of an effect is drawn on the page, so that it can be dragged there. */
export type Handle = Described<typeof handleSchema>
