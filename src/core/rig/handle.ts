// Handles: how a number of an effect is drawn on the page, so that it can be dragged there.
import type { sides } from './slot'

export type Handle =
  /** How far inside an edge of the area something counts. */
  | { readonly on: 'inset'; readonly side: (typeof sides)[number] }
  /** A ring round the pointer, of so many px. */
  | { readonly on: 'radius' }
  /** The same ring by its width. */
  | { readonly on: 'diameter' }
  /** How far beyond its edges the area still counts, px. */
  | { readonly on: 'reach' }
  /** How much further than the ring of another number a soft edge reaches, px. */
  | { readonly on: 'softness'; readonly beyond: string }
  /** One coordinate of a point on the area; `with` names the number of the other. `from` and `to` are the values at its two edges. */
  | { readonly on: 'point'; readonly axis: 'x' | 'y'; readonly with: string; readonly from: number; readonly to: number }
  /** An arrow from the middle of the area; degrees clockwise from up. */
  | { readonly on: 'direction' }
  /** Into how many columns or rows the area is cut. */
  | { readonly on: 'zones'; readonly along: 'columns' | 'rows' }
