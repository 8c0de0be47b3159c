// Fold in words: its controls, its sentence and its line of time.
import { awayChoice } from '../away'
import type { Control, Piece } from '../control'
import { returnControls, followingControls, followingPieces } from '../feel-controls'
import { pinControls } from '../pin-controls'
import { plainControls } from '../plain-controls'
import { percentRange } from '../settings'
import { ranges, type FoldSettings } from './settings'

const { number, choice, colour } = plainControls<FoldSettings>()

export const foldControls: readonly Control<FoldSettings>[] = [
  number('cornerPercent', { title: 'Where the corner stands', unit: '%', ...ranges.corner, step: 1, percentOf: { words: 'the width of the heading', length: 'width' } }),
  number('angleDeg', { title: 'The slant of the walls', unit: 'deg', ...ranges.angle, step: 1, knob: 'angle' }),
  choice('corner', { title: 'The corner comes', options: [{ value: 'outer', words: 'toward you' }, { value: 'inner', words: 'away from you' }] }),
  number('shadePercent', { title: 'The shade on the second wall', unit: '%', ...percentRange, step: 1, percentOf: { words: 'full shade' } }),
  colour('shade', 'The colour of the shade'),
  { ...colour('ground', 'The walls are of'), takesBackgrounds: true },
  number('travelPercent', { title: 'The way the words slide', unit: '%', ...ranges.travel, step: 1, percentOf: { words: 'the width of the heading', length: 'width' } }),
  choice('way', { title: 'The words slide', options: [{ value: 'against', words: 'against the pointer' }, { value: 'with', words: 'with the pointer' }] }),
  awayChoice<FoldSettings>('the words stand in the middle', 'they wait at the pin', 'they stay as they were left'),
  ...pinControls<FoldSettings>((changed) => ({ ...changed, away: 'settle' }), 'the heading').slice(0, 1),
  ...followingControls<FoldSettings>('How the words follow'),
  ...returnControls<FoldSettings>('How they go back'),
]

export const foldSentence = (): readonly Piece[] => [
  'A corner at ', { control: 'cornerPercent' }, ' folds ', { role: 'heading' }, ', its walls slanted by ', { control: 'angleDeg' }, ' and the second one in ', { control: 'shadePercent' }, ' shade; the words slide by ', { control: 'travelPercent' }, ' ', { control: 'way' }, '.',
]

export const foldTime = ({ follow }: FoldSettings): readonly Piece[] => [...followingPieces({ follow }), '. When away ', { control: 'away' }, '.']
