// Wipe: its settings.
import { choice, curve, described, following, number, percent, type SettingsOf } from '../parameters'

const parameters = {
  /** Which way the line goes on its way from the front to the back; degrees clockwise from up. */
  directionDeg: number({
    title: 'The line goes toward',
    help: 'which way the line goes from the front to the back; 90° is to the right',
    from: 90,
    unit: 'deg',
    least: 0,
    greatest: 359,
    step: 1,
    handle: { on: 'direction' },
  }),
  softPx: number({
    title: 'Its soft edge',
    from: 0,
    inSample: 0.3,
    unit: 'px',
    least: 0,
    greatest: 600,
    step: 2,
    knob: { id: 'soft', note: 'how wide the soft edge is' },
  }),
  away: choice({
    title: 'When away',
    help: 'where the line is while the pointer is elsewhere',
    from: 'waits',
    options: { waits: 'the line waits', holds: 'the line stays where it was left' },
    drawing: 'flick',
    draws: 'follow',
  }),
  /** Where it waits: how much of the way it has gone, so much of the front is seen. */
  waitsPercent: percent({
    title: 'It waits at',
    help: 'how much of the front is seen while the line waits',
    from: 8,
    percentOf: { words: 'its way' },
    handle: 'pin',
  }),
  /** What of the two is cut: a front with a ground of its own covers what lies behind it. */
  cuts: choice({
    title: 'What is cut',
    help: 'a front with a ground of its own hides the back, and is cut alone',
    from: 'both',
    options: { both: 'both, each at its side of the line', front: 'the front alone' },
    row: 'more',
  }),
  /** Layers that stand side by side are laid in one place, by a grid. */
  layers: choice({
    title: 'The two lie',
    help: 'two that stand side by side on the page can be laid in one place',
    from: 'page',
    options: { page: 'where the page has them', over: 'over each other, laid there' },
    row: 'more',
  }),
  /** px beside the line by how far it has gone over the ground (0..1): down where it goes across, to the right where it goes down. */
  path: curve({
    title: 'The path of what rides on it',
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
  // Critically damped: it settles in 120 ms and never goes past the mark.
  follow: following('How the line follows', { kind: 'spring', frequencyHz: 7.74, dampingRatio: 1 }),
}

export type WipeSettings = SettingsOf<typeof parameters>
export const wipeParameters = described(parameters)
export const { settings: wipeSettings, defaults: wipeDefaults } = wipeParameters
