// A damped spring in closed form: x'' + 2 z w x' + w^2 (x - target) = 0, with w = 2 pi frequency.
import type { Described } from '../described'
import type { springSchema } from '../rig/schema'
import type { Law, Motion } from './law'

export type Spring = Described<typeof springSchema>

/** How fast a spring swings or parts in two decays: w * sqrt(|z^2 - 1|), per second. */
export const splitOf = ({ frequencyHz, dampingRatio }: Spring) =>
  2 * Math.PI * frequencyHz * Math.sqrt(Math.abs(dampingRatio * dampingRatio - 1))

/** How fast its swings die away: z * w, per second. */
export const decayOf = ({ frequencyHz, dampingRatio }: Spring) => 2 * Math.PI * frequencyHz * dampingRatio

/**
 * Writes the gap after `ms` and its speed (gap per second), from a starting gap and speed. The three regimes of the linear
 * oscillator; exact at every instant, so it needs no steps.
 */
export function moveSpring(spring: Spring, { gap, speed }: Readonly<Motion>, ms: number, out: Motion): void {
  const t = ms / 1000
  const decay = decayOf(spring)
  const split = splitOf(spring)
  const push = speed + decay * gap
  if (spring.dampingRatio < 1) {
    const envelope = Math.exp(-decay * t)
    const cosine = Math.cos(split * t)
    const sine = Math.sin(split * t)
    out.gap = envelope * (gap * cosine + (push / split) * sine)
    out.speed = envelope * (speed * cosine - ((decay * push) / split + gap * split) * sine)
  } else if (split === 0) {
    const envelope = Math.exp(-decay * t)
    out.gap = envelope * (gap + push * t)
    out.speed = envelope * (speed - decay * push * t)
  } else {
    const slow = ((gap + push / split) / 2) * Math.exp((split - decay) * t)
    const fast = ((gap - push / split) / 2) * Math.exp((-split - decay) * t)
    out.gap = slow + fast
    out.speed = (split - decay) * slow - (split + decay) * fast
  }
}

const asked: Motion = { gap: 0, speed: 0 }

/** The gap to the target after `ms`, from a starting gap and its speed (gap per second). */
export function springGap(spring: Spring, gap: number, speed: number, ms: number): number {
  moveSpring(spring, { gap, speed }, ms, asked)
  return asked.gap
}

/** How fast the gap changes (gap per second) after `ms`. */
export function springSpeed(spring: Spring, gap: number, speed: number, ms: number): number {
  moveSpring(spring, { gap, speed }, ms, asked)
  return asked.speed
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

const turned: Motion = { gap: 0, speed: 0 }

/** Whether a gap with this speed stays within `band` from now on: it lies within it, and does at its next turn too. Later turns lie nearer. */
export function springRests(spring: Spring, now: Readonly<Motion>, band: number): boolean {
  if (Math.abs(now.gap) > band) return false
  moveSpring(spring, now, firstTurn(spring, now.gap, now.speed), turned)
  return Math.abs(turned.gap) <= band
}

export const spring: Law<Spring> = { move: moveSpring, rests: (feel, now, _ms, band) => springRests(feel, now, band) }
