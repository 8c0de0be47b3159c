// Note in words: its sentence and its line of time.
import type { Piece } from '../control'

export const noteSentence = (): readonly Piece[] => [
  'Beside ',
  { role: 'anchor' },
  ' ',
  { role: 'note' },
  ' comes up ',
  { control: 'side' },
  ', ',
  { control: 'gapPx' },
  ' away, and travels ',
  { control: 'travelPx' },
  '; both are one place to the pointer.',
]

export const noteTime = (): readonly Piece[] => [
  'Comes in ',
  { control: 'comeMs' },
  ', waits for ',
  { control: 'waitMs' },
  ', goes in ',
  { control: 'goMs' },
  '.',
]
