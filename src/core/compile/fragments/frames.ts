import { pointer } from './pointer'
import type { Frame } from './types'

/** Where elements lie, and since when that is known. */
const frames = new Map<Element, Frame>()
let measured = 0

/** Forgets where elements lie: once the page has moved, and every 200 ms. */
export function forgetFrames(t: number, isMoved: boolean): boolean {
  if (!isMoved && t - measured <= 200 && t - pointer.time <= 200) return false
  frames.clear()
  measured = t
  return true
}

export function frameOf(element: Element, measure: (element: Element) => Frame): Frame {
  const known = frames.get(element)
  if (known) return known
  const frame = measure(element)
  frames.set(element, frame)
  return frame
}
