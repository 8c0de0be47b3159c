// The checks that a rig passes at the border, with messages that name the place.
import { selectorText, valueText, valueWithHoles } from './css-text'
import * as z from 'zod'
import { parseEasing } from '../curve/easing'
import { lookNames } from '../look/look'
import { partOf, unitOfKnob, units, type Rig, type Unit } from './rig'
import { filterFunctions, sides, slotName, transformFunctions, unitOf } from './slot'

const number = (least: number, greatest: number) => z.number().min(least).max(greatest)
const identifier = z.string().regex(/^[A-Za-z][A-Za-z0-9-]{0,39}$/, 'an identifier is a letter, then letters, digits and hyphens')
const select = selectorText()
const px = number(-1e6, 1e6)

export const easingSchema = z.string().refine((text) => parseEasing(text) !== undefined, { error: 'is not an easing: use linear, linear(...), ease, ease-in, ease-out, ease-in-out, cubic-bezier(...) or steps(...)' })

export const springSchema = z.object({ kind: z.literal('spring'), frequencyHz: number(0.05, 60), dampingRatio: number(0.05, 20) })

export const timedSchema = z.object({ kind: z.literal('timed'), durationMs: number(0, 60_000), easing: easingSchema, delayMs: number(0, 60_000) })

const glideSchema = z.object({ kind: z.literal('glide'), halfLifeMs: number(0.1, 60_000) })

export const feelSchema = z.discriminatedUnion('kind', [z.object({ kind: z.literal('direct') }), glideSchema, springSchema, timedSchema])

const rising = (stops: readonly { at: number }[]) => stops.every((stop, i) => i === 0 || stop.at > (stops[i - 1]?.at ?? -Infinity))
const stopsOf = <Value extends z.ZodType>(value: Value) =>
  z
    .array(z.object({ at: px, value, easing: easingSchema.optional() }))
    .min(2, 'a curve needs two stops at least')
    .max(100)
    .refine(rising, { error: 'the stops of a curve rise from each to the next' })
    .readonly()

export const curveSchema = z.object({ stops: stopsOf(px), beyond: z.enum(['clamp', 'extend']).optional(), step: z.number().positive().optional() })

const colourSchema = z.object({ space: z.enum(['oklab', 'oklch']), values: z.tuple([number(0, 1), number(-0.5, 0.5), z.number(), number(0, 1)]).readonly() })
export const colourCurveSchema = z.object({
  colours: stopsOf(colourSchema).refine((stops) => stops.every(({ value }) => value.space === stops[0]?.value.space), { error: 'the colours of a curve are in one space' }),
})
export const anyCurveSchema = z.union([curveSchema, colourCurveSchema])

const pose = z.union([px, z.tuple([px, px, px, px]).readonly()])
const signalSchemas = [
  z.object({ of: z.enum(['x', 'y', 'centredX', 'centredY']), beyond: z.enum(['clamp', 'extend']).optional() }),
  z.object({ of: z.enum(['xPx', 'yPx']), from: z.enum(['padding', 'border', 'centre']).optional() }),
  z.object({ of: z.enum(['angle', 'heading', 'speed', 'inside', 'pressed', 'focus']) }),
  z.object({ of: z.literal('distance'), from: z.enum(['centre', 'edge']) }),
  z.object({ of: z.literal('zone'), columns: z.number().int().min(1).max(100), rows: z.number().int().min(1).max(100), hysteresisPx: number(0, 1000).optional() }),
  z.object({ of: z.literal('nearest'), among: select, hysteresisPx: number(0, 1000).optional() }),
  z.object({ of: z.literal('still'), afterMs: number(1, 60_000) }),
  z.object({ of: z.literal('here'), come: timedSchema, go: timedSchema }),
  z.object({ of: z.enum(['entrySide', 'exitSide']), axis: z.enum(['x', 'y']).optional() }),
  z.object({ of: z.literal('past'), axis: z.enum(['x', 'y']), lagMs: number(0, 2000) }),
  z.object({ of: z.literal('time'), periodMs: number(10, 3_600_000) }),
  z.object({
    of: z.literal('look'),
    values: z.object({ off: px, on: px.optional(), pressed: px.optional(), still: px.optional() }),
    whose: z.literal('others').optional(),
    enterFrom: pose.optional(),
    leaveTo: pose.optional(),
  }),
] as const

