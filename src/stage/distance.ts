// The distance between two edges that should meet: where it is, and how wide it gets as the pointer goes over the whole area.
import { pointAt } from '../core/geometry/place'
import { stillBoxOf } from './boxes'
import { findAll } from '../play/find'
import type { Host } from './host'
import type { Numbers } from './numbers'
import type { Edge } from './protocol'
import type { RunningScript, Surroundings } from '../play/run-script'

/** An edge as a line of the window: upright or level, at so many px, from one end to the other. */
export interface EdgeLine {
  readonly isUpright: boolean
  readonly at: number
  readonly from: number
  readonly to: number
}

/** How far an inset clip draws an element in on each side, px: top, right, bottom, left. */
function clipOf(element: Element, width: number, height: number): readonly [number, number, number, number] {
  const [, inner = ''] = /^inset\(([^()]*?)(?:\s+round .*)?\)$/.exec(getComputedStyle(element).clipPath) ?? []
  const given = inner.trim() === '' ? ['0'] : inner.trim().split(/\s+/)
  const side = (i: number) => {
    const text = given[i] ?? given[i - 2] ?? given[0] ?? '0'
    return text.endsWith('%') ? (parseFloat(text) / 100) * (i % 2 === 0 ? height : width) : parseFloat(text) || 0
  }
  return [side(0), side(1), side(2), side(3)]
}

/** Where an edge of an element is drawn now, its clip counted in. */
export function lineOf(element: Element, side: Edge['side']): EdgeLine {
  const { left, top, right, bottom, width, height } = element.getBoundingClientRect()
  const [upper, after, lower, before] = clipOf(element, width, height)
  const isUpright = side === 'left' || side === 'right'
  const at = { left: left + before, right: right - after, top: top + upper, bottom: bottom - lower }[side]
  return isUpright ? { isUpright, at, from: top + upper, to: bottom - lower } : { isUpright, at, from: left + before, to: right - after }
}

/** The side of an element that is nearest to a point. */
export function nearestSide(element: Element, x: number, y: number): Edge['side'] {
  const { left, right, top, bottom } = element.getBoundingClientRect()
  const ways = { left: Math.abs(x - left), right: Math.abs(x - right), top: Math.abs(y - top), bottom: Math.abs(y - bottom) }
  return (Object.keys(ways) as Edge['side'][]).reduce((best, side) => (ways[side] < ways[best] ? side : best), 'left')
}

/** How far two edges are apart, px: negative where they overlap. NaN where one is upright and the other level. */
export function distanceBetween(one: EdgeLine, other: EdgeLine, first: Edge['side']): number {
  if (one.isUpright !== other.isUpright) return NaN
  // It is open on the far side of a right or lower edge, and on the near side of a left or upper one.
  return first === 'right' || first === 'bottom' ? other.at - one.at : one.at - other.at
}

const points = 25
/** After so long everything has settled, ms. */
const longMs = 20_000
/** So long after the last change of what plays it is measured again, ms. */
const calmMs = 150

export interface DistanceWatch {
  /** Measures the distance of two edges over the area of `select` from now on; without them it ends. */
  readonly watch: (edges: readonly Edge[], select?: string) => void
  /** What the page plays, or its values, have changed: it is measured again once they are calm. */
  readonly changed: () => void
}

/** Measures the distance that is looked at, once the page plays and whenever what it plays has changed. */
export function watchDistance(
  page: Document,
  { measure, plays }: Pick<Host, 'measure' | 'plays'>,
  numbers: Numbers,
  tell: (measured: Measured) => void,
): DistanceWatch {
  let watched: { readonly edges: readonly [Edge, Edge]; readonly select: string } | undefined
  let waiting: ReturnType<typeof setTimeout> | undefined
  const look = () => {
    if (!watched || !plays()) return
    const { edges, select } = watched
    const measured = measure((run) => measureDistance(page, run, numbers, edges, select))
    if (measured) tell(measured)
  }
  return {
    watch: ([one, other], select) => {
      watched = one && other && select !== undefined ? { edges: [one, other], select } : undefined
      look()
    },
    changed: () => {
      clearTimeout(waiting)
      if (watched) waiting = setTimeout(look, calmMs)
    },
  }
}

/** The distance at even places along the middle of the area, px: across and down. */
interface Measured {
  readonly across: number[]
  readonly down: number[]
}

/**
 * The distance between two edges for a pointer at even places along the middle of the area, across and then down, each time
 * once all has settled. `run` runs the script, by a clock that is kept here.
 */
function measureDistance(
  page: Document,
  run: (requestFrame: Surroundings['requestFrame']) => RunningScript,
  numbers: Numbers,
  edges: readonly [Edge, Edge],
  select: string,
): Measured | undefined {
  const [one, other] = edges.map(({ number }) => numbers.at(number))
  const area = findAll(page, select)?.find((each) => each.contains(one ?? null) || one?.contains(each)) ?? findAll(page, select)?.[0]
  if (!one || !other || !area) return undefined
  let now = performance.now()
  let frames: ((now: number) => void)[] = []
  const running = run((callback) => frames.push(callback))
  const runFrames = () => {
    for (let i = 0; i < 4 && frames.length > 0; i++) {
      const due = frames
      frames = []
      for (const each of due) each(now)
    }
  }
  const box = stillBoxOf(area, 'padding')
  const distanceAt = (place: { x: number; y: number }) => {
    const { x, y } = pointAt(box, place)
    now += 20
    // Whatever lies over it there, the pointer is on it.
    running.hear({ t: now, x, y, buttons: 0, pointerType: 'mouse', phase: 'move' }, area)
    runFrames()
    now += longMs
    runFrames()
    // What comes and goes by the stylesheet has a clock that cannot be moved: it is there.
    for (const each of page.getAnimations()) if (each instanceof CSSTransition && each.transitionProperty.startsWith('--')) each.finish()
    return distanceBetween(lineOf(one, edges[0].side), lineOf(other, edges[1].side), edges[0].side)
  }
  const places = Array.from({ length: points }, (_, i) => -0.999 + (1.998 * i) / (points - 1))
  const measured = { across: places.map((x) => distanceAt({ x, y: 0 })), down: places.map((y) => distanceAt({ x: 0, y })) }
  running.end()
  return measured
}
