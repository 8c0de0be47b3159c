// Pose by hand: the pointer is fastened, the element is dragged to where it should be there, and the numbers follow.
import type { Place } from '../geometry/place'
import type { Output, Rig } from '../rig/rig'
import { knobValue } from '../rig/values'
import type { Signal } from '../signal/signal'
import { heldNumber } from './control'
import type { AnyKind } from './kinds'

/** Because of what something is to be there: where the pointer is across, up-down, or both. */
export type Because = 'across' | 'up-down' | 'both'

/** How many degrees a turn follows a hand that goes so many px. */
const degPerPx = 0.2

/** How far a drag (px) moves what an output shows, in its own unit; 0 for what a drag does not move. */
function pull(output: Output, drag: { readonly x: number; readonly y: number }): number {
  if (output.slot.on !== 'transform') return 0
  switch (output.slot.fn) {
    case 'translateX':
      return drag.x
    case 'translateY':
      return drag.y
    case 'rotateY':
      return drag.x * degPerPx
    case 'rotateX':
      return -drag.y * degPerPx
    case 'rotate':
      return drag.x * degPerPx
    default:
      return 0
  }
}

const axisOf = ({ of }: Signal): 'across' | 'up-down' | undefined =>
  of === 'centredX' || of === 'x' || of === 'xPx' ? 'across' : of === 'centredY' || of === 'y' || of === 'yPx' ? 'up-down' : undefined

/** Whether it has to be asked because of what: off both midlines, where a number for each axis moves with the drag. */
export function asksBecause(rig: Rig, place: Place): boolean {
  const axes = new Set(posable(rig, place, 'both').map(({ axis }) => axis))
  return place.x !== 0 && place.y !== 0 && axes.size > 1
}

/** Whether anything of a rig can be posed by dragging. */
export const isPosable = (rig: Rig): boolean =>
  posable(rig, { x: 1, y: 1 }, 'both').some(({ output }) => pull(output, { x: 1, y: 1 }) !== 0)

/** The outputs that a drag can pose here: those with a knob and a reading that is not nothing. */
function posable({ channels, outputs }: Rig, place: Place, because: Because) {
  return outputs.flatMap((output) => {
    const channel = channels.find(({ id }) => id === output.channel)
    const axis = channel && axisOf(channel.signal)
    const reading = axis === 'across' ? place.x : place.y
    if (
      !channel ||
      !axis ||
      output.knob === undefined ||
      output.curve ||
      channel.curve ||
      !channel.signal.of.startsWith('centred') ||
      Math.abs(reading) < 1e-3
    )
      return []
    return because === 'both' || because === axis ? [{ output, axis, reading, knob: output.knob }] : []
  })
}

/**
 * The knobs of a rig after a drag (px) with the pointer at a place of its area: each so that what is dragged lies where the
 * hand took it. A knob that several outputs share takes the mean of what they ask for.
 */
export function posedKnobs(
  rig: Rig,
  place: Place,
  drag: { readonly x: number; readonly y: number },
  because: Because,
): ReadonlyMap<string, number> {
  const asked = new Map<string, number[]>()
  for (const { output, reading, knob } of posable(rig, place, because)) {
    const moved = pull(output, drag)
    const { value, times } = rig.knobs.find(({ id }) => id === knob) ?? {}
    const by = output.factor * output.strength * reading * (times === undefined ? 1 : knobValue(rig, times))
    if (value === undefined || moved === 0 || by === 0) continue
    asked.set(knob, [...(asked.get(knob) ?? []), value + moved / by])
  }
  return new Map([...asked].map(([knob, values]) => [knob, values.reduce((sum, value) => sum + value, 0) / values.length]))
}

/** The settings of an effect after such a drag, each number held in its range. */
export function poseByHand<S>(
  kind: Pick<AnyKind, 'expand' | 'controls'>,
  settings: S,
  place: Place,
  drag: { readonly x: number; readonly y: number },
  because: Because,
): S {
  const knobs = posedKnobs(kind.expand(settings, '&'), place, drag, because)
  let posed = settings
  for (const control of kind.controls(settings)) {
    const value = control.kind === 'number' && control.knob !== undefined ? knobs.get(control.knob) : undefined
    if (control.kind === 'number' && value !== undefined)
      posed = control.write(posed, heldNumber(control, Number((value * (control.per ?? 1)).toFixed(1)))) as S
  }
  return posed
}
