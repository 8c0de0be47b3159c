// Drift in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { DriftSettings } from './settings'

/** The sentence names two layers; more of them are told by their number. */
export const driftSentence = ({ layers }: DriftSettings): readonly Piece[] => [
  'In ',
  { role: 'ground' },
  ', ',
  ...layers
    .slice(0, 2)
    .flatMap(({ id }, index): Piece[] => [
      ...(index > 0 ? [' and '] : []),
      { role: id },
      index === 0 ? ' slides by ' : ' by ',
      { control: id },
    ]),
  ...(layers.length > 2 ? [`, and ${layers.length - 2} more by theirs`] : layers.length === 0 ? ['no layer slides yet'] : []),
  ', ',
  { control: 'direction' },
  ', ',
  { control: 'axes' },
  '.',
]

export const driftTime = ({ follow }: DriftSettings): readonly Piece[] => [
  ...followingPieces({ follow }),
  '. When away ',
  { control: 'away' },
  '.',
]
