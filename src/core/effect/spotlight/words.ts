// Spotlight in words: its controls, its sentence and its line of time.
import type { ChoiceControl, Control, Piece } from '../control'
import { followingControls, followingPieces } from '../feel-controls'
import { plainControls } from '../plain-controls'
import { pinControls } from '../pin-controls'
import { percentRange, timeRange } from '../settings'
import { ranges, type SpotlightSettings } from './settings'

const { number, choice, colour } = plainControls<SpotlightSettings>()

const away: ChoiceControl<SpotlightSettings> = choice('away', {
  title: 'When away', handle: 'pin',
  options: [{ value: 'lit', words: 'all is lit' }, { value: 'pinned', words: 'the pool waits at the pin' }, { value: 'dark', words: 'all is dark' }],
})

export const spotlightControls: readonly Control<SpotlightSettings>[] = [
  number('clearPx', { title: 'The clear pool', unit: 'px', ...ranges.clear, step: 10, knob: 'clear', handle: { on: 'radius' } }),
  number('softPx', { title: 'Its soft edge', unit: 'px', ...ranges.soft, step: 10, knob: 'soft', handle: { on: 'softness', beyond: 'clearPx' } }),
  number('darknessPercent', { title: 'The darkness', unit: '%', ...percentRange, step: 1, percentOf: { words: 'full dark' } }),
  colour('tint', 'The colour of the dark'),
  choice('shape', { title: 'The pool is', options: [{ value: 'round', words: 'round' }, { value: 'wide', words: 'wider than high' }, { value: 'square', words: 'a soft square' }] }),
  number('pressedPercent', { title: 'Pressed, the pool is', unit: '%', ...ranges.pressed, step: 5, percentOf: { words: 'the pool' } }),
  number('pressedDarkerPercent', { title: 'Pressed, it is darker by', unit: '%', ...ranges.darker, step: 1, percentOf: { words: 'full dark' } }),
  away,
  ...pinControls<SpotlightSettings>((settings) => ({ ...settings, away: 'pinned' }), 'the ground'),
  number('comeMs', { title: 'The time to come', unit: 'ms', ...timeRange, step: 20, drawing: 'strip' }),
  number('goMs', { title: 'The time to go', unit: 'ms', ...timeRange, step: 20, drawing: 'strip' }),
  ...followingControls<SpotlightSettings>('How the light follows'),
]

export const spotlightSentence = (): readonly Piece[] => [
  'Over ', { role: 'ground' }, ', all is dark by ', { control: 'darknessPercent' }, ' in ', { control: 'tint' }, ' but for a pool of ', { control: 'clearPx' }, ' round the pointer, softened over ', { control: 'softPx' },
  '; pressed, the pool is ', { control: 'pressedPercent' }, ' of that.',
]

export const spotlightTime = ({ follow, away: whenAway }: SpotlightSettings): readonly Piece[] => [
  ...(whenAway === 'pinned' ? [] : ['Comes in ', { control: 'comeMs' }, ', goes in ', { control: 'goMs' }, '. ']), ...followingPieces({ follow }), '. When away ', { control: 'away' }, '.',
]
