// The rig, described once: what is checked at the border, and what all types of it are read from (`rig.ts`, and beside each idea).
import * as z from 'zod'
import { parseEasing } from '../curve/easing'
import { lookNames } from '../look/look'
import { selectorText, valueText, valueWithHoles } from './css-text'
import { filterFunctions, sides, transformFunctions, units } from './names'
import { orZero } from './near-zero'

const number = (least: number, greatest: number) => z.number().min(least).max(greatest).overwrite(orZero)
const identifier = z.string().regex(/^[A-Za-z][A-Za-z0-9-]{0,39}$/, 'an identifier is a letter, then letters, digits and hyphens')
const select = selectorText()
const px = number(-1e6, 1e6)
const axis = z.enum(['x', 'y'])

// Feels: how a value follows its target in time.

export const easingSchema = z
  .string()
  .refine((text) => parseEasing(text) !== undefined, {
    error: 'is not an easing: use linear, linear(...), ease, ease-in, ease-out, ease-in-out, cubic-bezier(...) or steps(...)',
  })

/** The value itself, at once. */
export const directSchema = z.object({ kind: z.literal('direct') })

/** The gap halves every so many ms. */
export const glideSchema = z.object({ kind: z.literal('glide'), halfLifeMs: number(0.1, 60_000) })

/** A damped spring, by what it would do without damping (Hz) and by how much it is damped (1: as fast as it can be without going past). */
export const springSchema = z.object({ kind: z.literal('spring'), frequencyHz: number(0.05, 60), dampingRatio: number(0.05, 20) })

/** From where it is to the target in a given time, after a delay; `easing` as CSS text. */
export const timedSchema = z.object({
  kind: z.literal('timed'),
  durationMs: number(0, 60_000),
  easing: easingSchema,
  delayMs: number(0, 60_000),
})

export const feelSchema = z.discriminatedUnion('kind', [directSchema, glideSchema, springSchema, timedSchema])

// Curves: how a number becomes a value, by stops with easing between them.

const rising = (stops: readonly { at: number }[]) => stops.every((stop, i) => i === 0 || stop.at > (stops[i - 1]?.at ?? -Infinity))
const stopsOf = <Value extends z.ZodType>(value: Value) =>
  z
    .array(
      z.object({
        at: px,
        value,
        /** The way from this stop to the next one; `linear` when left out. */
        easing: easingSchema.optional(),
      }),
    )
    .min(2, 'a curve needs two stops at least')
    .max(100)
    .refine(rising, { error: 'the stops of a curve rise from each to the next' })
    .readonly()

export const curveSchema = z.object({
  stops: stopsOf(px),
  /** Outside of the stops the end values hold (when left out), or the outermost segments go on as straight lines. */
  beyond: z.enum(['clamp', 'extend']).optional(),
  /** The value is rounded to whole steps of this size. */
  step: z.number().min(1e-9).optional(),
})

/** A colour: lightness 0..1; then a and b (about -0.4..0.4), or chroma 0..0.5 and hue in degrees; then alpha 0..1. */
export const colourSchema = z.object({
  space: z.enum(['oklab', 'oklch']),
  values: z.tuple([number(0, 1), number(-0.5, 0.5), z.number().overwrite(orZero), number(0, 1)]).readonly(),
})

export const colourCurveSchema = z.object({
  colours: stopsOf(colourSchema).refine((stops) => stops.every(({ value }) => value.space === stops[0]?.value.space), {
    error: 'the colours of a curve are in one space',
  }),
})

/** A length along a side: px, or % of the box along the same axis. */
export const lengthSchema = z.object({ value: number(-10_000, 10_000), unit: z.enum(['px', '%']) })

export const insetsSchema = z.object({ top: lengthSchema, right: lengthSchema, bottom: lengthSchema, left: lengthSchema })

// Signals: numbers read from the pointer in a frame of reference.

/** One value, or one for each side: top, right, bottom, left. */
export const poseSchema = z.union([px, z.tuple([px, px, px, px]).readonly()])

