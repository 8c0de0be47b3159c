// What must be so among the members of a rig, with messages that name the place.
import type { Unit } from './names'
import { isTold, isZone } from '../signal/signal'
import { atMostAt, droppedBy, hasIndex, nearOf, partOf, saidOver, unitOfKnob, type Rig } from './rig'
import { rigShape } from './schema'
import { slotName, unitOf, type Slot } from './slot'

/** Where something is wrong, and what. */
type Report = (path: readonly (string | number)[], message: string) => void

/** Members by their id. */
const given = <Item extends { id: string }>(items: readonly Item[]) => new Map(items.map((item) => [item.id, item]))

export const rigSchema = rigShape.superRefine((rig, context) => {
  const report: Report = (path, message) => context.addIssue({ code: 'custom', path: [...path], message })
  const [areas, channels, knobs, parts] = [given(rig.areas), given(rig.channels), given(rig.knobs), given(rig.parts)]
  for (const list of ['areas', 'channels', 'knobs', 'parts', 'layers', 'tokens', 'roles'] as const) {
    const items: readonly { id: string }[] = rig[list] ?? []
    items.forEach(({ id }, i) => items.findIndex((each) => each.id === id) < i && report([list, i, 'id'], `"${id}" is used twice`))
  }
  const named = new Set([...rig.knobs, ...(rig.tokens ?? [])].map(({ id }) => id))
  const checkHoles = (path: readonly (string | number)[], declarations: Readonly<Record<string, string>> = {}, hasIndex = false) => {
    for (const [property, text] of Object.entries(declarations))
      for (const [, id = ''] of text.matchAll(/\{([^}]*)\}/g))
        if (!named.has(id) && !(hasIndex && id === 'index')) report([...path, property], `there is no knob or token "${id}"`)
  }
  rig.parts.forEach((part, i) => {
    const dropped = droppedBy(part)
    checkHoles(['parts', i, 'lives', 'from'], dropped?.from, true)
    checkHoles(['parts', i, 'lives', 'to'], dropped?.to, true)
    const numbered = part.drawn ? parts.get(part.inside ?? '') : part
    checkHoles(['parts', i, 'css'], part.css, numbered !== undefined && hasIndex(numbered))
  })
  rig.rules.forEach(({ css }, i) => {
    checkHoles(['rules', i, 'css'], css)
  })
  checkJoined(rig, report, checkHoles)
  rig.layers?.forEach(({ id, css: text }, i) => {
    const filling = rig.outputs.filter(({ slot }) => 'layer' in slot && slot.layer === id)
    const holes = new Set([...text.matchAll(/\{([^}]*)\}/g)].map(([, hole]) => hole))
    const filled = new Set(filling.map(({ slot }) => ('hole' in slot ? slot.hole : '')))
    for (const hole of holes) if (!filled.has(hole ?? '') && !named.has(hole ?? '')) report(['layers', i, 'css'], `nothing fills {${hole}}`)
    for (const hole of filled) if (!holes.has(hole)) report(['layers', i, 'css'], `there is no hole {${hole}}`)
    if (new Set(filling.map(({ slot, to }) => JSON.stringify([slot.on, to]))).size > 1)
      report(['layers', i], 'stands in one property of one target')
  })
  rig.channels.forEach((channel, i) => {
    const area = areas.get(channel.area)
    if (!area) report(['channels', i, 'area'], `there is no area "${channel.area}"`)
    if (channel.signal.of === 'look' && area && !area.looks) report(['channels', i, 'signal'], `the area "${area.id}" has no looks`)
    if (channel.away.isShare && channel.signal.of !== 'xPx' && channel.signal.of !== 'yPx')
      report(['channels', i, 'away'], 'a share is of px along a side')
    if (
      /^(overflow|excess)/.test(channel.signal.of) &&
      !(typeof channel.frame === 'object' ? 'each' in channel.frame : channel.frame === 'area' && area?.of === 'each')
    )
      report(['channels', i, 'signal'], 'how much larger something is, is told of single elements')
    if (channel.signal.of.startsWith('excess') && area?.of !== 'each')
      report(['channels', i, 'signal'], 'how much larger something is than its area is told where that is one element')
    if (channel.away.isShare && channel.frame !== 'area' && area?.of !== 'each')
      report(['channels', i, 'away'], 'a share of what is not one element is told in the area itself')
    if (channel.signal.of === 'chosen') {
      const zone = channels.get(channel.signal.by)
      if (zone?.area !== channel.area || !isZone(zone.signal) || zone.frame !== 'area')
        report(['channels', i, 'signal', 'by'], `there is no channel "${channel.signal.by}" that tells a zone of the same area`)
      if (!(typeof channel.frame === 'object' && 'each' in channel.frame))
        report(['channels', i, 'frame'], 'what is chosen is each of several elements')
    }
    if (typeof channel.frame === 'object' && 'part' in channel.frame) {
      const part = parts.get(channel.frame.part)
      if (part?.area !== channel.area || part.drawn || droppedBy(part))
        report(['channels', i, 'frame'], `there is no part "${channel.frame.part}" that is added to the same area and stays there`)
      if (rig.outputs.some(({ to, ...output }) => output.channel === channel.id && partOf(to) === undefined))
        report(['channels', i, 'frame'], 'what is read in a part is seen on parts')
    }
    const seen = channel.seenBy === undefined ? undefined : channels.get(channel.seenBy)
    if (
      channel.seenBy !== undefined &&
      (!seen || seen.area !== channel.area || JSON.stringify(seen.frame) !== JSON.stringify(channel.frame))
    ) {
      report(['channels', i, 'seenBy'], `there is no channel "${channel.seenBy}" in the same area and frame`)
    }
    const isPath = channel.signal.of === 'past'
    if (channel.chain !== undefined && !isPath && (channel.feel.kind !== 'glide' || (channel.going && channel.going.kind !== 'glide')))
      report(['channels', i, 'feel'], 'a chain follows by a glide')
    if (
      channel.chain !== undefined &&
      isPath &&
      (channel.feel.kind !== 'direct' || channel.curve || channel.going || channel.away.kind !== 'hold')
    )
      report(['channels', i], 'where the pointer was at several times is told as it is: directly, through no curve, and held')
    if (channel.away.kind === 'letGo' && rig.outputs.some((output) => output.channel === channel.id && output.weight === undefined)) {
      report(['channels', i, 'away'], 'an output of a channel that lets go needs a weight')
    }
  })
  checkStates(rig, report, checkHoles)
  rig.knobs.forEach(({ id, times, handle }, i) => {
    const other = handle?.on === 'softness' ? handle.beyond : handle?.on === 'point' ? handle.with : undefined
    if (other !== undefined && !knobs.has(other)) report(['knobs', i, 'handle'], `there is no knob "${other}"`)
    if (times !== undefined && !knobs.has(times)) report(['knobs', i, 'times'], `there is no knob "${times}"`)
    const seen = new Set([id])
    for (let next = times; next !== undefined; next = knobs.get(next)?.times) {
      if (seen.has(next)) {
        report(
          ['knobs', i, 'times'],
          `"${id}" is a multiple of itself, by way of ${[...seen]
            .slice(1)
            .concat(id)
            .map((each) => `"${each}"`)
            .join(', ')}`,
        )
        break
      }
      seen.add(next)
    }
  })
  checkParts(rig, report)
  rig.outputs.forEach((output, i) => {
    const { knob, channel, weight, link, to, slot } = output
    if (knob !== undefined && !knobs.has(knob)) report(['outputs', i, 'knob'], `there is no knob "${knob}"`)
    for (const field of ['channel', 'weight'] as const) {
      const id = output[field]
      if (id !== undefined && !channels.has(id)) report(['outputs', i, field], `there is no channel "${id}"`)
    }
    const chain = channel === undefined ? undefined : channels.get(channel)?.chain
    if (link !== undefined && link >= (chain ?? 0))
      report(['outputs', i, 'link'], chain === undefined ? 'the channel is no chain' : `the chain has ${chain} links, counted from 0`)
    const part = partOf(to)
    if (part !== undefined && !parts.has(part)) report(['outputs', i, 'to'], `there is no part "${part}"`)
    if (part !== undefined && parts.get(part)?.drawn)
      report(['outputs', i, 'to'], `"${part}" is drawn by the stylesheet, and nothing is written on it`)
    if ('layer' in slot && !given(rig.layers ?? []).has(slot.layer))
      report(['outputs', i, 'slot', 'layer'], `there is no layer "${slot.layer}"`)
    const twin = rig.outputs.find((other) => slotName(other.slot) === slotName(slot) && JSON.stringify(other.to) === JSON.stringify(to))
    if (twin && unitOf(twin.slot) !== unitOf(slot)) report(['outputs', i, 'slot'], `${slotName(slot)} of one element is given in two units`)
    if (slot.on === 'slide' && part === undefined) report(['outputs', i, 'slot'], 'parts alone are slid by a property of their own')
    if (output.keepsPx !== undefined && !(slot.on === 'transform' && /^translate[XY]$/.test(slot.fn) && unitOf(slot) === 'px'))
      report(['outputs', i, 'keepsPx'], 'is of a translation across or down in px')
    if (weight !== undefined && channel !== undefined && channels.get(weight)?.area !== channels.get(channel)?.area)
      report(['outputs', i, 'weight'], 'a weight is read in the area of the channel')
    if (slot.on === 'property' && !fitsProperty(slot.name, slot.unit))
      report(['outputs', i, 'slot', 'unit'], `${slot.name} is not given in ${slot.unit === '' ? 'plain numbers' : slot.unit}`)
    const unit = unitOfKnob(rig.knobs, knob)
    if (unit !== undefined && unit !== '' && slotUnits(slot) && !slotUnits(slot)?.includes(unit))
      report(['outputs', i, 'knob'], `the knob "${knob}" is in ${unit}, which does not fit ${slotName(slot)}`)
  })
})

