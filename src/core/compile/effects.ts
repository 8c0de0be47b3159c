// How an effect is written in a script: for each area and each frame of reference of its rig, a table of values.
import type { Names } from '../rig/plan'
import type { Coming } from '../rig/comings'
import {
  isLength,
  liesInWindow,
  markOfOutput,
  nameOfArea,
  nameOfZone,
  partFrom,
  planRig,
  propertyOfKnob,
  sharesEye,
  type AreaPlan,
  type Write,
} from '../rig/plan'
import { frameSelect, selectOf } from '../rig/resolve'
import {
  addedParts,
  atMostAt,
  droppedBy,
  nearOf,
  partOf,
  reachesOut,
  saidOver,
  sliderOf,
  type Area,
  type Channel,
  type FrameOf,
  type Output,
  type Part,
  type Rig,
  type State,
} from '../rig/rig'
import { isByStylesheet, statesOf } from '../rig/states'
import { neutralOf, propertyOf } from '../rig/slot'
import { isBySize } from '../signal/size'
import { outputValue } from '../rig/values'
import { poseOf } from '../rig/play'
import type { Facts } from './facts'
import type { Constants } from './feels'
import { number, quote } from './literal'
import { gives } from './own-rules'
import { playsUnder, restsElsewhere } from './plays'
import type { Targets } from './tables'
import { writeChannel, type Fields } from './values'

/** An effect of the page on its way into the script. */
export interface Source {
  readonly rig: Rig
  readonly names: Names
  /** What it does, for the comment before it. */
  readonly sentence?: string | undefined
}

/** An effect on its way into a table: what is a list in it is joined where several effects are one. */
export interface EffectDraft {
  /** What the area goes by, and what it would if it shared nothing. */
  readonly name: string
  readonly ownName: string
  /** In which frame of reference its values are read. */
  readonly of: FrameOf
  readonly fields: Fields
  /** How long it comes and goes by the stylesheet, ms; 0 where nothing hangs on when that is over. */
  readonly comesMs?: number
  readonly goesMs?: number
  readonly values: readonly { readonly fields: Fields; readonly on: Targets }[]
  /** Where it is seen besides its parts, and the texts of these. */
  readonly within: readonly string[]
  readonly linked: readonly string[]
  readonly parts: readonly string[]
  /** Which of these are seen only with the pointer, by where they lie in their area. */
  readonly shownWhileOn: readonly string[]
  /** What goes with looks, what is numbered by its order, what a zone chooses: as text. */
  readonly deeds: readonly string[]
  readonly indexed: readonly string[]
  readonly chosen: readonly string[]
  /** At how many places at most its parts are there, where they come and go. */
  readonly meets: number
  readonly sentence: string | undefined
}

/** How elements are found out to lie: by name of the fragment. */
export type Measure = 'plain' | 'sliding' | 'leaning' | 'turned'

const moving = ['transform', 'translate', 'rotate', 'scale']

/** What effects move on the page: a selector, whether it is only slid, and the attribute by which an effect says that it is at work there. */
export interface Moved {
  readonly select: string
  readonly slides: boolean
  readonly mark: string
}

/** What the outputs of a rig move on the page. */
export function movedBy({ rig, names }: Source): readonly Moved[] {
  const moves = rig.outputs.filter(({ to, slot }) => partOf(to) === undefined && moving.includes(propertyOf(slot)))
  const slides = ({ slot }: Output) => slot.on === 'transform' && slot.fn.startsWith('translate') && slot.fn !== 'translateZ'
  const selects = new Map(moves.map((output) => [selectOf(rig, output), output]))
  return [...selects].map(([select, output]) => ({
    select,
    slides: moves.every((each) => selectOf(rig, each) !== select || slides(each)),
    mark: markOfOutput(names, rig, output),
  }))
}

