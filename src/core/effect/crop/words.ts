// Crop in words: its sentence and its line of time.
import type { Piece } from '../control'
import type { CropSettings } from './settings'

export const cropSentence = ({ by }: CropSettings): readonly Piece[] => [
  'Over ',
  { role: 'frame' },
  ' its edges draw in by ',
  { control: by === 'px' ? 'insetPx' : 'insetPercent' },
  ', with corners of ',
  { control: 'radiusPx' },
  ', while ',
  { role: 'picture' },
  ' grows by ',
  { control: 'growPercent' },
  '.',
]

export const cropTime = (): readonly Piece[] => ['Comes in ', { control: 'comeMs' }, ', goes in ', { control: 'goMs' }, '.']
