// Timed: from where it is to the target in a given time, after a delay; as CSS transitions do it.
import { easingFor } from '../curve/easing'
import type { Described } from '../described'
import type { timedSchema } from '../rig/schema'
import type { Law } from './law'

export type Timed = Described<typeof timedSchema>

export const timed: Law<Timed> = {
  move: ({ durationMs, delayMs, easing }, { gap, share }, ms, out) => {
    const wholeMs = durationMs * share
    out.gap = ms < delayMs ? gap : ms < delayMs + wholeMs ? gap * (1 - easingFor(easing)((ms - delayMs) / wholeMs)) : 0
    out.speed = 0
  },
  rests: ({ durationMs, delayMs }, _now, ms, _band, share) => ms >= delayMs + durationMs * share,
}
