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

/** How far inside one side lies, in px; `px` is the length of the box along the same axis. */
export function insetOf(insets: Insets | undefined, side: keyof Insets, px: number): number {
  if (!insets) return 0
  const { value, unit } = insets[side]
  return unit === '%' ? (value / 100) * px : value
}