/** The names of all signals, for the message about one that there is not. */
export const signalNames: readonly string[] = signalSchemas.flatMap((schema) => {
  const { of } = schema.shape
  return of instanceof z.ZodLiteral ? [...of.values] : of.options
})

const signalSchema = z.discriminatedUnion('of', signalSchemas, {
  error: ({ input }) => {
    const name = (input as { of?: unknown } | null | undefined)?.of
    return `there is no signal ${JSON.stringify(name) ?? 'without a name'}; signals are ${signalNames.join(', ')}`
  },
})

const length = z.object({ value: number(-10_000, 10_000), unit: z.enum(['px', '%']) })
const insetsSchema = z.object({ top: length, right: length, bottom: length, left: length })
const looksSchema = z.object({ goDelayMs: number(0, 60_000), stillMs: number(1, 60_000).optional(), atMostOne: z.boolean(), keys: z.boolean() })

const awaySchema = z.object({ kind: z.enum(['settle', 'hold', 'letGo']), pose: px })
export const frameOfSchema = z.union([z.enum(['area', 'window']), z.object({ each: select }).strict(), z.object({ box: select }).strict()])
const timingSchema = z.array(z.object({ from: z.enum([...lookNames, 'any']), to: z.enum(lookNames), feel: feelSchema })).max(20).readonly()
const groupSchema = z.enum(['turn', 'travel', 'scale', 'light', 'state'])
export const otherTargetSchema = z.union([z.object({ within: select }).strict(), z.object({ linked: select }).strict(), z.object({ part: identifier }).strict()])
const targetSchema = z.union([z.literal('self'), otherTargetSchema])

export const areaShape = z.object({
  id: identifier,
  of: z.enum(['each', 'group', 'window']),
  select: z.union([z.literal(''), selectorText()]),
  insets: insetsSchema.optional(),
  box: z.enum(['still', 'live']),
  among: z.enum(['one', 'all']),
  beyond: z.literal('fellows').optional(),
  bridge: select.optional(),
  pointer: z.enum(['fine', 'any']),
  touch: z.enum(['none', 'tap', 'drag-x', 'drag-y', 'drag']),
  looks: looksSchema.optional(),
})
const areaSchema = areaShape.refine(({ of, select: text }) => of === 'window' || text !== '', { error: 'needs a selector', path: ['select'] })

/** How a channel is followed. */
export const followedShape = z.object({
  id: identifier,
  signal: signalSchema,
  away: awaySchema,
  curve: curveSchema.optional(),
  feel: feelSchema,
  going: feelSchema.optional(),
  timing: timingSchema.optional(),
  chain: z.number().int().min(1).max(60).optional(),
  group: groupSchema,
})

const channelSchema = followedShape.extend({ area: identifier, frame: frameOfSchema, seenBy: identifier.optional() })

const slotSchema = z.discriminatedUnion('on', [
  z.object({ on: z.literal('transform'), fn: z.enum(transformFunctions), unit: z.literal('%').optional() }),
  z.object({ on: z.literal('opacity') }),
  z.object({ on: z.literal('filter'), fn: z.enum(filterFunctions) }),
  z.object({ on: z.literal('inset'), side: z.enum(sides) }),
  z.object({ on: z.enum(['shadow', 'background', 'mask']), layer: identifier, hole: identifier, unit: z.enum(units), neutral: px.optional() }),
  z.object({ on: z.literal('property'), name: z.string().regex(/^(--?)?[a-z][a-z0-9-]*$/i, 'is not the name of a CSS property'), unit: z.enum(units), law: z.enum(['replace', 'add', 'multiply']), neutral: px.optional() }),
])

