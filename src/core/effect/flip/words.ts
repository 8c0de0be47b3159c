// Flip in words: its sentence and its line of time.
import type { Piece } from '../control'
import { isBySide, type FlipSettings } from './settings'

export const flipSentence = (): readonly Piece[] => [
  'Over ',
  { role: 'card' },
  ' it turns ',
  { control: 'turns' },
  ', from ',
  { role: 'front' },
  ' to ',
  { role: 'back' },
  ', seen from ',
  { control: 'perspectivePx' },
  '.',
]

/** Why there is a script, where there is one. */
function reason({ turns, keys }: FlipSettings): string {
  if (isBySide(turns)) return ' CSS cannot tell by which side the pointer came, so a script does.'
  if (keys === 'card') return ' CSS cannot have a card take the focus, so a script does.'
  return ' CSS does all of it.'
}

export const flipTime = (settings: FlipSettings): readonly Piece[] => [
  'Turns over in ',
  { control: 'turnMs' },
  ', back in ',
  { control: 'returnMs' },
  `.${reason(settings)}`,
]
