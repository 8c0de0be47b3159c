// Tilt: its settings, with units and ranges, and its defaults.
import * as z from 'zod'
import { feelSchema } from '../../rig/schema'

export const angleRange = { least: 0, greatest: 45 } as const
export const eyeRange = { least: 200, greatest: 3000 } as const
export const liftRange = { least: 0, greatest: 300 } as const
export const growRange = { least: 0, greatest: 50 } as const
export const timeRange = { least: 0, greatest: 5000 } as const

const within = ({ least, greatest }: { least: number; greatest: number }) => z.number().min(least).max(greatest)
const centred = z.number().min(-1).max(1)

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
  pose: z.object({ x: centred, y: centred }),
})

export type TiltSettings = z.infer<typeof tiltSettings>

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
}
