// Grain light: its settings, with units and ranges, and its defaults.
import * as z from 'zod'
import { readGradient } from '../../curve/gradient'
import { feelSchema } from '../../rig/schema'
import { softSpring } from '../build'
import { cssValueSchema, percentRange, poseSchema, timeRange, within } from '../settings'

export const ranges = {
  fineness: { least: 0.1, greatest: 2 },
  detail: { least: 1, greatest: 5 },
  seed: { least: 0, greatest: 999 },
  radius: { least: 40, greatest: 2000 },
} as const

export const grainLightSettings = z.object({
  gradient: cssValueSchema.refine((css) => readGradient(css) !== undefined, { error: 'is not a gradient of CSS with its stops' }),
  /** Specks a px (the base frequency of the noise), and octaves of detail. */
  fineness: within(ranges.fineness),
  detail: within(ranges.detail).int(),
  grainPercent: within(percentRange),
  speckle: z.enum(['light', 'dark']),
  seed: within(ranges.seed).int(),
  /** The light: radius, px, and strength, %. */
  radiusPx: within(ranges.radius),
  lightPercent: within(percentRange),
  colour: cssValueSchema,
  falloff: z.enum(['soft', 'even']),
  away: z.enum(['out', 'pinned', 'stays']),
  pose: poseSchema,
  comeMs: within(timeRange),
  goMs: within(timeRange),
  follow: feelSchema,
})

export type GrainLightSettings = z.infer<typeof grainLightSettings>

export const grainLightDefaults: GrainLightSettings = {
  gradient: 'linear-gradient(155deg, #22303a 0%, #3b4a41 55%, #6d5a3c 100%)', fineness: 0.8, detail: 2, grainPercent: 34, speckle: 'light', seed: 7,
  radiusPx: 360, lightPercent: 36, colour: '#ffd9a0', falloff: 'soft', away: 'out', pose: { x: 0, y: 0 }, comeMs: 320, goMs: 900, follow: softSpring,
}
