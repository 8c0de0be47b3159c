// Signals: numbers read from the pointer in a frame of reference. Data only; `readers.ts` reads them.
import type { Described } from '../described'
import type { lookValuesSchema, poseSchema, signalSchema } from '../rig/schema'

export type Axis = 'x' | 'y'
export type Signal = Described<typeof signalSchema>
export type SignalName = Signal['of']
export type LookValues = Described<typeof lookValuesSchema>
export type Pose = Described<typeof poseSchema>

/** Whether a signal tells a zone, which may choose one of several elements: which of them the pointer is in, or nearest to. */
export const isZone = ({ of }: Signal): boolean => of === 'zone' || of === 'nearest'

/** Whether the page is told of what a signal reads: of a zone, or of what the pointer is on. */
export const isTold = (signal: Signal): boolean => isZone(signal) || signal.of === 'over'

/** Whether what a signal reads is in px. */
export const isInPx = ({ of }: Signal): boolean =>
  /^([xy]Px|distance|past|over[XY]|over(Width|Height)|width|height|overflow[XY]|excess[XY])$/.test(of)

/** The selectors of what a signal asks whether the pointer is on it. */
export function metBy(signal: Signal): readonly string[] {
  if (signal.of === 'over') return signal.among
  const select = signal.of === 'zone' ? signal.touched : 'among' in signal && signal.of !== 'nearest' ? signal.among : undefined
  return select === undefined ? [] : [select]
}
