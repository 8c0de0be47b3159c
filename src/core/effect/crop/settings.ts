// Crop: its settings.
import { choice, coming, described, going, number, percent, type SettingsOf } from '../parameters'

const parameters = {
  by: choice({
    title: 'Measured',
    help: 'px are the same for all; a share is more on a larger frame',
    from: 'px',
    options: { px: 'in px', '%': 'as a share of its size' },
    row: 'more',
  }),
  /** How far each edge comes in. */
  insetPx: number({
    title: 'The frame draws in by',
    from: 12,
    inSample: 0.4,
    unit: 'px',
    least: 0,
    greatest: 400,
    step: 1,
    knob: { id: 'inset', note: 'how far each edge of the frame comes in', isAmount: true },
    handle: { on: 'inset', side: 'left' },
  }),
  insetPercent: percent({
    title: 'The frame draws in by',
    from: 6,
    greatest: 45,
    percentOf: { words: 'its size, on each side' },
    knob: { id: 'inset', note: 'how far each edge of the frame comes in', isAmount: true },
  }),
  radiusPx: number({
    title: 'Its corners then',
    from: 0,
    inSample: 0.4,
    unit: 'px',
    least: 0,
    greatest: 400,
    step: 1,
    knob: { id: 'corners', note: 'how round the corners of the frame are while it is drawn in' },
  }),
  growPercent: percent({
    title: 'The picture grows by',
    from: 6,
    greatest: 200,
    percentOf: { words: 'its size' },
    knob: { id: 'grows', note: 'how much the picture grows, as a share of its size', per: 100, isAmount: true },
  }),
  lies: choice({
    title: 'The frame is',
    help: 'which box cuts the picture off',
    from: 'self',
    options: { self: 'the element itself', around: 'what holds the picture' },
    row: 'more',
  }),
  comeMs: coming(340),
  goMs: going(340),
}

export type CropSettings = SettingsOf<typeof parameters>
export const cropParameters = described(parameters)
export const { settings: cropSettings, defaults: cropDefaults } = cropParameters
