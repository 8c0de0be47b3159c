// Pull in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { PullSettings } from './settings'

export const pullSentence = ({ innerPercent }: PullSettings): readonly Piece[] => [
  'From ',
  { control: 'reachPx' },
  ' around it ',
  { role: 'element' },
  ' comes ',
  { control: 'sharePercent' },
  ' of the way to the pointer, at most ',
  { control: 'mostPx' },
  ...(innerPercent > 0 ? ['; ', { role: 'inner' }, ' ', { control: 'innerPercent' }, ' more'] : []),
  '.',
]

export const pullTime = ({ follow }: PullSettings): readonly Piece[] => [...followingPieces({ follow }), '.']
