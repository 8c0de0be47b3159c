// Tilt in words: its controls, its sentence and its line of time.
import { answerOf, springFor } from '../../feel/spring-answer'
import type { ChoiceControl, Control, NumberControl, Piece } from '../control'
import { angleRange, eyeRange, growRange, liftRange, timeRange, type TiltSettings } from './settings'

type NumberKey = 'acrossDeg' | 'upDownDeg' | 'eyePx' | 'liftPx' | 'growPercent' | 'comeMs' | 'goMs'

/** A number control for a setting that it reads and writes as it stands. */
function plain(id: NumberKey, rest: Pick<NumberControl<TiltSettings>, 'title' | 'unit' | 'least' | 'greatest' | 'step'>): NumberControl<TiltSettings> {
  return { kind: 'number', id, drawing: 'side', read: (settings) => settings[id], write: (settings, value) => ({ ...settings, [id]: value }), ...rest }
}

const settleRange = { least: 60, greatest: 4000 } as const

const followTime: NumberControl<TiltSettings> = {
  kind: 'number', id: 'followMs', title: 'The time to follow', unit: 'ms', ...settleRange, step: 10, drawing: 'flick',
  read: ({ follow }) => answerOf(follow).settleMs,
  write: (settings, settleMs) => ({ ...settings, follow: springFor({ settleMs, overshoot: answerOf(settings.follow).overshoot }) }),
}

const pastTheMark: NumberControl<TiltSettings> = {
  kind: 'number', id: 'pastPercent', title: 'The way past the mark', unit: '%', least: 0, greatest: 60, step: 1, drawing: 'flick',
  read: ({ follow }) => answerOf(follow).overshoot * 100,
  write: (settings, percent) => ({ ...settings, follow: springFor({ settleMs: answerOf(settings.follow).settleMs, overshoot: percent / 100 }) }),
}

const backTime: NumberControl<TiltSettings> = {
  kind: 'number', id: 'backMs', title: 'The time to go back', unit: 'ms', ...settleRange, step: 10, drawing: 'return',
  read: ({ back, follow }) => answerOf(back ?? follow).settleMs,
  write: (settings, settleMs) => ({ ...settings, back: springFor({ settleMs, overshoot: answerOf(settings.back ?? settings.follow).overshoot }) }),
}

const frequency: NumberControl<TiltSettings> = {
  kind: 'number', id: 'frequencyHz', title: 'The frequency', unit: 'Hz', least: 0.1, greatest: 20, step: 0.05, drawing: 'flick',
  read: ({ follow }) => follow.frequencyHz,
  write: (settings, frequencyHz) => ({ ...settings, follow: { ...settings.follow, frequencyHz } }),
}

const damping: NumberControl<TiltSettings> = {
  kind: 'number', id: 'dampingRatio', title: 'The damping ratio', unit: '', least: 0.15, greatest: 4, step: 0.05, drawing: 'flick',
  read: ({ follow }) => follow.dampingRatio,
  write: (settings, dampingRatio) => ({ ...settings, follow: { ...settings.follow, dampingRatio } }),
}

const edge: ChoiceControl<TiltSettings> = {
  kind: 'choice', id: 'edge', title: 'The edge under the pointer', drawing: 'side',
  options: [{ value: 'sinks', words: 'sinks' }, { value: 'rises', words: 'rises' }],
  read: (settings) => settings.edge,
  write: (settings, value) => ({ ...settings, edge: value === 'rises' ? 'rises' : 'sinks' }),
}

const linked: ChoiceControl<TiltSettings> = {
  kind: 'choice', id: 'linked', title: 'Across and up-down', drawing: 'side',
  options: [{ value: 'one', words: 'share one angle' }, { value: 'two', words: 'have their own angles' }],
  read: (settings) => (settings.linked ? 'one' : 'two'),
  write: (settings, value) => ({ ...settings, linked: value === 'one' }),
}

const firstPose = { x: -0.5, y: -0.4 } as const

const away: ChoiceControl<TiltSettings> = {
  kind: 'choice', id: 'away', title: 'When away', drawing: 'side',
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
    kind: 'number', id: `pin-${axis}`, title, unit: '%', least: -100, greatest: 100, step: 5, drawing: 'side',
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
  followTime,
  pastTheMark,
  backTime,
  away,
  pin('x', 'The pin, across'),
  pin('y', 'The pin, up-down'),
  linked,
  frequency,
  damping,
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
  const pieces: Piece[] = ['Follows in ', { control: 'followMs' }, ', ', { control: 'pastPercent' }, ' past the mark']
  if (settings.liftPx > 0 || settings.growPercent > 0) pieces.push('; comes in ', { control: 'comeMs' }, ', goes in ', { control: 'goMs' })
  pieces.push('. When away ', { control: 'away' }, '.')
  return pieces
}