/** How elements that this selects are found out to lie, in spite of what effects do to them. */
export function measureFor(select: string, box: Area['box'], moved: readonly Moved[], facts: Facts): Measure {
  const by = moved.filter((each) => facts.liesIn(select, each.select))
  if (facts.hasTurns || by.some((each) => each.select !== select)) return box === 'live' && !facts.hasTurns ? 'plain' : 'turned'
  if (by.length === 0 || box === 'live') return 'plain'
  return by.every(({ slides }) => slides) ? 'sliding' : 'leaning'
}

/** One effect of the page, by area and frame of reference; `comings` are the stylesheet's. */
export function draftsOf(
  { rig, names, sentence }: Source,
  comings: readonly Coming[],
  constants: Constants,
  facts: Facts,
  measureOf: (select: string, box: Area['box']) => Measure,
  moved: readonly string[],
): readonly EffectDraft[] {
  const plans = planRig(rig, names)
  const { hasBorders, hasOwnCode } = facts
  return rig.areas.flatMap((area, index) => {
    const plan = plans[index]
    // What the stylesheet tells by itself needs nothing here.
    if (!plan || isByStylesheet(rig, area)) return []
    const states = statesOf(rig, area)
    // What looks do is done with the area itself.
    const own = plan.frames.find(({ of }) => of === 'area') ?? { of: 'area', channels: [] }
    const isPlain = states.length === 0 && !plan.parts.some(droppedBy) && plan.frames.length > 0
    const frames: typeof plan.frames = isPlain ? plan.frames : [own, ...plan.frames.filter((frame) => frame !== own)]
    return frames.map(({ of, channels }, n): EffectDraft => {
      const inPart = typeof of === 'object' && 'part' in of ? of.part : undefined
      // What is added is no element of the page as it is known.
      const measure =
        sharesEye(rig) || inPart !== undefined ? 'turned' : measureOf(typeof of === 'object' ? frameSelect(of) : area.select, area.box)
      const isArea = of === 'area'
      const members = channels
        .map(({ id }) => rig.channels.find((channel) => channel.id === id))
        .filter((channel): channel is Channel => channel !== undefined)
      const around = {
        insets: isArea ? area.insets : undefined,
        isBetween: (isArea && (area.insets === undefined || area.of !== 'each')) || of === 'window',
        measure,
        hasBorders,
      }
      const isDone = (id: string | undefined) => comings.some((coming) => coming.id === id)
      const written = channels
        .filter(({ id }) => !isDone(id))
        .flatMap(({ id, writes, seenBy, zone }) =>
          (writes.length > 0 ? writes : [bareWrite]).map((write, n) => ({
            id,
            write,
            zone: n === 0 ? zone : undefined,
            on: inPart !== undefined && partOf(write.to) === inPart ? onSelf : targetOf(write, rig, names),
            seenBy: seenBy === undefined ? undefined : channels[seenBy]?.id,
          })),
        )
      const indexOf = (seenBy: string | undefined) =>
        isDone(seenBy) ? ('stylesheet' as const) : seenBy === undefined ? -1 : written.findIndex(({ id }) => id === seenBy)
      const slider = sliderOf(rig, area.id)
      const values = written.flatMap(({ id, write, on, seenBy, zone }) => {
        const channel = members.find((each) => each.id === id)
        return channel
          ? [
              {
                fields: writeChannel(
                  channel,
                  write,
                  indexOf(seenBy),
                  {
                    ...around,
                    zone,
                    chosen: chosenFor(rig, area, channel),
                    slides: id === slider?.value,
                    paints: paintedAlong(rig, id),
                    nears: nearedBy(rig, id),
                    isLength: isLength(rig, id),
                  },
                  constants,
                ),
                on,
              },
            ]
          : []
      })
      // It is asked with each event: the browser keeps the answer.
      const playsIn = restsElsewhere(rig) ? constants.name('playsIn', `matchMedia(${quote(playsUnder(rig).join(' and '))})`) : undefined
      const come = isArea ? comings.filter((coming) => coming.area === area.id) : []
      const seenOn = channels.flatMap(({ writes }) => writes.map(({ to }) => to))
      return {
        name: nameOfArea(names, rig, area.id),
        ownName: nameOfArea({ ...names, shared: undefined }, rig, area.id),
        of,
        values,
        fields: fieldsOf(
          rig,
          names,
          area,
          plan,
          of,
          n === 0,
          measure,
          values.map((value) => value.fields),
          moved,
          seenOn.includes(undefined),
          n === 0 && frames.length === 1 && isBareAtRest(rig, area, facts),
          playsIn,
        ),
        ...timesOf(
          come,
          hasOwnCode ||
            values.some((value) => value.fields.has('beginsUnseen')) ||
            addedParts(rig).some((part) => part.lives === 'on' && part.area === area.id),
        ),
        within: [...new Set(seenOn.flatMap((to) => (to && 'within' in to ? [to.within] : [])))],
        linked: [...new Set([...seenOn.flatMap((to) => (to && 'linked' in to ? [to.linked] : [])), ...(n === 0 ? linkedIn(states) : [])])],
        ...(n === 0 ? writeDeeds(states, rig, names) : { deeds: [], indexed: [], chosen: [] }),
        parts: n === 0 || inPart !== undefined ? plan.parts.map((part) => writePart(rig, part, names)) : [],
        meets: n === 0 ? Math.max(0, ...plan.parts.map((part) => atMostAt(part) ?? 0)) : 0,
        shownWhileOn:
          n === 0
            ? addedParts(rig)
                .filter((part) => part.lives === 'on' && part.area === area.id)
                .map(({ id }) => partFrom(rig, names, id))
            : [],
        sentence: index + n === 0 ? sentence : undefined,
      }
    })
  })
}

