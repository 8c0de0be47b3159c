// Glide: the gap halves again and again, in the same time each.
import type { Law } from './law'

/** The gap halves every `halfLifeMs`, above 0. */
export interface Glide {
  readonly kind: 'glide'
  readonly halfLifeMs: number
}

export const glide: Law<Glide> = {
  move: ({ halfLifeMs }, { gap }, ms, out) => {
    out.gap = gap * 2 ** (-ms / halfLifeMs)
    out.speed = 0
  },
  rests: (_feel, { gap }, _ms, band) => Math.abs(gap) <= band,
}
