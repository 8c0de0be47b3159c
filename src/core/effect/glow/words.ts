// Glow in words: its controls, its sentence and its line of time.
import type { Control, Piece } from '../control'
import { followingControls, followingPieces } from '../feel-controls'
import { plainControls } from '../plain-controls'
import { percentRange, timeRange } from '../settings'
import { ranges, type GlowSettings } from './settings'

const { number, choice, colour } = plainControls<GlowSettings>()

export const glowControls: readonly Control<GlowSettings>[] = [
  colour('colour', 'The colour of the light'),
  number('sizePx', { title: 'The width of the light', unit: 'px', ...ranges.size, step: 10, knob: 'size', handle: { on: 'diameter' } }),
  number('surfacePercent', { title: 'Its strength on the surface', unit: '%', ...percentRange, step: 1, knob: 'surface', percentOf: { words: 'full strength' } }),
  number('edgePx', { title: 'The line along the edge', unit: 'px', ...ranges.edge, step: 0.5, knob: 'line' }),
  number('edgePercent', { title: 'The strength along the edge', unit: '%', ...percentRange, step: 1, knob: 'edge', percentOf: { words: 'full strength' } }),
  number('reachPx', { title: 'The reach beyond the card', unit: 'px', ...ranges.reach, step: 5, handle: { on: 'reach' } }),
  choice('lies', { title: 'The light on the surface', options: [{ value: 'under', words: 'lies under what is on the card' }, { value: 'over', words: 'lies over it' }] }),
  number('shrinkPercent', { title: 'The card shrinks by', unit: '%', ...ranges.shrink, step: 1, percentOf: { words: 'its own size' } }),
  number('turnS', { title: 'A light runs round in', unit: 's', ...ranges.round, step: 0.5 }),
  number('arcDeg', { title: 'The length of that light', unit: 'deg', ...ranges.arc, step: 5, knob: 'arc' }),
  number('comeMs', { title: 'The time to come', unit: 'ms', ...timeRange, step: 20, drawing: 'strip' }),
  number('goMs', { title: 'The time to go', unit: 'ms', ...timeRange, step: 20, drawing: 'strip' }),
  ...followingControls<GlowSettings>('How the light follows'),
]

export const glowSentence = (settings: GlowSettings): readonly Piece[] => [
  'Over ', { role: 'card' }, ', a light of ', { control: 'colour' }, ', ', { control: 'sizePx' }, ' wide, shows on the surface by ', { control: 'surfacePercent' },
  ' and along the edge by ', { control: 'edgePercent' }, settings.reachPx > 0 ? ', from ' : ', from as near as ', { control: 'reachPx' }, ' away.',
]

export const glowTime = ({ follow }: GlowSettings): readonly Piece[] => [
  'Comes in ', { control: 'comeMs' }, ', goes in ', { control: 'goMs' }, '. ', ...followingPieces({ follow }), '.',
]
