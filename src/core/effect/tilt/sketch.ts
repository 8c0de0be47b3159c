// The element seen from above as it leans under a pointer at its right edge: where the edge goes, and where the eye is.
import type { Point, Sketch } from '../sketch'
import type { TiltSettings } from './settings'

const half = 70
const middle: Point = { x: 140, y: 58 }

export function tiltSketch({ acrossDeg, edge: what, perspectivePx, liftPx }: TiltSettings): Sketch {
  const sinks = what === 'sinks'
  const turn = ((sinks ? acrossDeg : -acrossDeg) * Math.PI) / 180
  const lift = Math.min(14, liftPx * 0.12)
  // Away from the eye is up.
  const edge = { x: half * Math.cos(turn), y: -half * Math.sin(turn) + lift }
  const right = { x: middle.x + edge.x, y: middle.y + edge.y }
  return {
    title: 'Seen from above',
    note: `eye at ${Math.round(perspectivePx)} px`,
    words: `The edge under the pointer ${sinks ? 'sinks' : 'rises'} by ${Number(acrossDeg.toFixed(1))}°${liftPx > 0 ? `, lifted by ${Math.round(liftPx)} px` : ''}.`,
    marks: [
      { draw: 'line', from: { x: middle.x - half, y: middle.y }, to: { x: middle.x + half, y: middle.y }, ink: 'violet', how: 'dashed' },
      { draw: 'line', from: { x: middle.x - edge.x, y: middle.y - edge.y + 2 * lift }, to: right, ink: 'ink', how: 'thick' },
      { draw: 'dot', at: { x: middle.x, y: middle.y + lift } },
      ...(acrossDeg > 0.4
        ? [{ draw: 'arrow', from: { x: right.x + 14, y: middle.y }, to: { x: right.x + 14, y: right.y }, ink: 'ink' } as const]
        : []),
      { draw: 'arrow', from: { x: middle.x + half + 34, y: 118 }, to: { x: middle.x + half + 34, y: middle.y }, ink: 'madder' },
      { draw: 'eye', at: { x: 140, y: 118 } },
    ],
  }
}