const lengths: readonly Unit[] = ['px', '%', 'em', 'rem', 'vw', 'vh']
const angles: readonly Unit[] = ['deg', 'turn']

/** The units that a slot takes; undefined where anything goes. */
function slotUnits(slot: Slot): readonly Unit[] | undefined {
  switch (slot.on) {
    case 'transform':
      return /^(rotate|skew)/.test(slot.fn) ? angles : slot.fn.startsWith('scale') ? [''] : lengths
    case 'filter':
      return slot.fn === 'blur' ? lengths : slot.fn === 'hue-rotate' ? angles : ['']
    case 'opacity':
      return ['']
    case 'inset':
    case 'slide':
      return lengths
    case 'property':
      return slot.name.startsWith('--') ? undefined : [slot.unit]
    case 'shadow':
    case 'background':
    case 'mask':
    case 'clip':
      return [slot.unit]
  }
}

const plainNumbers =
  /^(opacity|z-index|order|flex|flex-grow|flex-shrink|font-weight|line-height|scale|zoom|aspect-ratio|(fill|stroke|flood|stop)-opacity)$/
const inTime = /(^|-)(duration|delay)$/
const inAngles = /^(rotate|offset-rotate)$/
const inLengths =
  /^(width|height|(min|max)-(width|height)|top|right|bottom|left|inset|gap|(row|column)-gap|margin|padding|(margin|padding)-.*|border-.*(width|radius)|border-radius|font-size|letter-spacing|word-spacing|text-indent|outline-(offset|width)|translate|perspective|stroke-width|text-underline-offset|text-decoration-thickness)$/

