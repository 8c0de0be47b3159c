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
  gap: ({ durationMs, delayMs, easing }, gap, _speed, ms) => (ms < delayMs ? gap : gap * (1 - easingFor(easing)((ms - delayMs) / durationMs))),
  rests: ({ durationMs, delayMs }, gap, _speed, ms) => gap === 0 || ms >= delayMs + durationMs,
}
