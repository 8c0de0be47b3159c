// The plane of an element on the page: how its own px become the window's, with and without what our effects do.
import type { Box } from './box'
import type { Affine, Frame, Point } from './frame'

/** Of a 4 x 4 matrix in CSS order (column by column), the members that matter for a flat element. */
export interface Matrix {
  readonly m11: number; readonly m12: number; readonly m14: number
  readonly m21: number; readonly m22: number; readonly m24: number
  readonly m41: number; readonly m42: number; readonly m44: number
}

/** One element's plane. Lengths in CSS px; the origin of its own coordinates is its border box's upper left corner. */
export interface Plane {
  width: number
  height: number
  /** What our effects do to it now, about this point of it; the identity where they do nothing. */
  matrix: Matrix
  originX: number
  originY: number
  /**
   * The way up to the plane of the next element that our effects move, or to the window: the page's own turns and scales
   * (a, b, c, d) and where it lies (e, f).
   */
  readonly own: Affine
  /** The plane of that next element. */
  above: Plane | undefined
}

export const identity: Matrix = { m11: 1, m12: 0, m14: 0, m21: 0, m22: 1, m24: 0, m41: 0, m42: 0, m44: 1 }

/**
 * Writes where a point of the plane is drawn in the window: our matrix about its origin, divided by w
 * (CSS Transforms Level 2, section 6), then the page's own map, plane by plane.
 */
export function project(plane: Plane, x: number, y: number, out: Point): void {
  const { matrix: m, originX, originY, own, above } = plane
  const fromX = x - originX
  const fromY = y - originY
  // Behind the eye nothing is drawn.
  const w = Math.max(0, m.m14 * fromX + m.m24 * fromY + m.m44)
  const px = originX + (m.m11 * fromX + m.m21 * fromY + m.m41) / w
  const py = originY + (m.m12 * fromX + m.m22 * fromY + m.m42) / w
  out.x = own.a * px + own.c * py + own.e
  out.y = own.b * px + own.d * py + own.f
  if (above) project(above, out.x, out.y, out)
}

const point: Point = { x: 0, y: 0 }

/** Writes the hull of the plane as it is drawn. */
function writeHull(plane: Plane, out: Box): void {
  let left = Infinity, top = Infinity, right = -Infinity, bottom = -Infinity
  for (let corner = 0; corner < 4; corner++) {
    project(plane, corner & 1 ? plane.width : 0, corner & 2 ? plane.height : 0, point)
    left = Math.min(left, point.x)
    right = Math.max(right, point.x)
    top = Math.min(top, point.y)
    bottom = Math.max(bottom, point.y)
  }
  out.x = left
  out.y = top
  out.width = right - left
  out.height = bottom - top
}

const drawn: Box = { x: 0, y: 0, width: 0, height: 0 }

/**
 * Finds where the element lies (`own.e`, `own.f`) from its client rectangle: the place at which its hull would be drawn
 * with the rectangle's middle. Newton's method: exact in one step under the window, a few under a plane in perspective.
 */
export function locate(plane: Plane, hull: Box): void {
  const { own } = plane
  const x = hull.x + hull.width / 2
  const y = hull.y + hull.height / 2
  for (let step = 0; step < 8; step++) {
    writeHull(plane, drawn)
    const missX = x - drawn.x - drawn.width / 2
    const missY = y - drawn.y - drawn.height / 2
    if (!(Math.abs(missX) + Math.abs(missY) > 1e-6)) return
    if (!plane.above) {
      own.e += missX
      own.f += missY
      continue
    }
    // How the middle moves with the place, by differences.
    const { e, f } = own
    own.e = e + 1
    writeHull(plane, drawn)
    const exx = drawn.x + drawn.width / 2 - (x - missX)
    const eyx = drawn.y + drawn.height / 2 - (y - missY)
    own.e = e
    own.f = f + 1
    writeHull(plane, drawn)
    const exy = drawn.x + drawn.width / 2 - (x - missX)
    const eyy = drawn.y + drawn.height / 2 - (y - missY)
    const size = exx * eyy - exy * eyx
    own.e = e + (missX * eyy - missY * exy) / size
    own.f = f + (missY * exx - missX * eyx) / size
  }
}

/**
 * Writes the frame of the element where it would lie if our effects did nothing: the inverse of the page's own maps,
 * plane by plane. `frame.border` is to be known before. Where the maps say nothing (a corner behind the eye, a plane seen
 * edge on), the frame is the client rectangle itself.
 */
export function writeFrame(frame: Frame, plane: Plane, hull: Box): void {
  const { inverse, border } = frame
  let { a, b, c, d, e, f } = plane.own
  for (let above = plane.above; above; above = above.above) {
    const m = above.own
    const a0 = a
    const c0 = c
    const e0 = e
    a = m.a * a0 + m.c * b
    b = m.b * a0 + m.d * b
    c = m.a * c0 + m.c * d
    d = m.b * c0 + m.d * d
    e = m.a * e0 + m.c * f + m.e
    f = m.b * e0 + m.d * f + m.f
  }
  const size = a * d - b * c
  const isKnown = Number.isFinite(1 / size) && Number.isFinite(e + f + plane.width + plane.height)
  frame.width = (isKnown ? plane.width : hull.width) - border[3] - border[1]
  frame.height = (isKnown ? plane.height : hull.height) - border[0] - border[2]
  inverse.a = isKnown ? d / size : 1
  inverse.b = isKnown ? -b / size : 0
  inverse.c = isKnown ? -c / size : 0
  inverse.d = isKnown ? a / size : 1
  inverse.e = (isKnown ? (c * f - d * e) / size : -hull.x) - border[3]
  inverse.f = (isKnown ? (b * e - a * f) / size : -hull.y) - border[0]
}
