// A follower: one value on its way to a target, in closed form from the last change of target.
import type { Feel } from './feel'
import { laws } from './laws'

/** Within this share of its range of the target, and staying there for ever, a follower rests. */
export const restBand = 1e-4

/** The state of a follower since its target last changed. */
export interface Follower {
  /** When that was, ms. */
  since: number
  target: number
  /** What was missing then (value - target), and how fast that changed, per second. */
  gap: number
  speed: number
  feel: Feel
  /** How near the target is rest: `restBand` of the range. */
  band: number
}

/** A follower at rest at `value`. */
export function followerAt(value: number): Follower {
  return { since: 0, target: value, gap: 0, speed: 0, feel: { kind: 'direct' }, band: 0 }
}

/**
 * Whether the follower rests at `t` (ms): it takes the target exactly from the first instant after which its closed form
 * stays within the band for ever. The answer hangs on the instant alone, so it is the same at every frame rate.
 */
export function rests({ since, gap, speed, feel, band }: Follower, t: number): boolean {
  return (gap === 0 && speed === 0) || laws[feel.kind].rests(feel, gap, speed, Math.max(0, t - since), band)
}

/** The follower's value at `t` (ms). Before its last change of target it has the value it had then. */
export function valueAt(follower: Follower, t: number): number {
  const { since, target, gap, speed, feel } = follower
  return rests(follower, t) ? target : target + laws[feel.kind].gap(feel, gap, speed, Math.max(0, t - since))
}

/**
 * Turns the follower to a new target at `t`, with the feel it goes by from now on; it goes on from where it is and as
 * fast as it is. Does nothing while both are as before. `range` is the span of values that rest is judged by.
 */
export function turnTo(follower: Follower, target: number, feel: Feel, range: number, t: number): void {
  const { since, gap, speed, feel: before } = follower
  const isResting = rests(follower, t)
  if (follower.target === target && (before === feel || isResting)) return
  const ms = Math.max(0, t - since)
  const left = isResting ? 0 : laws[before.kind].gap(before, gap, speed, ms)
  follower.speed = isResting ? 0 : (laws[before.kind].speed?.(before, gap, speed, ms) ?? 0)
  follower.gap = left + follower.target - target
  follower.since = t
  follower.target = target
  follower.feel = feel
  follower.band = restBand * range
}

/** Puts the follower at rest at `value`: only where nobody sees it. */
export function placeAt(follower: Follower, value: number): void {
  follower.target = value
  follower.gap = 0
  follower.speed = 0
}
