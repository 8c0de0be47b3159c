// Fold in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { FoldSettings } from './settings'

export const foldSentence = (): readonly Piece[] => [
  'A corner at ',
  { control: 'cornerPercent' },
  ' folds ',
  { role: 'heading' },
  ', its walls slanted by ',
  { control: 'angleDeg' },
  ' and the second one in ',
  { control: 'shadePercent' },
  ' shade; the words slide by ',
  { control: 'travelPercent' },
  ' ',
  { control: 'direction' },
  '.',
]

export const foldTime = ({ follow }: FoldSettings): readonly Piece[] => [
  ...followingPieces({ follow }),
  '. When away ',
  { control: 'away' },
  '.',
]
