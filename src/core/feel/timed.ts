// Timed: from where it is to the target in a given time, after a delay.
import { easingFor } from '../curve/easing'
import type { Law } from './law'

/** `durationMs` and `delayMs` from 0 on; `easing` as CSS text. */
export interface Timed {
  readonly kind: 'timed'
  readonly durationMs: number
  readonly easing: string
  readonly delayMs: number
}

export const timed: Law<Timed> = {
  move: ({ durationMs, delayMs, easing }, { gap }, ms, out) => {
    out.gap = ms < delayMs ? gap : ms < delayMs + durationMs ? gap * (1 - easingFor(easing)((ms - delayMs) / durationMs)) : 0
    out.speed = 0
  },
  rests: ({ durationMs, delayMs }, _now, ms) => ms >= delayMs + durationMs,
}
