// Insets: how far inside (or, negative, outside) its edges a box counts.

/** A length along a side: px, or % of the box along the same axis. */
export interface Length {
  readonly value: number
  readonly unit: 'px' | '%'
}

export interface Insets {
  readonly top: Length
  readonly right: Length
  readonly bottom: Length
  readonly left: Length
}

/** The length in px along a side of `px`. */
export function resolveLength({ value, unit }: Length, px: number): number {
  return unit === '%' ? (value / 100) * px : value
}