/** What the looks of these states are shown on that is linked to their area. */
const linkedIn = (states: readonly State[]) =>
  states.flatMap(({ to, chosenBy }) => (chosenBy === undefined && typeof to === 'object' && 'linked' in to ? [to.linked] : []))

/** What goes with the looks of an area, as a script holds it. */
function writeDeeds(states: readonly State[], rig: Rig, names: Names): Pick<EffectDraft, 'deeds' | 'indexed' | 'chosen'> {
  const member = (name: string, value: string | undefined) => (value === undefined ? '' : `, ${name}: ${value}`)
  const deeds = states
    .filter(({ attributes, media }) => attributes !== undefined || media !== undefined)
    .map(({ looks, to, attributes = {}, media, unless }) => {
      const { self, within, linked, parts } = targetOf({ property: '', to: to === 'self' ? undefined : to }, rig, names)
      const given = Object.entries(attributes).map(([name, text]) => `[${quote(name)}, ${quote(text)}]`)
      return `{ looks: [${looks.map(quote).join(', ')}], attributes: [${given.join(', ')}]${member('unless', unless && quote(unless))}${member('media', media && quote(media))}${self ? ', onSelf: true' : ''}${member('within', within[0] && quote(within[0]))}${member('linked', linked && quote(linked))}${member('onParts', parts[0] && quote(parts[0]))} }`
    })
  const indexed = states.flatMap(({ to, staggerMs }) =>
    staggerMs !== undefined && typeof to === 'object' && 'within' in to ? [`[${quote(`--${names.name}-index`)}, ${quote(to.within)}]`] : [],
  )
  const chosen = states.flatMap(({ to, chosenBy }) => {
    const channel = rig.channels.find(({ id }) => id === chosenBy)
    const zone = channel && nameOfZone(rig, channel)
    return zone !== undefined && typeof to === 'object' && 'linked' in to ? [`[${quote(to.linked)}, ${quote(zone)}]`] : []
  })
  return { deeds: [...new Set(deeds)], indexed: [...new Set(indexed)], chosen: [...new Set(chosen)] }
}

/** How long the longest of these takes to come and to go, where something waits for that. */
function timesOf(comings: readonly Coming[], isAwaited: boolean): Pick<EffectDraft, 'comesMs' | 'goesMs'> {
  if (comings.length === 0) return {}
  const longest = (feelOf: (coming: Coming) => Coming['feel']) =>
    isAwaited ? Math.max(...comings.map(feelOf).map(({ durationMs, delayMs }) => durationMs + delayMs)) : 0
  return { comesMs: longest(({ feel }) => feel), goesMs: longest(({ going, feel }) => going ?? feel) }
}

