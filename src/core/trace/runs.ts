// Built-in runs: traces that provoke what goes wrong, over any box in any window.
import type { Box } from '../geometry/box'
import type { Sample } from '../signal/sample'

export const runNames = ['slow', 'flick', 'jitter', 'in-out', 'to-linked', 'still', 'scroll', 'window'] as const
export type RunName = (typeof runNames)[number]

export const runs: Readonly<Record<RunName, { readonly words: string; readonly provokes: string }>> = {
  slow: { words: 'a slow crossing', provokes: 'whether it follows evenly, without steps' },
  flick: { words: 'a flick', provokes: 'from corner to corner and out in four samples: jumps, and what is left behind' },
  jitter: { words: 'jitter on an edge', provokes: 'flicker where the pointer is in and out by turns' },
  'in-out': { words: 'in and out', provokes: 'turning round midway, again and again' },
  'to-linked': { words: 'from it to what belongs to it', provokes: 'whether the way there holds' },
  still: { words: 'standing still', provokes: 'what comes when nothing moves' },
  scroll: { words: 'a scroll under it', provokes: 'the page moving under a standing pointer' },
  window: { words: 'leaving the window', provokes: 'going without passing an edge' },
}

/** A sample of a run; `scrollY` is how far the page has scrolled by then, px from where it was. */
export type RunStep = Sample & { readonly scrollY?: number }

const stepMs = 8

/** Samples on the way between points, each reached at its time (ms), evenly in between. */
function along(points: readonly (readonly [t: number, x: number, y: number])[]): RunStep[] {
  const [first] = points
  if (!first) return []
  const samples: RunStep[] = [at(...first)]
  points.slice(1).forEach(([t, x, y], i) => {
    const [t0, x0, y0] = points[i] ?? first
    const steps = Math.max(1, Math.round((t - t0) / stepMs))
    for (let step = 1; step <= steps; step++)
      samples.push(at(t0 + ((t - t0) * step) / steps, x0 + ((x - x0) * step) / steps, y0 + ((y - y0) * step) / steps))
  })
  return samples
}

const at = (t: number, x: number, y: number, phase: Sample['phase'] = 'move'): RunStep => ({
  t,
  x,
  y,
  buttons: 0,
  pointerType: 'mouse',
  phase,
})

/** One of the runs over a box in a window (px); `beside` is the box of what belongs to it, beneath it where there is none. */
export function makeRun(
  name: RunName,
  box: Box,
  window: { readonly width: number; readonly height: number },
  beside?: Box,
): readonly RunStep[] {
  const [left, right, top, bottom] = [box.x, box.x + box.width, box.y, box.y + box.height]
  const [midX, midY] = [left + box.width / 2, top + box.height / 2]
  const outside = 24
  // Off the middle, where most signals are something.
  const [offX, offY] = [left + box.width * 0.86, top + box.height * 0.28]
  switch (name) {
    case 'slow':
      return along([
        [0, left - outside, midY],
        [3000, right + outside, midY],
      ])
    case 'flick':
      return [
        at(0, left - outside, top - outside),
        at(12, left + box.width * 0.08, top + box.height * 0.1),
        at(24, left + box.width * 0.92, top + box.height * 0.9),
        at(36, right + outside, bottom + outside),
      ]
    case 'jitter':
      return Array.from({ length: 90 }, (_, i) => at(i * 16, left + (i % 2 === 0 ? 1.5 : -1.5), midY + (((i * 7) % 5) - 2)))
    case 'in-out':
      return along(Array.from({ length: 9 }, (_, i) => [i * 160, i % 2 === 0 ? left - outside : offX, offY] as const))
    case 'to-linked': {
      const to = beside ?? { x: midX - 40, y: bottom + 12, width: 80, height: 40 }
      const [toX, toY] = [to.x + to.width / 2, to.y + to.height / 2]
      return along([
        [0, midX, midY],
        [500, midX, midY],
        [900, toX, toY],
        [1900, toX, toY],
        [2200, toX, toY + to.height + 60],
      ])
    }
    case 'still':
      return [
        ...along([
          [0, left - outside, midY],
          [80, offX, offY],
        ]),
        at(4000, offX, offY),
      ]
    case 'scroll':
      return [
        ...along([
          [0, midX, top - outside],
          [250, midX, midY],
        ]),
        ...Array.from({ length: 60 }, (_, i): RunStep => ({
          ...at(500 + i * 16, midX, midY, 'scroll'),
          scrollY: 6 * (i < 30 ? i + 1 : 60 - i - 1),
        })),
      ]
    case 'window': {
      const out = window.width - midX < midX ? window.width - 1 : 0
      return [
        ...along([
          [0, midX, midY],
          [400, midX, midY],
          [520, out, midY],
        ]),
        at(530, out, midY, 'leave'),
      ]
    }
  }
}
