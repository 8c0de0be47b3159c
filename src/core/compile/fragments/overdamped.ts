import type { Follower, Motion } from './types'

/** A spring that creeps to its mark, exactly: a fast and a slow share of what is missing die away on their own. */
export function overdamped({ gap, speed, since, band }: Follower, t: number, decay: number, split: number): Motion {
  const s = (t - since) / 1000
  const push = (speed + decay * gap) / split
  const slow = ((gap + push) / 2) * Math.exp((split - decay) * s)
  const fast = ((gap - push) / 2) * Math.exp((-split - decay) * s)
  return { gap: slow + fast, speed: (split - decay) * slow - (split + decay) * fast, moves: Math.abs(slow) + Math.abs(fast) >= band }
}
