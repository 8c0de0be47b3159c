// Wash: its settings.
import { readGradient } from '../../curve/gradient'
import { choice, colour, coming, described, going, gradient, number, percent, type SettingsOf } from '../parameters'

const parameters = {
  fill: choice({
    title: 'It is',
    help: 'one even colour, or one that runs out',
    from: 'gradient',
    options: { gradient: 'a gradient', tint: 'a tint' },
  }),
  gradient: gradient({
    title: 'The gradient',
    from: 'linear-gradient(0deg, #0f2226 0%, rgb(15 34 38 / 0.55) 45%, rgb(15 34 38 / 0) 100%)',
    isOne: (css) => readGradient(css) !== undefined,
    token: { id: 'gradient', note: 'the wash' },
  }),
  colour: colour({ title: 'The tint', from: '#17363a', token: { id: 'tint', note: 'the wash' } }),
  washPercent: percent({
    title: 'How much of it there is',
    from: 55,
    percentOf: { words: 'full strength' },
    knob: { id: 'strength', note: 'how much of the wash there is', per: 100, isAmount: true },
  }),
  blend: choice({
    title: 'It is mixed with the picture',
    help: 'how the colour is mixed with what lies under it',
    section: 'Light',
    from: 'normal',
    options: {
      normal: 'plainly',
      multiply: 'by multiply',
      screen: 'by screen',
      overlay: 'by overlay',
      'soft-light': 'by soft light',
      color: 'by colour',
    },
    row: 'more',
  }),
  /** What the text over the picture does with it. */
  text: choice({
    title: 'The text',
    help: 'what the words over the picture do as the wash comes',
    from: 'comes',
    options: { comes: 'comes in with it', goes: 'fades away', stays: 'stays' },
  }),
  risePx: number({
    title: 'The text rises by',
    section: 'Motion',
    from: 10,
    inSample: 0.4,
    unit: 'px',
    least: 0,
    greatest: 60,
    step: 1,
    row: 'more',
    knob: { id: 'rise', note: 'how far the text rises' },
  }),
  /** A shade at the lower edge that is there without the pointer, so that text can be read. */
  shadePercent: percent({
    title: 'A fixed shade below',
    section: 'Light',
    from: 0,
    row: 'more',
    percentOf: { words: 'full strength' },
    knob: { id: 'shade', note: 'how dark the fixed shade is at the lower edge', per: 100, isAmount: true },
  }),
  lies: choice({
    title: 'It lies',
    help: 'a picture holds nothing, so its wash lies over it',
    from: 'in',
    options: { in: 'in the element', over: 'over the picture, in what holds it' },
    row: 'more',
  }),
  comeMs: coming(220),
  goMs: going(380),
}

export type WashSettings = SettingsOf<typeof parameters>
export const washParameters = described(parameters)
export const { settings: washSettings, defaults: washDefaults } = washParameters
