// The units of controls: those of numbers in a rig, and those that only a feel is told in.
import type { Unit as RigUnit } from '../rig/names'

export type Unit = RigUnit | 'Hz'
