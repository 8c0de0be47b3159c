// The answer to a flick: how a value follows when the pointer jumps, with the time to settle, the overshoot and the lag.
import type { Feel } from '../../core/feel/feel'
import { answerOfFeel, lagOf, wayOf } from '../../core/feel/answer'
import { settleBand } from '../../core/feel/spring-answer'
import { DrawingFrame } from './DrawingFrame'
import { colourOf, levelAt, LineChart, type Marks } from './LineChart'

const points = 120
/** A brisk hand, px/s: the speed at which the lag is told. */
const handSpeed = 1000

export function niceSpan(ms: number): number {
  const steps = [200, 400, 600, 1000, 1500, 2000, 3000, 4000, 6000]
  return steps.find((step) => step >= ms) ?? 8000
}

/** The line of a feel over so many ms. */
export const wayLine = (feel: Feel, untilMs: number) =>
  Array.from({ length: points + 1 }, (_, i) => ({ x: (i / points) * untilMs, y: wayOf(feel, (i / points) * untilMs) }))

/** The mark with its 2 % band, and the moment of settling. */
const marksOf =
  (settleMs: number): Marks =>
  (ink, at, area) => {
    const { left, right, top, bottom } = area
    const [low, high] = [1 - settleBand, 1 + settleBand].map((y) => at({ x: 0, y }).y) as [number, number]
    const { x } = at({ x: settleMs, y: 1 })
    ink.fillStyle = colourOf('press')
    ink.fillRect(left, high, right - left, low - high)
    levelAt(1)(ink, at, area)
    ink.setLineDash([3, 3])
    ink.beginPath()
    ink.moveTo(x, top)
    ink.lineTo(x, bottom)
    ink.stroke()
  }

/** The overshoot, in words. */
export function pastWords(overshoot: number): string {
  return overshoot > 0.0005 ? `${(overshoot * 100).toFixed(overshoot < 0.1 ? 1 : 0).replace(/\.0$/, '')}% overshoot` : 'no overshoot'
}

export function FlickDrawing({ title, feel }: { readonly title: string; readonly feel: Feel }) {
  const { settleMs, overshoot } = answerOfFeel(feel)
  const untilMs = niceSpan(settleMs * 1.45)
  const lag = Math.round(lagOf(feel, handSpeed))
  const words = feel.kind === 'direct' ? 'at once, no lag' : `${Math.round(settleMs)}ms, ${pastWords(overshoot)}, lag ${lag}px`
  return (
    <DrawingFrame title={title} words={words}>
      <LineChart
        label={`${title}: settles in ${Math.round(settleMs)} milliseconds, ${pastWords(overshoot)}; behind a hand at ${handSpeed}px a second it lags ${lag}px.`}
        lines={[{ points: wayLine(feel, untilMs), colour: 'madder' }]}
        across={[0, untilMs]}
        down={[0, Math.max(1.08, 1 + overshoot * 1.15)]}
        marks={marksOf(settleMs)}
        present={({ now, sample, restedAt }) => {
          const ms = now - restedAt
          return { point: sample && ms < untilMs ? { x: ms, y: wayOf(feel, ms) } : null, moves: ms < untilMs }
        }}
      />
    </DrawingFrame>
  )
}
