// The still box of an element that an effect leans: where it would lie if the effect did nothing.
import type { Box } from './box'

/** The sixteen members of a 4 x 4 matrix in CSS order (column by column), as in `DOMMatrixReadOnly`. */
export interface Matrix {
  readonly m11: number; readonly m12: number; readonly m14: number
  readonly m21: number; readonly m22: number; readonly m24: number
  readonly m41: number; readonly m42: number; readonly m44: number
}

/** What a browser tells about a transformed element. Lengths in CSS px. */
export interface Measured {
  /** Its client rectangle: the hull of what is drawn. */
  readonly hull: Box
  /** Its border box before any transform. */
  readonly width: number
  readonly height: number
  /** The resolved transform and its origin within the border box. */
  readonly matrix: Matrix
  readonly originX: number
  readonly originY: number
}

/**
 * Writes the still box into `out`: the client rectangle less the hull of the element's own matrix
 * (CSS Transforms Level 2, section 6: each corner is carried by the matrix about the origin and divided by w).
 * A scale of the ancestors is taken out by the ratio of the two hulls; turned ancestors are not.
 * Where the matrix puts a corner behind the eye, the client rectangle itself is given.
 */
export function writeStillBox(out: Box, measured: Measured): Box {
  const { hull, width, height, matrix: m, originX, originY } = measured
  let left = Infinity, top = Infinity, right = -Infinity, bottom = -Infinity
  for (let corner = 0; corner < 4; corner++) {
    const x = (corner & 1 ? width : 0) - originX
    const y = (corner & 2 ? height : 0) - originY
    const w = m.m14 * x + m.m24 * y + m.m44
    const px = originX + (m.m11 * x + m.m21 * y + m.m41) / w
    const py = originY + (m.m12 * x + m.m22 * y + m.m42) / w
    left = w > 0 ? Math.min(left, px) : NaN
    right = Math.max(right, px)
    top = Math.min(top, py)
    bottom = Math.max(bottom, py)
  }
  const scaleX = hull.width / (right - left)
  const scaleY = hull.height / (bottom - top)
  const known = Number.isFinite(scaleX + scaleY)
  out.x = hull.x - (known ? left * scaleX : 0)
  out.y = hull.y - (known ? top * scaleY : 0)
  out.width = known ? width * scaleX : hull.width
  out.height = known ? height * scaleY : hull.height
  return out
}
