// Insets: how far inside (or, negative, outside) its edges a box counts.
import type { Described } from '../described'
import type { insetsSchema, lengthSchema } from '../rig/schema'

export type Length = Described<typeof lengthSchema>
export type Insets = Described<typeof insetsSchema>

/** How far inside one side lies, in px; `px` is the length of the box along the same axis. */
export function insetOf(insets: Insets | undefined, side: keyof Insets, px: number): number {
  if (!insets) return 0
  const { value, unit } = insets[side]
  return unit === '%' ? (value / 100) * px : value
}
