import type { Follower, Motion } from './types'

/** The gap halves again and again, in the same time each. */
export function glide({ gap, since, band }: Follower, t: number, halfLifeMs: number): Motion {
  const left = gap * 2 ** ((since - t) / halfLifeMs)
  return { gap: left, speed: 0, moves: Math.abs(left) > band }
}
