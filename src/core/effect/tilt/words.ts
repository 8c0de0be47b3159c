// Tilt in words: its controls, its sentence and its line of time.
import { awayChoice } from '../away'
import type { ChoiceControl, Control, Piece } from '../control'
import { returnControls, followingControls } from '../feel-controls'
import { layerControls } from '../layers'
import { pinControls } from '../pin-controls'
import { plainControls } from '../plain-controls'
import { percentRange, timeRange } from '../settings'
import { angleRange, eyeRange, growRange, heightRange, liftRange, shadowRanges, sheenRanges, type TiltLayer, type TiltSettings } from './settings'

const { number, choice, colour } = plainControls<TiltSettings>()

const linked: ChoiceControl<TiltSettings> = {
  kind: 'choice', id: 'linked', title: 'Across and up-down', drawing: 'above',
  options: [{ value: 'one', words: 'share one angle' }, { value: 'two', words: 'have their own angles' }],
  read: (settings) => (settings.linked ? 'one' : 'two'),
  write: (settings, value) => ({ ...settings, linked: value === 'one' }),
}

export const tiltControls = (settings: TiltSettings): readonly Control<TiltSettings>[] => [
  choice('edge', { title: 'The edge under the pointer', drawing: 'above', options: [{ value: 'sinks', words: 'sinks' }, { value: 'rises', words: 'rises' }] }),
  number('acrossDeg', { title: 'The angle', unit: 'deg', ...angleRange, step: 1, drawing: 'above', knob: 'lean' }),
  number('upDownDeg', { title: 'The angle up-down', unit: 'deg', ...angleRange, step: 1, drawing: 'above', knob: 'lean-up-down' }),
  number('eyePx', { title: 'The distance of the eye', unit: 'px', ...eyeRange, step: 20, drawing: 'above', knob: 'eye' }),
  choice('vanishing', { title: 'The vanishing point', drawing: 'above', options: [{ value: 'own', words: 'is each card’s own' }, { value: 'shared', words: 'is shared by the row' }] }),
  number('liftPx', { title: 'The lift', unit: 'px', ...liftRange, step: 2, drawing: 'above', knob: 'lift' }),
  number('growPercent', { title: 'The growth', unit: '%', ...growRange, step: 1, drawing: 'above', percentOf: { words: 'its own size' } }),
  ...layerControls<TiltLayer, TiltSettings>(settings, { title: 'Its height', unit: 'px', ...heightRange, step: 2, drawing: 'depths' }, ({ heightPx }) => heightPx, (layer, heightPx) => ({ ...layer, heightPx })),
  choice('layersRise', { title: 'The layers rise', drawing: 'depths', options: [{ value: 'space', words: 'in space, and look larger' }, { value: 'card', words: 'by sliding on the card' }] }),
  number('sheenPercent', { title: 'The sheen', unit: '%', ...percentRange, step: 1, percentOf: { words: 'full strength' } }),
  choice('sheenWay', { title: 'The sheen goes', options: [{ value: 'opposite', words: 'opposite to the pointer' }, { value: 'along', words: 'along with the pointer' }] }),
  number('sheenSizePercent', { title: 'The size of the sheen', unit: '%', ...sheenRanges.size, step: 5, percentOf: { words: 'the width of the card', length: 'width' } }),
  number('sheenSoftPercent', { title: 'How soft it is', unit: '%', ...percentRange, step: 5, percentOf: { words: 'its own radius' } }),
  number('sheenTravelPercent', { title: 'How far the sheen goes', unit: '%', ...sheenRanges.travel, step: 5, knob: 'sheen-way', percentOf: { words: 'its own width', length: 'width', times: settings.sheenSizePercent / 100 } }),
  choice('sheenShape', { title: 'The sheen is', options: [{ value: 'round', words: 'round' }, { value: 'band', words: 'a slanting band' }] }),
  colour('sheenColour', 'The colour of the sheen'),
  choice('sheenBlend', { title: 'The sheen is laid on', options: [{ value: 'normal', words: 'as it is' }, { value: 'screen', words: 'by screen' }, { value: 'soft-light', words: 'as soft light' }, { value: 'overlay', words: 'by overlay' }] }),
  number('shadowPx', { title: 'The shadow falls', unit: 'px', ...shadowRanges.travel, step: 1, knob: 'shadow' }),
  number('shadowSoftPx', { title: 'How soft the shadow is', unit: 'px', ...shadowRanges.soft, step: 2, knob: 'shadow-soft' }),
  colour('shadowColour', 'The colour of the shadow'),
  number('comeMs', { title: 'The time to come', unit: 'ms', ...timeRange, step: 10, drawing: 'strip' }),
  number('goMs', { title: 'The time to go', unit: 'ms', ...timeRange, step: 10, drawing: 'strip' }),
  ...followingControls<TiltSettings>('How it follows'),
  ...returnControls<TiltSettings>('How it goes back'),
  awayChoice<TiltSettings>('it lies flat', 'it waits at the pin', 'it stays as it was left'),
  ...pinControls<TiltSettings>((changed) => ({ ...changed, away: 'settle' }), 'the card').map((control): typeof control => ({ ...control, drawing: 'above' })),
  linked,
]

export function tiltSentence({ linked: isLinked, liftPx, layers, sheenPercent }: TiltSettings): readonly Piece[] {
  const pieces: Piece[] = ['Over ', { role: 'card' }, ', the edge under the pointer ', { control: 'edge' }, ' by ', { control: 'acrossDeg' }]
  if (!isLinked) pieces.push(' across and ', { control: 'upDownDeg' }, ' up-down')
  pieces.push(', seen from ', { control: 'eyePx' })
  if (liftPx > 0) pieces.push(', lifted by ', { control: 'liftPx' })
  const [first] = layers
  if (first) pieces.push('; ', { role: first.id }, ' floats ', { control: first.id }, ' above it', ...(layers.length > 1 ? [`, and ${layers.length - 1} more`] : []))
  if (sheenPercent > 0) pieces.push('; a sheen of ', { control: 'sheenPercent' }, ' goes ', { control: 'sheenWay' })
  pieces.push('.')
  return pieces
}

/** Whether anything comes with the pointer and goes with it. */
const comesAndGoes = ({ liftPx, growPercent, layers, sheenPercent, shadowPx }: TiltSettings) => liftPx > 0 || growPercent > 0 || layers.length > 0 || sheenPercent > 0 || shadowPx > 0

export function tiltTime(settings: TiltSettings): readonly Piece[] {
  const pieces: Piece[] = ['Follows ', { control: 'follow' }]
  if (settings.follow.kind !== 'direct') pieces.push(', in ', { control: 'followMs' }, ', ', { control: 'pastPercent' }, ' past the mark')
  if (comesAndGoes(settings)) pieces.push('; comes in ', { control: 'comeMs' }, ', goes in ', { control: 'goMs' })
  pieces.push('. When away ', { control: 'away' }, '.')
  return pieces
}
