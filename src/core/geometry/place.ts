// A place within an element, whatever its size.

/** -1..1 across and down, 0 in the middle. */
export interface Place {
  readonly x: number
  readonly y: number
}
