import type { Follower, Motion } from './types'

/** A spring that reaches its mark soonest without passing it, exactly: what is missing at t (ms), how fast that changes, and whether it can still be seen. */
export function critical({ gap, speed, since, band }: Follower, t: number, decay: number): Motion {
  const s = (t - since) / 1000
  const fade = Math.exp(-decay * s)
  const push = speed + decay * gap
  return {
    gap: fade * (gap + push * s),
    speed: fade * (speed - decay * push * s),
    moves: fade * (Math.abs(gap) + Math.abs(push) * (s + 1 / decay)) >= band,
  }
}