const outputSchema = z.object({
  to: targetSchema,
  slot: slotSchema,
  base: px,
  factor: px,
  knob: identifier.optional(),
  channel: identifier.optional(),
  link: z.number().int().min(0).max(59).optional(),
  curve: anyCurveSchema.optional(),
  weight: identifier.optional(),
  strength: number(0, 2),
})

const css = z.record(z.string().regex(/^(--?)?[a-z][a-z0-9-]*$/i, 'is not the name of a CSS property'), valueWithHoles(2000))
const layerCss = valueWithHoles(2000, 'is not one CSS value with holes like {name}').min(1)

const tag = (start: string) => z.string().max(500).regex(new RegExp(`^<${start}[a-z][^<>]*>$`, 'i'), 'is not a tag')
const roleSchema = z.object({
  id: identifier,
  title: z.string().min(1).max(60),
  needs: z.enum(['yours', 'added', 'shell']),
  shell: z.object({ open: tag(''), close: tag('/'), select, css: z.string().max(4000).regex(/^[^<]*$/, 'is no CSS') }).optional(),
})

export const handleSchema = z.discriminatedUnion('on', [
  z.object({ on: z.literal('inset'), side: z.enum(sides) }),
  z.object({ on: z.enum(['radius', 'diameter', 'reach']) }),
  z.object({ on: z.literal('softness'), beyond: identifier }),
  z.object({ on: z.literal('point'), axis: z.enum(['x', 'y']), with: identifier, from: px, to: px }),
  z.object({ on: z.literal('direction') }),
  z.object({ on: z.literal('zones'), along: z.enum(['columns', 'rows']) }),
])

/** Widths of the window, as a media query says them. */
export const mediaSchema = z.string().regex(/^\((min|max)-width: \d+px\)( and \(max-width: \d+px\))?$/, 'is not a width of the window')

const rigShape = z.object({
  areas: z.array(areaSchema).min(1).max(20),
  channels: z.array(channelSchema).max(200),
  knobs: z.array(z.object({ id: identifier, value: z.number(), unit: z.enum(units), note: z.string().max(200), isAmount: z.boolean().optional(), times: identifier.optional(), range: z.tuple([px, px]).readonly().refine(([least, greatest]) => least < greatest, { error: 'goes from the least to the greatest' }).optional(), handle: handleSchema.optional() })).max(200),
  outputs: z.array(outputSchema).max(400),
  parts: z.array(z.object({ id: identifier, area: identifier, inside: identifier.optional(), count: z.number().int().min(1).max(60).optional(), whileOn: z.boolean().optional(), covers: z.literal('border').optional(), holds: z.literal('copy').optional(), css })).max(100),
  rules: z.array(z.object({ select, css, whilePlayed: z.boolean().optional(), bearsKnobs: z.boolean().optional() })).max(100),
  layers: z.array(z.object({ id: identifier, css: layerCss })).max(100).optional(),
  tokens: z.array(z.object({ id: identifier, of: z.enum(['colour', 'gradient', 'text', 'picture']), value: valueText(2000), note: z.string().max(200) })).max(100).optional(),
  roles: z.array(roleSchema).max(20).optional(),
  finePointerOnly: z.boolean().optional(),
  media: mediaSchema.optional(),
  notCalm: z.boolean().optional(),
})

/** Where something is wrong, and what. */
type Report = (path: readonly (string | number)[], message: string) => void

