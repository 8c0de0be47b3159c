// Follow: its settings, with units and ranges, and its defaults.
import * as z from 'zod'
import { curveSchema, feelSchema } from '../../rig/schema'
import { timeRange, within } from '../settings'

export const ranges = {
  limit: { least: 0, greatest: 2000 },
  offset: { least: -400, greatest: 400 },
  lean: { least: 0, greatest: 45 },
} as const

export const followSettings = z.object({
  axes: z.enum(['both', 'across', 'up-down']),
  /** How far it may go from where it stands, px. */
  acrossPx: within(ranges.limit),
  upDownPx: within(ranges.limit),
  /** Where it rides beside the pointer, px. */
  offsetXPx: within(ranges.offset),
  offsetYPx: within(ranges.offset),
  /** px up and down by where the pointer is across the ground (0..1). */
  path: curveSchema,
  /** How far it leans at 1000 px a second, degrees. */
  leanDeg: within(ranges.lean),
  turns: z.enum(['no', 'heading']),
  away: z.enum(['home', 'stays']),
  comeMs: within(timeRange),
  goMs: within(timeRange),
  follow: feelSchema,
})

export type FollowSettings = z.infer<typeof followSettings>

export const straight: FollowSettings['path'] = { stops: [{ at: 0, value: 0 }, { at: 1, value: 0 }] }

export const followDefaults: FollowSettings = {
  axes: 'both', acrossPx: 600, upDownPx: 600, offsetXPx: 0, offsetYPx: 0, path: straight, leanDeg: 0, turns: 'no', away: 'home', comeMs: 160, goMs: 320,
  // Critically damped: it settles in 260 ms and never goes past the mark.
  follow: { kind: 'spring', frequencyHz: 3.571, dampingRatio: 1 },
}
