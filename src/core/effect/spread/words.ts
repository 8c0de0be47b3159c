// Spread in words: its sentence and its line of time.
import type { Piece } from '../control'
import { reasonOf } from './expand'
import type { SpreadSettings } from './settings'

export const spreadSentence = ({ off }: SpreadSettings): readonly Piece[] => [
  'Of ',
  { role: 'panel' },
  ', lying ',
  { control: 'along' },
  ' with gaps of ',
  { control: 'gapPx' },
  ', the one under the pointer grows to ',
  { control: 'growsTimes' },
  ' times the others; until then ',
  { role: 'content' },
  ' is seen ',
  { control: 'off' },
  ...(off === 'dim' ? [' to ', { control: 'dimPercent' }] : []),
  '.',
]

export const spreadTime = (settings: SpreadSettings): readonly Piece[] => {
  const reason = reasonOf(settings)
  return [
    'Opens in ',
    { control: 'comeMs' },
    ', closes in ',
    { control: 'goMs' },
    reason === undefined ? '. CSS does all of it.' : `. ${reason}, so a short script does.`,
  ]
}
