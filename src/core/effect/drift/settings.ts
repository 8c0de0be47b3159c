// Drift: its settings.
import { softSpring } from '../build'
import {
  away,
  choice,
  countsIf,
  described,
  following,
  layers,
  number,
  percent,
  pinned,
  returning,
  type Layer,
  type SettingsOf,
} from '../parameters'

/** Enlarged layers slide by shares of themselves. */
const unitOf = ({ unit, kept }: { readonly unit?: unknown; readonly kept?: unknown }) => (kept === 'enlarged' || unit === '%' ? '%' : 'px')

const parameters = {
  /** How far each slides at the edges, in `unit`. */
  layers: layers(
    'amount',
    {
      title: 'Distance',
      help: 'how far this layer slides when the pointer is at an edge',
      inSample: 0.3,
      unit: 'px',
      least: 0,
      greatest: 300,
      step: 1,
      drawing: 'depths',
      inCaption: 2,
      varies: (settings) =>
        unitOf(settings) === '%' ? { inSample: 1, unit: '%', greatest: 100, percentOf: { words: 'its own size' } } : {},
    },
    [
      { id: 'layer-1', amount: 22 },
      { id: 'layer-2', amount: 6 },
    ],
  ),
  direction: choice({
    title: 'The layers slide',
    help: 'against the pointer they lie behind; with it they float in front',
    from: 'against',
    options: { against: 'against the pointer', with: 'with the pointer' },
  }),
  axes: choice({
    title: 'They slide',
    help: 'along which axes the layers go at all',
    from: 'both',
    options: { both: 'both ways', across: 'across only', 'up-down': 'up and down only' },
  }),
  /** They may leave the box, are cut at it, or are enlarged so that no edge of theirs shows in it. */
  kept: choice({
    title: 'The layers',
    help: 'what becomes of a layer that reaches past the edge of its box',
    from: 'free',
    options: { free: 'may leave the box', cut: 'are cut at the box', enlarged: 'are enlarged to fill the box' },
    row: 'more',
  }),
  ...countsIf(({ kept }) => kept !== 'enlarged', {
    unit: choice({
      title: 'Unit',
      help: 'px are the same for all; % slide large layers further',
      from: 'px',
      options: { px: 'px', '%': '% of each layer' },
      row: 'more',
    }),
  }),
  turnDeg: number({
    title: 'They turn by',
    from: 0,
    inSample: 2,
    unit: 'deg',
    least: 0,
    greatest: 45,
    step: 1,
    row: 'more',
    knob: { id: 'turn', note: 'how far the layers turn at the left and right edge', isAmount: true },
  }),
  scalePercent: percent({
    title: 'They grow by',
    from: 0,
    greatest: 50,
    row: 'more',
    percentOf: { words: 'their own size' },
    knob: { id: 'scale', note: 'how much the layers grow, as a share of their size', per: 100, isAmount: true },
  }),
  away: away('they lie as designed', 'they wait at the pin', 'they stay as they were left'),
  pose: pinned('the box', 'settle'),
  follow: following('How they follow', softSpring),
  back: returning('How they go back'),
}

export type DriftSettings = SettingsOf<typeof parameters>
export type DriftLayer = Layer<'amount'>
export const driftParameters = described(parameters)
export const { settings: driftSettings, defaults: driftDefaults } = driftParameters
export { unitOf }
