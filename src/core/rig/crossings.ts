// By which side the pointer came into a place, and went out of it.
import { toFrame, type Frame, type Point } from '../geometry/frame'
import { sideCrossed } from '../signal/side'
import type { Pointer } from '../signal/pointer'
import type { Presence } from '../signal/reader'

const from: Point = { x: 0, y: 0 }
const to: Point = { x: 0, y: 0 }

/** Notes the side of the frame that the pointer's last movement crossed, on its way in or out. */
export function noteCrossing(presence: Presence, frame: Frame, pointer: Pointer, isEntering: boolean): void {
  toFrame(frame, pointer.fromX, pointer.fromY, from)
  toFrame(frame, pointer.x, pointer.y, to)
  if (isEntering) {
    presence.entrySide = sideCrossed(frame, from, to)
    presence.entryX = sideCrossed(frame, from, to, 'x')
    presence.entryY = sideCrossed(frame, from, to, 'y')
  } else {
    presence.exitSide = sideCrossed(frame, to, from)
    presence.exitX = sideCrossed(frame, to, from, 'x')
    presence.exitY = sideCrossed(frame, to, from, 'y')
  }
}
