// Glide: the gap halves again and again, in the same time each.
import type { Described } from '../described'
import type { glideSchema } from '../rig/schema'
import type { Law } from './law'

export type Glide = Described<typeof glideSchema>

export const glide: Law<Glide> = {
  move: ({ halfLifeMs }, { gap }, ms, out) => {
    out.gap = gap * 2 ** (-ms / halfLifeMs)
    out.speed = 0
  },
  rests: (_feel, { gap }, _ms, band) => Math.abs(gap) <= band,
}
