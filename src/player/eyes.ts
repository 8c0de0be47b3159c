// A vanishing point that an element shares with what stands beside it: the perspective of what it stands in.
import { locate } from '../core/geometry/plane'
import type { Measured } from './measure'

const rows = new WeakMap<Element, CSSStyleDeclaration>()

/**
 * Finds where an element lies that our effects turn under the perspective of its parent. What it looks like depends on
 * where it lies, so both are found in turn; the shift of a row of cards is small, and a few rounds are enough.
 * From (x, y, z) the perspective of depth d makes (x - vx z / d, y - vy z / d) over w - z / d, where v is the vanishing
 * point as seen from the element's own origin (CSS Transforms Level 2, section 8).
 */
function locateInRow({ element, style, plane, matrix, hull, undo }: Measured): void {
  const row = element.parentElement
  if (!row || !matrix) return
  const own = rows.get(row) ?? getComputedStyle(row)
  rows.set(row, own)
  const depth = parseFloat(own.perspective)
  if (!(depth > 0)) return
  const { left, top } = row.getBoundingClientRect()
  const origin = own.perspectiveOrigin
  const eyeX = left + parseFloat(origin)
  const eyeY = top + parseFloat(origin.slice(origin.indexOf(' ')))
  for (let round = 0; round < 4; round++) {
    matrix.setMatrixValue(style.transform)
    if (undo) matrix.preMultiplySelf(undo)
    const x = (eyeX - plane.own.e - plane.originX) / depth
    const y = (eyeY - plane.own.f - plane.originY) / depth
    matrix.m11 -= x * matrix.m13
    matrix.m12 -= y * matrix.m13
    matrix.m14 -= matrix.m13 / depth
    matrix.m21 -= x * matrix.m23
    matrix.m22 -= y * matrix.m23
    matrix.m24 -= matrix.m23 / depth
    matrix.m41 -= x * matrix.m43
    matrix.m42 -= y * matrix.m43
    matrix.m44 -= matrix.m43 / depth
    locate(plane, hull)
  }
}

export const eyes = { locateInRow }
