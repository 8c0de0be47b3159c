import type { At, Frame } from './types'

/** How far the pointer is from the middle of an element, px. */
export const fromCentre = ({ x, y, width, height }: At) => Math.hypot(x - width / 2, y - height / 2)

/** How far a point is from the edge of an element's border box, round corners honoured, px: negative inside. */
export function fromEdge({ width, height, border, radii }: Frame, { x, y }: { readonly x: number; readonly y: number }): number {
  const [halfWidth, halfHeight] = [(border[3] + width + border[1]) / 2, (border[0] + height + border[2]) / 2]
  const [dx, dy] = [x + border[3] - halfWidth, y + border[0] - halfHeight]
  const radius = Math.min(radii[dy < 0 ? (dx < 0 ? 0 : 1) : dx < 0 ? 3 : 2], halfWidth, halfHeight)
  const [qx, qy] = [Math.abs(dx) - halfWidth + radius, Math.abs(dy) - halfHeight + radius]
  return Math.hypot(Math.max(qx, 0), Math.max(qy, 0)) + Math.min(Math.max(qx, qy), 0) - radius
}