/** Whether a property may be given in a unit; custom properties and those that are not listed take any. */
function fitsProperty(name: string, unit: Unit): boolean {
  if (plainNumbers.test(name))
    return unit === '' || (name !== 'z-index' && name !== 'order' && unit === '%') || (name === 'line-height' && lengths.includes(unit))
  if (inTime.test(name) && !name.startsWith('--')) return unit === 'ms' || unit === 's'
  if (inAngles.test(name)) return angles.includes(unit)
  return inLengths.test(name) ? lengths.includes(unit) : true
}

/** Reads a rig written by hand. Throws a ZodError whose first issue names the place. */
export function readRig(value: unknown): Rig {
  return rigSchema.parse(value)
}

/** What must be so of what is joined to matches, and of what states begin with. */
function checkJoined(
  rig: Rig,
  report: Report,
  checkHoles: (path: readonly (string | number)[], css?: Readonly<Record<string, string>>) => void,
): void {
  rig.states?.forEach(({ startsFrom }, i) => {
    checkHoles(['states', i, 'startsFrom'], startsFrom)
  })
  rig.areas.forEach(({ of, joined, describes, placed }, i) => {
    if (joined !== undefined && of !== 'each') report(['areas', i, 'joined'], 'is in step with single matches')
    if (joined === undefined && (describes ?? placed)) report(['areas', i, 'joined'], 'is what is placed and describes')
  })
}