/** A number for each look; those left out are as `off`. */
export const lookValuesSchema = z.object({ off: px, on: px.optional(), pressed: px.optional(), still: px.optional() })

/** Which is chosen before the pointer first comes, counted from 0; none where it is left out. */
const firstZone = z.number().int().min(0).max(10_000).optional()

/** The elements of which the one that gets the focus, or holds what does, chooses the zone of its order. */
const zoneFocus = select.optional()

/** The elements of which the one that a finger is on chooses the zone of its order, wherever zones lie. */
const zoneTouched = select.optional()

const signalSchemas = [
  /** 0..1 between the insets of the padding box; held at the ends, or running on. */
  z.object({ of: z.enum(['x', 'y', 'centredX', 'centredY']), beyond: z.enum(['clamp', 'extend']).optional() }),
  /** px from the left or upper edge of the padding box, or from that of the border box, or from the middle. */
  z.object({ of: z.enum(['xPx', 'yPx']), from: z.enum(['padding', 'border', 'centre']).optional() }),
  /**
   * `angle`, `heading`: degrees clockwise from up, unwrapped: where the pointer is seen from the middle, or which way it moves. `speed`: px/s; it
   * halves every 50 ms. `inside`, `pressed`, `focus`: 0 or 1.
   */
  z.object({ of: z.enum(['angle', 'heading', 'speed', 'inside', 'pressed', 'focus']) }),
  /** px from the middle, or from the edge of the border box: negative inside. */
  z.object({ of: z.literal('distance'), from: z.enum(['centre', 'edge']) }),
  /** Which of columns x rows, row by row from 0: of the frame, or of what insets of its own leave of it, beyond which the outermost ones go on. */
  z.object({
    of: z.literal('zone'),
    columns: z.number().int().min(1).max(100),
    rows: z.number().int().min(1).max(100),
    insets: insetsSchema.optional(),
    hysteresisPx: number(0, 1000).optional(),
    first: firstZone,
    focus: zoneFocus,
    touched: zoneTouched,
  }),
  /** Which of the elements that `among` matches is nearest. */
  z.object({ of: z.literal('nearest'), among: select, hysteresisPx: number(0, 1000).optional(), first: firstZone, focus: zoneFocus }),
  /** Which of several the pointer is on: of these selectors the number, from 1, of the innermost element that one of them matches; 0 on none. */
  z.object({ of: z.literal('over'), among: z.array(select).min(1).max(20).readonly() }),
  /**
   * Of the innermost element that `among` matches under the pointer, or of the last one that was: from the pointer to its middle, and how
   * large it is with its borders, px. 0 before there was one.
   */
  z.object({ of: z.enum(['overX', 'overY', 'overWidth', 'overHeight']), among: select }),
  /** 1 for that element of the frame's which a zone of the same area chooses, by their order; 0 for the others. */
  z.object({ of: z.literal('chosen'), by: identifier }),
  /** Where beside a finger there is room: -1 above it, 1 below where there are less than so many px above in the window; 0 for a mouse or a pen. */
  z.object({ of: z.literal('finger'), roomPx: number(0, 10_000) }),
  /** How large the frame is, by how much what it holds is larger (overflow), and by how much it is larger than its area (excess), px: with the pointer and without it. */
  z.object({ of: z.enum(['width', 'height', 'overflowX', 'overflowY', 'excessX', 'excessY']) }),
  /** 1 once the pointer has travelled less than 3 px for so long. */
  z.object({ of: z.literal('still'), afterMs: number(1, 60_000) }),
  /** 0 when the pointer is away, 1 when it is there, with times to come and to go. */
  z.object({ of: z.literal('here'), come: timedSchema, go: timedSchema }),
  /** Which side it came in or went out by: 0 top, 1 right, 2 bottom, 3 left; on one axis where given. */
  z.object({ of: z.enum(['entrySide', 'exitSide']), axis: axis.optional() }),
  /** px in the frame, as it was so long ago. */
  z.object({ of: z.literal('past'), axis, lagMs: number(0, 2000) }),
  /** 0..1 over each period of the trace's clock, while the pointer is there. */
  z.object({ of: z.literal('time'), periodMs: number(10, 3_600_000) }),
  /** How far a wheel was turned over it: from `start`, so much with each px, between two limits. */
  z.object({ of: z.literal('wheel'), start: px, least: px, greatest: px, perPx: number(-1000, 1000) }),
  /** How many times as large two fingers made it, or the wheel with Ctrl: from `start`, between two limits. */
  z.object({ of: z.literal('pinch'), start: number(1e-3, 1e3), least: number(1e-3, 1e3), greatest: number(1e-3, 1e3) }),
  /** A number for each look of the match. */
  z.object({
    of: z.literal('look'),
    values: lookValuesSchema,
    /** What any other match shows. */
    whose: z.literal('others').optional(),
    enterFrom: poseSchema.optional(),
    leaveTo: poseSchema.optional(),
    /** Sides are those of one axis. */
    axis: axis.optional(),
  }),
] as const

