// What the studio and the page's frame say to each other. Every message is checked on both sides.
import * as z from 'zod'
import { anyCurveSchema, areaShape, followedShape, frameOfSchema, otherTargetSchema } from '../core/rig/schema'

const selector = z.string().max(500)
const finite = z.number()
const place = z.object({ x: finite.min(-1).max(1), y: finite.min(-1).max(1) })

const playedFigure = z.object({
  title: z.string(),
  name: z.string(),
  area: areaShape.pick({ of: true, select: true, insets: true, box: true, among: true, bridge: true, pointer: true, looks: true }).extend({ touch: z.literal('tap').optional() }),
  frames: z
    .array(
      z.object({
        of: frameOfSchema,
        channels: z
          .array(
            followedShape.extend({
              seenBy: z.number().int().optional(),
              writes: z.array(z.object({ property: z.string(), to: otherTargetSchema.optional(), curve: anyCurveSchema.optional(), link: z.number().int().optional() })).readonly(),
            }),
          )
          .readonly(),
      }),
    )
    .readonly(),
  parts: z.array(z.object({ id: z.string(), className: z.string(), inside: z.string().optional(), count: z.number().int().optional(), whileOn: z.boolean().optional() })).readonly().optional(),
  own: z.string().optional(),
  drives: z.array(z.string()).readonly(),
})

/** A figure as it is drawn on the page: its number (none while it is only tried), whether it is the selected one, its pin. */
const shownFigure = z.object({ number: z.number().int().optional(), select: selector, selected: z.boolean(), pin: place.optional() })
export type ShownFigure = z.infer<typeof shownFigure>

export const toStage = z.discriminatedUnion('type', [
  z.object({ type: z.literal('play'), stylesheet: z.string(), figures: z.array(playedFigure).readonly() }),
  z.object({ type: z.literal('show'), figures: z.array(shownFigure) }),
  z.object({ type: z.literal('point'), on: z.boolean() }),
  z.object({ type: z.literal('outline'), select: selector.nullable() }),
  z.object({ type: z.literal('count'), selects: z.array(selector) }),
  /** Asks what a selector is about, as a rung of the ladder. */
  z.object({ type: z.literal('describe'), select: selector }),
  z.object({ type: z.literal('walk'), select: selector.nullable() }),
  /** The hand left the page: for the controls (the ghost stays) or for good. */
  z.object({ type: z.literal('leave'), to: z.enum(['controls', 'away']) }),
])
export type ToStage = z.infer<typeof toStage>

/** One rung of the ladder: an element under the pointer, and what choosing it or its likes would match. */
const rung = z.object({
  noun: z.string(),
  element: z.string(),
  one: selector,
  likes: z.object({ select: selector, count: z.number().int() }).optional(),
})
export type Rung = z.infer<typeof rung>

const sample = z.object({ t: finite, x: finite, y: finite, by: z.enum(['hand', 'ghost', 'walk']), phase: z.enum(['here', 'away']), place: place.optional() })
export type ThreadSample = z.infer<typeof sample>

export const fromStage = z.discriminatedUnion('type', [
  z.object({ type: z.literal('ready'), now: finite }),
  z.object({ type: z.literal('ladder'), rungs: z.array(rung), pick: z.number().int(), chosen: z.boolean() }),
  z.object({ type: z.literal('samples'), samples: z.array(sample) }),
  /** How many elements each selector matches (null where it cannot be read), and which of the others share some of them. */
  z.object({ type: z.literal('counts'), counts: z.array(z.object({ select: selector, count: z.number().int().nullable(), sharedWith: z.array(selector) })) }),
  z.object({ type: z.literal('described'), select: selector, rung }),
  z.object({ type: z.literal('pin'), place, last: z.boolean() }),
  z.object({ type: z.literal('key'), key: z.string(), code: z.string(), ctrlKey: z.boolean(), shiftKey: z.boolean(), altKey: z.boolean(), metaKey: z.boolean() }),
  z.object({ type: z.literal('link'), href: z.string() }),
])
export type FromStage = z.infer<typeof fromStage>
