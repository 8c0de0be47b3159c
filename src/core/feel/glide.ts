// Glide: the gap halves again and again, in the same time each.
import type { Law } from './law'

/** The gap halves every `halfLifeMs`, above 0. */
export interface Glide {
  readonly kind: 'glide'
  readonly halfLifeMs: number
}

const glideGap = ({ halfLifeMs }: Glide, gap: number, _speed: number, ms: number) => gap * 2 ** (-ms / halfLifeMs)

export const glide: Law<Glide> = {
  gap: glideGap,
  rests: (feel, gap, speed, ms, band) => Math.abs(glideGap(feel, gap, speed, ms)) <= band,
}
