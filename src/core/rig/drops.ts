// What is dropped along the pointer's way over an area: where and when each falls, and which of them are there at an instant.
import type { Frame, Point } from '../geometry/frame'
import { toFrame } from '../geometry/frame'
import type { Dropped } from './rig'

/** One that has fallen: its number from 0, where it lies (px), and since when (ms). */
export interface Drop {
  readonly index: number
  readonly x: number
  readonly y: number
  readonly t: number
}

/** The pointer's way over a place, as far as one part is dropped along it. */
export interface Way {
  readonly id: string
  readonly by: Dropped
  /** In which it is read; undefined for the window. */
  readonly frame: Frame | undefined
  /** Where the pointer was last, and until when that has been followed, ms. */
  readonly last: Point
  t: number
  /** How far it still is to the next one: px of the way, or ms. */
  toNext: number
  /** How many have fallen. */
  count: number
  /** Those that may still be there, the oldest first. */
  fallen: readonly Drop[]
}

export const newWay = (id: string, by: Dropped, frame: Frame | undefined): Way => ({
  id,
  by,
  frame,
  last: { x: 0, y: 0 },
  t: 0,
  toNext: 0,
  count: 0,
  fallen: [],
})

/**
 * Takes a way on to where the pointer, at (x, y) of the window, is at `t` (ms). `arrives`: it has just come; `isOn`: it is there. By px it
 * falls on the straight way between two samples, with the later one's time; by ms it falls where the pointer was then, at the earlier one.
 */
export function followWay(way: Way, x: number, y: number, t: number, isOn: boolean, arrives: boolean): void {
  const point = { x, y }
  if (way.frame) toFrame(way.frame, x, y, point)
  if (arrives) {
    Object.assign(way.last, point)
    way.t = t
    way.toNext = 0
  }
  if (isOn || 'ms' in way.by.every) dropUntil(way, t, isOn ? point : way.last)
  Object.assign(way.last, point)
}

/** The pointer stands at `t` where it was last: by ms more may have fallen. */
export const standOnWay = (way: Way, t: number): void => dropUntil(way, t, way.last)

function dropUntil(way: Way, t: number, point: Point): void {
  const { by, last } = way
  const isByTime = 'ms' in by.every
  const every = 'ms' in by.every ? by.every.ms : by.every.px
  const length = isByTime ? t - way.t : Math.hypot(point.x - last.x, point.y - last.y)
  // Of a long stretch the last ones alone can still be there.
  const skipped = Math.max(0, Math.floor((length - way.toNext) / every) - by.atMost)
  way.count += skipped
  way.toNext += skipped * every
  const fallen: Drop[] = []
  for (; way.toNext <= length; way.toNext += every) {
    const share = isByTime || length === 0 ? 0 : way.toNext / length
    fallen.push({
      index: way.count++,
      x: last.x + share * (point.x - last.x),
      y: last.y + share * (point.y - last.y),
      t: isByTime ? way.t + way.toNext : t,
    })
  }
  way.toNext -= length
  way.t = t
  if (fallen.length > 0) way.fallen = [...way.fallen, ...fallen].slice(-by.atMost)
}

/** Those that are there at `t` (ms), the newest first. */
export const dropsAt = ({ by, fallen }: Way, t: number): readonly Drop[] => fallen.filter((each) => t - each.t < by.forMs).reverse()
