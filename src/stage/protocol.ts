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
  own: z.record(z.string(), z.string()).optional(),
  drives: z.array(z.string()).readonly(),
})

/** A figure as it is drawn on the page: its number (none while it is only tried), whether it is the selected one, its pin. */
const shownFigure = z.object({ number: z.number().int().optional(), select: selector, selected: z.boolean(), pin: place.optional() })
export type ShownFigure = z.infer<typeof shownFigure>

export const toStage = z.discriminatedUnion('type', [
  z.object({ type: z.literal('play'), stylesheet: z.string(), figures: z.array(playedFigure).readonly() }),
  z.object({ type: z.literal('show'), figures: z.array(shownFigure) }),
  /** Somebody listens only now: what was said at the beginning is said again. */
  z.object({ type: z.literal('again') }),
  z.object({ type: z.literal('point'), on: z.boolean() }),
  /** Outlines what a selector matches, or one element by its number in the source. */
  z.object({ type: z.literal('outline'), select: z.union([z.string(), z.number().int()]).nullable() }),
  /** Asks for the ground of each match, for what each has of its own. */
  z.object({ type: z.literal('look'), select: selector }),
  /** A file that the page asked for. */
  z.object({ type: z.literal('asset'), hash: z.string(), mime: z.string(), bytes: z.instanceof(ArrayBuffer) }),
  /** Bare view: boxes, clips, hidden and blurred things shown plainly, while it is on. */
  z.object({ type: z.literal('bare'), on: z.boolean() }),
  z.object({ type: z.literal('visit'), visitor: z.enum(['mouse', 'finger', 'keyboard', 'reduced']) }),
  z.object({ type: z.literal('walk'), select: selector.nullable() }),
  /** The pointer of another window, where it would be here: at a place on a match of a selector. */
  z.object({ type: z.literal('follow'), select: selector, index: z.number().int(), place }),
  /** The hand left the page: for the controls (the ghost stays) or for good. */
  z.object({ type: z.literal('leave'), to: z.enum(['controls', 'away']) }),
])
export type ToStage = z.infer<typeof toStage>

/** How the page is visited in its frame. */
export type Visitor = Extract<ToStage, { type: 'visit' }>['visitor']

/** An element under the pointer, by its number in the source. Sizes in px of the window. */
const under = z.object({ number: z.number().int(), how: z.enum(['seen', 'wraps', 'covered', 'hidden']), width: finite, height: finite })
export type Under = z.infer<typeof under>

const sample = z.object({ t: finite, x: finite, y: finite, by: z.enum(['hand', 'ghost', 'walk']), phase: z.enum(['here', 'away']), place: place.optional(), index: z.number().int().optional() })
export type ThreadSample = z.infer<typeof sample>

export const fromStage = z.discriminatedUnion('type', [
  z.object({ type: z.literal('ready'), now: finite }),
  z.object({ type: z.literal('under'), elements: z.array(under), chosen: z.boolean(), adds: z.boolean() }),
  z.object({ type: z.literal('samples'), samples: z.array(sample) }),
  /** The files that the page asks for, by hash. */
  z.object({ type: z.literal('needs'), hashes: z.array(z.string()) }),
  /** The ground of each match of a selector, as a CSS colour. */
  z.object({ type: z.literal('looks'), select: selector, grounds: z.array(z.string()) }),
  /** Elements with words or pictures in them that are not seen, although nothing hides what is around them. */
  z.object({ type: z.literal('unseen'), numbers: z.array(z.number().int()) }),
  z.object({ type: z.literal('words'), number: z.number().int(), text: z.string() }),
  z.object({ type: z.literal('pin'), place, last: z.boolean() }),
  z.object({ type: z.literal('key'), key: z.string(), code: z.string(), ctrlKey: z.boolean(), shiftKey: z.boolean(), altKey: z.boolean(), metaKey: z.boolean() }),
  /** The key of the bare view went up while the page had the focus. */
  z.object({ type: z.literal('keyup'), code: z.string() }),
  z.object({ type: z.literal('link'), href: z.string() }),
])
export type FromStage = z.infer<typeof fromStage>
