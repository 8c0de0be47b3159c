import type { Feel, Follower } from './types'

export const valueAt = (follower: Follower, t: number) => follower.target + follower.feel(follower, t).gap

/** Turns a value to a new target at t: it goes on from where it is and as fast as it is. */
export function turn(follower: Follower, target: number, feel: Feel, t: number): void {
  if (target !== follower.target || feel !== follower.feel) {
    const { gap, speed } = follower.feel(follower, t)
    Object.assign(follower, { target, feel, since: t, gap: gap + follower.target - target, speed })
  }
}