/** The names of all signals, for the message about one that there is not. */
export const signalNames: readonly string[] = signalSchemas.flatMap((schema) => {
  const { of } = schema.shape
  return of instanceof z.ZodLiteral ? [...of.values] : of.options
})

export const signalSchema = z.discriminatedUnion('of', signalSchemas, {
  error: ({ input }) => {
    const name = (input as { of?: unknown } | null | undefined)?.of
    return `there is no signal ${JSON.stringify(name) ?? 'without a name'}; signals are ${signalNames.join(', ')}`
  },
})

// Areas: where the pointer is read.

/** The hover state machine of an area. Times in ms. */
export const looksSchema = z.object({
  /** How long it stays on after the last cause has gone. */
  goDelayMs: number(0, 60_000),
  /** After standing still for so long it shows `still`; never when left out. */
  stillMs: number(1, 60_000).optional(),
  /** At most one match is on; the latest cause wins. */
  atMostOne: z.boolean(),
  /** The keyboard's focus counts as a cause. */
  keys: z.boolean(),
  /** It stays on when the last cause has gone, until another match comes on (where at most one is) or Escape puts it off. */
  stays: z.boolean().optional(),
  /** Which match is on from the start, counted from 0. */
  first: z.number().int().min(0).max(1000).optional(),
  /** Escape puts it off at once, until its causes have gone. */
  escape: z.boolean().optional(),
  /** A tap puts it on also where it is on a link or a button: a link is followed by the next one. */
  opensByTap: z.boolean().optional(),
})

export const areaSchema = z
  .object({
    id: identifier,
    /** Each element that `select` matches, all of them as one place, or the whole window (then nothing is selected). */
    of: z.enum(['each', 'group', 'window']),
    select: z.union([z.literal(''), selectorText()]),
    /** How far inside its edges the area counts; negative: outside. */
    insets: insetsSchema.optional(),
    /** `still`: where it would lie if no effect moved it. `live`: where it is. */
    box: z.enum(['still', 'live']),
    /** What the pointer hits tells which match it is on, so that a thousand cost what ten do: for matches that nothing moves. */
    byHit: z.boolean().optional(),
    /** Whether one match at most has the pointer, or all that hold it. */
    among: z.enum(['one', 'all']),
    /** Beyond its own box it counts only where the pointer is on one of these, such as the other matches: a light that goes over the border between two. */
    beyond: select.optional(),
    /** Where the pointer is on one of these it is not there: on what a page leaves to the browser, such as text fields. */
    except: select.optional(),
    /** More elements that count as the same place: inside the match, or anywhere for a group. */
    bridge: select.optional(),
    /** An element for each match, in step with it and anywhere on the page, that counts as the same place. */
    joined: select.optional(),
    /** What is joined is read out as what describes the match, or what in it takes the focus. */
    describes: z.boolean().optional(),
    /** Where what is joined lies: beside the match, so far from it; on the other side where there is no room, and within the window. */
    placed: z.object({ side: z.enum(sides), align: z.enum(['start', 'center', 'end']), gapPx: number(0, 400) }).optional(),
    /** `fine`: a mouse or a pen only. `any`: a finger too. */
    pointer: z.enum(['fine', 'any']),
    /** What a finger does to it; the page scrolls along the axes that are left. */
    touch: z.enum(['none', 'tap', 'drag-x', 'drag-y', 'drag']),
    /** While it has the focus, arrow keys move the pointer on it by this share of its size; Home and End take it to the ends. */
    arrowKeys: number(0.001, 1).optional(),
    /** The hover looks of each match, where it has some. */
    looks: looksSchema.optional(),
  })
  .refine(({ of, select: text }) => of === 'window' || text !== '', { error: 'needs a selector', path: ['select'] })

