// A follower: one value on its way to a target, in closed form from the last change of target.
import type { Feel } from './feel'
import type { Beginning, Motion } from './law'
import { laws } from './laws'

/** Within this share of its range of the target, and staying there for ever, a follower rests. */
export const restBand = 1e-4

/** The state of a follower since its target last changed: what was missing then, and how fast that changed. */
export interface Follower extends Beginning {
  /** Where it came from: going back there, it takes its time for as much of the way as it has gone. */
  from: number
  /** When that was, ms. */
  since: number
  target: number
  feel: Feel
  /** How near the target is rest: `restBand` of the range. */
  band: number
}

/** A follower at rest at `value`. */
export function followerAt(value: number): Follower {
  return { since: 0, target: value, gap: 0, speed: 0, share: 1, from: value, feel: { kind: 'direct' }, band: 0 }
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
  if (!laws[feel.kind].rests(feel, left, Math.max(0, t - since), band, follower.share)) return false
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
  shorten(follower, target)
  follower.gap = left.gap + follower.target - target
  follower.speed = left.speed
  follower.since = t
  follower.target = target
  follower.feel = feel
  follower.band = restBand * range
}

/**
 * What turns back to where it came from, while `left` is missing, takes a share of its time only: the shortening of a reversed
 * transition, as CSS Transitions (level 1, "faster reversing of interrupted transitions") has it.
 */
function shorten(follower: Follower, target: number): void {
  const { gap, share, from, band } = follower
  // To within what cannot be seen: sums of the same numbers may end apart.
  const isBack = left.gap !== 0 && gap !== 0 && Math.abs(target - from) <= band
  follower.share = isBack ? Math.min(1, Math.abs((1 - left.gap / gap) * share + 1 - share)) : 1
  follower.from = isBack ? follower.target : follower.target + left.gap
}

/** Puts the follower at rest at `value`: only where nobody sees it. */
export function placeAt(follower: Follower, value: number): void {
  follower.target = follower.from = value
  follower.gap = 0
  follower.speed = 0
}
