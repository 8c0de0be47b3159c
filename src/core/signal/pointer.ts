// The pointer along its trace: where it is, and where it was one sample before.
import { isOfPointer, isPresent, type Sample } from './sample'

/** The state of the pointer after its last sample. */
export interface Pointer {
  t: number
  x: number
  y: number
  /** Where it was one sample before. */
  fromX: number
  fromY: number
  buttons: number
  /** It is a finger. */
  isTouch: boolean
  present: boolean
  /** Where and when it went down last, and whether it has just gone up again there: a tap. */
  downX: number
  downY: number
  downAt: number
  isTap: boolean
  /** How far the wheel has just turned, px, and how many times as large two fingers have just made it; which turn that was. */
  wheelPx: number
  pinch: number
  turns: number
  /** Arrow keys put it where it is. */
  isByKeys: boolean
  /** px/s at `t`; it halves every 50 ms from then on. */
  speed: number
  /** Degrees clockwise from up, unwrapped; NaN before the first movement. */
  heading: number
  /** How many samples the track has had, and the last of them. */
  count: number
  readonly track: Track
}

/** The last samples of a pointer, for those who ask where it was: t, x, y by turns, used again from the front. */
export type Track = Float64Array

/** How many samples a track holds: two seconds at 1000 Hz. */
export const trackLength = 2048

export function newPointer(): Pointer {
  return {
    t: -Infinity,
    x: 0,
    y: 0,
    fromX: 0,
    fromY: 0,
    buttons: 0,
    isTouch: false,
    present: false,
    downX: 0,
    downY: 0,
    downAt: -Infinity,
    isTap: false,
    wheelPx: 0,
    pinch: 1,
    turns: 0,
    isByKeys: false,
    speed: 0,
    heading: NaN,
    count: 0,
    track: new Float64Array(3 * trackLength),
  }
}

/** A tap is over within this time (ms), and within this way (px). */
const tapMs = 500
const tapPx = 10

/** Takes a sample; the focus has a place of its own. A pointer that was not on the page arrives without a path. */
export function movePointer(pointer: Pointer, sample: Sample): void {
  const { t, x, y, phase, by } = sample
  if (!isOfPointer(sample)) return
  const isOn = isPresent(sample)
  const isKnown = Number.isFinite(x + y)
  if (isKnown) {
    const arrives = isOn && !pointer.present
    pointer.fromX = arrives ? x : pointer.x
    pointer.fromY = arrives ? y : pointer.y
    pointer.x = x
    pointer.y = y
  }
  pointer.isTap = phase === 'up' && t - pointer.downAt <= tapMs && Math.hypot(x - pointer.downX, y - pointer.downY) <= tapPx
  if (phase === 'down') {
    pointer.downX = x
    pointer.downY = y
    pointer.downAt = t
  }
  const isTurn = (phase === 'wheel' || phase === 'pinch') && by !== undefined && Number.isFinite(by)
  pointer.wheelPx = isTurn && phase === 'wheel' ? by : 0
  pointer.pinch = isTurn && phase === 'pinch' && by > 0 ? by : 1
  if (isTurn) pointer.turns += 1
  if (phase !== 'scroll') pointer.isByKeys = false
  pointer.t = t
  pointer.buttons = sample.buttons
  if (phase !== 'scroll') pointer.isTouch = sample.pointerType === 'touch'
  pointer.present = isOn
}
