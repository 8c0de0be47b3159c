import { pointer } from './pointer'
import type { Frame, Place } from './types'

interface Point {
  readonly x: number
  readonly y: number
}

/** The share of a way at which it comes between 0 and `length`; -Infinity where it begins there. */
function crossing(from: number, way: number, length: number): number {
  if (way > 0 && from < 0) return -from / way
  return way < 0 && from > length ? (length - from) / way : -Infinity
}

/** The side by which a straight way from outside comes in: 0 top, 1 right, 2 bottom, 3 left; or of one axis alone. */
function sideOf({ width, height }: Frame, outside: Point, inner: Point, axis?: 'x' | 'y'): number {
  const [dx, dy] = [inner.x - outside.x, inner.y - outside.y]
  const intoX = axis === 'y' ? -Infinity : crossing(outside.x, dx, width)
  const intoY = axis === 'x' ? -Infinity : crossing(outside.y, dy, height)
  if (intoX > -Infinity || intoY > -Infinity) return intoX > intoY ? (dx > 0 ? 3 : 1) : dy > 0 ? 0 : 2
  // A way that begins inside came by the nearest side.
  const across = axis === 'y' ? Infinity : Math.min(outside.x, width - outside.x)
  const down = axis === 'x' ? Infinity : Math.min(outside.y, height - outside.y)
  return across < down ? (outside.x < width - outside.x ? 3 : 1) : outside.y < height - outside.y ? 0 : 2
}

/** Notes by which side the pointer came into a place, or left it: of all four, of left and right, of top and bottom. */
export function noteSide(place: Place, frame: Frame, arrives: boolean): void {
  const before = frame.toFrame.transformPoint({ x: pointer.fromX, y: pointer.fromY })
  const now = frame.toFrame.transformPoint(pointer)
  const [outside, inner] = arrives ? [before, now] : [now, before]
  const sides = [sideOf(frame, outside, inner), sideOf(frame, outside, inner, 'x'), sideOf(frame, outside, inner, 'y')]
  if (arrives) place.entry = sides
  else place.exit = sides
}
