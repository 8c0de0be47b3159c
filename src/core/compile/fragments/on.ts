import { given } from './given'
import { pointer } from './pointer'
import type { Effect, Frame } from './types'

/** Whether the pointer is on an element, between insets. Browsers lay out in 64ths of a px. */
export function hasPointer({ toFrame, width, height, border }: Frame, insets?: Effect['insets']): boolean {
  const { x, y } = toFrame.transformPoint(pointer)
  if (!given.hasBorders && !insets) return x > -1 / 64 && x < width + 1 / 64 && y > -1 / 64 && y < height + 1 / 64
  const [top, right, bottom, left] = border
  if (!insets) return x >= -left - 1 / 64 && x <= width + right + 1 / 64 && y >= -top - 1 / 64 && y <= height + bottom + 1 / 64
  const [above = 0, after = 0, below = 0, before = 0] = insets(left + width + right, top + height + bottom)
  return x >= before - left - 1 / 64 && x <= width + right - after + 1 / 64 && y >= above - top - 1 / 64 && y <= height + bottom - below + 1 / 64
}
