// What the studio and the page's frame say to each other. Every message is checked on both sides.
import * as z from 'zod'
import { seenSchema } from '../core/check/seen'
import { toldSchema } from '../core/check/told'
import { factNames, sheetsKnown, type FactName } from '../core/compile/facts'
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
const [inset, ring, softness, point, direction, zones, factor] = handleSchema.options
const shownHandle = z.discriminatedUnion('on', [
  inset.extend(valued),
  ring.extend(valued),
  /** The ring is `inner` px wide; the soft edge reaches so much further. */
  softness.omit({ beyond: true }).extend({ inner: finite, ...valued }),
  point.omit({ with: true }).extend(valued),
  direction.extend(valued),
  zones.extend(valued),
  factor.extend(valued),
])
export type ShownHandle = z.infer<typeof shownHandle>

/** An effect as it is drawn on the page: its number (none while it is only tried), whether it is the selected one, its pin and handles. */
const shownEffect = z.object({
  number: z.number().int().optional(),
  select: selector,
  selected: z.boolean(),
  /** What its pin and handles are drawn over, around the element that it is on; that element where it is left out. */
  ground: selector.optional(),
  /** Where it reads the pointer, if not in its own elements; whether it tells a zone there. */
  reads: selector.optional(),
  zones: z.boolean().optional(),
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

/** Whose the pointer of the page is: the studio's mode, as far as the page has part in it. */
const pointerMode = z.discriminatedUnion('is', [
  /** The real pointer, or the stand-in where it rested last. */
  z.object({ is: z.literal('real') }),
  /** The stand-in pointer plays a path over the first visible match. */
  z.object({ is: z.literal('playing'), select: selector }),
  /** A look is held, as a pointer that stays would hold it. */
  z.object({ is: z.literal('held'), look: z.enum(lookNames) }),
  /** The stand-in pointer is fastened where it stands. */
  z.object({ is: z.literal('fastened') }),
  /** It is fastened, and drags of what the selector matches are told. */
  z.object({ is: z.literal('posing'), select: selector }),
  /** The next clicks choose edges, up to two; the distance of two is measured over the whole travel of the pointer across `select`. */
  z.object({ is: z.literal('measuring'), edges: z.array(edge).max(2), select: selector.optional() }),
])
export type PageMode = z.infer<typeof pointerMode>

/** About what a page is asked that it may do to its elements. */
export const askedSchema = z.object({
  read: z.array(z.string()).readonly(),
  written: z.array(z.string()).readonly(),
  driven: z.array(z.string()).readonly(),
  turned: z.array(z.string()).readonly(),
  looked: z.array(z.object({ select: z.string(), properties: z.array(z.string()).readonly() })).readonly(),
})

/** What there is to know of a page for its effects. */
export const pageFactsSchema = z.object({
  ...(Object.fromEntries(factNames.map((name) => [name, z.boolean()])) as Record<FactName, z.ZodBoolean>),
  liesIn: z.array(z.tuple([z.string(), z.string()]).readonly()).readonly(),
  ownRules: z
    .array(
      z.object({
        context: z.array(z.string()).readonly(),
        select: z.string(),
        declarations: z
          .array(
            z
              .tuple([z.string(), z.string()])
              .readonly()
              .or(z.tuple([z.string(), z.string(), z.boolean()]).readonly()),
          )
          .readonly(),
      }),
    )
    .readonly(),
  ownLayers: z.array(z.string()).readonly(),
  hasPartTransitions: z.boolean(),
  hasClips: z.boolean(),
  hasEyes: z.boolean(),
  partStyles: z.array(z.string()).readonly(),
  contested: z.array(z.string()).readonly(),
  sheets: z.enum(sheetsKnown),
})

type Shape = z.ZodRawShape

/** How something is from now on: the last word of it is said again to a page that comes later. */
const lasting = <Fields extends Shape>(fields: Fields) => ({ lasts: true, fields }) as const
/** What happens now: who comes later hears nothing of it. */
const momentary = <Fields extends Shape>(fields: Fields) => ({ lasts: false, fields }) as const
/** What the page is asked, and what it answers; the answer bears the question's running number. */
const question = <Fields extends Shape, Answer extends z.ZodType>(fields: Fields, answer: Answer) =>
  ({ lasts: false, fields: { ...fields, ask: z.number().int() }, answer }) as const

/** What the studio says to the page. */
export const toStageTable = {
  /** The stylesheet of the effects. */
  dress: lasting({ stylesheet: z.string() }),
  /** Their script. */
  play: lasting({ played }),
  show: lasting({ effects: z.array(shownEffect) }),
  point: lasting({ on: z.boolean() }),
  /** Outlines what a selector matches, or one element by its number in the source. */
  outline: lasting({ select: z.union([z.string(), z.number().int()]).nullable() }),
  /** Bare view: boxes, clips, hidden and blurred things shown plainly, while it is on. */
  bare: lasting({ on: z.boolean() }),
  /** The chosen effects as text, for copying while the focus is in the page; empty for none. */
  copyable: lasting({ text: z.string() }),
  visit: lasting({ visitor: z.enum(['mouse', 'finger', 'keyboard', 'reduced', 'print', 'forced']) }),
  /** At which scale the page is shown: 1 for as it is. */
  scaled: lasting({ scale: finite.min(0.01).max(10) }),
  mode: lasting({ mode: pointerMode }),
  /** The pointer of another window, where it would be here: at a place on a match of a selector. */
  follow: lasting({ select: selector, index: z.number().int(), place }),
  /** The hand left the page: for the controls (the stand-in pointer stays) or for good. */
  leave: lasting({ to: z.enum(['controls', 'away']) }),
  /** Somebody listens only now: what was said at the beginning is said again. */
  again: momentary({}),
  /** A file that the page asked for. */
  asset: momentary({ hash: z.string(), mime: z.string(), bytes: z.instanceof(ArrayBuffer) }),
  /** Puts the stand-in pointer at a point of the window; quietly, where the real one is seen there. */
  stand: momentary({ x: finite, y: finite, quiet: z.boolean().optional() }),
  /** Plays a trace; null ends it. */
  run: momentary({ samples: z.array(runSample).max(20_000).nullable() }),
  /** Plays a built-in run over the first visible match. */
  'test-run': momentary({ run: z.enum(runNames), select: selector, bridge: selector.optional() }),
  /** What the page does to elements that effects read, and that they write on. */
  facts: question({ asked: askedSchema }, pageFactsSchema),
  /** What its markup and sheets tell of an effect. */
  told: question(
    {
      asked: z.object({
        select: z.string(),
        written: z.array(z.string()).readonly(),
        driven: z.array(z.string()).readonly(),
        takesClip: z.boolean(),
        adds: z.boolean(),
        shut: z.array(z.string()).readonly(),
        takesFocus: z.boolean(),
        own: z.string().optional(),
        layers: z.array(z.string()).readonly(),
        roles: z.record(z.string(), z.string()),
      }),
    },
    toldSchema,
  ),
  /** What is seen of an effect, wherever the pointer is on it; null where none of its elements is there, `busy` while something is on its way. */
  seen: question(
    {
      asked: z.object({
        select: z.string(),
        written: z.array(z.string()).readonly(),
        parts: z.array(z.string()).readonly(),
        properties: z.array(z.string()).readonly(),
        moves: z.boolean(),
        lens: z.object({ zoom: z.number(), sharper: z.string().optional() }).optional(),
      }),
    },
    z.union([seenSchema, z.literal('busy')]).nullable(),
  ),
  /** The ground of each match of a selector, as a CSS colour. */
  grounds: question({ select: selector }, z.array(z.string())),
  /** The colours that the page uses most. */
  colours: question({}, z.array(z.string())),
  /** The custom properties of the page that are colours, with what they come to. */
  'colour-names': question({}, z.array(z.object({ name: z.string(), css: z.string() }))),
  /** Where elements lie, for working out a trace elsewhere. */
  boxes: question(
    { selects: z.array(selector) },
    z.object({
      window: z.object({ width: finite, height: finite }),
      elements: z.record(z.string(), z.array(z.object({ x: finite, y: finite, width: finite, height: finite }))),
    }),
  ),
  /** By which property the page draws the elements of a selector flat, so that nothing in them can rise; null where it does not. */
  flat: question({ select: selector }, z.string().nullable()),
  /** Whether the first element of a selector stands in a line, as words do. */
  inline: question({ select: selector }, z.boolean()),
  /** Whether elements of a selector are of another size once they are containers of that type: what is in them no longer counts. */
  hugs: question({ select: selector, container: z.enum(['size', 'inline-size']) }, z.boolean()),
  /** How round the corners of the first element of a selector are, px: of the one that is rounded least. */
  corners: question({ select: selector }, finite),
  /** The row or column in which the first element of a selector stands; null where it stands alone. */
  row: question(
    { select: selector },
    z
      .object({
        count: finite,
        gapPx: finite,
        besidePx: finite,
        along: z.enum(['across', 'down']),
        isFlex: z.boolean(),
        isGrid: z.boolean(),
      })
      .nullable(),
  ),
  /** The rules of the page's own sheets that an element and what is in it need. */
  lift: question({ number: z.number().int() }, z.string()),
} as const

type ToStageTable = typeof toStageTable
type Said<Table extends Record<string, { readonly fields: Shape }>, Type extends keyof Table> = {
  readonly type: Type
} & (keyof Table[Type]['fields'] extends never ? unknown : z.output<z.ZodObject<Table[Type]['fields']>>)

/** A message of one type to the page. */
export type ToStageOf<Type extends keyof ToStageTable> = Type extends keyof ToStageTable ? Said<ToStageTable, Type> : never
export type ToStage = ToStageOf<keyof ToStageTable>
export type QuestionType = {
  [Type in keyof ToStageTable]: ToStageTable[Type] extends { readonly answer: z.ZodType } ? Type : never
}[keyof ToStageTable]
/** What the page answers to a question of this type. */
export type AnswerTo<Type extends QuestionType> = z.output<ToStageTable[Type]['answer']>
/** A question as it is asked: who asks it numbers it. */
export type Question<Type extends QuestionType> = Type extends QuestionType ? Omit<ToStageOf<Type>, 'ask'> : never

/** The check of every message of a table. */
function unionOf<Message>(table: Record<string, { readonly fields: Shape }>): z.ZodType<Message> {
  const [first, ...rest] = Object.entries(table).map(([type, { fields }]) => z.object({ type: z.literal(type), ...fields }))
  if (!first) throw new Error('This table has no messages.')
  return z.discriminatedUnion('type', [first, ...rest]) as unknown as z.ZodType<Message>
}
export const toStage = unionOf<ToStage>(toStageTable)

/** How the page is visited in its frame. */
export type Visitor = ToStageOf<'visit'>['visitor']

/** An element under the pointer, by its number in the source. Sizes in px of the window. */
const under = z.object({
  number: z.number().int(),
  how: z.enum(['seen', 'wraps', 'covered', 'hidden']),
  width: finite,
  height: finite,
  /** It is plainly seen as a box: by a ground, a border or a shadow, and is not the whole page. */
  isBox: z.boolean(),
})
export type Under = z.infer<typeof under>

const sample = z.object({
  t: finite,
  x: finite,
  y: finite,
  by: z.enum(['real', 'stand-in', 'path', 'run']),
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

const heardKey = {
  key: z.string(),
  code: z.string(),
  ctrlKey: z.boolean(),
  shiftKey: z.boolean(),
  altKey: z.boolean(),
  metaKey: z.boolean(),
}

/** What the page says to the studio; all of it for the moment. */
const fromStageTable = {
  /** The page stands; `isAgain` where somebody who listens only now has asked. */
  ready: momentary({ now: finite, isAgain: z.boolean() }),
  /** The answer to the question of a number. */
  answer: momentary({ to: z.number().int(), answer: z.unknown() }),
  under: momentary({ elements: z.array(under), chosen: z.boolean(), adds: z.boolean() }),
  samples: momentary({ samples: z.array(sample) }),
  cost: momentary({ cost }),
  /** Which zone the selected effect tells, counted from 0; null for none. */
  zone: momentary({ zone: z.number().int().nullable() }),
  /** The files that the page asks for, by hash. */
  needs: momentary({ hashes: z.array(z.string()) }),
  /** Elements with words or pictures in them that are not seen, although nothing hides what is around them. */
  unseen: momentary({
    elements: z.array(
      z.object({
        number: z.number().int(),
        /** The class that a script would set so that it is seen, and on which element. */
        by: z.object({ number: z.number().int(), class: z.string() }).optional(),
      }),
    ),
    /** The share of the first window, 0..1, that they would fill. */
    share: finite.min(0).max(1),
    /** How many of each sort of thing were held back of the page. */
    held: z.record(z.string(), z.number().int()),
  }),
  words: momentary({ number: z.number().int(), text: z.string() }),
  pin: momentary({ place, last: z.boolean() }),
  handle: momentary({ id: z.string(), value: finite, last: z.boolean() }),
  /** How far what is posed was dragged, px, and where the pointer is fastened. */
  posed: momentary({ x: finite, y: finite, place, last: z.boolean() }),
  edge: momentary({ edge }),
  /** The distance of the two edges, px (negative where they overlap), by where the pointer is along the travel, 0..1. */
  distances: momentary({ width: finite, across: z.array(finite), down: z.array(finite) }),
  key: momentary(heardKey),
  /** A key that is held went up while the page had the focus. */
  keyup: momentary({ code: z.string() }),
  link: momentary({ href: z.string() }),
  /** What is to be copied, cut or pasted while the focus is in the page. */
  clipboard: momentary({ what: z.enum(['copy', 'cut', 'paste']), text: z.string() }),
  /** The number of an effect was clicked, or asked for its menu, at a point of the window, px. */
  number: momentary({ number: z.number().int(), isMenu: z.boolean(), x: finite, y: finite }),
  /** A click on something that no effect is on, by its number in the source. */
  plain: momentary({ number: z.number().int() }),
  /** Ctrl and the wheel over the page, where no effect takes them: how many times as large, and about which point of the window, px. */
  zoom: momentary({ by: finite.positive(), x: finite, y: finite }),
} as const

type FromStageTable = typeof fromStageTable
export type FromStageOf<Type extends keyof FromStageTable> = Type extends keyof FromStageTable ? Said<FromStageTable, Type> : never
export type FromStage = FromStageOf<keyof FromStageTable>
export const fromStage = unionOf<FromStage>(fromStageTable)
