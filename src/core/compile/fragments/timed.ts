import { rest } from './rest'
import type { Follower, Motion } from './types'

/** From where it is to the target in a given time, after a delay. */
export function timed(
  { gap, since, share: part = 1 }: Follower,
  t: number,
  durationMs: number,
  ease: (share: number) => number,
  delayMs = 0,
): Motion {
  const share = (t - since - delayMs) / (durationMs * part)
  return gap && share < 1 ? { gap: gap * (1 - (share > 0 ? ease(share) : 0)), speed: 0, moves: true } : rest
}

/** What turns back to where it came from takes its time for as much of the way as it has gone, as transitions do. */
export function shorten(follower: Follower, target: number, missing: number): void {
  const { gap, share = 1, from = NaN, band } = follower
  const isBack = missing && gap && Math.abs(target - from) <= band
  follower.share = isBack ? Math.min(1, Math.abs((1 - missing / gap) * share + 1 - share)) : 1
  follower.from = isBack ? follower.target : follower.target + missing
}
