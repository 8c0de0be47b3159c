import { rest } from './rest'
import type { Follower, Motion } from './types'

/** What the stylesheet does by a transition: only whether that is still under way. */
export function lasting({ gap, since }: Follower, t: number, durationMs: number): Motion {
  return gap && t - since < durationMs ? { gap, speed: 0, moves: true } : rest
}
