import { rest } from './rest'
import type { Follower, Motion } from './types'

/** From where it is to the target in a given time, after a delay. */
export function timed({ gap, since }: Follower, t: number, durationMs: number, ease: (share: number) => number, delayMs = 0): Motion {
  const share = (t - since - delayMs) / durationMs
  return gap && share < 1 ? { gap: gap * (1 - (share > 0 ? ease(share) : 0)), speed: 0, moves: true } : rest
}
