import { pointer } from './pointer'
import type { Effect, Frame } from './types'

/** Whether the pointer is on an element, between insets. Browsers lay out in 64ths of a px. */
export function isOn({ toFrame, width, height, border: [top, right, bottom, left] }: Frame, insets?: Effect['insets']): boolean {
  const { x, y } = toFrame.transformPoint(pointer)
  const [above = 0, after = 0, below = 0, before = 0] = insets?.(left + width + right, top + height + bottom) ?? []
  return x >= before - left - 1 / 64 && x <= width + right - after + 1 / 64 && y >= above - top - 1 / 64 && y <= height + bottom - below + 1 / 64
}
