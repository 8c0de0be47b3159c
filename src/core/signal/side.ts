// By which side the pointer came in, or went out.
import type { Frame, Point } from '../geometry/frame'
import type { At, Reader } from './reader'
import type { Axis, Signal } from './signal'

/**
 * The side of the frame (0 top, 1 right, 2 bottom, 3 left) at which the straight path between a point outside and one
 * inside crosses it: the last of the sides' lines that the path passes on its way in. On one axis: the nearer of its two.
 */
export function sideCrossed({ width, height }: Frame, outside: Point, inner: Point, axis?: Axis): number {
  const dx = inner.x - outside.x
  const dy = inner.y - outside.y
  const intoX = axis === 'y' ? -Infinity : crossing(outside.x, dx, width)
  const intoY = axis === 'x' ? -Infinity : crossing(outside.y, dy, height)
  if (intoX === -Infinity && intoY === -Infinity) return nearestSide(width, height, outside, axis)
  return intoX > intoY ? (dx > 0 ? 3 : 1) : dy > 0 ? 0 : 2
}

/** The share of the way at which the path comes between 0 and `length`; -Infinity where it starts there. */
function crossing(from: number, way: number, length: number): number {
  if (way > 0 && from < 0) return -from / way
  return way < 0 && from > length ? (length - from) / way : -Infinity
}

function nearestSide(width: number, height: number, { x, y }: Point, axis: Axis | undefined): number {
  const across = axis === 'y' ? Infinity : Math.min(x, width - x)
  const down = axis === 'x' ? Infinity : Math.min(y, height - y)
  return across < down ? (x < width - x ? 3 : 1) : y < height - y ? 0 : 2
}

type Side = Extract<Signal, { of: 'entrySide' | 'exitSide' }>

const entry = ({ axis }: Side, { presence }: At) => (axis === 'x' ? presence.entryX : axis === 'y' ? presence.entryY : presence.entrySide)
const exit = ({ axis }: Side, { presence }: At) => (axis === 'x' ? presence.exitX : axis === 'y' ? presence.exitY : presence.exitSide)

export const entrySide: Reader<Side> = { span: () => 3, read: entry, away: entry }
export const exitSide: Reader<Side> = { span: () => 3, read: exit, away: exit }
