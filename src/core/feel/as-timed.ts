// A spring that CSS plays: a transition whose easing goes through the closed form.
import { linearThrough } from '../curve/linear-through'
import { springFor, springRest, type SpringAnswer } from './spring-answer'
import { springGap } from './spring'
import type { Timed } from './timed'

/** So near its end, as a share of the way, a spring is at its end. */
const atEnd = 0.001

/** How far the segments of linear() may be from the spring, as a share of the way; with what rounding adds it is within 0.005. */
const tolerance = 0.003

/** A spring that begins at rest, settles in `settleMs` (2 % band) and goes `overshoot` (a share of the way) past the mark, as a transition. */
export function springAsTimed(answer: SpringAnswer): Timed {
  const spring = springFor({ ...answer, settleMs: Math.max(1, answer.settleMs) })
  const durationMs = Math.max(1, Math.round(springRest(spring, -1, 0, atEnd)))
  return {
    kind: 'timed',
    durationMs,
    easing: linearThrough((share) => 1 + springGap(spring, -1, 0, share * durationMs), tolerance),
    delayMs: 0,
  }
}
