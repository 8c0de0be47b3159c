// Spotlight in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { SpotlightSettings } from './settings'

export const spotlightSentence = (): readonly Piece[] => [
  'Over ',
  { role: 'ground' },
  ', all is dark by ',
  { control: 'darknessPercent' },
  ' in ',
  { control: 'tint' },
  ' but for a pool of ',
  { control: 'clearPx' },
  ' round the pointer, softened over ',
  { control: 'softPx' },
  '; pressed, the pool is ',
  { control: 'pressedPercent' },
  ' of that.',
]

export const spotlightTime = ({ follow, away: whenAway }: SpotlightSettings): readonly Piece[] => [
  ...(whenAway === 'pinned' ? [] : ['Comes in ', { control: 'comeMs' }, ', goes in ', { control: 'goMs' }, '. ']),
  ...followingPieces({ follow }),
  '. When away ',
  { control: 'away' },
  '.',
]
