// Trail: its settings.
import { blending, choice, colour, coming, described, going, number, percent, pictureAddress, text, type SettingsOf } from '../parameters'

/** More pieces than these are painted on a canvas. */
export const mostElements = 24

const parameters = {
  law: choice({
    title: 'Its pieces',
    from: 'chain',
    options: { chain: 'follow one another', path: 'go where the pointer went', dropped: 'are left behind' },
  }),
  shape: choice({
    title: 'It is made of',
    from: 'dots',
    options: { dots: 'dots', ribbon: 'one ribbon', picture: 'a picture', text: 'a text' },
  }),
  pieces: number({ title: 'How many', from: 9, unit: '', isWhole: true, least: 2, greatest: 60, step: 1 }),
  sizePx: number({
    title: 'The size of the first',
    from: 18,
    inSample: 0.5,
    unit: 'px',
    least: 1,
    greatest: 200,
    step: 1,
    handle: { on: 'diameter' },
    knob: { id: 'size', note: 'how large the first piece is' },
  }),
  endPx: number({
    title: 'The size of the last',
    from: 5,
    inSample: 0.5,
    unit: 'px',
    least: 0,
    greatest: 200,
    step: 1,
    knob: { id: 'end', note: 'how large the last piece is' },
  }),
  lateMs: number({ title: 'Each is later by', from: 28, unit: 'ms', least: 1, greatest: 400, step: 1 }),
  colour: colour({ title: 'The colour of the first', from: '#c98b5a', token: { id: 'colour', note: 'the colour of the first piece' } }),
  endColour: colour({
    title: 'The colour of the last',
    from: '#7c4f66',
    row: 'more',
    token: { id: 'end-colour', note: 'the colour of the last piece' },
  }),
  endPercent: percent({
    title: 'Of the last is seen',
    from: 60,
    row: 'more',
    knob: { id: 'faint', note: 'how much of the last piece is seen', per: 100 },
  }),
  turnDeg: number({
    title: 'Each is turned further by',
    from: 0,
    unit: 'deg',
    least: -180,
    greatest: 180,
    step: 1,
    row: 'more',
    knob: { id: 'turn', note: 'how much further each piece is turned' },
  }),
  picture: pictureAddress('The picture'),
  text: text({
    title: 'The text',
    from: '\u2726',
    hint: 'a sign or a short word',
    faultOf: (given) => (given.length > 24 ? 'is too long for a piece of a trail' : given.trim() === '' ? 'is empty' : undefined),
  }),
  /** What it does when the pointer rests. */
  rest: choice({
    title: 'When the pointer rests',
    from: 'gather',
    options: { gather: 'they gather at it', fade: 'they fade', fizz: 'they fizz' },
  }),
  restMs: number({ title: 'It rests after', from: 140, unit: 'ms', least: 20, greatest: 5000, step: 20, row: 'more' }),
  risePx: number({
    title: 'They rise by',
    from: 46,
    inSample: 0.5,
    unit: 'px',
    least: -400,
    greatest: 400,
    step: 2,
    knob: { id: 'rise', note: 'how far a piece rises while it is gone' },
  }),
  spreadPx: number({
    title: 'And to either side by up to',
    from: 14,
    inSample: 0.5,
    unit: 'px',
    least: 0,
    greatest: 400,
    step: 2,
    row: 'more',
    knob: { id: 'spread', note: 'how far to either side' },
  }),
  swellPercent: percent({
    title: 'They swell to',
    from: 160,
    greatest: 500,
    percentOf: { words: 'their size' },
    row: 'more',
    knob: { id: 'swell', note: 'how many times as large it is at last', per: 100 },
  }),
  lifeMs: number({ title: 'That takes', from: 1100, unit: 'ms', least: 60, greatest: 10_000, step: 20 }),
  everyPx: number({ title: 'One is left every', from: 26, inSample: 0.6, unit: 'px', least: 2, greatest: 1000, step: 1 }),
  seed: number({ title: 'Random seed', from: 0, unit: '', isWhole: true, least: 0, greatest: 359, step: 1, row: 'more' }),
  blend: blending('On what lies below'),
  layer: choice({
    title: 'It lies',
    from: 'top',
    options: { top: 'over everything', inside: 'inside what it is on, and is cut off there' },
    row: 'more',
  }),
  calm: choice({
    title: 'With reduced motion',
    from: 'off',
    options: { off: 'there is none', on: 'it is seen all the same' },
    row: 'more',
  }),
  comeMs: coming(120, { row: 'more' }),
  goMs: going(320, { row: 'more' }),
}

export type TrailSettings = SettingsOf<typeof parameters>
export const trailParameters = described(parameters)
export const { settings: trailSettings, defaults: trailDefaults } = trailParameters
