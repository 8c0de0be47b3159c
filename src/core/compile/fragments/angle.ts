import type { At, Follower } from './types'

/** The angle (degrees) nearest to the last one that points the same way; the last one itself, where only its rounding is another. */
export function unwrapped(angle: number, last = angle): number {
  const turn = ((((angle - last) % 360) + 540) % 360) - 180
  return Math.abs(turn) < 1e-9 ? last : last + turn
}

/** Where the pointer is seen from the middle of an element, degrees clockwise from up; within 2 px of it, as it was. */
export function angleOf({ x, y, width, height }: At, { reading }: Follower): number {
  const [dx, dy] = [x - width / 2, y - height / 2]
  return Math.hypot(dx, dy) < 2 ? (reading ?? 0) : unwrapped((Math.atan2(dx, -dy) * 180) / Math.PI, reading)
}
