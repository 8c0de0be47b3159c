// The path that a stand-in pointer plays over an element: round its edges and through its middle, for ever.
import type { Place } from '../geometry/place'

/** How long one round takes, ms. */
export const pathPeriodMs = 5200

/** Where the pointer is on the path after `ms`: -1..1 across and down the element. */
export function placeOnPath(ms: number): Place {
  const turn = (2 * Math.PI * ms) / pathPeriodMs
  return { x: 0.92 * Math.sin(turn), y: 0.86 * Math.sin(2 * turn + 0.6) }
}
