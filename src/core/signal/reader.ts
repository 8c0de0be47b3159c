// What it takes to read a signal.
import type { Follower } from '../feel/follower'
import type { Frame, Point } from '../geometry/frame'
import type { Insets } from '../geometry/insets'
import type { LookState } from '../look/look'
import type { Pointer } from './pointer'

/** A place where the pointer may be: one match of an area, or the whole of it. */
export interface Presence {
  /** Whether the pointer is inside; whether the focus is. */
  inside: boolean
  focused: boolean
  /** Whether it was a finger that left last. */
  leftByFinger: boolean
  /** Where the pointer has stood since when (ms), within 3 px. */
  anchorX: number
  anchorY: number
  anchorAt: number
  /** The side by which it came in last, and went out: 0 top, 1 right, 2 bottom, 3 left. */
  entrySide: number
  exitSide: number
  /** The same among the two sides of one axis. */
  entryX: number
  entryY: number
  exitX: number
  exitY: number
  /** What zones of the place tell, by channel. */
  readonly zones: Map<string, number>
  readonly look: LookState
}

/** What a signal is read from; one object is used again for all readings. Times in ms, the point in the frame's px. */
export interface At {
  t: number
  pointer: Pointer
  presence: Presence
  frame: Frame
  /** That of the area in which it is read. */
  area: Frame
  /** The area's insets, where the frame is the area itself. */
  insets: Insets | undefined
  point: Point
  /** The frames that `nearest` chooses among. */
  zones: readonly Frame[]
  /** Those of what signals ask whether the pointer is on it, by selector. */
  met: ReadonlyMap<string, readonly Frame[]>
  /** What other matches of the area show. */
  others: LookState | undefined
  /** Which of the elements of its frame in the same place this is. */
  index: number
}

/** What a signal remembers between readings. */
export interface Memory {
  /** The last reading; NaN before the first. */
  reading: number
  /** The last turn of a wheel, or of two fingers, that it has taken. */
  turn: number
  /** Where turns have brought it, whatever it shows while the pointer is away; NaN before the first. */
  turnedTo: number
  /** The frame of what the pointer was on last. */
  held?: Frame | undefined
  /** A follower of its own, for signals that take their time. */
  readonly own: Follower
}

/** How one signal is read. */
export interface Reader<S> {
  /** How far its values go apart, by which rest is judged. */
  readonly span: (signal: S) => number
  /** The value while the pointer is there. */
  readonly read: (signal: S, at: At, memory: Memory) => number
  /** The value while it is away, for signals that know it by themselves; the others go to their away pose. */
  readonly away?: (signal: S, at: At, memory: Memory) => number
  /** Where a follower that nobody sees starts from, when the value has just changed; NaN for where it is. */
  readonly start?: (signal: S, at: At) => number
  /** The next instant after `at.t` at which the value changes by itself; left out by signals that never do. */
  readonly due?: (signal: S, at: At, memory: Memory) => number
  /** Whether it changes for ever; after a long pause only the last stretch of it is followed. */
  readonly isEndless?: true
}

/** Values that change between events are followed at every multiple of this, ms. */
const gridMs = 4

/** The next instant of the grid after `t`. */
export function nextOnGrid(t: number): number {
  return (Math.floor(t / gridMs) + 1) * gridMs
}

/** The last instant of the grid up to `t`: what changes by itself was followed until then. */
export function lastOnGrid(t: number): number {
  return Math.floor(t / gridMs) * gridMs
}

/** By how much px signals go apart when rest is judged: 0.01 px is at rest. */
export const pxSpan = 100