/** Along which axis a channel tells where pieces are painted. */
const paintedAlong = ({ parts }: Rig, id: string) =>
  parts.some(({ paints }) => paints?.x === id) ? ('x' as const) : parts.some(({ paints }) => paints?.y === id) ? ('y' as const) : undefined

/** What of how near it is to letters a channel tells. */
const nearedBy = ({ parts }: Rig, id: string) =>
  (['x', 'y', 'here'] as const).find((member) => parts.some((part) => nearOf(part)?.[member] === id))

/** What chooses among the elements that a channel is read in. */
function chosenFor(rig: Rig, { of }: Area, { signal, frame }: Channel) {
  const zone = signal.of === 'chosen' ? rig.channels.find(({ id }) => id === signal.by) : undefined
  if (!zone || typeof frame === 'string' || !('each' in frame)) return undefined
  return { zone: nameOfZone(rig, zone) ?? '', isInArea: of === 'each', select: frame.each }
}

/** What a write is on. */
function targetOf({ to }: Write, rig: Rig, names: Names): Targets {
  const part = partOf(to)
  return {
    self: to === undefined,
    within: to && 'within' in to ? [to.within] : [],
    linked: to && 'linked' in to ? to.linked : undefined,
    parts: part === undefined ? [] : [partFrom(rig, names, part)],
  }
}

/** What a tap does something with by itself. */
const pressedApart = 'input, select, textarea, summary, label'

const onSelf: Targets = { self: true, within: [], parts: [] }

/** What nothing is written of is followed all the same, since others hang on it. */
const bareWrite: Write = { property: '' }

