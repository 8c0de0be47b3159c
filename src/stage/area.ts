// The area: what the selected effect reads on this page, which of it the pointer is in, and where in it a stand-in pointer belongs.
import { holdsPoint } from '../core/geometry/box'
import { pointAt } from '../core/geometry/place'
import type { Sample } from '../core/signal/sample'
import { findAll } from '../play/find'
import { stillBoxOf } from './boxes'

interface Point {
  readonly x: number
  readonly y: number
}

/** From so far a move is one, px; and so long without one is a rest, ms. */
const restPx = 3
const restMs = 120

export interface Area {
  /** Which elements it is: a selector, or null while nothing is selected. Says whether that is another than before. */
  readonly become: (select: string | null) => boolean
  readonly isAny: () => boolean
  /** The element of the area that has the point, where this was hit. */
  readonly at: (hit: Element | null, x: number, y: number) => Element | null
  readonly indexOf: (element: Element) => number | undefined
  readonly holds: (point: Point) => boolean
  /** Remembers a place where the pointer stood still, or was pressed, inside the area. */
  readonly remember: (sample: Sample, hit: Element | null) => void
  /** The pointer moves no more: where it stood for long enough by `t`, ms, it rested. */
  readonly settle: (t: number) => void
  /** Whatever it stood at before is no rest. */
  readonly forget: () => void
  readonly restAt: (point: Point) => void
  /** The place where an element was pointed at: a stand-in pointer goes there, or to its middle, when the pointer rested nowhere. */
  readonly pointedAt: (element: Element | null, point: Point) => void
  /** Where a stand-in pointer belongs: the last place of rest, else the middle of what was pointed at or of the first match in sight. */
  readonly restingPoint: () => Point | undefined
}

/** The first match of a selector that is in sight. */
export function visibleMatch(page: Document, select: string): Element | undefined {
  return findAll(page, select)?.find((element) => {
    const box = element.getBoundingClientRect()
    return box.bottom > 0 && box.top < innerHeight && box.width > 0
  })
}

export function makeArea(page: Document, hitAt: (x: number, y: number) => Element | null): Area {
  let select: string | null = null
  /** Where the pointer came to be where it is about. */
  let anchor: Sample | null = null
  /** Where it stood still last: in the area, and anywhere. */
  let rested: Point | null = null
  let stood: Point | null = null
  let pointed: { readonly element: Element | null; readonly point: Point } | null = null
  const matches = () => (select === null ? [] : (findAll(page, select) ?? []))
  // One that was hit, else one whose still box holds the point: a leaned card leaves a band where the hit falls through to what lies behind.
  const at = (hit: Element | null, x: number, y: number): Element | null => {
    const all = matches()
    return (
      all.find((element) => element.contains(hit)) ??
      all.find((element) => isNear(element.getBoundingClientRect(), x, y) && holdsPoint(stillBoxOf(element), x, y)) ??
      null
    )
  }
  const holds = ({ x, y }: Point) => at(hitAt(x, y), x, y) !== null
  const settle = (t: number) => {
    if (!anchor || t - anchor.t < restMs) return
    stood = { x: anchor.x, y: anchor.y }
    if (holds(anchor)) rested = stood
  }
  return {
    at,
    holds,
    settle,
    become: (next) => {
      if (next === select) return false
      select = next
      rested = [pointed?.point, stood].find((point) => point && holds(point)) ?? null
      return true
    },
    isAny: () => select !== null,
    indexOf: (element) => {
      const index = matches().findIndex((each) => each === element)
      return index < 0 ? undefined : index
    },
    remember: (sample, hit) => {
      const moved = anchor ? Math.hypot(sample.x - anchor.x, sample.y - anchor.y) : Infinity
      settle(sample.t)
      if (sample.phase === 'down' && at(hit, sample.x, sample.y)) rested = { x: sample.x, y: sample.y }
      if (moved >= restPx) anchor = { ...sample }
    },
    forget: () => void (anchor = null),
    restAt: (point) => void (rested = point),
    pointedAt: (element, point) => void (pointed = { element, point }),
    restingPoint: () => {
      if (select === null) return undefined
      if (rested) return rested
      const { element } = pointed ?? {}
      const target = element?.isConnected && element.matches(select) ? element : visibleMatch(page, select)
      return target && pointAt(stillBoxOf(target, 'padding'), { x: 0, y: 0 })
    },
  }
}

/** Whether a point may lie in the still box of an element with this hull: a lean changes it by less than its own size. */
function isNear(hull: DOMRect, x: number, y: number): boolean {
  return x > hull.left - hull.width && x < hull.right + hull.width && y > hull.top - hull.height && y < hull.bottom + hull.height
}
