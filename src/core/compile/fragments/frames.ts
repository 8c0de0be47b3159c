import { pointer } from './pointer'
import type { Frame } from './types'

/** Where elements lie, and since when that is known. */
const frames = new Map<Element, Frame>()
let measured = 0

/** Whether it may be so no more: after a while. */
export const areOld = (t: number) => t - measured > 200 || t - pointer.time > 200

export function forgetFrames(t: number): void {
  frames.clear()
  measured = t
}

export function frameOf(element: Element, measure: (element: Element) => Frame): Frame {
  const known = frames.get(element)
  if (known) return known
  const frame = measure(element)
  frames.set(element, frame)
  return frame
}
