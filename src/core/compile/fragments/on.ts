import { given } from './given'
import { pointer } from './pointer'
import type { Effect, Frame } from './types'

/** Whether the pointer is on an element, between insets. Browsers lay out in 64ths of a px. */
export function hasPointer({ toFrame, width, height, border }: Frame, insets?: Effect['insets']): boolean {
  const { x, y } = toFrame.transformPoint(pointer)
  const [top, right, bottom, left] = given.hasBorders ? border : [0, 0, 0, 0]
  const [above, after, below, before] = insets ? insets(left + width + right, top + height + bottom) : [0, 0, 0, 0]
  return (
    x >= before - left - 1 / 64 && x <= width + right - after + 1 / 64 && y >= above - top - 1 / 64 && y <= height + bottom - below + 1 / 64
  )
}
