// Porthole: its settings.
import { faultOfOutline } from '../../geometry/outline'
import { choice, colour, coming, described, following, going, number, percent, text, type SettingsOf } from '../parameters'

const parameters = {
  shape: choice({
    title: 'The porthole is',
    from: 'circle',
    options: { circle: 'a circle', ellipse: 'an ellipse', box: 'a rounded box', outline: 'an outline of its own' },
  }),
  radiusPx: number({
    title: 'Its radius',
    from: 120,
    inSample: 0.19,
    unit: 'px',
    least: 4,
    greatest: 1500,
    step: 2,
    knob: { id: 'radius', note: 'how large the porthole is, from its middle' },
    handle: { on: 'radius' },
  }),
  widePercent: percent({
    title: 'Its width is',
    from: 150,
    least: 20,
    greatest: 500,
    step: 5,
    percentOf: { words: 'its height' },
    row: 'more',
    knob: { id: 'wide', note: 'its width as a share of its height', per: 100 },
  }),
  cornersPx: number({
    title: 'Its corners',
    from: 24,
    inSample: 0.25,
    unit: 'px',
    least: 0,
    greatest: 400,
    step: 1,
    row: 'more',
    knob: { id: 'corners', note: 'how round its corners are' },
  }),
  /** Path data in a square of 100 by 100. */
  outline: text({
    title: 'The outline',
    from: 'M50 6C70 6 94 24 94 50S70 94 50 94 6 76 6 50 30 6 50 6Z',
    hint: 'path data of SVG, drawn in a square of 100 by 100',
    faultOf: faultOfOutline,
    row: 'more',
  }),
  softPx: number({
    title: 'Its soft edge',
    from: 0,
    inSample: 0.3,
    unit: 'px',
    least: 0,
    greatest: 400,
    step: 2,
    knob: { id: 'soft', note: 'how wide the soft edge is, inward' },
  }),
  /** What is seen through it. */
  shows: choice({
    title: 'Through it one sees',
    from: 'back',
    options: { back: 'what lies behind', picture: 'a picture', look: 'the same in another look' },
  }),
  picture: colour({
    title: 'The picture',
    from: 'linear-gradient(160deg, #12343b, #2d6a5f 60%, #e1b382)',
    takesBackgrounds: true,
    token: { id: 'picture', note: 'what is seen through the porthole' },
  }),
  look: choice({
    title: 'Its look',
    from: 'inverted',
    options: { inverted: 'inverted', grey: 'grey', blurred: 'blurred', bright: 'brighter' },
  }),
  growPx: number({
    title: 'It grows in a fast hand by',
    from: 0,
    inSample: 0.2,
    unit: 'px',
    least: 0,
    greatest: 800,
    step: 2,
    row: 'more',
    knob: { id: 'grows', note: 'how much it grows while the pointer goes fast, at 1500 px a second' },
  }),
  pressPx: number({
    title: 'It grows while pressed by',
    from: 0,
    inSample: 0.2,
    unit: 'px',
    least: -1000,
    greatest: 1500,
    step: 2,
    row: 'more',
    knob: { id: 'pressed', note: 'how much it grows while it is pressed' },
  }),
  wobblePercent: percent({
    title: 'It wobbles by',
    from: 0,
    greatest: 40,
    percentOf: { words: 'its radius' },
    row: 'more',
    knob: { id: 'wobble', note: 'how far it wobbles, as a share of its radius', per: 100 },
  }),
  wobbleMs: number({ title: 'One wobble takes', from: 5200, unit: 'ms', least: 400, greatest: 60_000, step: 100, row: 'more' }),
  layers: choice({
    title: 'The two lie',
    from: 'page',
    options: { page: 'where the page has them', over: 'over each other, laid there' },
    row: 'more',
  }),
  comeMs: coming(240),
  goMs: going(360),
  follow: following('How it follows', { kind: 'spring', frequencyHz: 7.74, dampingRatio: 1 }),
}

export type PortholeSettings = SettingsOf<typeof parameters>
export const portholeParameters = described(parameters)
export const { settings: portholeSettings, defaults: portholeDefaults } = portholeParameters
