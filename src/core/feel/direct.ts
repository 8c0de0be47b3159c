// Direct: the value itself, at once.
import type { Described } from '../described'
import type { directSchema } from '../rig/schema'
import type { Law } from './law'

export type Direct = Described<typeof directSchema>

export const direct: Law<Direct> = {
  move: (_feel, _from, _ms, out) => {
    out.gap = out.speed = 0
  },
  rests: () => true,
}
