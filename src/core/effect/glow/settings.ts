// Glow: its settings.
import { softSpring } from '../build'
import { choice, colour, coming, countsIf, described, following, going, number, percent, type SettingsOf } from '../parameters'

const parameters = {
  colour: colour({ title: 'The colour of the light', from: '#f2b866', token: { id: 'light', note: 'the colour of the light' } }),
  sizePx: number({
    title: 'The width of the light',
    from: 220,
    inSample: 0.3,
    unit: 'px',
    least: 20,
    greatest: 1200,
    step: 10,
    handle: { on: 'diameter' },
    knob: { id: 'size', note: 'how wide the light is' },
  }),
  surfacePercent: percent({
    title: 'Its strength on the surface',
    from: 22,
    percentOf: { words: 'full strength' },
    knob: { id: 'surface', note: 'how strong it is on the surface', isAmount: true },
  }),
  ...countsIf(({ edgePercent }) => Number(edgePercent) > 0, {
    edgePx: number({
      title: 'The line along the edge',
      section: 'Light',
      from: 1.5,
      inSample: 0.6,
      unit: 'px',
      least: 0,
      greatest: 12,
      step: 0.5,
      row: 'more',
      knob: { id: 'line', note: 'how wide the line along the edge is' },
    }),
  }),
  edgePercent: percent({
    title: 'The strength along the edge',
    from: 90,
    percentOf: { words: 'full strength' },
    knob: { id: 'edge', note: 'how strong it is along the edge', isAmount: true },
  }),
  /** How far beyond the card the pointer still lights it. */
  reachPx: number({
    title: 'The reach beyond the card',
    help: 'from how far outside the pointer lights the card',
    from: 60,
    inSample: 0.3,
    unit: 'px',
    least: 0,
    greatest: 400,
    step: 5,
    handle: { on: 'reach' },
  }),
  ...countsIf(({ surfacePercent }) => Number(surfacePercent) > 0, {
    lies: choice({
      title: 'The light on the surface',
      help: 'under the contents, or over text and pictures too',
      section: 'Light',
      from: 'under',
      options: { under: 'lies under what is on the card', over: 'lies over it' },
      row: 'more',
    }),
  }),
  /** While the pointer is on it. */
  shrinkPercent: percent({
    title: 'The card shrinks by',
    from: 0,
    greatest: 30,
    row: 'more',
    percentOf: { words: 'its own size' },
    knob: { id: 'shrink', note: 'how much the card shrinks, as a share of its size', per: 100, isAmount: true },
  }),
  /** Seconds a turn; 0 is no such light. */
  turnS: number({
    title: 'A light runs round in',
    help: 'how long the light takes for one round along the edge; 0 for none',
    from: 0,
    unit: 's',
    least: 0,
    greatest: 30,
    step: 0.5,
    row: 'more',
  }),
  ...countsIf(({ turnS }) => Number(turnS) > 0, {
    arcDeg: number({
      title: 'The length of that light',
      section: 'Motion',
      from: 70,
      unit: 'deg',
      least: 10,
      greatest: 180,
      step: 5,
      row: 'more',
      knob: { id: 'arc', note: 'how long the light is that runs along the edge' },
    }),
  }),
  comeMs: coming(180),
  goMs: going(420),
  follow: following('How the light follows', softSpring),
}

export type GlowSettings = SettingsOf<typeof parameters>
export const glowParameters = described(parameters)
export const { settings: glowSettings, defaults: glowDefaults } = glowParameters