/** What must be so of states. */
function checkStates(
  rig: Rig,
  report: Report,
  checkHoles: (path: readonly (string | number)[], css?: Readonly<Record<string, string>>, hasIndex?: boolean) => void,
): void {
  const [areas, channels, parts] = [given(rig.areas), given(rig.channels), given(rig.parts)]
  const named = new Set([...rig.knobs, ...(rig.tokens ?? [])].map(({ id }) => id))
  rig.states?.forEach(({ to, css, animation }, i) => {
    const seenOn = parts.get(partOf(to) ?? '')
    const isNumbered = seenOn !== undefined && hasIndex(seenOn)
    checkHoles(['states', i, 'css'], css, isNumbered)
    checkHoles(['states', i, 'animation', 'from'], animation?.from, isNumbered)
    checkHoles(['states', i, 'animation', 'to'], animation?.to, isNumbered)
  })
  rig.states?.forEach(({ area, to, chosenBy, zone: told, attributes, media, ways = [], later = '' }, i) => {
    checkHoles(['states', i], { later })
    const own = areas.get(area)
    if (!own) report(['states', i, 'area'], `there is no area "${area}"`)
    else if (!own.looks && chosenBy === undefined && !told) report(['states', i, 'looks'], `the area "${area}" has no looks`)
    const part = partOf(to)
    if (part !== undefined && !parts.has(part)) report(['states', i, 'to'], `there is no part "${part}"`)
    const zone = chosenBy === undefined ? undefined : channels.get(chosenBy)
    if (chosenBy !== undefined && (zone?.area !== area || !isZone(zone.signal)))
      report(['states', i, 'chosenBy'], `there is no channel "${chosenBy}" in the area that tells a zone`)
    if (chosenBy !== undefined && !(typeof to === 'object' && 'linked' in to)) report(['states', i, 'to'], 'what is chosen is linked')
    const by = channels.get(told?.of ?? '')
    if (told && (by?.area !== area || !isTold(by.signal) || typeof by.frame === 'object'))
      report(['states', i, 'zone', 'of'], `there is no channel "${told.of}" in the area that tells a zone of it`)
    if (told && (attributes ?? media ?? chosenBy))
      report(['states', i, 'zone'], 'what a zone tells is declared, and nothing is done with it')
    ways.forEach(({ id, lasts = '' }, n) => {
      checkHoles(['states', i, 'ways', n], { lasts })
      if (id !== undefined && (named.has(id) || channels.has(id))) report(['states', i, 'ways', n, 'id'], `"${id}" is used twice`)
    })
  })
}

