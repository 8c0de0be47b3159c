// A page with two rigs by hand on it, which between them have everything that can be drawn and dragged.
import { readRig } from '../../src/core/rig/check'

export const tuningPage = `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><title>A page to tune on</title>
<style>
  body { margin: 0; background: #f3efe6; font: 18px/1.5 Georgia, serif; color: #2b2926 }
  .lit { position: absolute; left: 80px; top: 90px; width: 520px; height: 420px; background-color: #30424a; color: #fff; border-radius: 6px; padding: 30px; box-sizing: border-box }
  .stack { position: absolute; left: 700px; top: 90px; width: 480px; height: 420px; background: #d9c7a8; border-radius: 6px }
  .stack p { position: absolute; margin: 0; left: 60px; width: 220px; height: 120px; padding: 14px; box-sizing: border-box }
  .near { top: 210px; background: #8a4b3a; color: #fff }
  .far { top: 60px; background: #4d6b57; color: #fff }
  .link { position: absolute; left: 80px; top: 560px; padding: 12px 20px; background: #cbd3cd; text-decoration: none; color: inherit }
  .link:hover { background: #a3452f; color: #fff }
  .link:active { background: #23262b }
</style></head>
<body>
<section class="lit"><h1>Evening hall</h1><p>Where the light falls, the wall shows its colour.</p></section>
<section class="stack"><p class="far">The far sheet</p><p class="near">The near sheet</p></section>
<a class="link" href="#more">Ask for a visit</a>
</body></html>`

const settle = { kind: 'settle', pose: 0 } as const
const soft = { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 } as const
const inset = { value: 20, unit: 'px' } as const
const lampHole = (hole: string) => ({ on: 'background' as const, layer: 'lamp', hole, unit: 'px' as const })

/** A light with a ring, a soft edge, insets, a direction and a gradient. */
export const litRig = readRig({
  areas: [
    {
      id: 'wall',
      of: 'each',
      select: '&',
      box: 'still',
      among: 'one',
      pointer: 'fine',
      touch: 'none',
      insets: { top: inset, right: inset, bottom: inset, left: inset },
    },
  ],
  channels: [
    { id: 'x', area: 'wall', frame: 'area', signal: { of: 'xPx' }, away: settle, feel: soft, group: 'light' },
    { id: 'y', area: 'wall', frame: 'area', signal: { of: 'yPx' }, away: settle, feel: soft, group: 'light' },
  ],
  knobs: [
    { id: 'clear', value: 90, unit: 'px', note: 'clear reach of the light', range: [0, 300], handle: { on: 'radius' } },
    { id: 'edge', value: 60, unit: 'px', note: 'soft edge beyond it', range: [0, 300], handle: { on: 'softness', beyond: 'clear' } },
    { id: 'slant', value: 30, unit: 'deg', note: 'slant of the wash', range: [-180, 180], handle: { on: 'direction' } },
  ],
  tokens: [
    { id: 'wash', of: 'gradient', value: 'linear-gradient(90deg, #c9703d 0%, #00000000 100%)', note: 'wash over the wall' },
    { id: 'tint', of: 'colour', value: '#ffd48a', note: 'tint of the light' },
  ],
  layers: [{ id: 'lamp', css: 'radial-gradient(circle at {x} {y}, {tint} {clear}, transparent calc({clear} + {edge}))' }],
  outputs: [
    { to: 'self', slot: lampHole('x'), base: 0, factor: 1, channel: 'x', strength: 1 },
    { to: 'self', slot: lampHole('y'), base: 0, factor: 1, channel: 'y', strength: 1 },
  ],
  parts: [],
  rules: [{ select: '& h1', css: { 'background-image': '{wash}', rotate: 'calc({slant} / 40)' } }],
})

/** Two layers at heights, a vanishing point, a curve and zones. */
export const stackRig = readRig({
  areas: [{ id: 'stack', of: 'each', select: '&', box: 'still', among: 'one', pointer: 'fine', touch: 'none' }],
  channels: [
    {
      id: 'lift',
      area: 'stack',
      frame: 'area',
      signal: { of: 'centredX' },
      away: { kind: 'settle', pose: -1 },
      curve: {
        stops: [
          { at: -1, value: 0 },
          { at: 0, value: 1, easing: 'ease-out' },
          { at: 1, value: 0.4 },
        ],
      },
      feel: soft,
      group: 'travel',
    },
    { id: 'turn', area: 'stack', frame: 'area', signal: { of: 'centredX' }, away: settle, feel: soft, group: 'turn' },
    {
      id: 'pick',
      area: 'stack',
      frame: 'area',
      signal: { of: 'zone', columns: 3, rows: 1 },
      away: { kind: 'hold', pose: 0 },
      feel: { kind: 'direct' },
      group: 'state',
    },
  ],
  knobs: [
    { id: 'near', value: 70, unit: 'px', note: 'height of the near sheet', range: [0, 300] },
    { id: 'far', value: 20, unit: 'px', note: 'height of the far sheet', range: [0, 300] },
    {
      id: 'van-x',
      value: 50,
      unit: '%',
      note: 'vanishing point across',
      range: [0, 100],
      handle: { on: 'point', axis: 'x', with: 'van-y', from: 0, to: 100 },
    },
    {
      id: 'van-y',
      value: 50,
      unit: '%',
      note: 'vanishing point down',
      range: [0, 100],
      handle: { on: 'point', axis: 'y', with: 'van-x', from: 0, to: 100 },
    },
    { id: 'swing', value: 8, unit: 'deg', note: 'swing of the near sheet', range: [0, 45] },
  ],
  outputs: [
    {
      to: { within: '.near' },
      slot: { on: 'transform', fn: 'translateZ' },
      base: 0,
      factor: 1,
      knob: 'near',
      channel: 'lift',
      strength: 1,
    },
    { to: { within: '.near' }, slot: { on: 'transform', fn: 'rotateY' }, base: 0, factor: 1, knob: 'swing', channel: 'turn', strength: 1 },
    { to: { within: '.far' }, slot: { on: 'transform', fn: 'translateZ' }, base: 0, factor: 1, knob: 'far', channel: 'lift', strength: 1 },
    { to: 'self', slot: { on: 'property', name: '--picked', unit: '', law: 'replace' }, base: 0, factor: 1, channel: 'pick', strength: 1 },
  ],
  parts: [],
  rules: [{ select: '&', css: { perspective: '700px', 'perspective-origin': '{van-x} {van-y}', 'transform-style': 'preserve-3d' } }],
})

export const tuningEffects = [
  { id: 'lit', kind: 'free', name: 'Evening light', select: '.lit', noun: 'the wall', settings: litRig },
  { id: 'stack', kind: 'free', name: 'Two sheets', select: '.stack', noun: 'the stack', settings: stackRig },
]
