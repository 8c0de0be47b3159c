// A damped spring in closed form: x'' + 2 z w x' + w^2 (x - target) = 0, with w = 2 pi frequency.
import type { Law } from './law'

/** `frequencyHz`: undamped frequency in Hz, above 0. `dampingRatio`: 1 is critical, above 0. */
export interface Spring {
  readonly kind: 'spring'
  readonly frequencyHz: number
  readonly dampingRatio: number
}

/** How fast a spring swings or parts in two decays: w * sqrt(|z^2 - 1|), per second. */
const splitOf = ({ frequencyHz, dampingRatio }: Spring) => 2 * Math.PI * frequencyHz * Math.sqrt(Math.abs(dampingRatio * dampingRatio - 1))

/** How fast its swings die away: z * w, per second. */
const decayOf = ({ frequencyHz, dampingRatio }: Spring) => 2 * Math.PI * frequencyHz * dampingRatio

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

/**
 * The first instant (ms) after which the gap stays within `band` for ever. Between two turning points the gap goes
 * one way, so the last crossing of the band lies on the stretch behind the last turn outside it, and is found by halving.
 */
export function springRest(spring: Spring, gap: number, speed: number, band: number): number {
  const decay = decayOf(spring)
  const split = splitOf(spring)
  const isOutside = (ms: number) => Math.abs(springGap(spring, gap, speed, ms)) > band
  let turn = firstTurn(spring, gap, speed)
  let step = 1000 / decay
  if (spring.dampingRatio < 1) {
    // From the instant at which the envelope is within the band, back to the last turn outside it.
    step = (1000 * Math.PI) / split
    const quiet = (1000 * Math.log(Math.hypot(gap, (speed + decay * gap) / split) / band)) / decay
    turn += Math.max(0, Math.ceil((quiet - turn) / step)) * step
    while (turn > 0 && !isOutside(turn)) turn -= step
  } else if (!isOutside(turn)) {
    step = turn
    turn = 0
  }
  let from = Math.max(0, turn)
  if (!isOutside(from)) return 0
  let until = turn + step
  while (isOutside(until)) until += step
  for (let halving = 0; halving < 60; halving++) {
    const middle = (from + until) / 2
    if (isOutside(middle)) from = middle
    else until = middle
  }
  return until
}

/** The first instant (ms) at which the gap turns round; 0 when it never does. */
function firstTurn(spring: Spring, gap: number, speed: number): number {
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

export const spring: Law<Spring> = {
  gap: springGap,
  speed: springSpeed,
  rest: springRest,
}
