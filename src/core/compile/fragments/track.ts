import { unwrapped } from './angle'
import { nextInstant } from './flow'
import { given } from './given'
import { pointer } from './pointer'
import type { At, Place } from './types'

interface Sample {
  readonly t: number
  readonly x: number
  readonly y: number
}

/** The last samples of the pointer; how fast it was at the last one (px/s), and which way it went (degrees clockwise from up). */
const track: Sample[] = []
const motion = { speed: 0, since: 0, heading: undefined as number | undefined }

/** How fast the pointer is at t, px/s: it halves every 50 ms after its last sample. */
export function speedAt(t: number): number {
  const left = motion.speed * 2 ** ((motion.since - t) / 50)
  return left < 0.05 ? 0 : left
}
export const speedDue = (t: number) => (speedAt(Math.floor(t / 4) * 4) ? nextInstant(t) : Infinity)
export const headingNow = () => motion.heading ?? 0

/** Follows the pointer to a sample. */
export function follow(t: number, x: number, y: number, wasOn: boolean, isOn: boolean): void {
  if (given.asksSpeed) {
    motion.speed = speedAt(t)
    const [dx, dy] = [x - pointer.x, y - pointer.y]
    if (wasOn && isOn) {
      // So that a steady movement reads as its true speed.
      motion.speed += (Math.hypot(dx, dy) * Math.LN2 * 1000) / 50
      if ((dx || dy) && motion.speed >= 20) motion.heading = unwrapped((Math.atan2(dx, -dy) * 180) / Math.PI, motion.heading)
    }
  }
  motion.since = t
  track.push({ t, x, y })
  if (track.length > 2048) track.shift()
}

/** Where the pointer was at t, px of the window: on the straight way between samples at most 50 ms apart, else at the earlier one. */
function pastPoint(t: number): { readonly x: number; readonly y: number } {
  const index = Math.max(
    0,
    track.findLastIndex((sample) => sample.t <= t),
  )
  const [from, to] = [track[index], track[index + 1]]
  if (!from || !to || to.t - from.t > 50 || t < from.t) return from ?? { x: 0, y: 0 }
  const share = (t - from.t) / (to.t - from.t || 1)
  return { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) }
}
export const pastOf = ({ t, toFrame }: At, lagMs: number) => toFrame.transformPoint(pastPoint(t - lagMs))
export const pastDue = (t: number, lagMs: number) => (Math.floor(t / 4) * 4 - lagMs < motion.since ? nextInstant(t) : Infinity)

/** Where the pointer was k + 1 lags before t, since it came and until it went. */
export const onWay = ({ arrivedAt = NaN, leftAt = Infinity }: Place, lagMs: number, k: number, t: number) =>
  pastPoint(Math.min(Math.max(t - lagMs * (k + 1), arrivedAt), leftAt))

/** Until when so many pieces, each so many ms behind the one before, are still on their way. */
export const pathEnds = (pieces: number, lagMs: number, leftAt = Infinity) => Math.min(motion.since, leftAt) + pieces * lagMs
