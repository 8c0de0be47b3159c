// Grain light in words: its sentence and its line of time.
import type { Piece } from '../control'
import { followingPieces } from '../feel-controls'
import type { GrainLightSettings } from './settings'

export const grainLightSentence = (): readonly Piece[] => [
  'Under ',
  { role: 'ground' },
  ' lies a ',
  { control: 'gradient' },
  ' with ',
  { control: 'grainPercent' },
  ' of ',
  { control: 'speckle' },
  ' grain, and under the pointer a light of ',
  { control: 'colour' },
  ', ',
  { control: 'radiusPx' },
  ' wide and ',
  { control: 'lightPercent' },
  ' strong.',
]

export const grainLightTime = ({ follow, away }: GrainLightSettings): readonly Piece[] => [
  ...(away === 'out' ? ['Comes in ', { control: 'comeMs' }, ', goes in ', { control: 'goMs' }, '. '] : []),
  ...followingPieces({ follow }),
  '. When away ',
  { control: 'away' },
  '.',
]
