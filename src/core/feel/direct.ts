// Direct: the value itself, at once.
import type { Law } from './law'

export interface Direct {
  readonly kind: 'direct'
}

export const direct: Law<Direct> = {
  gap: () => 0,
  rests: () => true,
}
