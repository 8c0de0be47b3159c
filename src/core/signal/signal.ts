// Signals: numbers read from the pointer in a frame of reference. Data only; `readers.ts` reads them.
import type { Described } from '../described'
import type { lookValuesSchema, poseSchema, signalSchema } from '../rig/schema'

export type Axis = 'x' | 'y'
export type Signal = Described<typeof signalSchema>
export type SignalName = Signal['of']
export type LookValues = Described<typeof lookValuesSchema>
export type Pose = Described<typeof poseSchema>

/** Whether a signal tells a zone: which of several the pointer is in, or nearest to, or on. */
export const isZone = ({ of }: Signal): boolean => of === 'zone' || of === 'nearest' || of === 'over'

/** The selectors of what a signal asks whether the pointer is on it. */
export const metBy = (signal: Signal): readonly string[] =>
  signal.of === 'over' ? signal.among : 'among' in signal && signal.of !== 'nearest' ? [signal.among] : []
