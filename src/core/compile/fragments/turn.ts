import { given } from './given'
import { shorten } from './timed'
import type { Feel, Follower } from './types'

/** Where a value is at t: at its target, once it is too near to be seen apart. */
export function valueAt(follower: Follower, t: number): number {
  const { gap, moves } = follower.feel(follower, t)
  return moves ? follower.target + gap : follower.target
}

/** Turns a value to a new target at t: it goes on from where it is and as fast as it is. */
export function turn(follower: Follower, target: number, feel: Feel, t: number): void {
  if (target !== follower.target || feel !== follower.feel) {
    const { gap, speed } = follower.feel(follower, t)
    if (given.hasTimed) shorten(follower, target, gap)
    Object.assign(follower, { target, feel, since: t, gap: gap + follower.target - target, speed })
  }
}
