// What a spring comes to, in the designer's terms: how long it takes and how far past the mark it goes.
import { decayOf, firstTurn, splitOf, springGap, type Spring } from './spring'

/** The 2 % band by which a step counts as settled when a time is shown. */
export const settleBand = 0.02

/** How a spring answers a step from 0 to 1: `settleMs` to within 2 %, `overshoot` as a share of the step. */
export interface SpringAnswer {
  readonly settleMs: number
  readonly overshoot: number
}

/** The answer of a spring that starts at rest. Overshoot: exp(-pi z / sqrt(1 - z^2)), none from z = 1 on. */
export function answerOf(spring: Spring): SpringAnswer {
  const z = spring.dampingRatio
  return { settleMs: springRest(spring, -1, 0, settleBand), overshoot: z < 1 ? Math.exp((-Math.PI * z) / Math.sqrt(1 - z * z)) : 0 }
}

/**
 * The spring that settles in `settleMs` and goes `overshoot` (0..0.9) past the mark. Without overshoot it is the
 * critically damped one. Settling time goes with 1 / frequency, so the frequency follows from that of 1 Hz.
 */
export function springFor({ settleMs, overshoot }: SpringAnswer): Spring {
  const log = overshoot > 0 ? Math.log(Math.min(overshoot, 0.9)) : -Infinity
  const dampingRatio = overshoot > 0 ? -log / Math.hypot(Math.PI, log) : 1
  const atOneHz = answerOf({ kind: 'spring', frequencyHz: 1, dampingRatio })
  return { kind: 'spring', frequencyHz: atOneHz.settleMs / settleMs, dampingRatio }
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