// Channels: what follows the pointer.

/**
 * Where a channel lies when the pointer is not there: it settles at a pose (a number of the signal), holds what it had,
 * or lets go: it holds, and the weight of its outputs goes to 0, so that the page's own style comes back.
 */
export const awaySchema = z.object({
  kind: z.enum(['settle', 'hold', 'letGo']),
  pose: px,
  /** For px along a side: the pose is a share of the area, from 0 at its left or upper edge to 1, in whatever frame it is told. */
  isShare: z.boolean().optional(),
  /** What a finger brings stays when it is lifted: it cannot rest there as a mouse can. Of what is read by place alone. */
  byFinger: z.literal('hold').optional(),
})

/** In whose coordinates the pointer is read: the area's, the window's, each element of a role's, one box's, or a part's that is added when it runs. */
export const frameOfSchema = z.union([
  z.enum(['area', 'window']),
  z.object({ each: select }).strict(),
  z.object({ box: select }).strict(),
  z.object({ part: identifier }).strict(),
])

/** The feel of the way from one look to another. */
export const timingSchema = z.object({ from: z.enum([...lookNames, 'any']), to: z.enum(lookNames), feel: feelSchema })

/** One follower: a signal through a curve, following with one feel. */
export const channelSchema = z.object({
  id: identifier,
  area: identifier,
  frame: frameOfSchema,
  signal: signalSchema,
  away: awaySchema,
  curve: curveSchema.optional(),
  feel: feelSchema,
  /** The feel for the way to `away`. */
  going: feelSchema.optional(),
  /** For looks: other feels for some pairs. */
  timing: z.array(timingSchema).max(20).readonly().optional(),
  /** The channel that tells whether this one is seen: while that is 0 it starts at the pointer, not where it was left. */
  seenBy: identifier.optional(),
  /** A chain of so many followers, each after the one before; the feel is a glide. Or, of where the pointer was: at so many times, each so much earlier again, since it came. */
  chain: z.number().int().min(1).max(60).optional(),
  /** What it moves; with reduced motion everything but `light` and `state` stays at its away pose. */
  group: z.enum(['turn', 'travel', 'scale', 'light', 'state']),
})

// Outputs: what of an element they drive.

export const slotSchema = z.discriminatedUnion('on', [
  /** Adds; scales multiply; a perspective stands alone. A translation may be in % of the element itself. */
  z.object({ on: z.literal('transform'), fn: z.enum(transformFunctions), unit: z.literal('%').optional() }),
  /** Slides a part, by a property of its own: its transform is left to looks and to what they turn. Adds. */
  z.object({ on: z.literal('slide'), axis }),
  /** Multiplies. */
  z.object({ on: z.literal('opacity') }),
  /** Appends. */
  z.object({ on: z.literal('filter'), fn: z.enum(filterFunctions) }),
  /** Cuts a side of the element; the larger one counts. */
  z.object({ on: z.literal('inset'), side: z.enum(sides) }),
  /** Fills a hole of a layer. Shadows and backgrounds append, masks intersect, of clips the last one counts; what fills one hole adds. */
  z.object({
    on: z.enum(['shadow', 'background', 'mask', 'clip']),
    layer: identifier,
    hole: identifier,
    unit: z.enum(units),
    neutral: px.optional(),
  }),
  /** Any CSS property or custom property: the last one wins, or they add, or multiply. */
  z.object({
    on: z.literal('property'),
    name: z.string().regex(/^(--?)?[a-z][a-z0-9-]*$/i, 'is not the name of a CSS property'),
    unit: z.enum(units),
    law: z.enum(['replace', 'add', 'multiply']),
    neutral: px.optional(),
  }),
])