function fieldsOf(
  rig: Rig,
  names: Names,
  area: Area,
  plan: AreaPlan,
  of: FrameOf,
  isFirst: boolean,
  measure: Measure,
  values: readonly Fields[],
  moved: readonly string[],
  onSelf: boolean,
  isBare: boolean,
  playsIn: string | undefined,
): Fields {
  const name = nameOfArea(names, rig, area.id)
  const fields = new Map<string, string>([
    ['select', quote(area.of === 'window' ? ':root' : area.select)],
    ['name', quote(name)],
    ['mark', quote(`data-${name}`)],
  ])
  const set = (field: string, isSo: boolean, text = 'true') => isSo && fields.set(field, text)
  const stands = isFirst && doesStand(rig, area)
  const has = (field: string) => values.some((value) => value.has(field))
  const findsAll =
    stands ||
    area.of !== 'each' ||
    area.among === 'all' ||
    of !== 'area' ||
    area.looks !== undefined ||
    has('due') ||
    reachesOut(area) ||
    area.bridge !== undefined ||
    area.arrowKeys !== undefined ||
    area.touch === 'tap' ||
    rig.channels.some(({ signal }) => signal.of === 'focus')
  fields.set(
    'notForeign',
    quote(
      area.of === 'window'
        ? '*'
        : [...new Set([area.select, ...[area.bridge, area.joined].flatMap((each) => each ?? []), ...moved])].join(', '),
    ),
  )
  set('findsAll', findsAll)
  set('stands', stands)
  const turns = rig.channels.some(({ area: id, signal }) => id === area.id && (signal.of === 'wheel' || signal.of === 'pinch'))
  set('keeps', findsAll || has('holds') || turns || (isFirst && plan.parts.length > 0))
  set('seenOnSelf', onSelf)
  const states = isFirst ? statesOf(rig, area) : []
  set('linkedLooks', linkedIn(states).length > 0)
  set(
    'tellsBefore',
    states.some(({ ways = [] }) => ways.some(({ from }) => from !== 'any')),
  )
  set('bareAtRest', isBare && onSelf)
  set('isGroup', area.of === 'group')
  set('isWindow', area.of === 'window')
  set('amongAll', area.among === 'all')
  set('beyond', area.beyond !== undefined, quote(area.beyond ?? ''))
  set('except', area.except !== undefined, quote(area.except ?? ''))
  const canvas = addedParts(rig).find((part) => part.area === area.id && part.paints)
  // It is painted where its pieces are followed.
  if (canvas?.paints && JSON.stringify(channelOf(rig, canvas.paints.x)?.frame) === JSON.stringify(of)) {
    const { sizes, colours, as } = canvas.paints
    fields.set('canvas', quote(partFrom(rig, names, canvas.id)))
    fields.set('paintedBy', `[${[...sizes, ...colours].map((id) => quote(propertyOfKnob(names, id))).join(', ')}]`)
    set('isRibbon', as === 'ribbon')
  }
  set('bridge', area.bridge !== undefined, quote(area.bridge ?? ''))
  set(
    'tellsOthers',
    rig.channels.some(({ area: id, signal }) => id === area.id && signal.of === 'look' && signal.whose === 'others'),
  )
  set('byHit', area.byHit === true && measure === 'plain' && typeof of === 'string')
  set('joined', area.joined !== undefined, quote(area.joined ?? ''))
  set('describes', isFirst && area.describes === true)
  if (area.placed && isFirst)
    fields.set('side', quote(area.placed.side)).set('align', quote(area.placed.align)).set('gapPx', number(area.placed.gapPx))
  set('fine', area.pointer === 'fine')
  set('playsIn', playsIn !== undefined, playsIn)
  set('taps', area.touch === 'tap', quote(area.looks?.opensByTap ? pressedApart : `a[href], button, ${pressedApart}`))
  set(
    'focuses',
    Boolean(area.looks?.keys) ||
      area.arrowKeys !== undefined ||
      rig.channels.some(
        ({ area: id, signal }) => id === area.id && (signal.of === 'focus' || ('focus' in signal && signal.focus !== undefined)),
      ),
  )
  if (area.arrowKeys !== undefined) fields.set('arrowKeys', number(area.arrowKeys))
  const slider = sliderOf(rig, area.id)
  if (slider) fields.set('slider', quote(`.${names.name}-${slider.part}`))
  set(
    'pinches',
    rig.channels.some((channel) => channel.area === area.id && channel.signal.of === 'pinch'),
  )
  if (area.insets) fields.set('insets', insetsOf(area.insets))
  if (typeof of === 'object') {
    const select = 'part' in of ? partFrom(rig, names, of.part) : frameSelect(of)
    fields.set('box' in of ? 'readsInBox' : 'readsIn', quote(select))
    set('readsParts', 'part' in of)
  }
  set('readsInWindow', of === 'window')
  fields.set('measure', measure)
  if (area.looks) {
    const { goDelayMs, stillMs, atMostOne, keys, stays, first, escape, opensByTap } = area.looks
    fields.set('turnsLooks', 'true')
    set('goDelayMs', goDelayMs > 0, number(goDelayMs))
    set('stillMs', stillMs !== undefined, number(stillMs ?? 0))
    set('atMostOne', atMostOne)
    set('takesKeys', keys)
    set('staysOn', stays === true)
    set('firstOn', first !== undefined, String(first))
    set('escapes', escape === true)
    set('opensByTap', opensByTap === true)
  }
  return fields
}

/** Whether an area is another while something is pressed on it. */
export const doesPress = (rig: Rig, { id, of }: Area): boolean =>
  // What is about the whole window leaves the page to be dragged.
  of !== 'window' &&
  (rig.channels.some(
    ({ area, signal }) =>
      area === id &&
      (signal.of === 'pressed' ||
        (signal.of === 'look' && signal.values.pressed !== undefined && signal.values.pressed !== signal.values.on)),
  ) ||
    (rig.states ?? []).some(
      ({ area, looks, zone, chosenBy }) =>
        area === id && !zone && chosenBy === undefined && looks.includes('pressed') !== looks.includes('on'),
    ))

