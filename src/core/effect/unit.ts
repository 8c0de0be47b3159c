// The units of controls: those of numbers in a rig, and those that CSS does not have.
import type { Unit as RigUnit } from '../rig/names'

/** In CSS their numbers stand by themselves. */
export const unitsBesideCss = ['Hz', 'px/s'] as const

export type Unit = RigUnit | (typeof unitsBesideCss)[number]

/** A unit as CSS writes it behind a number. */
export const cssUnitOf = (unit: Unit): RigUnit => (unit === 'Hz' || unit === 'px/s' ? '' : unit)
