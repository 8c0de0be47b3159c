// The pointer along its trace: where it is, where it was, how fast and which way it goes.
import { isPresent, type Sample } from './sample'

/** The state of the pointer after its last sample. */
export interface Pointer {
  t: number
  x: number
  y: number
  /** Where it was one sample before. */
  fromX: number
  fromY: number
  buttons: number
  present: boolean
  /** px/s at `t`; it halves every 50 ms from then on. */
  speed: number
  /** Degrees clockwise from up, unwrapped; NaN before the first movement. */
  heading: number
  /** Where and when it went down last, and whether it has just gone up again there: a tap. */
  downX: number
  downY: number
  downAt: number
  isTap: boolean
  /** How many of the samples in `history` there have been. */
  count: number
  /** The last samples, for those who ask where the pointer was: t, x, y by turns, used again from the front. */
  readonly history: Float64Array
}

/** How many samples the history holds: two seconds at 1000 Hz. */
const historyLength = 2048

export function newPointer(): Pointer {
  return { t: -Infinity, x: 0, y: 0, fromX: 0, fromY: 0, buttons: 0, present: false, speed: 0, heading: NaN, downX: 0, downY: 0, downAt: -Infinity, isTap: false, count: 0, history: new Float64Array(3 * historyLength) }
}

const speedHalfLifeMs = 50
/** Below this the direction of a movement says nothing, px/s. */
const headingFromPxPerS = 20
/** A speed under this is standing still, px/s. */
const stillBelowPxPerS = 0.05

/** The speed (px/s) at `t`, from the last sample on: it halves every 50 ms, and ends at 0. */
export function speedAt({ t: since, speed }: Pointer, t: number): number {
  const left = speed * 2 ** (-Math.max(0, t - since) / speedHalfLifeMs)
  return left < stillBelowPxPerS ? 0 : left
}

/** A tap is over within this time (ms), and within this way (px). */
const tapMs = 500
const tapPx = 10

/** Takes a sample. A pointer that was not on the page arrives without a path. */
export function movePointer(pointer: Pointer, sample: Sample): void {
  const { x, y, t, phase } = sample
  // The focus has a place of its own.
  if (phase === 'focus' || phase === 'blur') return
  const isOn = isPresent(sample)
  const isKnown = Number.isFinite(x + y)
  pointer.speed = speedAt(pointer, t)
  if (isKnown && isOn) {
    const came = !pointer.present
    pointer.fromX = came ? x : pointer.x
    pointer.fromY = came ? y : pointer.y
    const dx = x - pointer.fromX
    const dy = y - pointer.fromY
    // What a movement adds, so that a steady one reads as its true speed: |dp| ln 2 / 50 ms.
    pointer.speed += (Math.hypot(dx, dy) * Math.LN2 * 1000) / speedHalfLifeMs
    if ((dx || dy) && pointer.speed >= headingFromPxPerS) pointer.heading = unwrap((Math.atan2(dx, -dy) * 180) / Math.PI, pointer.heading)
  } else if (isKnown) {
    pointer.fromX = pointer.x
    pointer.fromY = pointer.y
  }
  pointer.isTap = phase === 'up' && t - pointer.downAt <= tapMs && Math.hypot(x - pointer.downX, y - pointer.downY) <= tapPx
  if (phase === 'down') {
    pointer.downX = x
    pointer.downY = y
    pointer.downAt = t
  }
  pointer.t = t
  pointer.buttons = sample.buttons
  pointer.present = isOn
  if (!isKnown) return
  pointer.x = x
  pointer.y = y
  const at = 3 * (pointer.count++ % historyLength)
  pointer.history[at] = t
  pointer.history[at + 1] = x
  pointer.history[at + 2] = y
}

/** The angle (degrees) nearest to `last` that points the same way; itself where there is no last one. */
export function unwrap(angle: number, last: number): number {
  return Number.isNaN(last) ? angle : last + ((((angle - last) % 360) + 540) % 360) - 180
}

/** Samples further apart than this (ms) have no path between them. */
const pathGapMs = 50

/**
 * Where the pointer was at `t` (axis 0 is x, 1 is y; px of the window): linear between samples at most 50 ms apart,
 * else where the earlier one put it. Before what is remembered: the earliest place that is.
 */
export function pastOf({ history, count }: Pointer, axis: 0 | 1, t: number): number {
  const read = (n: number, field: number) => history[3 * (n % historyLength) + field] ?? 0
  const earliest = Math.max(0, count - historyLength)
  let n = count - 1
  while (n > earliest && read(n, 0) > t) n--
  const here = read(Math.max(0, n), 1 + axis)
  if (n < 0 || n === count - 1) return here
  const from = read(n, 0)
  const gap = read(n + 1, 0) - from
  const share = gap > pathGapMs || gap <= 0 ? 0 : Math.max(0, t - from) / gap
  return here + share * (read(n + 1, 1 + axis) - here)
}
