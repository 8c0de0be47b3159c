// How far the pointer is.
import { distanceFromEdge } from '../geometry/frame'
import { pxSpan, type Reader } from './reader'
import type { Signal } from './signal'

export const distance: Reader<Extract<Signal, { of: 'distance' }>> = {
  span: () => pxSpan,
  read: ({ from }, { frame, point }) =>
    from === 'edge' ? distanceFromEdge(frame, point) : Math.hypot(point.x - frame.width / 2, point.y - frame.height / 2),
}
