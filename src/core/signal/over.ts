// What the pointer is on: which of several elements, and how that lies.
import { toFrame, toWindow, type Frame, type Point } from '../geometry/frame'
import { pxSpan, type At, type Memory, type Reader } from './reader'
import type { Signal } from './signal'

const seen: Point = { x: 0, y: 0 }

const widthOf = ({ width, border }: Frame) => border[3] + width + border[1]
const heightOf = ({ height, border }: Frame) => border[0] + height + border[2]

/** Whether a point of the window hits a frame: to the very edge of its border box. */
export function hits(frame: Frame, point: Point): boolean {
  toFrame(frame, point.x, point.y, seen)
  const { border } = frame
  return seen.x >= -border[3] && seen.y >= -border[0] && seen.x <= frame.width + border[1] && seen.y <= frame.height + border[2]
}

/** The innermost of some frames that hold the pointer: of boxes alone it is the smallest one, of equals the last. */
export function innermost(frames: readonly Frame[], at: At): Frame | undefined {
  let least: Frame | undefined
  for (const frame of frames)
    if (hits(frame, at.pointer) && (!least || widthOf(frame) * heightOf(frame) <= widthOf(least) * heightOf(least))) least = frame
  return least
}

export const over: Reader<Extract<Signal, { of: 'over' }>> = {
  span: ({ among }) => among.length,
  // While a pointer goes it is on what it was on.
  read: ({ among }, at, { reading }) => {
    if (!at.pointer.present) return Number.isNaN(reading) ? 0 : reading
    const frame = innermost(
      among.flatMap((select) => at.met.get(select) ?? []),
      at,
    )
    return frame ? 1 + among.findLastIndex((select) => at.met.get(select)?.includes(frame)) : 0
  },
}

type OverBox = Extract<Signal, { of: 'overX' }>

/** Of the element that the pointer is on, or was on last. */
const ofBox = (measure: (frame: Frame, at: At) => number): Reader<OverBox> => ({
  span: () => pxSpan,
  read: ({ among }, at, memory: Memory) => {
    if (at.pointer.present) memory.held = innermost(at.met.get(among) ?? [], at) ?? memory.held
    return memory.held ? measure(memory.held, at) : 0
  },
})

export const overX = ofBox((frame, { pointer }) => toWindow(frame, frame.width / 2, frame.height / 2).x - pointer.x)
export const overY = ofBox((frame, { pointer }) => toWindow(frame, frame.width / 2, frame.height / 2).y - pointer.y)
export const overWidth = ofBox(widthOf)
export const overHeight = ofBox(heightOf)
