// Glow in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { GlowSettings } from './settings'

export const glowSentence = (settings: GlowSettings): readonly Piece[] => [
  'Over ',
  { role: 'card' },
  ', a light of ',
  { control: 'colour' },
  ', ',
  { control: 'sizePx' },
  ' wide, shows on the surface by ',
  { control: 'surfacePercent' },
  ' and along the edge by ',
  { control: 'edgePercent' },
  settings.reachPx > 0 ? ', from ' : ', from as near as ',
  { control: 'reachPx' },
  ' away.',
]

export const glowTime = ({ follow }: GlowSettings): readonly Piece[] => [
  'Comes in ',
  { control: 'comeMs' },
  ', goes in ',
  { control: 'goMs' },
  '. ',
  ...followingPieces({ follow }),
  '.',
]