/** Beside the frame's own element: some inside it, the elements in step with the matches, or a part. */
const otherTargetSchema = z.union([
  z.object({ within: select }).strict(),
  z.object({ linked: select }).strict(),
  z.object({ part: identifier }).strict(),
])
export const targetSchema = z.union([z.literal('self'), otherTargetSchema])

/**
 * One property of an element: `base + factor * knob * channel`, the channel through a curve of its own where there is
 * one. Without a channel it stands still. Shown is `neutral + weight * strength * (value - neutral)`.
 */
export const outputSchema = z.object({
  to: targetSchema,
  slot: slotSchema,
  base: px,
  factor: px,
  knob: identifier.optional(),
  channel: identifier.optional(),
  /** Which link of the channel's chain. */
  link: z.number().int().min(0).max(59).optional(),
  curve: z.union([curveSchema, colourCurveSchema]).optional(),
  /** The channel that is its weight, 0..1. */
  weight: identifier.optional(),
  strength: number(0, 2),
  /** Of a translation in px: so many px of the element's own box stay where they lie, or three fifths of a smaller one, as CSS works it out. */
  keepsPx: number(0, 1000).optional(),
})

// Knobs and tokens: what the designer may turn in the exported stylesheet, where each is a custom property.

/** How a number of an effect is drawn on the page, so that it can be dragged there. */
export const handleSchema = z.discriminatedUnion('on', [
  /** How far inside an edge of the area something counts. */
  z.object({ on: z.literal('inset'), side: z.enum(sides) }),
  /** A ring round the pointer, of so many px; the same ring by its width; how far beyond its edges the area still counts, px. */
  z.object({ on: z.enum(['radius', 'diameter', 'reach']) }),
  /** How much further than the ring of another number a soft edge reaches, px. */
  z.object({ on: z.literal('softness'), beyond: identifier }),
  /** One coordinate of a point on the area; `with` names the number of the other. `from` and `to` are the values at its two edges. */
  z.object({ on: z.literal('point'), axis, with: identifier, from: px, to: px }),
  /** An arrow from the middle of the area; degrees clockwise from up. */
  z.object({ on: z.literal('direction') }),
  /** Into how many columns or rows the area is cut. */
  z.object({ on: z.literal('zones'), along: z.enum(['columns', 'rows']), insetPx: number(0, 10_000).optional() }),
  /** How many times as large as others beside it the area is: an edge across its row, or down its column. */
  z.object({ on: z.literal('factor'), along: z.enum(['across', 'down']) }),
])

export const knobSchema = z.object({
  id: identifier,
  value: z.number().overwrite(orZero),
  unit: z.enum(units),
  /** What it does, for the comment beside it. */
  note: z.string().max(200),
  /** It says how much of the effect is seen: the strength of the whole scales it. */
  isAmount: z.boolean().optional(),
  /** Another knob that it is a multiple of: then it is `value` times that one. */
  times: identifier.optional(),
  /** For rigs by hand: the least and greatest value that makes sense, and how it is drawn on the page. */
  range: z
    .tuple([px, px])
    .readonly()
    .refine(([least, greatest]) => least < greatest, { error: 'goes from the least to the greatest' })
    .optional(),
  handle: handleSchema.optional(),
})

/** A colour, a gradient, a text or a picture: `{id}` in the rig's CSS stands for it. */
export const tokenSchema = z.object({
  id: identifier,
  of: z.enum(['colour', 'gradient', 'text', 'picture']),
  /** As CSS writes it. */
  value: valueText(2000),
  note: z.string().max(200),
})

// Roles, parts and rules: what an effect needs of a page, and adds to it.

