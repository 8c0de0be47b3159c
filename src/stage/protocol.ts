// What the studio and the page's frame say to each other. Every message is checked on both sides.
import * as z from 'zod'
import { factNames, type FactName } from '../core/compile/facts'
import { lookNames } from '../core/look/look'
import { sides } from '../core/rig/names'
import { handleSchema } from '../core/rig/schema'
import { keys, phases, pointerTypes } from '../core/signal/sample'
import { runNames } from '../core/trace/runs'

const selector = z.string().max(500)
const finite = z.number()
const place = z.object({ x: finite.min(-1).max(1), y: finite.min(-1).max(1) })

/** A script, and what it writes on the elements of the page. */
const played = z.object({ text: z.string(), writes: z.array(z.object({ name: z.string(), select: z.string() })).readonly() })
export type Played = z.infer<typeof played>

/** A number of the word in hand as it is drawn on the page. `id` is its control; lengths in px or % of the area. */
const valued = { id: z.string(), value: finite, least: finite, greatest: finite, unit: z.string() }
const [inset, ring, softness, point, direction, zones] = handleSchema.options
const shownHandle = z.discriminatedUnion('on', [
  inset.extend(valued),
  ring.extend(valued),
  /** The ring is `inner` px wide; the soft edge reaches so much further. */
  softness.omit({ beyond: true }).extend({ inner: finite, ...valued }),
  point.omit({ with: true }).extend(valued),
  direction.extend(valued),
  zones.extend(valued),
])
export type ShownHandle = z.infer<typeof shownHandle>

/** An effect as it is drawn on the page: its number (none while it is only tried), whether it is the selected one, its pin and handles. */
const shownEffect = z.object({
  number: z.number().int().optional(),
  select: selector,
  selected: z.boolean(),
  pin: place.optional(),
  handles: z.array(shownHandle).optional(),
})
export type ShownEffect = z.infer<typeof shownEffect>

/** An edge of an element, by its number in the source. */
const edge = z.object({ number: z.number().int(), side: z.enum(sides) })
export type Edge = z.infer<typeof edge>

/** A sample of a trace as it travels: time, place, buttons, phase, type of pointer; for a page that scrolls, how far. */
const runSample = z.object({
  t: finite,
  x: finite,
  y: finite,
  buttons: finite,
  phase: z.enum(phases),
  pointerType: z.enum(pointerTypes),
  scrollY: finite.optional(),
  by: finite.optional(),
  key: z.enum(keys).optional(),
})
export type RunSample = z.infer<typeof runSample>

export const toStage = z.discriminatedUnion('type', [
  /** The stylesheet of the effects. */
  z.object({ type: z.literal('dress'), stylesheet: z.string() }),
  /** Their script. */
  z.object({ type: z.literal('play'), played }),
  /** Asks what the page does to elements that effects read, and that they write on. */
  z.object({
    type: z.literal('facts'),
    key: z.string(),
    asked: z.object({ read: z.array(z.string()).readonly(), written: z.array(z.string()).readonly() }),
  }),
  z.object({ type: z.literal('show'), effects: z.array(shownEffect) }),
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
  /** Asks for the colours that the page uses most. */
  z.object({ type: z.literal('colours') }),
  /** Holds a look, as a pointer that stays would: no move changes it until it is let go. */
  z.object({ type: z.literal('hold'), look: z.enum(lookNames).nullable() }),
  /** Fastens the ghost where it stands, or lets it follow again. */
  z.object({ type: z.literal('fasten'), on: z.boolean() }),
  /** Stands the ghost at a point of the window; quietly, where the real pointer is seen there. */
  z.object({ type: z.literal('stand'), x: finite, y: finite, quiet: z.boolean().optional() }),
  /** Plays a trace; null ends it. */
  z.object({ type: z.literal('run'), samples: z.array(runSample).max(20_000).nullable() }),
  /** Plays a built-in run over the first visible match. */
  z.object({ type: z.literal('test-run'), run: z.enum(runNames), select: selector, bridge: selector.optional() }),
  /** Drags of what the selector matches are told, with the ghost fastened. */
  z.object({ type: z.literal('pose'), select: selector.nullable() }),
  /** Asks where elements lie, for working out a trace elsewhere. */
  z.object({ type: z.literal('boxes'), selects: z.array(selector) }),
  /** By what the page draws the elements of a selector flat, so that nothing in them can rise. */
  z.object({ type: z.literal('flat'), select: selector }),
  /** The next clicks choose edges. */
  z.object({ type: z.literal('edges'), on: z.boolean() }),
  /** Draws the gap between two edges, and measures it over the whole travel of the pointer across `select` if so asked. */
  z.object({ type: z.literal('gap'), edges: z.array(edge).max(2), select: selector.optional(), measures: z.boolean() }),
  /** Asks for the rules of the page's own sheets that an element and what is in it need. */
  z.object({ type: z.literal('lift'), number: z.number().int() }),
  /** The hand left the page: for the controls (the ghost stays) or for good. */
  z.object({ type: z.literal('leave'), to: z.enum(['controls', 'away']) }),
])
export type ToStage = z.infer<typeof toStage>

