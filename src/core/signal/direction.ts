// Which way the pointer lies, and which way it goes.
import { unwrap } from './track'
import type { Reader } from './reader'
import type { Signal } from './signal'

/** Nearer to the middle than this the direction says nothing, px. */
const blindPx = 2

export const angle: Reader<Signal> = {
  span: () => 360,
  read: (_, { frame, point }, { reading }) => {
    const dx = point.x - frame.width / 2
    const dy = point.y - frame.height / 2
    if (!(Math.hypot(dx, dy) >= blindPx)) return Number.isNaN(reading) ? 0 : reading
    return unwrap((Math.atan2(dx, -dy) * 180) / Math.PI, reading)
  },
}

export const heading: Reader<Signal> = { span: () => 360, read: (_, { pointer }) => (Number.isNaN(pointer.heading) ? 0 : pointer.heading) }