export const rigSchema = rigShape.superRefine((rig, context) => {
  const report: Report = (path, message) => context.addIssue({ code: 'custom', path: [...path], message })
  const given = <Item extends { id: string }>(items: readonly Item[]) => new Map(items.map((item) => [item.id, item]))
  const [areas, channels, knobs, parts] = [given(rig.areas), given(rig.channels), given(rig.knobs), given(rig.parts)]
  for (const list of ['areas', 'channels', 'knobs', 'parts', 'layers', 'tokens', 'roles'] as const) {
    const items: readonly { id: string }[] = rig[list] ?? []
    items.forEach(({ id }, i) => items.findIndex((each) => each.id === id) < i && report([list, i, 'id'], `"${id}" is used twice`))
  }
  const named = new Set([...rig.knobs, ...(rig.tokens ?? [])].map(({ id }) => id))
  for (const list of ['parts', 'rules'] as const) {
    rig[list].forEach(({ css: declarations }, i) => {
      for (const [property, text] of Object.entries(declarations)) for (const [, id = ''] of text.matchAll(/\{([^}]*)\}/g)) if (!named.has(id)) report([list, i, 'css', property], `there is no knob or token "${id}"`)
    })
  }
  rig.layers?.forEach(({ id, css: text }, i) => {
    const filling = rig.outputs.filter(({ slot }) => 'layer' in slot && slot.layer === id)
    const holes = new Set([...text.matchAll(/\{([^}]*)\}/g)].map(([, hole]) => hole))
    const filled = new Set(filling.map(({ slot }) => ('hole' in slot ? slot.hole : '')))
    for (const hole of holes) if (!filled.has(hole ?? '') && !named.has(hole ?? '')) report(['layers', i, 'css'], `nothing fills {${hole}}`)
    for (const hole of filled) if (!holes.has(hole)) report(['layers', i, 'css'], `there is no hole {${hole}}`)
    if (new Set(filling.map(({ slot, to }) => JSON.stringify([slot.on, to]))).size > 1) report(['layers', i], 'stands in one property of one target')
  })
  rig.channels.forEach((channel, i) => {
    const area = areas.get(channel.area)
    if (!area) report(['channels', i, 'area'], `there is no area "${channel.area}"`)
    if (channel.signal.of === 'look' && area && !area.looks) report(['channels', i, 'signal'], `the area "${area.id}" has no looks`)
    const seen = channel.seenBy === undefined ? undefined : channels.get(channel.seenBy)
    if (channel.seenBy !== undefined && (!seen || seen.area !== channel.area || JSON.stringify(seen.frame) !== JSON.stringify(channel.frame))) {
      report(['channels', i, 'seenBy'], `there is no channel "${channel.seenBy}" in the same area and frame`)
    }
    if (channel.chain !== undefined && (channel.feel.kind !== 'glide' || (channel.going && channel.going.kind !== 'glide'))) report(['channels', i, 'feel'], 'a chain follows by a glide')
    if (channel.away.kind === 'letGo' && rig.outputs.some((output) => output.channel === channel.id && output.weight === undefined)) {
      report(['channels', i, 'away'], 'an output of a channel that lets go needs a weight')
    }
  })
  rig.knobs.forEach(({ id, times, handle }, i) => {
    const other = handle?.on === 'softness' ? handle.beyond : handle?.on === 'point' ? handle.with : undefined
    if (other !== undefined && !knobs.has(other)) report(['knobs', i, 'handle'], `there is no knob "${other}"`)
    if (times !== undefined && !knobs.has(times)) report(['knobs', i, 'times'], `there is no knob "${times}"`)
    const seen = new Set([id])
    for (let next = times; next !== undefined; next = knobs.get(next)?.times) {
      if (seen.has(next)) {
        report(['knobs', i, 'times'], `"${id}" is a multiple of itself, by way of ${[...seen].slice(1).concat(id).map((each) => `"${each}"`).join(', ')}`)
        break
      }
      seen.add(next)
    }
  })
  rig.parts.forEach(({ area, inside, id }, i) => {
    if (!areas.has(area)) report(['parts', i, 'area'], `there is no area "${area}"`)
    if (inside !== undefined && rig.parts.findIndex((part) => part.id === inside) >= rig.parts.findIndex((part) => part.id === id)) report(['parts', i, 'inside'], `"${inside}" is no part that comes before it`)
    if (inside !== undefined && !parts.has(inside)) report(['parts', i, 'inside'], `there is no part "${inside}"`)
  })
  rig.outputs.forEach((output, i) => {
    const { knob, channel, weight, link, to, slot } = output
    if (knob !== undefined && !knobs.has(knob)) report(['outputs', i, 'knob'], `there is no knob "${knob}"`)
    for (const field of ['channel', 'weight'] as const) {
      const id = output[field]
      if (id !== undefined && !channels.has(id)) report(['outputs', i, field], `there is no channel "${id}"`)
    }
    const chain = channel === undefined ? undefined : channels.get(channel)?.chain
    if (link !== undefined && link >= (chain ?? 0)) report(['outputs', i, 'link'], chain === undefined ? 'the channel is no chain' : `the chain has ${chain} links, counted from 0`)
    const part = partOf(to)
    if (part !== undefined && !parts.has(part)) report(['outputs', i, 'to'], `there is no part "${part}"`)
    if ('layer' in slot && !given(rig.layers ?? []).has(slot.layer)) report(['outputs', i, 'slot', 'layer'], `there is no layer "${slot.layer}"`)
    const twin = rig.outputs.find((other) => slotName(other.slot) === slotName(slot) && JSON.stringify(other.to) === JSON.stringify(to))
    if (twin && unitOf(twin.slot) !== unitOf(slot)) report(['outputs', i, 'slot'], `${slotName(slot)} of one element is given in two units`)
    if (weight !== undefined && channel !== undefined && channels.get(weight)?.area !== channels.get(channel)?.area) report(['outputs', i, 'weight'], 'a weight is read in the area of the channel')
    if (slot.on === 'property' && !fitsProperty(slot.name, slot.unit)) report(['outputs', i, 'slot', 'unit'], `${slot.name} is not given in ${slot.unit === '' ? 'plain numbers' : slot.unit}`)
    const unit = unitOfKnob(rig.knobs, knob)
    if (unit !== undefined && unit !== '' && slotUnits(slot) && !slotUnits(slot)?.includes(unit)) report(['outputs', i, 'knob'], `the knob "${knob}" is in ${unit}, which does not fit ${slotName(slot)}`)
  })
})

