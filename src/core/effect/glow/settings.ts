// Glow: its settings, with units and ranges, and its defaults.
import * as z from 'zod'
import { feelSchema } from '../../rig/schema'
import { softSpring } from '../build'
import { cssValueSchema, percentRange, timeRange, within } from '../settings'

export const ranges = {
  size: { least: 20, greatest: 1200 },
  edge: { least: 0, greatest: 12 },
  reach: { least: 0, greatest: 400 },
  shrink: { least: 0, greatest: 30 },
  round: { least: 0, greatest: 30 },
  arc: { least: 10, greatest: 180 },
} as const

export const glowSettings = z.object({
  colour: cssValueSchema,
  /** Diameter of the light, px, and its strength on the surface, %. */
  sizePx: within(ranges.size),
  surfacePercent: within(percentRange),
  /** The line along the edge: its width, px, its strength, %, and how far beyond the card the pointer still lights it, px. */
  edgePx: within(ranges.edge),
  edgePercent: within(percentRange),
  reachPx: within(ranges.reach),
  /** Whether the surface is lit under what the card holds, or over it. */
  lies: z.enum(['under', 'over']),
  /** By how much the card shrinks while the pointer is on it, %. */
  shrinkPercent: within(ranges.shrink),
  /** A light that runs along the edge while the pointer is there: seconds a turn (0 is none), and how long it is, degrees. */
  turnS: within(ranges.round),
  arcDeg: within(ranges.arc),
  comeMs: within(timeRange),
  goMs: within(timeRange),
  follow: feelSchema,
})

export type GlowSettings = z.infer<typeof glowSettings>

export const glowDefaults: GlowSettings = {
  colour: '#f2b866', sizePx: 220, surfacePercent: 22, edgePx: 1.5, edgePercent: 90, reachPx: 60, lies: 'under',
  shrinkPercent: 0, turnS: 0, arcDeg: 70, comeMs: 180, goMs: 420, follow: softSpring,
}