const tag = (start: string) =>
  z
    .string()
    .max(500)
    .regex(new RegExp(`^<${start}[a-z][^<>]*>$`, 'i'), 'is not a tag')

/** Markup that an element needs around it: its two tags, by what the page tells that it is there, and its CSS. */
export const shellSchema = z.object({
  open: tag(''),
  close: tag('/'),
  select,
  css: z
    .string()
    .max(4000)
    .regex(/^[^<]*$/, 'is no CSS'),
})

/** What an element is to an effect; filled by pointing at it. */
export const roleSchema = z.object({
  id: identifier,
  title: z.string().min(1).max(60),
  /** Whether it works on elements of the page, is added at run time, or needs markup around it that the effect brings along. */
  needs: z.enum(['yours', 'added', 'shell']),
  shell: shellSchema.optional(),
  /** For a role without which the effect is not whole: what the caption asks for while nothing fills it, as "point at the back". */
  ask: z.string().min(1).max(60).optional(),
  /** The role that does instead: where that is filled, this one is not asked for. */
  unless: identifier.optional(),
})

const cssSchema = z.record(z.string().regex(/^(--?)?[a-z][a-z0-9-]*$/i, 'is not the name of a CSS property'), valueWithHoles(2000))

/** What a text or a picture is given by: the match, or the first element in it that this selects; its own words or source, or an attribute. */
export const givenBySchema = z.object({
  within: select.optional(),
  attribute: z
    .string()
    .regex(/^[a-z][a-z0-9-]{0,39}$/, 'is not the name of an attribute')
    .optional(),
})

/** By what an element says something: its own words, its label as assistive technology has it, an attribute, or a text of the stylesheet, by its token. */
export const saidBySchema = z.union([
  z.enum(['words', 'label']),
  z.object({ attribute: givenBySchema.shape.attribute.unwrap() }).strict(),
  z.object({ token: identifier }).strict(),
])

/**
 * How a part is dropped along the pointer's way over its area: one where the pointer comes in, then one with every so many px of its
 * way, or every so many ms that it is there. It lies where it was dropped, and lives for `forMs`; of more than `atMost` the oldest goes.
 */
export const droppedSchema = z
  .object({
    every: z.union([z.object({ px: number(1, 10_000) }).strict(), z.object({ ms: number(4, 60_000) }).strict()]),
    forMs: number(1, 60_000),
    atMost: z.number().int().min(1).max(60),
    /** What it is like when it falls and when it goes, and how it changes meanwhile. */
    from: cssSchema.optional(),
    to: cssSchema.optional(),
    easing: easingSchema.optional(),
  })
  .strict()

/**
 * A decorative element that the effect adds: to each match, inside it or inside another of its parts, once for each
 * link of a chain, or once elsewhere. Unless it is to be reached, it is hidden from assistive technology and takes no pointer events.
 */
