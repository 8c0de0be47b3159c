// Magnifier in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { MagnifierSettings } from './settings'

export const magnifierSentence = ({ rimPx }: MagnifierSettings): readonly Piece[] => [
  'Over ',
  { role: 'area' },
  ' ',
  { control: 'shape' },
  ' of ',
  { control: 'sizePx' },
  ' shows what is under the pointer ',
  { control: 'zoom' },
  ' times as large, with a rim of ',
  { control: 'rimPx' },
  ...(rimPx > 0 ? [' in ', { control: 'rimColour' }] : []),
  '.',
]

export const magnifierTime = ({ follow }: MagnifierSettings): readonly Piece[] => [
  'Comes in ',
  { control: 'comeMs' },
  ', goes in ',
  { control: 'goMs' },
  '. ',
  ...followingPieces({ follow }),
  '.',
]
