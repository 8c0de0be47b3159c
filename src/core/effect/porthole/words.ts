// Porthole in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { PortholeSettings } from './settings'

const seen: Readonly<Record<PortholeSettings['shows'], readonly Piece[]>> = {
  back: [{ control: 'shows' }, ', ', { role: 'back' }],
  picture: [{ control: 'shows' }, ' ', { control: 'picture' }],
  look: [{ control: 'shows' }, ', ', { control: 'look' }],
}

export const portholeSentence = ({ shows }: PortholeSettings): readonly Piece[] => [
  'In ',
  { role: 'ground' },
  ' ',
  { role: 'front' },
  ' opens round the pointer: through ',
  { control: 'shape' },
  ' of ',
  { control: 'radiusPx' },
  ', softened over ',
  { control: 'softPx' },
  ', one sees ',
  ...seen[shows],
  '.',
]

export const portholeTime = ({ follow }: PortholeSettings): readonly Piece[] => [
  'Opens in ',
  { control: 'comeMs' },
  ', closes in ',
  { control: 'goMs' },
  '. ',
  ...followingPieces({ follow }),
  '.',
]