const lengths: readonly Unit[] = ['px', '%', 'em', 'rem', 'vw', 'vh']
const angles: readonly Unit[] = ['deg', 'turn']

/** The units that a slot takes; undefined where anything goes. */
function slotUnits(slot: z.infer<typeof slotSchema>): readonly Unit[] | undefined {
  switch (slot.on) {
    case 'transform':
      return /^(rotate|skew)/.test(slot.fn) ? angles : slot.fn.startsWith('scale') ? [''] : lengths
    case 'filter':
      return slot.fn === 'blur' ? lengths : slot.fn === 'hue-rotate' ? angles : ['']
    case 'opacity':
      return ['']
    case 'inset':
      return lengths
    case 'property':
      return slot.name.startsWith('--') ? undefined : [slot.unit]
    case 'shadow':
    case 'background':
    case 'mask':
      return [slot.unit]
  }
}

const plainNumbers = /^(opacity|z-index|order|flex|flex-grow|flex-shrink|font-weight|line-height|scale|zoom|aspect-ratio|(fill|stroke|flood|stop)-opacity)$/
const inTime = /(^|-)(duration|delay)$/
const inAngles = /^(rotate|offset-rotate)$/
const inLengths = /^(width|height|(min|max)-(width|height)|top|right|bottom|left|inset|gap|(row|column)-gap|margin|padding|(margin|padding)-.*|border-.*(width|radius)|border-radius|font-size|letter-spacing|word-spacing|text-indent|outline-(offset|width)|translate|perspective|stroke-width|text-underline-offset|text-decoration-thickness)$/

/** Whether a property may be given in a unit; custom properties and those that are not listed take any. */
function fitsProperty(name: string, unit: Unit): boolean {
  if (plainNumbers.test(name)) return unit === '' || (name !== 'z-index' && name !== 'order' && unit === '%') || (name === 'line-height' && lengths.includes(unit))
  if (inTime.test(name) && !name.startsWith('--')) return unit === 'ms' || unit === 's'
  if (inAngles.test(name)) return angles.includes(unit)
  return inLengths.test(name) ? lengths.includes(unit) : true
}

/** Reads a rig written by hand. Throws a ZodError whose first issue names the place. */
export function readRig(value: unknown): Rig {
  return rigSchema.parse(value)
}
