// Boxes of the page's elements, for what is drawn and for where the hand is.
import type { Box } from '../core/geometry/box'
import type { Place } from '../core/geometry/place'
import { readSignal } from '../core/signal/signal'
import { readStillBox } from '../player/matches'

/** Where an element lies without what our effects do to it. */
export function stillBoxOf(element: Element): Box {
  const box = { x: 0, y: 0, width: 0, height: 0 }
  readStillBox(element, box)
  return box
}

/** The place of a point in a box, as the player reads it: held at the edges. */
export function placeIn(box: Box, x: number, y: number): Place {
  return { x: readSignal('centredX', box, x, y), y: readSignal('centredY', box, x, y) }
}
