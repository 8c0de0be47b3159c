// Tilt: its settings, with units and ranges, and its defaults.
import * as z from 'zod'
import { feelSchema } from '../../rig/schema'
import { layerId, mostLayers } from '../layers'
import { cssValueSchema, percentRange, poseSchema, timeRange, within } from '../settings'

export const angleRange = { least: 0, greatest: 45 } as const
export const eyeRange = { least: 200, greatest: 3000 } as const
export const liftRange = { least: 0, greatest: 300 } as const
export const growRange = { least: 0, greatest: 50 } as const
export const heightRange = { least: -300, greatest: 300 } as const
export const sheenRanges = { size: { least: 10, greatest: 300 }, travel: { least: 0, greatest: 150 } } as const
export const shadowRanges = { travel: { least: 0, greatest: 120 }, soft: { least: 0, greatest: 200 } } as const

const layerSchema = z.object({ id: layerId, heightPx: within(heightRange) })

export const tiltSettings = z.object({
  /** Degrees at the left and right edge, and at the upper and lower one. */
  acrossDeg: within(angleRange),
  upDownDeg: within(angleRange),
  /** One angle for both: `upDownDeg` is then not used. */
  linked: z.boolean(),
  /** What the edge under the pointer does. */
  edge: z.enum(['sinks', 'rises']),
  /** Distance of the eye, px. */
  eyePx: within(eyeRange),
  /** How far it comes toward the eye while the pointer is there, px. */
  liftPx: within(liftRange),
  /** By how much it grows while the pointer is there, %. */
  growPercent: within(growRange),
  /** How long lift and growth take to come and to go, ms. */
  comeMs: within(timeRange),
  goMs: within(timeRange),
  follow: feelSchema,
  /** The feel of the way back to the away pose; the same as `follow` when null. */
  back: feelSchema.nullable(),
  away: z.enum(['settle', 'hold']),
  pose: poseSchema,
  /** The vanishing point: its own, at its middle, or one that it shares with what stands beside it. */
  vanishing: z.enum(['own', 'shared']).default('own'),
  /** What floats above the card, and how high, px; below it where the height is negative. */
  layers: z.array(layerSchema).max(mostLayers).readonly().default([]),
  /** In one space with the card, or by sliding on it: for cards that cut off or filter what they hold, which presses it flat. */
  layersRise: z.enum(['space', 'card']).default('space'),
  /** The sheen: its strength, %; its size and travel, % of the card; how soft it is, %. */
  sheenPercent: within(percentRange).default(0),
  sheenSizePercent: within(sheenRanges.size).default(110),
  sheenTravelPercent: within(sheenRanges.travel).default(60),
  sheenSoftPercent: within(percentRange).default(80),
  sheenWay: z.enum(['opposite', 'along']).default('opposite'),
  sheenShape: z.enum(['round', 'band']).default('round'),
  sheenColour: cssValueSchema.default('#ffffff'),
  sheenBlend: z.enum(['normal', 'screen', 'soft-light', 'overlay']).default('normal'),
  /** How far the shadow goes away from the pointer, px (0 is none), how soft it is, px, and its colour. */
  shadowPx: within(shadowRanges.travel).default(0),
  shadowSoftPx: within(shadowRanges.soft).default(28),
  shadowColour: cssValueSchema.default('rgb(16 18 22 / 0.34)'),
})

export type TiltSettings = z.infer<typeof tiltSettings>
export type TiltLayer = z.infer<typeof layerSchema>

export const tiltDefaults: TiltSettings = {
  acrossDeg: 9,
  upDownDeg: 9,
  linked: true,
  edge: 'sinks',
  eyePx: 820,
  liftPx: 0,
  growPercent: 0,
  comeMs: 180,
  goMs: 320,
  follow: { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 },
  back: null,
  away: 'settle',
  pose: { x: 0, y: 0 },
  vanishing: 'own',
  layers: [],
  layersRise: 'space',
  sheenPercent: 0,
  sheenSizePercent: 110,
  sheenTravelPercent: 60,
  sheenSoftPercent: 80,
  sheenWay: 'opposite',
  sheenShape: 'round',
  sheenColour: '#ffffff',
  sheenBlend: 'normal',
  shadowPx: 0,
  shadowSoftPx: 28,
  shadowColour: 'rgb(16 18 22 / 0.34)',
}
