import type { At } from './types'

/** Whether the pointer has stood for so long, within 3 px. */
export const isStill = ({ t, place }: At, afterMs: number) => Number(t >= place.stood.t + afterMs)
export const stillDue = ({ t, place }: Pick<At, 't' | 'place'>, afterMs: number) =>
  place.isOn && place.stood.t + afterMs > t ? place.stood.t + afterMs : Infinity
