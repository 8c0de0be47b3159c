// Signals that go on changing between events: how fast, where it was, and the time itself.
import { toFrame, type Point } from '../geometry/frame'
import { pastOf, speedAt } from './track'
import { lastOnGrid, nextOnGrid, pxSpan, type Reader } from './reader'
import type { Signal } from './signal'

/** Speeds up to this are common; rest is judged by it, px/s. */
const speedSpan = 1000

export const speed: Reader<Signal> = {
  span: () => speedSpan,
  read: (_, { pointer, t }) => speedAt(pointer, t),
  due: (_, { pointer, t }) => (speedAt(pointer, lastOnGrid(t)) > 0 ? nextOnGrid(t) : Infinity),
}

const then: Point = { x: 0, y: 0 }

export const past: Reader<Extract<Signal, { of: 'past' }>> = {
  span: () => pxSpan,
  read: ({ axis, lagMs }, { pointer, frame, t }) => {
    toFrame(frame, pastOf(pointer, 0, t - lagMs), pastOf(pointer, 1, t - lagMs), then)
    return then[axis]
  },
  due: ({ lagMs }, { pointer, t }) => (lastOnGrid(t) - lagMs < pointer.t ? nextOnGrid(t) : Infinity),
}

export const time: Reader<Extract<Signal, { of: 'time' }>> = {
  span: () => 1,
  read: ({ periodMs }, { t }) => t / periodMs - Math.floor(t / periodMs),
  due: (_, { t }) => nextOnGrid(t),
  isEndless: true,
}
