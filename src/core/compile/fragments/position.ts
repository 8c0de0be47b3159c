import { frameOf } from './frames'
import type { At, Effect } from './types'

// Where the pointer is in an element: 0 at its left or upper edge, 1 at the other one; between insets where there are any.
export const shareX = ({ x, width }: At, left = 0, right = 0) => (width - left - right > 0 ? (x - left) / (width - left - right) : 0.5)
export const shareY = ({ y, height }: At, top = 0, bottom = 0) => (height - top - bottom > 0 ? (y - top) / (height - top - bottom) : 0.5)

/** Where a share of an area along both of its sides lies in an element of it, px. */
export function shareOfArea({ toFrame, place: { area } }: At, share: number, measure: Effect['measure']): DOMPoint {
  const { toFrame: toArea, width, height } = frameOf(area, measure)
  return toFrame.multiply(toArea.inverse()).transformPoint({ x: share * width, y: share * height })
}
