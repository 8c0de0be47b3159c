// Fold: its settings, with units and ranges, and its defaults.
import * as z from 'zod'
import { feelSchema } from '../../rig/schema'
import { softSpring } from '../build'
import { cssValueSchema, percentRange, poseSchema, within } from '../settings'

export const ranges = {
  corner: { least: 5, greatest: 95 },
  angle: { least: 0, greatest: 45 },
  travel: { least: 0, greatest: 60 },
} as const

export const foldSettings = z.object({
  /** Where the corner stands, % of the heading from its left edge. */
  cornerPercent: within(ranges.corner),
  /** How far each wall is skewed, degrees. */
  angleDeg: within(ranges.angle),
  /** Toward the eye or away from it. */
  corner: z.enum(['outer', 'inner']),
  /** How dark the second wall is, %, and with what; what both walls are made of. */
  shadePercent: within(percentRange),
  shade: cssValueSchema,
  ground: cssValueSchema,
  /** How far the words slide at either edge, % of the heading. */
  travelPercent: within(ranges.travel),
  way: z.enum(['against', 'with']),
  follow: feelSchema,
  back: feelSchema.nullable(),
  away: z.enum(['settle', 'hold']),
  pose: poseSchema,
})

export type FoldSettings = z.infer<typeof foldSettings>

export const foldDefaults: FoldSettings = {
  cornerPercent: 42, angleDeg: 26, corner: 'outer', shadePercent: 30, shade: '#10140f', ground: 'transparent', travelPercent: 12, way: 'against',
  follow: softSpring, back: null, away: 'settle', pose: { x: 0, y: 0 },
}
