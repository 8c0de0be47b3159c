// What outputs show for given values of their channels: the same numbers that CSS works out.
import { colourOnCurve, cssColour } from '../curve/colour'
import { valueOnCurve } from '../curve/curve'
import type { Knob, Output, Rig } from './rig'
import { transformFunctions } from './names'
import { composeValues, shownValue, slotName, unitOf } from './slot'

/** The value of a channel (of one link of it) by id; undefined where it is not known. */
export type ValueOf = (channel: string, link?: number) => number | undefined

/** A knob's value; one that is a multiple of another follows it. */
export function knobValue(rig: Rig, id: string | undefined): number {
  const knob: Knob | undefined = rig.knobs.find((each) => each.id === id)
  if (!knob) return 1
  return knob.times === undefined ? knob.value : knob.value * knobValue(rig, knob.times)
}

/** What one output shows: a number in its slot's unit, or a colour as CSS writes it. */
export function outputValue(rig: Rig, output: Output, valueOf: ValueOf): number | string {
  const { channel, link, curve, slot, strength, weight } = output
  const reading = channel === undefined ? 1 : (valueOf(channel, link) ?? 0)
  if (curve && 'colours' in curve) return cssColour(colourOnCurve(curve, reading))
  const value = output.base + output.factor * knobValue(rig, output.knob) * (curve ? valueOnCurve(curve, reading) : reading)
  return shownValue(slot, value, weight === undefined ? 1 : (valueOf(weight) ?? 0), strength)
}

/** The CSS `transform` that the rig gives the element itself for these values of its channels. */
export function transformOf(rig: Rig, valueOf: ValueOf): string {
  return transformFunctions
    .flatMap((fn) => {
      const same = rig.outputs.filter(({ slot, to }) => to === 'self' && slot.on === 'transform' && slot.fn === fn)
      const slot = same[0]?.slot
      return !slot
        ? []
        : `${slotName(slot)}(${round(
            composeValues(
              slot,
              same.map((output) => Number(outputValue(rig, output, valueOf))),
            ),
          )}${unitOf(slot)})`
    })
    .join(' ')
}

const round = (value: number) => Number(value.toFixed(6))