export const partSchema = z.object({
  id: identifier,
  area: identifier,
  inside: identifier.optional(),
  /** For an area that is one place: it stands in the first element of the page that this selects, or in the top layer, over all else. */
  host: z.union([z.object({ on: select }).strict(), z.literal('top')]).optional(),
  count: z.number().int().min(1).max(60).optional(),
  /**
   * It is there always, or seen only while the pointer is there and until its values have come to rest: what nobody sees costs nothing;
   * or it is on the page only then, at so many places at most, of which the last ones count;
   * or it is dropped, again and again. `{index}` in its CSS is then its number, from 0, as it is of one of several.
   */
  lives: z.union([z.literal('on'), z.object({ atMostAt: z.number().int().min(1).max(60) }).strict(), droppedSchema]).optional(),
  /** It is the ::before or ::after of the match, or of the part that it lies in: the stylesheet draws it, and no script is needed for it. */
  drawn: z.enum(['before', 'after']).optional(),
  /** Which box of the match it fills: with its border, or that of the padding where nothing is said. */
  box: z.literal('border').optional(),
  /**
   * What it holds, kept in step: a copy of what the match holds, which nobody can select, focus or hear; the same apart from the page,
   * within copies of all that the match lies in and with the page's stylesheets, so that its rules still match; that, but made and kept in step
   * piece by piece, so that it may be large, with pictures so many times as sharp, where there are such, or those that an attribute of each tells;
   * a text, or a picture; or, of its words, one letter or one word each: there are then as many of it. Or each
   * letter, word or line once more, laid over where it stands: by the properties `--letter-x` and `--letter-y`, px from the upper left corner of
   * the padding box to its middle; `--letter-weight` and `--letter-colour` are its own; what stands there is read and selected as ever, but not
   * seen (`[data-letters]` is in it). How `near` the pointer is to each is told by `--near`: from 1 at it to 0 at the knob `reach` (px), round at both
   * ends, times the channel `here`, by its middle, or, of a line, by what of it is nearest; where `isAside`, `--aside-x` and `--aside-y` are as much, straight away from it. Or what the element says that the pointer is on, by the number that a channel of the kind `over` tells, as long as nothing else is said; where `isRound`, the radius of its corners
   * is the property `--radius` of the part.
   */
  holds: z
    .union([
      z.literal('copy'),
      z.object({ copy: z.literal('apart') }).strict(),
      z.object({ copy: z.literal('live'), zoom: number(0.1, 20), sharper: givenBySchema.shape.attribute }).strict(),
      z.object({ split: z.enum(['letters', 'words']) }).strict(),
      z
        .object({
          lay: z.enum(['letters', 'words', 'lines']),
          near: z.object({ x: identifier, y: identifier, here: identifier, reach: identifier, isAside: z.boolean().optional() }).strict(),
        })
        .strict(),
      z.object({ text: givenBySchema }).strict(),
      z.object({ picture: givenBySchema }).strict(),
      z
        .object({ over: identifier, says: z.array(saidBySchema.nullable()).min(1).max(20).readonly(), isRound: z.boolean().optional() })
        .strict(),
    ])
    .optional(),
  /**
   * It is a canvas as large as what is on it, on which the pieces of two chains (or paths) are painted: as dots, or as one ribbon. Knobs in px say how
   * large the first and the last one are, tokens which colour they have.
   */
  paints: z
    .object({
      x: identifier,
      y: identifier,
      as: z.enum(['dots', 'ribbon']),
      sizes: z.tuple([identifier, identifier]).readonly(),
      colours: z.tuple([identifier, identifier]).readonly(),
    })
    .strict()
    .optional(),
  /** It is no new element, but the first of the page that this selects, which is taken over meanwhile. */
  is: select.optional(),
  /**
   * The pointer and assistive technology reach it, by this role where it has one; else it is seen only. A slider can be focused: it shows where
   * a channel is along its side of the area (0..1), is named by the headings of what these select in its area, and has arrow keys move the pointer from there.
   */
  reached: z
    .union([
      z.literal(true),
      z.object({ role: z.literal('slider'), value: identifier, namedBy: z.array(select).min(1).max(4).readonly() }).strict(),
      z.object({ role: z.string().regex(/^[a-z]{2,20}$/, 'is not a role') }).strict(),
    ])
    .optional(),
  css: cssSchema,
})

/** Declarations that the effect brings along for the page's elements. */
export const ruleSchema = z.object({
  select,
  css: cssSchema,
  /**
   * Only where the script is at work: without it the page stands as designed. `select` is then that of an area (`:root` for the window), of
   * something in one, or of what outputs are written on.
   */
  whilePlayed: z.boolean().optional(),
  /** Only for those who welcome motion; or for those who prefer less of it, whatever else is so. */
  isMotion: z.boolean().optional(),
  isCalm: z.boolean().optional(),
  /** For those: it is about this part of the area instead. */
  part: identifier.optional(),
})

/** An attribute that a look may set: one that says something, and runs nothing. */
const attributeName = z
  .string()
  .regex(/^(aria-[a-z]+|data-[a-z][a-z0-9-]*|inert|hidden|open|role|tabindex)$/, 'is not an attribute that a look may set')

