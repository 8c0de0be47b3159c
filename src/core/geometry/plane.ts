// The plane of an element on the page: how its own px become the window's, with and without what our effects do.
import type { Box } from './box'
import type { Affine, Point } from './frame'

/** Of a 4 x 4 matrix in CSS order (column by column), the members that matter for a flat element. */
export interface Matrix {
  readonly m11: number
  readonly m12: number
  readonly m14: number
  readonly m21: number
  readonly m22: number
  readonly m24: number
  readonly m41: number
  readonly m42: number
  readonly m44: number
}

/** One element's plane. Lengths in CSS px; the origin of its own coordinates is its border box's upper left corner. */
export interface Plane {
  readonly width: number
  readonly height: number
  /** What our effects do to it now, about this point of it. */
  readonly matrix: Matrix
  readonly originX: number
  readonly originY: number
  /** The way up to the window: the page's own turns and scales (a, b, c, d) and where it lies (e, f). */
  readonly own: Affine
}

/**
 * Writes where a point of the plane is drawn in the window: our matrix about its origin, divided by w
 * (CSS Transforms Level 2, section 6), then the page's own map.
 */
export function project({ matrix: m, originX, originY, own }: Plane, x: number, y: number, out: Point): void {
  const fromX = x - originX
  const fromY = y - originY
  // Behind the eye nothing is drawn.
  const w = Math.max(0, m.m14 * fromX + m.m24 * fromY + m.m44)
  const px = originX + (m.m11 * fromX + m.m21 * fromY + m.m41) / w
  const py = originY + (m.m12 * fromX + m.m22 * fromY + m.m42) / w
  out.x = own.a * px + own.c * py + own.e
  out.y = own.b * px + own.d * py + own.f
}

/** Finds where the element lies (`own.e`, `own.f`) from its client rectangle: the place at which its hull would be drawn with the rectangle's middle. */
export function locate(plane: Plane, hull: Box): void {
  const corners = [0, 1, 2, 3].map((corner) => {
    const point: Point = { x: 0, y: 0 }
    project(plane, corner & 1 ? plane.width : 0, corner & 2 ? plane.height : 0, point)
    return point
  })
  const middle = (values: readonly number[]) => (Math.min(...values) + Math.max(...values)) / 2
  plane.own.e += hull.x + hull.width / 2 - middle(corners.map(({ x }) => x))
  plane.own.f += hull.y + hull.height / 2 - middle(corners.map(({ y }) => y))
}
