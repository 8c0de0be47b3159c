// Rows in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { RowsSettings } from './settings'

export const rowsSentence = (): readonly Piece[] => [
  'In ',
  { role: 'row' },
  ' ',
  { role: 'on' },
  ' rolls in from the side of entry, and ',
  { role: 'off' },
  ' ',
  { control: 'off' },
  '; ',
  { role: 'picture' },
  ' ',
  { control: 'picture' },
  ', ',
  { control: 'pictureWidthPx' },
  ' wide.',
]

export const rowsTime = ({ picture, follow }: RowsSettings): readonly Piece[] => [
  'Rolls in in ',
  { control: 'comeMs' },
  ', out in ',
  { control: 'goMs' },
  ...(picture === 'pointer' ? ['. ', ...followingPieces({ follow }), '.'] : ['.']),
]
