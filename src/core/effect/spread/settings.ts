// Spread: its settings.
import { choice, coming, described, flag, going, number, percent, type SettingsOf } from '../parameters'

const parameters = {
  growsTimes: number({
    title: 'It grows to',
    from: 2.4,
    unit: '',
    least: 1.1,
    greatest: 12,
    step: 0.1,
    handle: { on: 'factor', along: 'across' },
    varies: ({ along }) => ({ handle: { on: 'factor', along: along === 'down' ? 'down' : 'across' } }),
    knob: { id: 'grows', note: 'how many times as large as the others it is while it is met' },
  }),
  along: choice({
    title: 'They lie',
    help: 'along which axis they share the room',
    from: 'across',
    options: { across: 'side by side', down: 'one below the other' },
  }),
  lays: choice({
    title: 'They are laid out',
    help: 'whether the page’s own layout is kept',
    from: 'page',
    options: { page: 'by the page, in a flex box', grid: 'by the page, in a grid', effect: 'by the effect' },
    row: 'more',
  }),
  gapPx: number({
    title: 'With gaps of',
    from: 6,
    inSample: 0.5,
    unit: 'px',
    least: 0,
    greatest: 200,
    step: 1,
    knob: { id: 'gap', note: 'the gaps between them' },
  }),
  /** What of the contents is seen while a panel is not met. */
  off: choice({
    title: 'Seen when off',
    help: 'how much of its contents a narrow panel shows',
    from: 'none',
    options: { seen: 'as ever', dim: 'dimmed', none: 'not at all' },
  }),
  dimPercent: percent({
    title: 'Dimmed to',
    help: 'how much of its contents a narrow panel shows',
    from: 35,
    percentOf: { words: 'what they are' },
    row: 'more',
  }),
  /** Text keeps the lines that it has in an open panel. */
  isHeld: flag({
    title: 'While a panel grows its contents',
    help: 'kept lines do not break anew on the way',
    from: true,
    yes: { value: 'held', words: 'keep the lines that they have in an open one' },
    no: { value: 'flow', words: 'flow into it' },
    row: 'more',
  }),
  panels: number({
    title: 'Panels in a row',
    from: 6,
    unit: '',
    isWhole: true,
    least: 2,
    greatest: 40,
    step: 1,
    row: 'more',
    knob: { id: 'count', note: 'how many of them lie side by side' },
  }),
  besidePx: number({
    title: 'Beside the contents, in a panel',
    from: 0,
    unit: 'px',
    least: 0,
    greatest: 400,
    step: 1,
    row: 'more',
    knob: { id: 'beside', note: 'the padding of a panel at both sides together' },
  }),
  plays: choice({
    title: 'Moving pictures play',
    help: 'when videos in the panels run',
    from: 'page',
    options: { page: 'as the page has it', open: 'while it is open', always: 'always', never: 'never' },
    row: 'more',
  }),
  /** What one that plays while its panel is open does when that closes, and opens again. */
  resumes: choice({
    title: 'Opened again they',
    help: 'where a video goes on when its panel opens again',
    from: 'place',
    options: { place: 'go on from where they were', start: 'start again' },
    row: 'more',
  }),
  first: number({
    title: 'Open from the start: the panel',
    help: 'which panel is open before anybody points; 0 for none',
    from: 0,
    unit: '',
    isWhole: true,
    least: 0,
    greatest: 40,
    step: 1,
    row: 'more',
  }),
  stays: flag({
    title: 'When the pointer leaves',
    help: 'which panel is open while the pointer is elsewhere',
    from: false,
    yes: { value: 'stays', words: 'the last one stays open' },
    no: { value: 'closes', words: 'it closes' },
    row: 'more',
  }),
  stackBelowPx: number({
    title: 'Stacked in windows narrower than',
    help: 'in narrower windows they stand as the page has them',
    from: 640,
    unit: 'px',
    least: 0,
    greatest: 3000,
    step: 10,
    row: 'more',
  }),
  comeMs: coming(380, { title: 'The time to open', help: 'how long a panel takes to grow' }),
  goMs: going(380, { title: 'The time to close', help: 'how long a panel takes to be narrow again' }),
}

export type SpreadSettings = SettingsOf<typeof parameters>
export const spreadParameters = described(parameters)
export const { settings: spreadSettings, defaults: spreadDefaults } = spreadParameters
