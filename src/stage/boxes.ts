// Boxes of the page's elements, for what is drawn and for where the hand is.
import type { Box } from '../core/geometry/box'
import type { Place } from '../core/geometry/place'
import { measure, readPlace, readShape } from '../player/measure'

/**
 * Where an element lies without what our effects do to it: the box about its middle, however the page turns it.
 * The `padding` box is the one in which the pointer's place is read.
 */
export function stillBoxOf(element: Element, of: 'border' | 'padding' = 'border'): Box {
  const measured = measure(element, false)
  measured.matrix = new DOMMatrix()
  readShape(measured, new Map([[element, 'none']]))
  readPlace(measured, 0)
  const { own, width, height } = measured.plane
  const size = { width: width * Math.hypot(own.a, own.b), height: height * Math.hypot(own.c, own.d) }
  const middle = { x: (own.a * width + own.c * height) / 2 + own.e, y: (own.b * width + own.d * height) / 2 + own.f }
  const { left, top, width: hullWidth, height: hullHeight } = measured.hull
  // What has no size of its own, text in a line for one, is where it is drawn.
  if (!Number.isFinite(middle.x + middle.y)) return { x: left, y: top, width: hullWidth, height: hullHeight }
  const border = { x: middle.x - size.width / 2, y: middle.y - size.height / 2, ...size }
  if (of === 'border') return border
  const [upper, right, lower, before] = measured.frame.border
  const [across, down] = [Math.hypot(own.a, own.b), Math.hypot(own.c, own.d)]
  return { x: border.x + before * across, y: border.y + upper * down, width: border.width - (before + right) * across, height: border.height - (upper + lower) * down }
}

/** The place of a point in a box, as the player reads it: held at the edges. */
export function placeIn({ x, y, width, height }: Box, atX: number, atY: number): Place {
  const held = (share: number) => Math.min(1, Math.max(-1, 2 * share - 1))
  return { x: width > 0 ? held((atX - x) / width) : 0, y: height > 0 ? held((atY - y) / height) : 0 }
}
