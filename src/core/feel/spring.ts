// A damped spring in closed form: x'' + 2 z w x' + w^2 (x - target) = 0, with w = 2 pi frequency.
import type { Law } from './law'

/** `frequencyHz`: undamped frequency in Hz, above 0. `dampingRatio`: 1 is critical, above 0. */
export interface Spring {
  readonly kind: 'spring'
  readonly frequencyHz: number
  readonly dampingRatio: number
}

/** How fast a spring swings or parts in two decays: w * sqrt(|z^2 - 1|), per second. */
export const splitOf = ({ frequencyHz, dampingRatio }: Spring) => 2 * Math.PI * frequencyHz * Math.sqrt(Math.abs(dampingRatio * dampingRatio - 1))

/** How fast its swings die away: z * w, per second. */
export const decayOf = ({ frequencyHz, dampingRatio }: Spring) => 2 * Math.PI * frequencyHz * dampingRatio

/**
 * The gap to the target after `ms`, from a starting gap and its speed (gap per second).
 * The three regimes of the linear oscillator; exact at every instant, so it needs no steps.
 */
export function springGap(spring: Spring, gap: number, speed: number, ms: number): number {
  const t = ms / 1000
  const decay = decayOf(spring)
  const split = splitOf(spring)
  const push = speed + decay * gap
  if (spring.dampingRatio < 1) return Math.exp(-decay * t) * (gap * Math.cos(split * t) + (push / split) * Math.sin(split * t))
  if (split === 0) return Math.exp(-decay * t) * (gap + push * t)
  const slow = (gap + push / split) / 2
  return slow * Math.exp((split - decay) * t) + (gap - slow) * Math.exp((-split - decay) * t)
}

/**
 * How fast the gap changes (gap per second) after `ms`. The derivative obeys the same equation,
 * starting from the speed and the acceleration.
 */
export function springSpeed(spring: Spring, gap: number, speed: number, ms: number): number {
  return springGap(spring, speed, acceleration(spring, gap, speed), ms)
}

function acceleration(spring: Spring, gap: number, speed: number): number {
  return -2 * decayOf(spring) * speed - (2 * Math.PI * spring.frequencyHz) ** 2 * gap
}

/** The first instant (ms) at which the gap turns round; 0 when it never does. */
export function firstTurn(spring: Spring, gap: number, speed: number): number {
  const split = splitOf(spring)
  // The speed as a solution of its own: it starts at `speed` and is pushed by `push`.
  const push = acceleration(spring, gap, speed) + decayOf(spring) * speed
  if (spring.dampingRatio < 1) {
    const angle = Math.atan2(speed * split, -push)
    return (1000 * (angle < 0 ? angle + Math.PI : angle)) / split
  }
  const turn = split === 0 ? -speed / push : Math.log((push - speed * split) / (push + speed * split)) / (2 * split)
  return turn > 0 ? 1000 * turn : 0
}

/**
 * Whether the gap stays within `band` from `ms` on: it lies within it, and does at its next turn too. Later turns lie nearer.
 */
export function springRests(spring: Spring, gap: number, speed: number, ms: number, band: number): boolean {
  const now = springGap(spring, gap, speed, ms)
  if (Math.abs(now) > band) return false
  const then = springSpeed(spring, gap, speed, ms)
  return Math.abs(springGap(spring, now, then, firstTurn(spring, now, then))) <= band
}

export const spring: Law<Spring> = {
  gap: springGap,
  speed: springSpeed,
  rests: springRests,
}
