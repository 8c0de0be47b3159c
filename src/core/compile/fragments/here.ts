import { nextInstant } from './flow'
import { rest } from './rest'
import { turn, valueAt } from './turn'
import type { At, Feel, Follower } from './types'

/** Whether the pointer is here, 0 to 1, with times of its own to come and to go. */
export function hereNow({ t }: At, follower: Follower, target: number, feel: Feel): number {
  follower.own ??= { target: 0, since: 0, gap: 0, speed: 0, feel: () => rest, band: 1e-4 }
  turn(follower.own, target, feel, t)
  return valueAt(follower.own, t)
}
export const hereDue = (t: number, { own }: Follower) => (own?.feel(own, Math.floor(t / 4) * 4).moves ? nextInstant(t) : Infinity)
