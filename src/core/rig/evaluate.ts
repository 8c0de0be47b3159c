// evaluate(): a rig, a trace and boxes in; values at given moments out. Pure: the same in a browser, a worker and a test.
import type { Box } from '../geometry/box'
import { isPresent, type Sample } from '../signal/sample'
import { claimPoint } from './claim'
import { beginPlay, channelValue, leavePointer, meetPointer } from './play'
import { transformFunctions, type Output, type Rig } from './rig'

/** The channel values of each box (same order as the boxes, then as the rig's channels) at `t`. */
export interface Moment {
  readonly t: number
  readonly channels: readonly (readonly number[])[]
}

const nothingOnTop = () => false

/**
 * The values at each of `times` (ms, rising) for a trace (samples in order of time) over boxes that stand still.
 * A moment before the first sample shows the away pose.
 */
export function evaluate(rig: Rig, trace: readonly Sample[], boxes: readonly Box[], times: readonly number[]): readonly Moment[] {
  const areas = boxes.map((box) => ({ box, play: beginPlay(rig.channels) }))
  let holder = -1
  let next = 0
  return times.map((t) => {
    for (let sample = trace[next]; sample && sample.t <= t; sample = trace[++next]) {
      const { x, y, t: now } = sample
      const counts = isPresent(sample) && (rig.area.pointer === 'any' || sample.pointerType !== 'touch')
      const claimed = counts ? claimPoint(areas, -1, holder, x, y, nothingOnTop) : -1
      const left = areas[holder]
      if (left && holder !== claimed) leavePointer(left.play, rig.channels, now)
      const met = areas[claimed]
      if (met) meetPointer(met.play, rig.channels, met.box, x, y, now)
      holder = claimed
    }
    return { t, channels: areas.map(({ play }) => rig.channels.map((_, index) => channelValue(play, index, t))) }
  })
}

/** The value of one output for given channel values (in the rig's order): `base + factor * knob * channel`. */
export function outputValue(rig: Rig, output: Output, channels: readonly number[]): number {
  const knob = rig.knobs.find(({ id }) => id === output.knob)
  const index = output.channel === undefined ? -1 : rig.channels.findIndex(({ id }) => id === output.channel)
  return output.base + output.factor * (knob?.value ?? 0) * (index < 0 ? 1 : (channels[index] ?? 0))
}

/** The rig's outputs in the order in which transform functions are composed. */
export function composedOutputs(rig: Rig): readonly Output[] {
  return transformFunctions.flatMap((fn) => rig.outputs.filter((output) => output.fn === fn))
}

/** The CSS `transform` that the rig gives an element for these channel values. */
export function transformOf(rig: Rig, channels: readonly number[]): string {
  return composedOutputs(rig)
    .map((output) => `${output.fn}(${round(outputValue(rig, output, channels))}${unitOf(output)})`)
    .join(' ')
}

function unitOf({ fn }: Output): string {
  if (fn === 'scale') return ''
  return fn.startsWith('rotate') ? 'deg' : 'px'
}

const round = (value: number) => Number(value.toFixed(6))
