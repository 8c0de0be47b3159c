// Follow: its settings.
import type { Curve } from '../../curve/curve'
import { choice, coming, countsIf, curve, described, following, going, number, type SettingsOf } from '../parameters'

/** A limit along one axis is told in the caption where the mover goes along it. */
const limit = (title: string) =>
  number({
    title,
    help: 'how far it goes from where it stands, to either side',
    from: 600,
    inSample: 0.3,
    unit: 'px',
    least: 0,
    greatest: 2000,
    step: 10,
  })

/** Whether a path leads anywhere but straight on. */
export const bends = ({ path }: { readonly path: Curve }) => path.stops.some(({ value }) => value !== 0)

const parameters = {
  axes: choice({
    title: 'It goes',
    help: 'along which axes it goes with the pointer at all',
    from: 'both',
    options: { both: 'wherever the pointer goes', across: 'across with the pointer', 'up-down': 'up and down with the pointer' },
  }),
  /** How far it may go from where it stands. */
  acrossPx: limit('Across, at most'),
  upDownPx: limit('Up and down, at most'),
  /** Where it rides beside the pointer. */
  offsetXPx: number({
    title: 'To the right of the pointer',
    from: 0,
    inSample: 0.3,
    unit: 'px',
    least: -400,
    greatest: 400,
    step: 2,
    row: 'more',
    knob: { id: 'beside', note: 'how far it rides to the right of the pointer' },
  }),
  offsetYPx: number({
    title: 'Below the pointer',
    from: 0,
    inSample: 0.3,
    unit: 'px',
    least: -400,
    greatest: 400,
    step: 2,
    row: 'more',
    knob: { id: 'below', note: 'how far it rides below the pointer' },
  }),
  /** px up and down by where the pointer is across the ground (0..1). */
  path: curve({
    title: 'Its path',
    from: {
      stops: [
        { at: 0, value: 0 },
        { at: 1, value: 0 },
      ],
    },
    unit: 'px',
    across: { title: 'run', channel: 'run', unit: '', from: 0, to: 1 },
    row: 'more',
  }),
  leanDeg: number({
    title: 'Lean at 1000 px/s',
    from: 0,
    inSample: 2,
    unit: 'deg',
    least: 0,
    greatest: 45,
    step: 1,
    knob: { id: 'lean', note: 'how far it leans when the pointer is fast' },
  }),
  facing: choice({
    title: 'Face direction',
    help: 'whether it turns to where the pointer goes',
    from: 'no',
    options: { no: 'no', heading: 'where the pointer heads' },
    row: 'more',
  }),
  away: choice({
    title: 'When away',
    help: 'what it does once the pointer has left',
    from: 'home',
    options: { home: 'it goes home', stays: 'it stays where it was left' },
    drawing: 'flick',
    draws: 'follow',
  }),
  // What is only there with the pointer: where it rides beside it, its path, and where it faces.
  ...countsIf(
    ({ offsetXPx, offsetYPx, facing, path }) => offsetXPx !== 0 || offsetYPx !== 0 || facing !== 'no' || bends({ path: path as Curve }),
    { comeMs: coming(160, { row: 'more' }), goMs: going(320, { row: 'more' }) },
  ),
  // Critically damped: it settles in 260 ms and never goes past the mark.
  follow: following('How it follows', { kind: 'spring', frequencyHz: 3.571, dampingRatio: 1 }),
}

export type FollowSettings = SettingsOf<typeof parameters>
export const followParameters = described(parameters)
export const { settings: followSettings, defaults: followDefaults } = followParameters