/** What must be so of parts. */
function checkParts(rig: Rig, report: Report): void {
  const [areas, parts] = [given(rig.areas), given(rig.parts)]
  const { channels } = rig
  rig.parts.forEach((part, i) => {
    const { area, inside, host, id, drawn, holds, reached, count, lives, box, paints } = part
    if (drawn && [holds, reached, count, lives, box, host].some((each) => each !== undefined))
      report(['parts', i, 'drawn'], 'what the stylesheet draws holds nothing, is one, and is reached by nobody')
    if (typeof holds === 'object' && 'split' in holds && (inside === undefined || reached || count !== undefined))
      report(
        ['parts', i, 'holds'],
        'letters and words lie in another part, are as many as the text has, and are reached by nobody: the text itself is',
      )
    const home = parts.get(inside ?? '')
    if (typeof holds === 'object' && 'lay' in holds && (!home || atMostAt(home) === undefined || reached || count !== undefined))
      report(
        ['parts', i, 'holds'],
        'letters that are laid over a text lie in a part that is there only with the pointer, and are reached by nobody',
      )
    const near = nearOf(part)
    for (const member of ['x', 'y', 'here'] as const)
      if (near && channels.find(({ id: channel }) => channel === near[member])?.area !== area)
        report(['parts', i, 'holds', 'near', member], `there is no channel "${near[member]}" of the same area`)
    if (near && !rig.knobs.some(({ id: knob }) => knob === near.reach))
      report(['parts', i, 'holds', 'near', 'reach'], `there is no knob "${near.reach}"`)
    const [isDropped, copies] = [
      typeof lives === 'object' && 'forMs' in lives,
      holds === 'copy' || (typeof holds === 'object' && 'copy' in holds),
    ]
    if (isDropped && (copies || (typeof holds === 'object' && 'split' in holds) || reached || count !== undefined || box))
      report(
        ['parts', i, 'lives'],
        'what is dropped is small: it holds a text or a picture at most, fills nothing, and is reached by nobody',
      )
    if (isDropped && typeof host === 'object') report(['parts', i, 'host'], 'what is dropped stands in its area, or over all else')
    const comes = (part: Rig['parts'][number]) => part.area === area && part.inside === undefined && atMostAt(part) !== undefined
    if (inside === undefined && atMostAt(part) === undefined && rig.parts.some(comes))
      report(['parts', i, 'lives'], 'all parts of an area are there only with the pointer, or none')
    const around = parts.get(inside ?? '')
    if (inside !== undefined && around && droppedBy(around)) report(['parts', i, 'inside'], `nothing lies in "${inside}": it is dropped`)
    if (typeof reached === 'object' && 'value' in reached) {
      const shown = rig.channels.find((channel) => channel.id === reached.value)
      if (shown?.area !== area || shown.frame !== 'area' || (shown.signal.of !== 'x' && shown.signal.of !== 'y'))
        report(['parts', i, 'reached', 'value'], `there is no channel "${reached.value}" that tells a share of the same area`)
      if (areas.get(area)?.arrowKeys === undefined) report(['parts', i, 'reached'], 'a slider is moved by the arrow keys of its area')
    }
    for (const axis of ['x', 'y'] as const) {
      const channel = rig.channels.find((each) => each.id === paints?.[axis])
      if (paints && (channel?.area !== area || channel.chain === undefined))
        report(['parts', i, 'paints', axis], `there is no chain "${paints[axis]}" in the same area`)
    }
    for (const size of paints?.sizes ?? [])
      if (!rig.knobs.some((knob) => knob.id === size && knob.unit === 'px'))
        report(['parts', i, 'paints', 'sizes'], `there is no knob "${size}" in px`)
    for (const colour of paints?.colours ?? [])
      if (!rig.tokens?.some((each) => each.id === colour)) report(['parts', i, 'paints', 'colours'], `there is no token "${colour}"`)
    const said = saidOver(part)
    const asked = rig.channels.find((channel) => channel.id === said?.over)
    if (said && (asked?.area !== area || asked.signal.of !== 'over'))
      report(['parts', i, 'holds', 'over'], `there is no channel "${said.over}" of the same area that tells what the pointer is on`)
    said?.says.forEach((by, n) => {
      if (typeof by === 'object' && by && 'token' in by && !rig.tokens?.some(({ id: token }) => token === by.token))
        report(['parts', i, 'holds', 'says', n], `there is no token "${by.token}"`)
    })
    if (copies && reached) report(['parts', i, 'reached'], 'a copy is reached by nobody: what it shows is there already')
    if (!areas.has(area)) report(['parts', i, 'area'], `there is no area "${area}"`)
    if (host !== undefined && (inside !== undefined || areas.get(area)?.of === 'each'))
      report(['parts', i, 'host'], 'what stands elsewhere is of an area that is one place, and lies in no other part')
    if (inside !== undefined && rig.parts.findIndex((part) => part.id === inside) >= rig.parts.findIndex((part) => part.id === id))
      report(['parts', i, 'inside'], `"${inside}" is no part that comes before it`)
    if (inside !== undefined && parts.get(inside)?.drawn) report(['parts', i, 'inside'], 'what the stylesheet draws holds nothing')
    if (inside !== undefined && !parts.has(inside)) report(['parts', i, 'inside'], `there is no part "${inside}"`)
  })
}
