// Grain light: its settings.
import { readGradient } from '../../curve/gradient'
import { softSpring } from '../build'
import { choice, colour, coming, described, following, going, gradient, number, percent, pinned, type SettingsOf } from '../parameters'

const parameters = {
  gradient: gradient({
    title: 'The ground',
    from: 'linear-gradient(155deg, #22303a 0%, #3b4a41 55%, #6d5a3c 100%)',
    isOne: (css) => readGradient(css) !== undefined,
    token: { id: 'gradient', note: 'the ground' },
  }),
  /** Specks a px (the base frequency of the noise), and octaves of detail. */
  fineness: number({
    title: 'The grain, coarse to fine',
    help: 'how fine the grain is; higher is finer',
    section: 'Light',
    from: 0.8,
    unit: '',
    least: 0.1,
    greatest: 2,
    step: 0.05,
    row: 'more',
  }),
  detail: number({
    title: 'Its detail',
    help: 'how many sizes of grain lie over each other',
    section: 'Light',
    from: 2,
    unit: '',
    least: 1,
    greatest: 5,
    step: 1,
    isWhole: true,
    row: 'more',
  }),
  grainPercent: percent({
    title: 'How much the grain shows',
    help: 'how strongly the specks stand out from their ground',
    from: 34,
    percentOf: { words: 'full strength' },
    knob: { id: 'grain', note: 'how much the grain shows', per: 100 },
  }),
  speckle: choice({
    title: 'The specks are',
    help: 'whether the grain is lighter or darker than its ground',
    from: 'light',
    options: { light: 'light', dark: 'dark' },
  }),
  seed: number({
    title: 'Random seed',
    help: 'another number is another pattern',
    section: 'Light',
    from: 7,
    unit: '',
    least: 0,
    greatest: 999,
    step: 1,
    isWhole: true,
    row: 'more',
  }),
  radiusPx: number({
    title: 'The radius of the light',
    from: 360,
    inSample: 0.3,
    unit: 'px',
    least: 40,
    greatest: 2000,
    step: 10,
    handle: { on: 'radius' },
    knob: { id: 'radius', note: 'radius of the light' },
  }),
  lightPercent: percent({
    title: 'The strength of the light',
    from: 36,
    percentOf: { words: 'full strength' },
    knob: { id: 'strength', note: 'how strong the light is', per: 100, isAmount: true },
  }),
  colour: colour({ title: 'The colour of the light', from: '#ffd9a0', token: { id: 'light', note: 'the colour of the light' } }),
  falloff: choice({
    title: 'The light falls off',
    help: 'how the light ends toward its rim',
    section: 'Light',
    from: 'soft',
    options: { soft: 'softly, like a lamp', even: 'evenly, like a cone' },
    row: 'more',
  }),
  away: choice({
    title: 'When away',
    help: 'what becomes of the light while the pointer is elsewhere',
    from: 'out',
    options: { out: 'the light goes out', pinned: 'it waits at the pin', stays: 'it stays where it was left' },
    handle: 'pin',
  }),
  pose: pinned('the ground', 'pinned'),
  comeMs: coming(320),
  goMs: going(900),
  follow: following('How the light follows', softSpring),
}

export type GrainLightSettings = SettingsOf<typeof parameters>
export const grainLightParameters = described(parameters)
export const { settings: grainLightSettings, defaults: grainLightDefaults } = grainLightParameters
