// Direct: the value itself, at once.
import type { Law } from './law'

export interface Direct {
  readonly kind: 'direct'
}

export const direct: Law<Direct> = {
  move: (_feel, _from, _ms, out) => {
    out.gap = out.speed = 0
  },
  rests: () => true,
}
