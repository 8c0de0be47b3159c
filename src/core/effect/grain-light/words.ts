// Grain light in words: its controls, its sentence and its line of time.
import type { Control, Piece } from '../control'
import { followingControls, followingPieces } from '../feel-controls'
import { pinControls } from '../pin-controls'
import { plainControls } from '../plain-controls'
import { percentRange, timeRange } from '../settings'
import { ranges, type GrainLightSettings } from './settings'

const { number, choice, colour, gradient } = plainControls<GrainLightSettings>()

const whole = (control: ReturnType<typeof number>): typeof control => ({ ...control, write: (settings, value) => control.write(settings, Math.round(value)) })

export const grainLightControls: readonly Control<GrainLightSettings>[] = [
  gradient('gradient', 'The ground'),
  number('fineness', { title: 'The grain, coarse to fine', unit: '', ...ranges.fineness, step: 0.05 }),
  whole(number('detail', { title: 'Its detail', unit: '', ...ranges.detail, step: 1 })),
  number('grainPercent', { title: 'How much the grain shows', unit: '%', ...percentRange, step: 1, percentOf: { words: 'full strength' } }),
  choice('speckle', { title: 'The specks are', options: [{ value: 'light', words: 'light' }, { value: 'dark', words: 'dark' }] }),
  whole(number('seed', { title: 'The throw of the grain', unit: '', ...ranges.seed, step: 1 })),
  number('radiusPx', { title: 'The radius of the light', unit: 'px', ...ranges.radius, step: 10, knob: 'radius', handle: { on: 'radius' } }),
  number('lightPercent', { title: 'The strength of the light', unit: '%', ...percentRange, step: 1, percentOf: { words: 'full strength' } }),
  colour('colour', 'The colour of the light'),
  choice('falloff', { title: 'The light falls off', options: [{ value: 'soft', words: 'softly, like a lamp' }, { value: 'even', words: 'evenly, like a cone' }] }),
  choice('away', { title: 'When away', handle: 'pin', options: [{ value: 'out', words: 'the light goes out' }, { value: 'pinned', words: 'it waits at the pin' }, { value: 'stays', words: 'it stays where it was left' }] }),
  ...pinControls<GrainLightSettings>((settings) => ({ ...settings, away: 'pinned' }), 'the ground'),
  number('comeMs', { title: 'The time to come', unit: 'ms', ...timeRange, step: 20, drawing: 'strip' }),
  number('goMs', { title: 'The time to go', unit: 'ms', ...timeRange, step: 20, drawing: 'strip' }),
  ...followingControls<GrainLightSettings>('How the light follows'),
]

export const grainLightSentence = (): readonly Piece[] => [
  'Under ', { role: 'ground' }, ' lies a ', { control: 'gradient' }, ' with ', { control: 'grainPercent' }, ' of ', { control: 'speckle' }, ' grain, and under the pointer a light of ', { control: 'colour' }, ', ', { control: 'radiusPx' }, ' wide and ', { control: 'lightPercent' }, ' strong.',
]

export const grainLightTime = ({ follow, away }: GrainLightSettings): readonly Piece[] => [
  ...(away === 'out' ? ['Comes in ', { control: 'comeMs' }, ', goes in ', { control: 'goMs' }, '. '] : []), ...followingPieces({ follow }), '. When away ', { control: 'away' }, '.',
]
