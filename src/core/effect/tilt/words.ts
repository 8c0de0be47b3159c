// Tilt in words: its controls, its sentence and its line of time.
import type { ChoiceControl, Control, NumberControl, Piece } from '../control'
import { feelControls } from '../feel-controls'
import { angleRange, eyeRange, growRange, liftRange, timeRange, type TiltSettings } from './settings'

type NumberKey = 'acrossDeg' | 'upDownDeg' | 'eyePx' | 'liftPx' | 'growPercent' | 'comeMs' | 'goMs'

/** The knob of the rig that shows a setting as it stands. */
const knobs: Partial<Record<NumberKey, string>> = { acrossDeg: 'lean', upDownDeg: 'lean-up-down', eyePx: 'eye', liftPx: 'lift' }

/** A number control for a setting that it reads and writes as it stands. */
function plain(id: NumberKey, rest: Pick<NumberControl<TiltSettings>, 'title' | 'unit' | 'least' | 'greatest' | 'step'>): NumberControl<TiltSettings> {
  return { kind: 'number', id, drawing: id === 'comeMs' || id === 'goMs' ? 'strip' : 'above', knob: knobs[id], read: (settings) => settings[id], write: (settings, value) => ({ ...settings, [id]: value }), ...rest }
}

const following = feelControls<TiltSettings>(
  { ids: ['follow', 'followMs', 'pastPercent', 'frequencyHz', 'dampingRatio'], title: 'How it follows', timeTitle: 'The time to follow', drawing: 'flick' },
  ({ follow }) => follow,
  (settings, follow) => ({ ...settings, follow }),
)

const goingBack = feelControls<TiltSettings>(
  { ids: ['back', 'backMs', 'backPastPercent', 'backFrequencyHz', 'backDampingRatio'], title: 'How it goes back', timeTitle: 'The time to go back', drawing: 'return' },
  ({ back, follow }) => back ?? follow,
  (settings, back) => ({ ...settings, back }),
)

const edge: ChoiceControl<TiltSettings> = {
  kind: 'choice', id: 'edge', title: 'The edge under the pointer', drawing: 'above',
  options: [{ value: 'sinks', words: 'sinks' }, { value: 'rises', words: 'rises' }],
  read: (settings) => settings.edge,
  write: (settings, value) => ({ ...settings, edge: value === 'rises' ? 'rises' : 'sinks' }),
}

const linked: ChoiceControl<TiltSettings> = {
  kind: 'choice', id: 'linked', title: 'Across and up-down', drawing: 'above',
  options: [{ value: 'one', words: 'share one angle' }, { value: 'two', words: 'have their own angles' }],
  read: (settings) => (settings.linked ? 'one' : 'two'),
  write: (settings, value) => ({ ...settings, linked: value === 'one' }),
}

const firstPose = { x: -0.5, y: -0.4 } as const

const away: ChoiceControl<TiltSettings> = {
  kind: 'choice', id: 'away', title: 'When away', drawing: 'return', draws: 'back', handle: 'pin',
  options: [{ value: 'flat', words: 'it lies flat' }, { value: 'pose', words: 'it waits at the pin' }, { value: 'hold', words: 'it stays as it was left' }],
  read: (settings) => (settings.away === 'hold' ? 'hold' : settings.pose.x === 0 && settings.pose.y === 0 ? 'flat' : 'pose'),
  write: (settings, value) => {
    if (value === 'hold') return { ...settings, away: 'hold' }
    if (value === 'flat') return { ...settings, away: 'settle', pose: { x: 0, y: 0 } }
    const isFlat = settings.pose.x === 0 && settings.pose.y === 0
    return { ...settings, away: 'settle', pose: isFlat ? firstPose : settings.pose }
  },
}

/** Where the away pin stands along one axis, in % of the way from the middle to an edge. */
function pin(axis: 'x' | 'y', title: string): NumberControl<TiltSettings> {
  return {
    kind: 'number', id: `pin-${axis}`, title, unit: '%', least: -100, greatest: 100, step: 5, drawing: 'above', handle: 'pin',
    percentOf: { words: axis === 'x' ? 'half the width of the card' : 'half the height of the card', length: axis === 'x' ? 'half-width' : 'half-height' },
    read: ({ pose }) => pose[axis] * 100,
    write: (settings, percent) => ({ ...settings, away: 'settle', pose: { ...settings.pose, [axis]: percent / 100 } }),
  }
}

export const tiltControls: readonly Control<TiltSettings>[] = [
  edge,
  plain('acrossDeg', { title: 'The angle', unit: 'deg', ...angleRange, step: 1 }),
  plain('upDownDeg', { title: 'The angle up-down', unit: 'deg', ...angleRange, step: 1 }),
  plain('eyePx', { title: 'The distance of the eye', unit: 'px', ...eyeRange, step: 20 }),
  plain('liftPx', { title: 'The lift', unit: 'px', ...liftRange, step: 2 }),
  plain('growPercent', { title: 'The growth', unit: '%', ...growRange, step: 1 }),
  plain('comeMs', { title: 'The time to come', unit: 'ms', ...timeRange, step: 10 }),
  plain('goMs', { title: 'The time to go', unit: 'ms', ...timeRange, step: 10 }),
  ...following,
  ...goingBack,
  away,
  pin('x', 'The pin, across'),
  pin('y', 'The pin, up-down'),
  linked,
]

export function tiltSentence(settings: TiltSettings): readonly Piece[] {
  const pieces: Piece[] = ['Over ', { role: 'card' }, ', the edge under the pointer ', { control: 'edge' }, ' by ', { control: 'acrossDeg' }]
  if (!settings.linked) pieces.push(' across and ', { control: 'upDownDeg' }, ' up-down')
  pieces.push(', seen from ', { control: 'eyePx' })
  if (settings.liftPx > 0) pieces.push(', lifted by ', { control: 'liftPx' })
  pieces.push('.')
  return pieces
}

export function tiltTime(settings: TiltSettings): readonly Piece[] {
  const pieces: Piece[] = ['Follows ', { control: 'follow' }]
  if (settings.follow.kind !== 'direct') pieces.push(', in ', { control: 'followMs' }, ', ', { control: 'pastPercent' }, ' past the mark')
  if (settings.liftPx > 0 || settings.growPercent > 0) pieces.push('; comes in ', { control: 'comeMs' }, ', goes in ', { control: 'goMs' })
  pieces.push('. When away ', { control: 'away' }, '.')
  return pieces
}
