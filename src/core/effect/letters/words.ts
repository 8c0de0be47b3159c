// Letters in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { LettersSettings } from './settings'

export const lettersSentence = ({ colours }: LettersSettings): readonly Piece[] => [
  'Within ',
  { control: 'reachPx' },
  ' of the pointer ',
  { control: 'by' },
  ' of ',
  { role: 'text' },
  ' is ',
  { control: 'sizePercent' },
  ' as large, of the weight ',
  { control: 'weight' },
  ', and rises by ',
  { control: 'risePx' },
  ...(colours === 'other' ? ['; its colour is ', { control: 'colour' }] : []),
  '.',
]

export const lettersTime = ({ follow }: LettersSettings): readonly Piece[] => [
  'Comes in ',
  { control: 'comeMs' },
  ', goes in ',
  { control: 'goMs' },
  '. ',
  ...followingPieces({ follow }),
  '.',
]