/** How the page is visited in its frame. */
export type Visitor = Extract<ToStage, { type: 'visit' }>['visitor']

/** An element under the pointer, by its number in the source. Sizes in px of the window. */
const under = z.object({ number: z.number().int(), how: z.enum(['seen', 'wraps', 'covered', 'hidden']), width: finite, height: finite })
export type Under = z.infer<typeof under>

const sample = z.object({
  t: finite,
  x: finite,
  y: finite,
  by: z.enum(['hand', 'ghost', 'walk', 'run']),
  phase: z.enum(['here', 'away']),
  place: place.optional(),
  index: z.number().int().optional(),
  buttons: finite.optional(),
  /** A wheel or two fingers turned, or a key went down: by how much, or which. */
  turned: z.object({ phase: z.enum(['wheel', 'pinch', 'key']), by: finite.optional(), key: z.enum(keys).optional() }).optional(),
  size: z.object({ width: finite, height: finite }).optional(),
})
export type ThreadSample = z.infer<typeof sample>

/** What a move costs at most: boxes read, elements written, and the share of the window (0..1) that is drawn anew. */
const cost = z.object({ boxes: z.number().int(), elements: z.number().int(), share: finite.min(0).max(1) })
export type Cost = z.infer<typeof cost>

/** What is known of the page: `PageFacts` of the compiler. */
/** What there is to know of a page for its effects. */
export const pageFactsSchema = z.object({
  ...(Object.fromEntries(factNames.map((name) => [name, z.boolean()])) as Record<FactName, z.ZodBoolean>),
  liesIn: z.array(z.tuple([z.string(), z.string()]).readonly()).readonly(),
})

export const fromStage = z.discriminatedUnion('type', [
  /** The page stands; `isAgain` where somebody who listens only now has asked. */
  z.object({ type: z.literal('ready'), now: finite, isAgain: z.boolean() }),
  z.object({ type: z.literal('under'), elements: z.array(under), chosen: z.boolean(), adds: z.boolean() }),
  z.object({ type: z.literal('samples'), samples: z.array(sample) }),
  z.object({ type: z.literal('cost'), cost }),
  z.object({ type: z.literal('facts'), key: z.string(), facts: pageFactsSchema }),
  /** The files that the page asks for, by hash. */
  z.object({ type: z.literal('needs'), hashes: z.array(z.string()) }),
  /** The ground of each match of a selector, as a CSS colour. */
  z.object({ type: z.literal('looks'), select: selector, grounds: z.array(z.string()) }),
  /** Elements with words or pictures in them that are not seen, although nothing hides what is around them. */
  z.object({ type: z.literal('unseen'), numbers: z.array(z.number().int()) }),
  z.object({ type: z.literal('words'), number: z.number().int(), text: z.string() }),
  z.object({ type: z.literal('pin'), place, last: z.boolean() }),
  z.object({ type: z.literal('handle'), id: z.string(), value: finite, last: z.boolean() }),
  z.object({ type: z.literal('colours'), colours: z.array(z.string()) }),
  /** How far what is posed was dragged, px, and where the pointer is fastened. */
  z.object({ type: z.literal('posed'), x: finite, y: finite, place, last: z.boolean() }),
  z.object({ type: z.literal('flat'), by: z.string().nullable() }),
  z.object({
    type: z.literal('boxes'),
    window: z.object({ width: finite, height: finite }),
    elements: z.record(z.string(), z.array(z.object({ x: finite, y: finite, width: finite, height: finite }))),
  }),
  z.object({ type: z.literal('edge'), edge }),
  /** The gap between the two edges, px (negative where they overlap), by where the pointer is along the travel, 0..1. */
  z.object({ type: z.literal('gaps'), width: finite, across: z.array(finite), down: z.array(finite) }),
  z.object({ type: z.literal('lifted'), number: z.number().int(), css: z.string() }),
  z.object({
    type: z.literal('key'),
    key: z.string(),
    code: z.string(),
    ctrlKey: z.boolean(),
    shiftKey: z.boolean(),
    altKey: z.boolean(),
    metaKey: z.boolean(),
  }),
  /** The key of the bare view went up while the page had the focus. */
  z.object({ type: z.literal('keyup'), code: z.string() }),
  z.object({ type: z.literal('link'), href: z.string() }),
])
export type FromStage = z.infer<typeof fromStage>
