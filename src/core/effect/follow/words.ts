// Follow in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { FollowSettings } from './settings'

export const followSentence = ({ axes }: FollowSettings): readonly Piece[] => [
  'In ',
  { role: 'ground' },
  ', ',
  { role: 'mover' },
  ' goes ',
  { control: 'axes' },
  ', by at most ',
  ...(axes === 'up-down' ? [] : [{ control: 'acrossPx' }]),
  ...(axes === 'both' ? [' across and '] : []),
  ...(axes === 'across' ? [] : [{ control: 'upDownPx' }]),
  axes === 'both' ? ' up and down; it leans by ' : '; it leans by ',
  { control: 'leanDeg' },
  '.',
]

export const followTime = ({ follow }: FollowSettings): readonly Piece[] => [
  ...followingPieces({ follow }),
  '. When away ',
  { control: 'away' },
  '.',
]
