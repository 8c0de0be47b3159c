// What only some figures need of the page. An exported script holds those that its figures use.
import { copies } from './copies'
import { eyes } from './eyes'
import { frames } from './frames'
import { parts } from './parts'
import { states } from './states'
import { targets } from './targets'
import { telling } from './telling'
import { widths } from './widths'

interface Abilities {
  readonly copies?: typeof copies
  readonly eyes?: typeof eyes
  readonly frames?: typeof frames
  readonly parts?: typeof parts
  readonly states?: typeof states
  readonly targets?: typeof targets
  readonly telling?: typeof telling
  readonly widths?: typeof widths
}

export const abilities: Abilities = { copies, eyes, frames, parts, states, targets, telling, widths }
