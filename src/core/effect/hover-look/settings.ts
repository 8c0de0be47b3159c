// Hover look: its settings.
import { choice, colour, coming, declarations, described, flag, going, number, percent, type SettingsOf } from '../parameters'

const ways = { eased: 'slowing down', spring: 'by a spring' } as const

const parameters = {
  risePx: number({
    title: 'It rises by',
    from: 4,
    unit: 'px',
    least: -60,
    greatest: 60,
    step: 1,
    knob: { id: 'rise', note: 'how far it rises' },
  }),
  growPercent: percent({
    title: 'It grows to',
    from: 100,
    least: 50,
    greatest: 200,
    percentOf: { words: 'its size' },
    knob: { id: 'grow', note: 'how many times as large it is', per: 100 },
  }),
  pressPercent: percent({
    title: 'Pressed it is',
    from: 98,
    least: 50,
    greatest: 150,
    percentOf: { words: 'its size' },
    row: 'more',
    knob: { id: 'press', note: 'how many times as large it is while it is pressed', per: 100 },
  }),
  ground: choice({ title: 'Its ground', from: 'page', options: { page: 'stays', own: 'becomes' } }),
  groundColour: colour({ title: 'The colour of its ground', from: '#24424a', token: { id: 'ground', note: 'its ground' } }),
  ink: choice({ title: 'Its text', from: 'page', options: { page: 'stays', own: 'becomes' }, row: 'more' }),
  inkColour: colour({ title: 'The colour of its text', from: '#ffffff', token: { id: 'ink', note: 'its text' }, row: 'more' }),
  shadowPx: number({
    title: 'Its shadow reaches',
    from: 0,
    unit: 'px',
    least: 0,
    greatest: 120,
    step: 1,
    row: 'more',
    knob: { id: 'shadow', note: 'how far its shadow reaches' },
  }),
  onCss: declarations({ title: 'More CSS when on', row: 'more' }),
  pressedCss: declarations({ title: 'More CSS when pressed', row: 'more' }),
  stillCss: declarations({ title: 'More CSS when the pointer stands still', row: 'more' }),
  stillMs: number({ title: 'It stands still after', from: 600, unit: 'ms', least: 50, greatest: 10_000, step: 50, row: 'more' }),
  keys: choice({
    title: 'With the focus it is',
    from: 'on',
    options: { on: 'as under the pointer', own: 'as the CSS for the focus says' },
    row: 'more',
  }),
  focusCss: declarations({ title: 'More CSS with the focus', row: 'more' }),
  /** What the other matches do. */
  others: choice({ title: 'The others', from: 'page', options: { page: 'stay as they are', dim: 'are dimmed' } }),
  othersPercent: percent({
    title: 'Dimmed to',
    from: 45,
    percentOf: { words: 'what they are' },
    knob: { id: 'others', note: 'how much of the others is seen', per: 100 },
  }),
  /** What goes with it elsewhere on the page, one for one. */
  linked: choice({
    title: 'What is linked to it',
    from: 'appears',
    options: { appears: 'appears with it', same: 'does the same' },
    row: 'more',
  }),
  pieceRisePx: number({
    title: 'Its pieces come from',
    from: 10,
    unit: 'px',
    least: -80,
    greatest: 80,
    step: 1,
    row: 'more',
    knob: { id: 'piece-rise', note: 'how far below its pieces come from' },
  }),
  fades: flag({
    title: 'When off its pieces are',
    from: true,
    yes: { value: 'hidden', words: 'hidden' },
    no: { value: 'seen', words: 'seen' },
    row: 'more',
  }),
  staggerBy: choice({
    title: 'Its pieces set out',
    from: 'order',
    options: { order: 'one after the other', pointer: 'from the pointer outward' },
    row: 'more',
  }),
  staggerMs: number({
    title: 'Each later by',
    from: 40,
    unit: 'ms',
    least: 0,
    greatest: 1000,
    step: 5,
    row: 'more',
    varies: ({ staggerBy }) => (staggerBy === 'pointer' ? { title: 'Later, for each 100px, by' } : {}),
    knob: { id: 'stagger', note: 'how much later each piece sets out' },
  }),
  pieces: number({ title: 'Pieces that set out apart', from: 6, unit: '', isWhole: true, least: 2, greatest: 24, step: 1, row: 'more' }),
  way: choice({ title: 'It comes', from: 'eased', options: ways, row: 'more' }),
  overshootPercent: percent({ title: 'Overshoot', from: 12, greatest: 60, percentOf: { words: 'the way' }, row: 'more' }),
  goWay: choice({ title: 'It goes', from: 'eased', options: ways, row: 'more' }),
  pressMs: number({ title: 'The time to be pressed', from: 80, unit: 'ms', least: 0, greatest: 5000, step: 10, row: 'more' }),
  release: choice({
    title: 'Released it comes back',
    from: 'comes',
    options: { comes: 'as it comes', own: 'in a time of its own' },
    row: 'more',
  }),
  releaseMs: number({ title: 'The time to come back', from: 320, unit: 'ms', least: 0, greatest: 5000, step: 10, row: 'more' }),
  /** What of the page still counts as the element where it has risen from. */
  hold: choice({
    title: 'The edge that it leaves still counts',
    from: 'after',
    options: { after: 'by its ::after', before: 'by its ::before', none: 'no more' },
    row: 'more',
  }),
  comeMs: coming(220),
  goMs: going(320),
}

export type HoverLookSettings = SettingsOf<typeof parameters>
export const hoverLookParameters = described(parameters)
export const { settings: hoverLookSettings, defaults: hoverLookDefaults } = hoverLookParameters
