// Glide: the gap halves again and again, in the same time each.
import type { Law } from './law'

/** The gap halves every `halfLifeMs`, above 0. */
export interface Glide {
  readonly kind: 'glide'
  readonly halfLifeMs: number
}

export const glide: Law<Glide> = {
  gap: ({ halfLifeMs }, gap, _speed, ms) => gap * 2 ** (-ms / halfLifeMs),
  rest: ({ halfLifeMs }, gap, _speed, band) => (gap === 0 ? 0 : Math.max(0, halfLifeMs * Math.log2(Math.abs(gap) / band))),
}
