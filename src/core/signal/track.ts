// The pointer's track: how fast and which way it goes, and where it was.
import { isOfPointer, isPresent, type Sample } from './sample'
import { trackLength, type Pointer } from './pointer'

const speedHalfLifeMs = 50
/** Below this the direction of a movement says nothing, px/s. */
const headingFromPxPerS = 20
/** A speed under this is standing still, px/s. */
const stillBelowPxPerS = 0.05

/** The speed (px/s) at `t`, from the last sample on: it halves every 50 ms, and ends at 0. */
export function speedAt({ t: since, speed }: Pointer, t: number): number {
  const left = speed * 2 ** (-Math.max(0, t - since) / speedHalfLifeMs)
  return left < stillBelowPxPerS ? 0 : left
}

/** Follows a sample that the pointer is about to take. */
export function followTrack(pointer: Pointer, sample: Sample): void {
  const { t, x, y } = sample
  if (!isOfPointer(sample)) return
  pointer.speed = speedAt(pointer, t)
  if (!Number.isFinite(x + y)) return
  if (isPresent(sample) && pointer.present) {
    const dx = x - pointer.x
    const dy = y - pointer.y
    // What a movement adds, so that a steady one reads as its true speed: |dp| ln 2 / 50 ms.
    pointer.speed += (Math.hypot(dx, dy) * Math.LN2 * 1000) / speedHalfLifeMs
    if ((dx || dy) && pointer.speed >= headingFromPxPerS) pointer.heading = unwrap((Math.atan2(dx, -dy) * 180) / Math.PI, pointer.heading)
  }
  const at = 3 * (pointer.count++ % trackLength)
  pointer.track[at] = t
  pointer.track[at + 1] = x
  pointer.track[at + 2] = y
}

/** The angle (degrees) nearest to `last` that points the same way; `last` where only its rounding is another, itself where there is none. */
export function unwrap(angle: number, last: number): number {
  if (Number.isNaN(last)) return angle
  const turn = ((((angle - last) % 360) + 540) % 360) - 180
  return Math.abs(turn) < 1e-9 ? last : last + turn
}

/** Samples further apart than this (ms) have no path between them. */
const pathGapMs = 50

/**
 * Where the pointer was at `t` (axis 0 is x, 1 is y; px of the window): linear between samples at most 50 ms apart,
 * else where the earlier one put it. Before what is remembered: the earliest place that is.
 */
export function pastOf(pointer: Pointer, axis: 0 | 1, t: number): number {
  const { count } = pointer
  const earliest = Math.max(0, count - trackLength)
  // The last sample up to then, by halving.
  let n = earliest
  for (let until = count; until - n > 1;) {
    const middle = (n + until) >> 1
    if (onTrack(pointer, middle, 0) > t) until = middle
    else n = middle
  }
  const here = onTrack(pointer, Math.max(0, n), 1 + axis)
  if (n >= count - 1) return here
  const from = onTrack(pointer, n, 0)
  const gap = onTrack(pointer, n + 1, 0) - from
  const share = gap > pathGapMs || gap <= 0 ? 0 : Math.max(0, t - from) / gap
  return here + share * (onTrack(pointer, n + 1, 1 + axis) - here)
}

/** One number of the sample with the index `n`: its time, x or y. */
function onTrack({ track }: Pointer, n: number, field: number): number {
  return track[3 * (n % trackLength) + field] ?? 0
}
