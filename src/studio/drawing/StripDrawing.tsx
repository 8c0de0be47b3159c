// There and back on one axis of time: coming above the line, going mirrored beneath it.
import type { Feel } from '../../core/feel/feel'
import { answerOfFeel, wayOf } from '../../core/feel/answer'
import { DrawingFrame } from './DrawingFrame'
import { niceSpan, wayLine } from './FlickDrawing'
import { levelAt, LineChart } from './LineChart'

export function StripDrawing({ come, go }: { readonly come: Feel; readonly go: Feel }) {
  const [coming, going] = [answerOfFeel(come), answerOfFeel(go)]
  const untilMs = niceSpan(Math.max(coming.settleMs, going.settleMs) * 1.2)
  const most = 1.1 + Math.max(coming.overshoot, going.overshoot)
  const words = `${Math.round(coming.settleMs)}ms there, ${Math.round(going.settleMs)}ms back`
  const below = wayLine(go, untilMs).map(({ x, y }) => ({ x, y: y - 1 }))
  return (
    <DrawingFrame title="There and back" words={words}>
      <LineChart
        label={`There and back: ${words}.`}
        lines={[
          { points: wayLine(come, untilMs), colour: 'madder' },
          { points: below, colour: 'violet' },
        ]}
        across={[0, untilMs]}
        down={[-most, most]}
        marks={levelAt(0)}
        present={({ now, sample, isOn, changedAt }) => {
          const ms = now - changedAt
          return { point: sample && ms < untilMs ? { x: ms, y: isOn ? wayOf(come, ms) : wayOf(go, ms) - 1 } : null, moves: ms < untilMs }
        }}
      />
    </DrawingFrame>
  )
}
