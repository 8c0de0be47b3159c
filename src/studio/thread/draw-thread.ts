// Draws the thread: across as a solid line, down as a broken one, and under them what the effect was doing.
import type { Cost, ThreadSample } from '../../stage/protocol'
import { threadMs } from '../store/thread-store'
import { visitor } from '../visitor'
import { phasesOf, type Times } from './phases'

/** Draws the samples up to `now` (ms), with the phases of an effect of these times. Gives whether anything in sight still moves. */
export function drawThread(
  surface: HTMLCanvasElement,
  samples: readonly ThreadSample[],
  now: number,
  times: Times,
  stretch?: readonly [from: number, to: number],
): boolean {
  const { clientWidth: width, clientHeight: height } = surface
  const ratio = devicePixelRatio
  if (surface.width !== Math.round(width * ratio) || surface.height !== Math.round(height * ratio)) {
    surface.width = Math.round(width * ratio)
    surface.height = Math.round(height * ratio)
  }
  const ink = surface.getContext('2d')
  if (!ink) return false
  const style = getComputedStyle(document.documentElement)
  const colour = (name: string) => style.getPropertyValue(name).trim()
  ink.setTransform(ratio, 0, 0, ratio, 0, 0)
  ink.clearRect(0, 0, width, height)
  const xAt = (t: number) => width - ((now - t) / threadMs) * width
  const top = 5
  const bottom = height - 9
  ink.strokeStyle = colour('--gm-hairline')
  ink.lineWidth = 1
  for (let second = 0; second < 12; second++) {
    const x = Math.round(xAt(Math.floor(now / 1000) * 1000 - second * 1000)) + 0.5
    ink.beginPath()
    ink.moveTo(x, bottom)
    ink.lineTo(x, height)
    ink.stroke()
  }
  if (stretch) {
    const [from, to] = stretch
    ink.fillStyle = colour('--gm-press')
    ink.fillRect(xAt(Math.min(from, to)), 0, Math.abs(xAt(to) - xAt(from)), height)
    ink.fillStyle = colour('--gm-madder')
    ink.fillRect(xAt(to) - 1, 0, 2, height)
  }
  for (const { phase, from, until } of phasesOf(samples, now, times)) {
    ink.fillStyle = colour(phase === 'away' || phase === 'going' ? '--gm-violet' : '--gm-madder')
    // On its way, in either direction, the line is thin; where it stays, thick; where the pointer stands still or has gone already, broken.
    const thickness = phase === 'coming' || phase === 'going' ? 1.5 : 3
    if (phase === 'still' || phase === 'waiting to go') {
      for (let x = xAt(from); x < xAt(until); x += 6) ink.fillRect(x, height - 1 - thickness, Math.min(3, xAt(until) - x), thickness)
      continue
    }
    ink.fillRect(xAt(from), height - 1 - thickness, xAt(until) - xAt(from), thickness)
  }
  ink.lineWidth = 1.4
  drawLine(ink, samples, now, colour('--gm-madder'), [], ({ x }) => x / visitor.width)
  drawLine(ink, samples, now, colour('--gm-madder'), [4, 3], ({ y }) => y / visitor.height)
  return samples.length > 0 && now - (samples.at(-1)?.t ?? 0) < threadMs + 500

  function drawLine(
    line: CanvasRenderingContext2D,
    all: readonly ThreadSample[],
    until: number,
    stroke: string,
    dash: number[],
    share: (sample: ThreadSample) => number,
  ) {
    line.strokeStyle = stroke
    line.setLineDash(dash)
    line.beginPath()
    let isDown = false
    all.forEach((sample, i) => {
      if (sample.phase === 'away') {
        isDown = false
        return
      }
      const y = top + Math.min(1, Math.max(0, share(sample))) * (bottom - top)
      if (isDown) line.lineTo(xAt(sample.t), y)
      else line.moveTo(xAt(sample.t), y)
      isDown = true
      const next = all[i + 1]
      if (!next) line.lineTo(xAt(until), y)
      else if (next.t - sample.t > 40) line.lineTo(xAt(next.t), y)
    })
    line.stroke()
    line.setLineDash([])
  }
}

/** The present moment in words: where the pointer is in its area, whose it is, and what the effect does. */
export function sayPresent(samples: readonly ThreadSample[], now: number, times: Times, zone: number | null = null): string {
  const inZone = zone === null ? '' : `, zone ${zone + 1}`
  const sample = samples.at(-1)
  if (!sample) return 'No pointer yet.'
  const phase = phasesOf(samples, now, times).at(-1)?.phase ?? 'away'
  if (sample.phase === 'away') return `The pointer is gone, ${phase}${inZone}`
  const who = { real: 'pointer', 'stand-in': 'stand-in pointer', path: 'path', run: 'test path' }[sample.by]
  if (!sample.place) return `${who} outside, ${phase}`
  const share = (value: number) => ((value + 1) / 2).toFixed(2)
  return `x ${share(sample.place.x)}  y ${share(sample.place.y)}  ${who}, ${phase}${inZone}`
}

/** What a move costs, in words. */
export function sayCost({ boxes, elements, share }: Cost): string {
  const percent = share * 100
  return `a move: ${boxes} ${boxes === 1 ? 'box' : 'boxes'} read, ${elements} written, ${percent > 0 && percent < 1 ? '<1' : Math.round(percent)}% drawn`
}
