// Which of several zones the pointer is in.
import { distanceFromEdge, toFrame, type Frame, type Point } from '../geometry/frame'
import { insetOf } from '../geometry/insets'
import { innermost } from './over'
import type { Reader } from './reader'
import type { Signal } from './signal'

/** Which of `count` equal stretches holds the share, and the last one still, while it lies within the slack beyond it. */
function stretchOf(count: number, share: number, last: number, slack: number): number {
  if (last >= 0 && last < count && share >= last / count - slack && share <= (last + 1) / count + slack) return last
  return Math.max(0, Math.min(count - 1, Math.floor(share * count)))
}

export const zone: Reader<Extract<Signal, { of: 'zone' }>> = {
  span: ({ columns, rows }) => columns * rows,
  read: ({ columns, rows, hysteresisPx = 0, insets: own, touched }, at, { reading }) => {
    const { frame, insets: ofArea, point, pointer } = at
    const { width, height } = frame
    const elements = (touched !== undefined && pointer.isTouch && at.met.get(touched)) || []
    const met = innermost(elements, at)
    if (met) return elements.indexOf(met)
    const insets = own ?? ofArea
    const left = insetOf(insets, 'left', width)
    const top = insetOf(insets, 'top', height)
    const across = width - left - insetOf(insets, 'right', width)
    const down = height - top - insetOf(insets, 'bottom', height)
    // Without hysteresis nothing is kept: every border belongs to the zone behind it.
    const last = hysteresisPx > 0 ? reading : NaN
    const column = stretchOf(columns, across > 0 ? (point.x - left) / across : 0.5, last % columns, hysteresisPx / Math.max(1, across))
    const row = stretchOf(rows, down > 0 ? (point.y - top) / down : 0.5, Math.floor(last / columns), hysteresisPx / Math.max(1, down))
    return row * columns + column
  },
}

const seen: Point = { x: 0, y: 0 }

function distanceTo(frame: Frame, x: number, y: number): number {
  toFrame(frame, x, y, seen)
  return distanceFromEdge(frame, seen)
}

export const nearest: Reader<Extract<Signal, { of: 'nearest' }>> = {
  span: () => 1,
  read: ({ hysteresisPx = 0 }, { zones, pointer }, { reading }) => {
    const kept = zones[reading]
    let best = kept ? reading : 0
    let least = kept ? distanceTo(kept, pointer.x, pointer.y) - hysteresisPx : Infinity
    for (let i = 0; i < zones.length; i++) {
      const each = zones[i]
      const away = each && i !== reading ? distanceTo(each, pointer.x, pointer.y) : Infinity
      if (away < least) {
        least = away
        best = i
      }
    }
    return best
  },
}
