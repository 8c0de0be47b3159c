// A follower: one value on its way to a target, in closed form from the last change of target.
import type { Feel } from './feel'
import { laws } from './laws'

/** Within this share of its range of the target, and staying there, a follower rests. */
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
  /** From this instant (ms) on it takes the target exactly. */
  restsAt: number
}

/** A follower at rest at `value`. */
export function followerAt(value: number): Follower {
  return { since: 0, target: value, gap: 0, speed: 0, feel: { kind: 'direct' }, restsAt: -Infinity }
}

/** The follower's value at `t` (ms). Before its last change of target it has the value it had then. */
export function valueAt({ since, target, gap, speed, feel, restsAt }: Follower, t: number): number {
  return t >= restsAt ? target : target + laws[feel.kind].gap(feel, gap, speed, Math.max(0, t - since))
}

/** The follower's speed at `t`, per second. */
function speedAt({ since, gap, speed, feel, restsAt }: Follower, t: number): number {
  return t >= restsAt ? 0 : (laws[feel.kind].speed?.(feel, gap, speed, Math.max(0, t - since)) ?? 0)
}

/**
 * Turns the follower to a new target at `t`, with the feel it goes by from now on; it goes on from where it is and as
 * fast as it is. Does nothing while both are as before. `range` is the span of values that rest is judged by.
 */
export function turnTo(follower: Follower, target: number, feel: Feel, range: number, t: number): void {
  if (follower.target === target && (follower.feel === feel || t >= follower.restsAt)) return
  const value = valueAt(follower, t)
  follower.speed = speedAt(follower, t)
  follower.since = t
  follower.gap = value - target
  follower.target = target
  follower.feel = feel
  follower.restsAt = t + laws[feel.kind].rest(feel, follower.gap, follower.speed, restBand * range)
}
