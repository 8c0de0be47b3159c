// Which of several boxes has the pointer.
import { holdsPoint, type Box } from '../geometry/box'

/**
 * The index of the box that has the point, or -1. Where several hold it, the one that was hit wins,
 * else the one that had it before keeps it, else the one painted last has it.
 * `isForeign` says whether something that is no part of the area lies on top of it there.
 */
export function claimPoint(boxes: readonly { readonly box: Box }[], hit: number, before: number, x: number, y: number, isForeign: (index: number) => boolean): number {
  if (holds(boxes, hit, x, y)) return hit
  if (holds(boxes, before, x, y) && !isForeign(before)) return before
  for (let i = boxes.length - 1; i >= 0; i--) if (holds(boxes, i, x, y) && !isForeign(i)) return i
  return -1
}

function holds(boxes: readonly { readonly box: Box }[], index: number, x: number, y: number): boolean {
  const claimed = boxes[index]
  return claimed !== undefined && holdsPoint(claimed.box, x, y)
}
