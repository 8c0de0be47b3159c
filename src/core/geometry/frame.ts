// Frames of reference: where a point of the window lies in an element's own, untransformed padding box.
import type { Box } from './box'
import { insetOf, type Insets } from './insets'

/** Four numbers in the order in which CSS names the sides (or, for radii, the corners from the upper left on). */
export type Four = [number, number, number, number]

/** A 2D affine map: x' = a x + c y + e, y' = b x + d y + f. */
export interface Affine {
  a: number
  b: number
  c: number
  d: number
  e: number
  f: number
}

/** An element as a frame of reference. Lengths in its own CSS px. */
export interface Frame {
  /** From the window's px to the element's: the origin is the upper left corner of its padding box. */
  readonly inverse: Affine
  /** The padding box. */
  width: number
  height: number
  /** The widths of the borders around it: top, right, bottom, left. */
  readonly border: Four
  /** The radii of its border box's corners: upper left, upper right, lower right, lower left. */
  readonly radii: Four
  /** By how much what it holds is larger than itself, across and down. */
  overflowX: number
  overflowY: number
}

export interface Point {
  x: number
  y: number
}

/** Browsers lay out in 64ths of a px; a point this near an edge is on it. */
const slackPx = 1 / 64

/** A frame that lies nowhere yet and holds no point. */
export function emptyFrame(): Frame {
  return {
    inverse: { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 },
    width: 0,
    height: 0,
    border: [0, 0, 0, 0],
    radii: [0, 0, 0, 0],
    overflowX: 0,
    overflowY: 0,
  }
}

/** The frame of a box that nothing turns or scales. */
export function frameOf({ x, y, width, height, content }: Box): Frame {
  const [overflowX, overflowY] = [Math.max(0, (content?.width ?? 0) - width), Math.max(0, (content?.height ?? 0) - height)]
  return { ...emptyFrame(), inverse: { a: 1, b: 0, c: 0, d: 1, e: -x, f: -y }, width, height, overflowX, overflowY }
}

/** Writes where the window's point (x, y) lies in the frame. */
export function toFrame({ inverse: { a, b, c, d, e, f } }: Frame, x: number, y: number, out: Point): void {
  out.x = a * x + c * y + e
  out.y = b * x + d * y + f
}

/** Where a point of a frame is in the window. */
export function toWindow({ inverse: { a, b, c, d, e, f } }: Frame, x: number, y: number): Point {
  const size = a * d - b * c || 1
  return { x: (d * (x - e) - c * (y - f)) / size, y: (a * (y - f) - b * (x - e)) / size }
}

/**
 * Whether a point of the frame lies within its border box less the insets, edges included.
 * A frame without area, or one that is not finite, holds no point.
 */
export function holdsLocal({ width, height, border }: Frame, insets: Insets | undefined, { x, y }: Point): boolean {
  const top = border[0]
  const right = border[1]
  const bottom = border[2]
  const left = border[3]
  const w = left + width + right
  const h = top + height + bottom
  if (!(w > 0 && h > 0 && Number.isFinite(w + h))) return false
  const fromLeft = insetOf(insets, 'left', w)
  const fromTop = insetOf(insets, 'top', h)
  const fromRight = insetOf(insets, 'right', w)
  const fromBottom = insetOf(insets, 'bottom', h)
  return (
    x >= fromLeft - left - slackPx &&
    x <= width + right - fromRight + slackPx &&
    y >= fromTop - top - slackPx &&
    y <= height + bottom - fromBottom + slackPx
  )
}

/** How far (px) the frame has to reach on all sides of its padding box for a point to lie in it: 0 in it and on its edge. */
export const distanceBeyond = ({ width, height }: Frame, { x, y }: Point): number => Math.max(0, -x, x - width, -y, y - height)

/**
 * Where a point lies along one axis, 0..1 between the insets of the padding box, running on beyond them.
 * An axis without length reads as the middle.
 */
export function shareAlong(length: number, from: number, to: number, at: number): number {
  const span = length - from - to
  return span > 0 ? (at - from) / span : 0.5
}

/**
 * The distance (px) of a point of the frame from the edge of its border box, round corners honoured: negative inside,
 * 0 on the edge. (The signed distance of a box with round corners: each quarter is a box whose corner is drawn in by the radius.)
 */
export function distanceFromEdge({ width, height, border, radii }: Frame, { x, y }: Point): number {
  const halfWidth = (border[3] + width + border[1]) / 2
  const halfHeight = (border[0] + height + border[2]) / 2
  const dx = x + border[3] - halfWidth
  const dy = y + border[0] - halfHeight
  const radius = Math.min(radii[dy < 0 ? (dx < 0 ? 0 : 1) : dx < 0 ? 3 : 2], halfWidth, halfHeight)
  const qx = Math.abs(dx) - halfWidth + radius
  const qy = Math.abs(dy) - halfHeight + radius
  return Math.hypot(Math.max(qx, 0), Math.max(qy, 0)) + Math.min(Math.max(qx, qy), 0) - radius
}
