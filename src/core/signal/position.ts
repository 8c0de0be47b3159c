// Where the pointer is in the frame.
import { insetOf } from '../geometry/insets'
import { shareAlong, toFrame, toWindow } from '../geometry/frame'
import { pxSpan, type At, type Reader } from './reader'
import type { Signal } from './signal'

type InPx = Extract<Signal, { of: 'xPx' | 'yPx' }>
type Position = Extract<Signal, { of: 'x' | 'y' | 'centredX' | 'centredY' }>

const shareX = ({ frame: { width }, insets, point }: At) =>
  shareAlong(width, insetOf(insets, 'left', width), insetOf(insets, 'right', width), point.x)
const shareY = ({ frame: { height }, insets, point }: At) =>
  shareAlong(height, insetOf(insets, 'top', height), insetOf(insets, 'bottom', height), point.y)

const held = ({ beyond }: Position, share: number) => (beyond === 'extend' ? share : Math.min(1, Math.max(0, share)))

export const x: Reader<Position> = { span: () => 1, read: (signal, at) => held(signal, shareX(at)) }
export const y: Reader<Position> = { span: () => 1, read: (signal, at) => held(signal, shareY(at)) }
export const centredX: Reader<Position> = { span: () => 2, read: (signal, at) => 2 * held(signal, shareX(at)) - 1 }
export const centredY: Reader<Position> = { span: () => 2, read: (signal, at) => 2 * held(signal, shareY(at)) - 1 }
/** px along one side of the frame, from where the signal counts. */
const along = ({ from }: InPx, px: number, size: number, border: number) =>
  from === 'centre' ? px - size / 2 : from === 'border' ? px + border : px

/** Where a share of the area, 0..1, lies along the signal's side of the frame, px. */
export function pxOfShare(signal: InPx, share: number, { frame, area }: Pick<At, 'frame' | 'area'>): number {
  const { width, height, border } = frame
  const at = { x: share * area.width, y: share * area.height }
  if (frame !== area) {
    const { x: left, y: top } = toWindow(area, at.x, at.y)
    toFrame(frame, left, top, at)
  }
  return signal.of === 'xPx' ? along(signal, at.x, width, border[3]) : along(signal, at.y, height, border[0])
}

export const xPx: Reader<InPx> = {
  span: () => pxSpan,
  read: (signal, { point, frame }) => along(signal, point.x, frame.width, frame.border[3]),
}
export const yPx: Reader<InPx> = {
  span: () => pxSpan,
  read: (signal, { point, frame }) => along(signal, point.y, frame.height, frame.border[0]),
}
