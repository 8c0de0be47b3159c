// Drift: its settings, with units and ranges, and its defaults.
import * as z from 'zod'
import { feelSchema } from '../../rig/schema'
import { softSpring } from '../build'
import { layerId, mostLayers } from '../layers'
import { poseSchema, within } from '../settings'

export const ranges = {
  amount: { least: 0, greatest: 300 },
  turn: { least: 0, greatest: 45 },
  scale: { least: 0, greatest: 50 },
} as const

const layerSchema = z.object({ id: layerId, amount: within(ranges.amount) })

export const driftSettings = z.object({
  /** How far each layer slides at the edges, in `unit`. */
  layers: z.array(layerSchema).max(mostLayers).readonly(),
  /** px, or % of the layer itself. */
  unit: z.enum(['px', '%']),
  way: z.enum(['against', 'with']),
  axes: z.enum(['both', 'across', 'up-down']),
  /** How far every layer turns at the left and right edge, degrees, and grows while the pointer is there, %. */
  turnDeg: within(ranges.turn),
  scalePercent: within(ranges.scale),
  /** Layers may leave the box, are cut at it, or are enlarged so that no edge of theirs shows in it. */
  kept: z.enum(['free', 'cut', 'enlarged']),
  follow: feelSchema,
  back: feelSchema.nullable(),
  away: z.enum(['settle', 'hold']),
  pose: poseSchema,
})

export type DriftSettings = z.infer<typeof driftSettings>
export type DriftLayer = z.infer<typeof layerSchema>

export const driftDefaults: DriftSettings = {
  layers: [{ id: 'layer-1', amount: 22 }, { id: 'layer-2', amount: 6 }], unit: 'px', way: 'against', axes: 'both', turnDeg: 0, scalePercent: 0, kept: 'free',
  follow: softSpring, back: null, away: 'settle', pose: { x: 0, y: 0 },
}
