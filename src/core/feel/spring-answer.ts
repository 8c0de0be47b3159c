// What a spring comes to, in the designer's terms: how long it takes and how far past the mark it goes.
import { springRest, type Spring } from './spring'

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
  return {
    settleMs: springRest(spring, -1, 0, settleBand),
    overshoot: z < 1 ? Math.exp((-Math.PI * z) / Math.sqrt(1 - z * z)) : 0,
  }
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
