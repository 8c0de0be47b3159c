// In the worker: one trace through thirty mappings of every sort of signal and feel.
import type { Feel } from '../src/core/feel/feel'
import { evaluate } from '../src/core/rig/evaluate'
import type { Rig } from '../src/core/rig/rig'
import type { Sample } from '../src/core/signal/sample'
import type { Signal } from '../src/core/signal/signal'

const feels: readonly Feel[] = [
  { kind: 'direct' },
  { kind: 'glide', halfLifeMs: 60 },
  { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 },
  { kind: 'timed', durationMs: 200, easing: 'ease', delayMs: 0 },
]
const signals: readonly Signal[] = [
  { of: 'x' },
  { of: 'centredY' },
  { of: 'xPx' },
  { of: 'distance', from: 'edge' },
  { of: 'angle' },
  { of: 'speed' },
  { of: 'heading' },
  { of: 'zone', columns: 5, rows: 2 },
  { of: 'inside' },
  { of: 'past', axis: 'x', lagMs: 120 },
]

const rig: Rig = {
  areas: [{ id: 'card', of: 'each', select: '.card', box: 'still', among: 'one', pointer: 'fine', touch: 'none' }],
  channels: Array.from({ length: 30 }, (_, i) => ({
    id: `c${i}`,
    area: 'card',
    frame: 'area' as const,
    signal: signals[i % signals.length] ?? { of: 'x' },
    away: { kind: 'settle' as const, pose: 0 },
    feel: feels[i % feels.length] ?? { kind: 'direct' },
    group: 'light' as const,
  })),
  knobs: [],
  outputs: [],
  parts: [],
  rules: [],
}
const trace: readonly Sample[] = Array.from({ length: 10_000 }, (_, t) => ({
  t,
  x: 400 + 280 * Math.sin(t / 300),
  y: 300 + 180 * Math.sin(t / 210),
  buttons: 0,
  pointerType: 'mouse',
  phase: 'move',
}))
const boxes = { window: { width: 1280, height: 720 }, elements: { '.card': [{ x: 100, y: 100, width: 600, height: 400 }] } }

addEventListener('message', () => {
  const begun = performance.now()
  const { moments } = evaluate(rig, trace, boxes, [10_000])
  const ms = performance.now() - begun
  if (moments[0]?.values.length !== 30) throw new Error('The trace was not evaluated.')
  postMessage(ms)
})