/** A part as a script holds it. */
function writePart(rig: Rig, part: Part, names: Names): string {
  const { id, inside, host, count, box, holds, reached } = part
  const { name } = names
  const splits = typeof holds === 'object' && 'split' in holds ? holds.split : undefined
  const told =
    typeof holds !== 'object'
      ? undefined
      : 'text' in holds
        ? (['text', holds.text] as const)
        : 'picture' in holds
          ? (['picture', holds.picture] as const)
          : undefined
  const near = nearOf(part)
  const dropped = droppedBy(part)
  const every = dropped?.every
  const members: readonly (readonly [string, string | undefined])[] = [
    ['part', quote(`${name}-${id}`)],
    ['inside', inside === undefined ? undefined : quote(`${name}-${inside}`)],
    ['host', host && quote(host === 'top' ? 'top' : host.on)],
    ['count', count === undefined ? undefined : String(count)],
    ['coversBorder', box && 'true'],
    ['copies', holds === 'copy' ? 'true' : undefined],
    ['copiesApart', typeof holds === 'object' && 'copy' in holds && holds.copy === 'apart' ? 'true' : undefined],
    ...writeLive(part),
    ['told', told && quote(told[0])],
    ['splits', splits && quote(splits)],
    ['lays', typeof holds === 'object' && 'lay' in holds ? quote(holds.lay) : undefined],
    ['reach', near && quote(propertyOfKnob(names, near.reach))],
    ['isAside', near?.isAside ? 'true' : undefined],
    ['source', told?.[1].within && quote(told[1].within)],
    ['attribute', told?.[1].attribute && quote(told[1].attribute)],
    ['reached', reached && 'true'],
    ['role', typeof reached === 'object' ? quote(reached.role) : undefined],
    ['shows', typeof reached === 'object' && 'value' in reached ? quote(restOf(rig, reached.value).toFixed(2)) : undefined],
    ['namedBy', typeof reached === 'object' && 'namedBy' in reached ? `[${reached.namedBy.map(quote).join(', ')}]` : undefined],
    ['stride', every && number('ms' in every ? every.ms : every.px)],
    ['byTime', every && 'ms' in every ? 'true' : undefined],
    ['forMs', dropped && number(dropped.forMs)],
    ['atMost', dropped && number(dropped.atMost)],
    ['tag', part.paints && quote('canvas')],
    ['is', part.is === undefined ? undefined : quote(part.is)],
    ['isNumbered', isNumbered(rig, part) ? 'true' : undefined],
    ...writeSaid(rig, part, names),
    ['passes', dropped || rig.parts.some((each) => each.area === part.area && atMostAt(each) !== undefined) ? 'true' : undefined],
    ['inWindow', dropped && liesInWindow(rig, part) ? 'true' : undefined],
    ['home', dropped && inside !== undefined ? quote(partFrom(rig, names, inside)) : undefined],
  ]
  return `{ ${members.flatMap(([member, text]) => (text === undefined ? [] : [`${member}: ${text}`])).join(', ')} }`
}

/** What a part holds that is kept in step piece by piece, as a script has it. */
function writeLive({ holds }: Part): readonly (readonly [string, string | undefined])[] {
  if (typeof holds !== 'object' || !('copy' in holds) || holds.copy !== 'live') return []
  return [
    ['copiesLive', 'true'],
    ['zoom', number(holds.zoom)],
    ['sharper', holds.sharper && quote(holds.sharper)],
  ]
}

/** Whether something of the stylesheet asks for the number of each of several parts. */
export function isNumbered({ states = [], parts }: Rig, part: Part): boolean {
  const own = states.filter(({ to }) => partOf(to) === part.id)
  const drawn = parts.filter((each) => each.drawn && each.inside === part.id)
  const all = [
    part.css,
    ...drawn.map(({ css }) => css),
    ...own.flatMap(({ css, animation }) => [css, animation?.from ?? {}, animation?.to ?? {}]),
  ]
  const isAsked = all.some((css) => Object.values(css).some((text) => text.includes('{index}')))
  return part.count !== undefined && (isAsked || own.some(({ animation }) => animation?.laterMs !== undefined))
}

