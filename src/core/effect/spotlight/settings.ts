// Spotlight: its settings, with units and ranges, and its defaults.
import * as z from 'zod'
import { feelSchema } from '../../rig/schema'
import { softSpring } from '../build'
import { cssValueSchema, percentRange, poseSchema, timeRange, within } from '../settings'

export const ranges = {
  clear: { least: 0, greatest: 1200 },
  soft: { least: 0, greatest: 1200 },
  pressed: { least: 30, greatest: 150 },
  darker: { least: 0, greatest: 60 },
} as const

export const spotlightSettings = z.object({
  /** Radius of what is clear, and how much further the soft edge goes, px: always from the pointer. */
  clearPx: within(ranges.clear),
  softPx: within(ranges.soft),
  darknessPercent: within(percentRange),
  tint: cssValueSchema,
  shape: z.enum(['round', 'wide', 'square']),
  /** How large the pool is while the button is down, % of itself, and by how many more % it is dark then. */
  pressedPercent: within(ranges.pressed),
  pressedDarkerPercent: within(ranges.darker),
  /** Lit when the pointer is away, a pool parked at the pin, or all dark. */
  away: z.enum(['lit', 'pinned', 'dark']),
  pose: poseSchema,
  comeMs: within(timeRange),
  goMs: within(timeRange),
  follow: feelSchema,
})

export type SpotlightSettings = z.infer<typeof spotlightSettings>

export const spotlightDefaults: SpotlightSettings = {
  clearPx: 140, softPx: 90, darknessPercent: 78, tint: '#0b1014', shape: 'round', pressedPercent: 70, pressedDarkerPercent: 10,
  away: 'lit', pose: { x: 0, y: 0 }, comeMs: 260, goMs: 700, follow: softSpring,
}
