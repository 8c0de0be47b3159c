import type { At } from './types'

// Where the pointer is in an element: 0 at its left or upper edge, 1 at the other one; between insets where there are any.
export const shareX = ({ x, width }: At, left = 0, right = 0) => (width - left - right > 0 ? (x - left) / (width - left - right) : 0.5)
export const shareY = ({ y, height }: At, top = 0, bottom = 0) => (height - top - bottom > 0 ? (y - top) / (height - top - bottom) : 0.5)
