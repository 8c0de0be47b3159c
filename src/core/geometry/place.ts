// A place within an element, whatever its size.
import type { Box } from './box'

/** -1..1 across and down, 0 in the middle. */
export interface Place {
  readonly x: number
  readonly y: number
}

/** The point of a box at a place in it, px. */
export function pointAt(box: Box, { x, y }: Place): { readonly x: number; readonly y: number } {
  return { x: box.x + ((x + 1) / 2) * box.width, y: box.y + ((y + 1) / 2) * box.height }
}
