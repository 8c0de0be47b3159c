// Boxes: rectangles in CSS px, with the vertical axis pointing down.

/** A rectangle in CSS px: its upper left corner and its size. */
export interface Box {
  x: number
  y: number
  width: number
  height: number
  /** How large what it holds is, where that is more than itself. */
  content?: { readonly width: number; readonly height: number } | undefined
}

/** Whether the point lies in the box, its edges included. A box without area, or without end, holds no point. */
export function holdsPoint(box: Box, x: number, y: number): boolean {
  if (!(box.width > 0 && box.height > 0) || !Number.isFinite(x + y + box.width + box.height)) return false
  return x >= box.x && x <= box.x + box.width && y >= box.y && y <= box.y + box.height
}

/** The smallest box around all of them. */
export function hullOf(boxes: readonly Box[]): Box | undefined {
  if (boxes.length === 0) return undefined
  const x = Math.min(...boxes.map((box) => box.x))
  const y = Math.min(...boxes.map((box) => box.y))
  return {
    x,
    y,
    width: Math.max(...boxes.map((box) => box.x + box.width)) - x,
    height: Math.max(...boxes.map((box) => box.y + box.height)) - y,
  }
}