/** What a part says of the element under the pointer, as a script holds it. */
function writeSaid(rig: Rig, part: Part, names: Names): readonly (readonly [string, string | undefined])[] {
  const said = saidOver(part)
  const asked = rig.channels.find(({ id }) => id === said?.over)?.signal
  if (!said || asked?.of !== 'over') return []
  const ways = said.says.map((by) =>
    by === null
      ? 'undefined'
      : by === 'label'
        ? 'labelOf'
        : by === 'words'
          ? '(element) => element.textContent'
          : 'attribute' in by
            ? `(element) => element.getAttribute(${quote(by.attribute)})`
            : `(element) => toldOf(element, ${quote(propertyOfKnob(names, by.token))})`,
  )
  return [
    ['asks', `[${asked.among.map(quote).join(', ')}]`],
    ['says', `[${ways.join(', ')}]`],
    ['isRound', said.isRound ? 'true' : undefined],
  ]
}

/** Where a channel lies before the pointer comes. */
function restOf(rig: Rig, id: string): number {
  const channel = channelOf(rig, id)
  return channel ? poseOf(channel) : 0
}

function insetsOf(insets: NonNullable<Area['insets']>): string {
  const side = (name: keyof typeof insets, length: string) =>
    insets[name].unit === 'px' ? number(insets[name].value) : `${number(insets[name].value / 100)} * ${length}`
  return `(width, height) => [${side('top', 'height')}, ${side('right', 'width')}, ${side('bottom', 'height')}, ${side('left', 'width')}]`
}

/**
 * Whether elements of an area are to be unmarked at rest: those that lean in a box that the page turned, whose edges are drawn otherwise
 * while they are layers of their own. Where the page's own transitions may still be on their way, they stay as they are.
 */
const isBareAtRest = (rig: Rig, area: Area, { hasTurns, hasOwnStyles, hasInlineStyles, hasTransitions, ownRules }: Facts): boolean =>
  hasTurns &&
  !(hasOwnStyles || hasInlineStyles || hasTransitions || gives(ownRules, 'transition')) &&
  rig.outputs.some(({ slot }) => slot.on === 'transform' && /^(perspective|rotate[XY]|translateZ)$/.test(slot.fn)) &&
  addedParts(rig).every(({ id }) => addedParts(rig).some(({ inside }) => inside === id) || isUnseenAtRest(rig, id)) &&
  !isMovedAtRest(rig, area)

const isUnseenAtRest = (rig: Rig, part: string) =>
  rig.outputs.some((output) => partOf(output.to) === part && output.slot.on === 'opacity' && shownAtRest(rig, output) === 0)

/** Whether something of an area is seen without the pointer: a part, or a value that is not neutral while it is away. */
export function doesStand(rig: Rig, area: Area): boolean {
  if (rig.channels.some((channel) => channel.area === area.id && (isBySize(channel) || hasFirstZone(channel)))) return true
  if (
    area.looks?.first !== undefined ||
    statesOf(rig, area).some(({ looks, attributes }) => looks.includes('off') || attributes !== undefined)
  )
    return true
  return addedParts(rig).some((part) => part.area === area.id && !part.lives && part.inside === undefined) || isMovedAtRest(rig, area)
}

const hasFirstZone = ({ signal }: Channel) => 'first' in signal && signal.first !== undefined

/** Whether elements of the page are not as without the effect while the pointer is away. */
function isMovedAtRest(rig: Rig, area: Area): boolean {
  const ofArea = rig.outputs.filter(
    (output) => partOf(output.to) === undefined && (channelOf(rig, output.channel ?? output.weight)?.area ?? rig.areas[0]?.id) === area.id,
  )
  return ofArea.some(
    (output) =>
      !propertyOf(output.slot).startsWith('--') &&
      !(output.slot.on === 'transform' && output.slot.fn === 'perspective') &&
      shownAtRest(rig, output) !== neutralOf(output.slot),
  )
}

const channelOf = (rig: Rig, id: string | undefined) => rig.channels.find((channel) => channel.id === id)

const shownAtRest = (rig: Rig, output: Output) =>
  outputValue(rig, output, (id) => {
    const channel = channelOf(rig, id)
    return channel && poseOf(channel)
  })
