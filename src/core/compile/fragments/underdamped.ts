import type { Follower, Motion } from './types'

/** A spring that swings past its mark, exactly: what is missing at t (ms), how fast that changes, and whether it can still be seen. */
export function underdamped({ gap, speed, since, band }: Follower, t: number, decay: number, swing: number): Motion {
  const s = (t - since) / 1000
  const fade = Math.exp(-decay * s)
  const push = (speed + decay * gap) / swing
  const [cos, sin] = [Math.cos(swing * s), Math.sin(swing * s)]
  return {
    gap: fade * (gap * cos + push * sin),
    speed: fade * (speed * cos - (decay * push + swing * gap) * sin),
    moves: fade * Math.hypot(gap, push) >= band,
  }
}