/** The way into some looks, by what was shown before. `id` names the time and easing in the stylesheet, for a designer to turn. */
export const waySchema = z.object({
  from: z.enum([...lookNames, 'any']),
  feel: timedSchema,
  /** How many seconds it takes, as CSS works them out, in place of the time of the feel; `{id}` is a knob. */
  lasts: valueWithHoles(500, 'is not a number of CSS with holes like {name}').min(1).optional(),
  id: identifier.optional(),
  note: z.string().max(200).optional(),
})

/** What elements are like while their area shows one of some looks: declarations, and what is done with them. */
export const stateSchema = z.object({
  area: identifier,
  looks: z.array(z.enum(lookNames)).min(1).max(4).readonly(),
  /** It counts while another match of the area shows them. */
  whose: z.literal('others').optional(),
  /** Instead of looks: while this channel, a zone, tells one of these. */
  zone: z.object({ of: identifier, is: z.array(z.number().int().min(0).max(10_000)).min(1).max(100).readonly() }).optional(),
  /** Instead of looks: which of the linked elements this channel, a zone, chooses, counted from 0. */
  chosenBy: identifier.optional(),
  to: targetSchema,
  css: cssSchema,
  /** What they begin with where they were not there before (`display: none`). */
  startsFrom: cssSchema.optional(),
  /** The ways there; the first that fits what was shown before. */
  ways: z.array(waySchema).max(8).readonly().optional(),
  /** How much later than the one before each of several elements sets out, ms. */
  staggerMs: number(0, 10_000).optional(),
  /** The same as CSS works it out: a time, by properties of the elements. */
  later: valueWithHoles(500).min(1).optional(),
  /**
   * What they go through meanwhile, again and again, where motion is welcome; each of several parts so much later than the one before. `{index}`
   * is the number of each.
   */
  animation: z
    .object({
      from: cssSchema.optional(),
      to: cssSchema,
      forMs: number(1, 60_000),
      laterMs: number(0, 10_000).optional(),
      easing: easingSchema.optional(),
    })
    .strict()
    .optional(),
  /** Attributes that they have meanwhile, but for those elements that `unless` selects; afterwards they have again what the page gave them. */
  attributes: z.record(attributeName, z.string().max(200)).optional(),
  unless: select.optional(),
  /** What moving pictures and sound do: play from where they are or from their start, or pause. */
  media: z.enum(['play', 'restart', 'pause']).optional(),
})

/** One entry of a property that is a list: CSS with holes, `{name}`, which outputs on one target fill, or knobs and tokens of that id. */
export const layerSchema = z.object({ id: identifier, css: valueWithHoles(2000, 'is not one CSS value with holes like {name}').min(1) })

/** Widths of the window, as a media query says them. */
export const mediaSchema = z.string().regex(/^\((min|max)-width: \d+px\)( and \(max-width: \d+px\))?$/, 'is not a width of the window')

/** The rig, each member for itself: `check.ts` says what must be so among them. */
export const rigShape = z.object({
  areas: z.array(areaSchema).min(1).max(20),
  channels: z.array(channelSchema).max(200),
  knobs: z.array(knobSchema).max(200),
  outputs: z.array(outputSchema).max(400),
  parts: z.array(partSchema).max(100),
  rules: z.array(ruleSchema).max(100),
  states: z.array(stateSchema).max(100).optional(),
  layers: z.array(layerSchema).max(100).optional(),
  tokens: z.array(tokenSchema).max(100).optional(),
  /** For rigs by hand: roles beside the effect's own; a selector names them `&id`, and the effect's own elements `&`. */
  roles: z.array(roleSchema).max(20).optional(),
  /** Its rules count only where there is a mouse or a pen: what a finger could never lift would stay. */
  finePointerOnly: z.boolean().optional(),
  /** All of it is there only where this media query of the window's width holds. */
  media: mediaSchema.optional(),
  /** The pointer counts only where this media query of the window's width holds; elsewhere all is as while it is away. */
  window: mediaSchema.optional(),
  /** It does not play for visitors who prefer reduced motion. */
  notCalm: z.boolean().optional(),
})
