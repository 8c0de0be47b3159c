// Wipe in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { WipeSettings } from './settings'

export const wipeSentence = (): readonly Piece[] => [
  'In ',
  { role: 'ground' },
  ', along a line that goes toward ',
  { control: 'directionDeg' },
  ', ',
  { role: 'front' },
  ' gives way to ',
  { role: 'back' },
  ', softened over ',
  { control: 'softPx' },
  '; ',
  { role: 'rider' },
  ' rides on it, ',
  { role: 'ahead' },
  ' and ',
  { role: 'behind' },
  ' are cut with it.',
]

export const wipeTime = ({ follow, away }: WipeSettings): readonly Piece[] => [
  ...followingPieces({ follow }),
  '. When away ',
  { control: 'away' },
  ...(away === 'waits' ? [' at ', { control: 'waitsPercent' }] : []),
  '.',
]
