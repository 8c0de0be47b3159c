// Two tries under one trace: the numbers by which they differ.
import { evaluate, type Boxes } from '../rig/evaluate'
import type { Rig } from '../rig/rig'
import type { Sample } from '../signal/sample'

/** What a rig does under a trace. */
export interface TraceNumbers {
  /** How long after the pointer last moved all values stay within 2 % of the way they went, ms. */
  readonly settleMs: number
  /** How far a follower went beyond what it was ever asked for, as a share of its way. */
  readonly overshoot: number
  /** The greatest distance between a follower and where it was asked to be, as a share of its way. */
  readonly greatestLag: number
  /** How often a value went more than three tenths of its way within 4 ms. */
  readonly jumps: number
  /** How many values do not lie as when away, long after the trace, where the pointer has left. */
  readonly leftovers: number
}

/** A line to draw: the values of one column over time, as shares of the way that both rigs go. */
export interface TraceLine {
  readonly name: string
  readonly points: readonly { readonly t: number; readonly value: number }[]
}

export interface TraceAnswer {
  readonly numbers: TraceNumbers
  readonly lines: readonly TraceLine[]
}

const stepMs = 4
const afterMs = 6000
/** So many columns are drawn. */
const most = 3

/** The rig as it would be if everything followed at once: what each value is asked for. */
const atOnce = (rig: Rig): Rig => ({
  ...rig,
  channels: rig.channels.map((channel) => ({
    ...channel,
    feel: { kind: 'direct' },
    going: undefined,
    timing: undefined,
    chain: undefined,
  })),
  outputs: rig.outputs.map((output) => ({ ...output, link: undefined })),
})

/** Whether a column is a follower's own; the others are what outputs show. */
const isFollower = ({ channels }: Rig, name: string) => channels.some(({ id }) => name.startsWith(`${id}[`) || name.startsWith(`${id}.`))

const isOther = (one: Sample, before: Sample | undefined) =>
  one.x !== before?.x || one.y !== before.y || one.phase !== before.phase || one.buttons !== before.buttons

/** What a rig does under a trace over boxes. Evaluated every 4 ms by the same core as the page. */
export function answerTo(rig: Rig, trace: readonly Sample[], boxes: Boxes): TraceAnswer {
  const lastAt = trace.at(-1)?.t ?? 0
  const times = Array.from({ length: Math.ceil((lastAt + afterMs) / stepMs) + 1 }, (_, i) => i * stepMs)
  const made = evaluate(rig, trace, boxes, times)
  const asked = evaluate(atOnce(rig), trace, boxes, times)
  const [before] = evaluate(rig, trace.slice(0, 1), boxes, [(trace[0]?.t ?? 0) - 1000]).moments
  const hasLeft = trace.at(-1)?.phase === 'leave'
  const movedAt = trace.findLast((sample, i) => i === 0 || isOther(sample, trace[i - 1]))?.t ?? 0
  let [settleMs, overshoot, greatestLag, jumps, leftovers] = [0, 0, 0, 0, 0]
  const lines: TraceLine[] = []
  for (const [at, name] of made.columns.entries()) {
    const values = made.moments.map(({ values: each }) => Number(each[at]))
    const goal = asked.columns.indexOf(name)
    const targets = asked.moments.map(({ values: each }) => Number(each[goal < 0 ? at : goal]))
    const [least, greatest] = [Math.min(...targets), Math.max(...targets)]
    const way = greatest - least
    if (!(way > 0) || values.some(Number.isNaN)) continue
    // An output may be made of several followers, each on its own way; past the mark and behind are what one of them is.
    if (isFollower(rig, name)) {
      overshoot = Math.max(overshoot, (Math.max(...values) - greatest) / way, (least - Math.min(...values)) / way)
      values.forEach((value, i) => (greatestLag = Math.max(greatestLag, Math.abs(value - (targets[i] ?? value)) / way)))
      continue
    }
    const rest = values.at(-1) ?? 0
    const last = values.findLastIndex((value) => Math.abs(value - rest) > 0.02 * way)
    settleMs = Math.max(settleMs, (times[last + 1] ?? 0) - movedAt)
    values.forEach((value, i) => {
      if (i > 0 && Math.abs(value - (values[i - 1] ?? value)) > 0.3 * way) jumps++
    })
    if (hasLeft && Math.abs(rest - Number(before?.values[at])) > 0.005 * way) leftovers++
    if (lines.length < most)
      lines.push({ name, points: values.flatMap((value, i) => (i % 4 === 0 ? [{ t: times[i] ?? 0, value: (value - least) / way }] : [])) })
  }
  return { numbers: { settleMs: Math.max(0, settleMs), overshoot, greatestLag, jumps, leftovers }, lines }
}
