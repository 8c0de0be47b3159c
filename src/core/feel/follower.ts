// A follower: one value on its way to a target, in closed form from the last change of target.
import type { Feel } from './feel'
import type { Motion } from './law'
import { laws } from './laws'

/** Within this share of its range of the target, and staying there for ever, a follower rests. */
export const restBand = 1e-4

/** The state of a follower since its target last changed: what was missing then, and how fast that changed. */
export interface Follower extends Motion {
  /** When that was, ms. */
  since: number
  target: number
  feel: Feel
  /** How near the target is rest: `restBand` of the range. */
  band: number
}

/** A follower at rest at `value`. */
export function followerAt(value: number): Follower {
  return { since: 0, target: value, gap: 0, speed: 0, feel: { kind: 'direct' }, band: 0 }
}

/** What is left of a motion; used again and again. */
const left: Motion = { gap: 0, speed: 0 }

/** Works out what is left of the motion at `t` (ms), however little. */
function moveLeft(follower: Follower, t: number): void {
  const { since, gap, speed, feel } = follower
  left.gap = left.speed = 0
  if (gap !== 0 || speed !== 0) laws[feel.kind].move(feel, follower, Math.max(0, t - since), left)
}

/**
 * Works out what is left of the motion at `t` (ms), and gives whether it rests: it takes the target exactly from the first
 * instant after which its closed form stays within the band for ever. The answer hangs on the instant alone, so it is the
 * same at every frame rate.
 */
export function rests(follower: Follower, t: number): boolean {
  const { since, gap, speed, feel, band } = follower
  moveLeft(follower, t)
  if (gap === 0 && speed === 0) return true
  if (!laws[feel.kind].rests(feel, left, Math.max(0, t - since), band)) return false
  left.gap = left.speed = 0
  return true
}

/** The follower's value at `t` (ms). Before its last change of target it has the value it had then. */
export function valueAt(follower: Follower, t: number): number {
  return rests(follower, t) ? follower.target : follower.target + left.gap
}

/**
 * Turns the follower to a new target at `t`, with the feel it goes by from now on; it goes on from where it is and as
 * fast as it is, also where that is too little to be seen: a target that creeps is not followed by leaps. Does nothing while both are as before. `range` is the span of values that rest is judged by.
 */
export function turnTo(follower: Follower, target: number, feel: Feel, range: number, t: number): void {
  const isSame = follower.target === target
  if (isSame && follower.feel === feel) return
  if (isSame && rests(follower, t)) return
  moveLeft(follower, t)
  follower.gap = left.gap + follower.target - target
  follower.speed = left.speed
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
