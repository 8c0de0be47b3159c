// Spotlight: its settings.
import { softSpring } from '../build'
import { choice, colour, coming, described, following, going, number, percent, pinned, type SettingsOf } from '../parameters'

const parameters = {
  /** Radius of what is clear, and how much further the soft edge goes: always from the pointer. */
  clearPx: number({
    title: 'The clear pool',
    from: 140,
    inSample: 0.3,
    unit: 'px',
    least: 0,
    greatest: 1200,
    step: 10,
    handle: { on: 'radius' },
    knob: { id: 'clear', note: 'radius of what is clear' },
  }),
  softPx: number({
    title: 'Its soft edge',
    from: 90,
    inSample: 0.3,
    unit: 'px',
    least: 0,
    greatest: 1200,
    step: 10,
    handle: { on: 'softness', beyond: 'clearPx' },
    knob: { id: 'soft', note: 'how much further the soft edge goes' },
  }),
  darknessPercent: percent({
    title: 'The darkness',
    from: 78,
    percentOf: { words: 'full dark' },
    knob: { id: 'darkness', note: 'how dark the rest is', per: 100, isAmount: true },
  }),
  tint: colour({ title: 'The colour of the dark', from: '#0b1014', token: { id: 'tint', note: 'the colour of the dark' } }),
  shape: choice({
    title: 'The pool is',
    help: 'the outline of what is lit',
    from: 'round',
    options: { round: 'round', wide: 'wider than high', square: 'a soft square' },
    row: 'more',
  }),
  /** How large the pool is while the button is down, and by how many more % it is dark then. */
  pressedPercent: percent({
    title: 'Pressed, the pool is',
    help: 'how large the pool is while the button is down',
    from: 70,
    least: 30,
    greatest: 150,
    step: 5,
    percentOf: { words: 'the pool' },
  }),
  pressedDarkerPercent: percent({
    title: 'Pressed, it is darker by',
    section: 'Light',
    from: 10,
    greatest: 60,
    row: 'more',
    percentOf: { words: 'full dark' },
    knob: { id: 'darker', note: 'how much darker it is while pressed', per: 100, isAmount: true },
  }),
  away: choice({
    title: 'When away',
    help: 'how the ground looks while the pointer is elsewhere',
    from: 'lit',
    options: { lit: 'all is lit', pinned: 'the pool waits at the pin', dark: 'all is dark' },
    handle: 'pin',
  }),
  pose: pinned('the ground', 'pinned'),
  comeMs: coming(260),
  goMs: going(700),
  follow: following('How the light follows', softSpring),
}

export type SpotlightSettings = SettingsOf<typeof parameters>
export const spotlightParameters = described(parameters)
export const { settings: spotlightSettings, defaults: spotlightDefaults } = spotlightParameters
