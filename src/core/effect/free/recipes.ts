// Rigs by hand to begin with: each shows another thing that a rig can do.
import type { Feel } from '../../feel/feel'
import type { Channel, Output, Rig } from '../../rig/rig'
import type { Slot } from '../../rig/slot'
import type { Recipe } from '../kind'

const soft: Feel = { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 }
const crisp: Feel = { kind: 'spring', frequencyHz: 4.6, dampingRatio: 1 }
const coming: Feel = { kind: 'timed', durationMs: 220, easing: 'cubic-bezier(0.2, 0.7, 0.2, 1)', delayMs: 0 }
const going: Feel = { kind: 'timed', durationMs: 420, easing: 'cubic-bezier(0.3, 0, 0.2, 1)', delayMs: 0 }

const channel = (id: string, signal: Channel['signal'], pose: number, group: Channel['group'], more: Partial<Channel> = {}): Channel => ({
  id,
  area: 'area',
  frame: 'area',
  signal,
  away: { kind: 'settle', pose },
  feel: soft,
  group,
  ...more,
})
const output = (slot: Slot, by: string | undefined, knob?: string, more: Partial<Output> = {}): Output => ({
  to: 'self',
  slot,
  base: 0,
  factor: 1,
  channel: by,
  knob,
  strength: 1,
  ...more,
})

const over = (rest: Partial<Rig>): Rig => ({
  areas: [{ id: 'area', of: 'each', select: '&', box: 'still', among: 'one', pointer: 'fine', touch: 'none' }],
  channels: [],
  knobs: [],
  outputs: [],
  parts: [],
  rules: [],
  ...rest,
})

const lampHole = (hole: string): Slot => ({ on: 'background', layer: 'lamp', hole, unit: hole === 'share' ? '%' : 'px' })

const lamp = over({
  channels: [
    channel('x', { of: 'xPx' }, 0, 'light', { feel: crisp, seenBy: 'here' }),
    channel('y', { of: 'yPx' }, 0, 'light', { feel: crisp, seenBy: 'here' }),
    channel('here', { of: 'inside' }, 0, 'light', { feel: coming, going }),
  ],
  knobs: [
    { id: 'reach', value: 130, unit: 'px', note: 'reach of the light', range: [20, 400], handle: { on: 'radius' } },
    { id: 'share', value: 34, unit: '%', note: 'strength of the light', range: [0, 100] },
  ],
  tokens: [{ id: 'tint', of: 'colour', value: '#ffc46b', note: 'colour of the light' }],
  layers: [
    { id: 'lamp', css: 'radial-gradient(circle {reach} at {x} {y}, color-mix(in oklab, {tint} {share}, transparent), transparent)' },
  ],
  outputs: [output(lampHole('x'), 'x'), output(lampHole('y'), 'y'), output(lampHole('share'), 'here', 'share')],
})

const slide = over({
  channels: [channel('x', { of: 'centredX' }, 0, 'travel'), channel('y', { of: 'centredY' }, 0, 'travel')],
  knobs: [{ id: 'way', value: 12, unit: 'px', note: 'way against the pointer', range: [0, 80] }],
  outputs: [
    output({ on: 'transform', fn: 'translateX' }, 'x', 'way', { factor: -1 }),
    output({ on: 'transform', fn: 'translateY' }, 'y', 'way', { factor: -1 }),
  ],
})

const swell = over({
  areas: [{ id: 'area', of: 'each', select: '&', box: 'still', among: 'one', pointer: 'fine', touch: 'none' }],
  channels: [
    channel('near', { of: 'centredX' }, -1, 'scale', {
      curve: {
        stops: [
          { at: -1, value: 0, easing: 'ease-in-out' },
          { at: 0, value: 1, easing: 'ease-in-out' },
          { at: 1, value: 0 },
        ],
      },
    }),
  ],
  knobs: [{ id: 'more', value: 0.07, unit: '', note: 'growth in the middle', range: [0, 0.5] }],
  outputs: [output({ on: 'transform', fn: 'scale' }, 'near', 'more', { base: 1 })],
})

const wake = over({
  channels: [channel('here', { of: 'inside' }, 0, 'light', { feel: coming, going })],
  knobs: [{ id: 'grey', value: 0.9, unit: '', note: 'greyness while asleep', range: [0, 1] }],
  outputs: [
    output({ on: 'filter', fn: 'grayscale' }, 'here', 'grey', {
      curve: {
        stops: [
          { at: 0, value: 1 },
          { at: 1, value: 0 },
        ],
      },
    }),
  ],
})

export const freeRecipes: readonly Recipe<Rig>[] = [
  { id: 'lamp', title: 'Lamp behind', need: 'A warm light on its ground that stays under the pointer.', settings: lamp },
  { id: 'slide', title: 'Slide away', need: 'It slips a little way from the pointer, up to its own limits.', settings: slide },
  { id: 'swell', title: 'Swell', need: 'It grows as the pointer nears its middle, by a curve of your own.', settings: swell },
  { id: 'wake', title: 'Wake up', need: 'Grey until the pointer comes, then in full colour.', settings: wake },
]
