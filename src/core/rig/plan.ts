// What there is to a rig, area by area, and the names that all of it has on a page.
import {
  addedParts,
  partOf,
  sliderOf,
  unitOfKnob,
  type Area,
  type Channel,
  type FrameOf,
  type Output,
  type Part,
  type Rig,
  type Target,
} from './rig'
import { areaOf } from './resolve'
import { isInPx, isTold } from '../signal/signal'
import { keptProperties, propertyOf, slotName, unitOf } from './slot'

/** The names that a rig's properties have on a page. */
export interface Names {
  readonly title: string
  readonly name: string
  /** What knobs go by that are told by an element of the page: its word, by the id of its role. */
  readonly roles?: Readonly<Record<string, string>>
  /** What it has in common with an effect before it, and goes by its names: areas, and the properties of channels. */
  readonly shared?: { readonly areas: Readonly<Record<string, string>>; readonly channels: Readonly<Record<string, string>> } | undefined
}

/** The custom property that carries a channel's value, or that of one link of its chain. */
export function propertyOfChannel({ name, shared }: Names, channel: string, link?: number): string {
  return shared?.channels[channel] ?? `--${name}-${channel}${link === undefined ? '' : `-${link + 1}`}`
}

/** The custom property of a knob or a token. */
export function propertyOfKnob({ name, roles = {} }: Names, id: string): string {
  const role = Object.keys(roles).find((each) => id === each || id.startsWith(`${each}-`))
  return `--${name}-${role === undefined ? id : `${roles[role] ?? role}${id.slice(role.length)}`}`
}

/** The custom property that carries what the page itself gives an element of a property: the same for all effects. */
export function propertyOfOwn(property: string): string {
  return `--own-${property}`
}

/** The name of an area of an effect in attributes and events. */
export function nameOfArea({ name, shared }: Names, rig: Rig, area: string): string {
  return shared?.areas[area] ?? (rig.areas[0]?.id === area ? name : `${name}-${area}`)
}

/** The attribute by which the area that an output hangs on says that it plays. */
export function markOfOutput(names: Names, rig: Rig, output: Output): string {
  return `data-${nameOfArea(names, rig, areaOf(rig, output)?.id ?? '')}`
}

/** Where a part lies in its area, or in the page, by classes. */
function pathOfPart(rig: Rig, names: Names, part: string): string {
  const { inside, host, is } = rig.parts.find(({ id }) => id === part) ?? {}
  return `${inside === undefined ? '' : pathOfPart(rig, names, inside)} ${host === undefined && is === undefined ? '> ' : ''}.${names.name}-${part}`
}

/** Whether a part stands elsewhere than in its area, or lies in one that does. */
function isElsewhere(rig: Rig, part: string): boolean {
  const { inside, host, is } = rig.parts.find(({ id }) => id === part) ?? {}
  return host !== undefined || is !== undefined || (inside !== undefined && isElsewhere(rig, inside))
}

/** Whether a part stands in the top layer, or lies in one that does: its place is the window then. */
function isOverAll(rig: Rig, part: string): boolean {
  const { inside, host, is } = rig.parts.find(({ id }) => id === part) ?? {}
  return host === 'top' || is !== undefined || (inside !== undefined && isOverAll(rig, inside))
}

/** Whether a part lies in the window: with an area that is it, or over all else. */
export const liesInWindow = (rig: Rig, { id, area }: Pick<Part, 'id' | 'area'>): boolean =>
  rig.areas.some((each) => each.id === area && each.of === 'window') || isOverAll(rig, id)

/** The properties of elements of the page that a rig drives. */
export const drivenBy = ({ outputs }: Pick<Rig, 'outputs'>): readonly string[] => [
  ...new Set(outputs.filter(({ to }) => partOf(to) === undefined).map(({ slot }) => propertyOf(slot))),
]

/** A part as a stylesheet selects it while its area is as `area` selects. */
export const partWhile = (rig: Rig, names: Names, area: string, part: string): string =>
  (isElsewhere(rig, part) && !area.startsWith(':root') ? `:root:has(${area})` : area) + pathOfPart(rig, names, part)

/** A part as a script looks for it: from its area, or in the whole page where it stands elsewhere. */
export const partFrom = (rig: Rig, names: Names, part: string): string =>
  isElsewhere(rig, part) ? pathOfPart(rig, names, part).trim() : `:scope${pathOfPart(rig, names, part)}`

/** The custom property that carries an output which CSS cannot work out by itself. */
export function propertyOfOutput({ name }: Names, output: Output): string {
  return `--${name}-${output.channel ?? ''}-${slotName(output.slot).replace(/^--/, '')}${output.link === undefined ? '' : `-${output.link + 1}`}`
}

/**
 * The name by which the page is told of a zone, in an attribute of its area and in an event: `zone`, or `over`, with the channel's own
 * (`zone-{channel}`) where an area has several; undefined for other channels, and for what the pointer is on where a curve makes another
 * number of it.
 */
export function nameOfZone({ channels }: Rig, channel: Channel): string | undefined {
  const hasName = ({ signal, curve }: Channel) => isTold(signal) && !(signal.of === 'over' && curve)
  if (!hasName(channel)) return undefined
  const name = channel.signal.of === 'over' ? 'over' : 'zone'
  return channels.filter((each) => each.area === channel.area && hasName(each)).length > 1 ? `${name}-${channel.id}` : name
}

/** Whether CSS can say a curve: colours or numbers between two stops, on a straight line, without steps. */
export function isPlain({ curve }: Output): boolean {
  if (!curve) return true
  const stops = 'colours' in curve ? curve.colours : curve.stops
  return stops.length === 2 && (stops[0]?.easing ?? 'linear') === 'linear' && !('step' in curve && curve.step)
}

/**
 * Whether what is written of a channel is a length: it is told in px, everything that it is seen in is in px, and takes its unit from nothing else. CSS
 * has less to work out then.
 */
export function isLength(rig: Pick<Rig, 'outputs' | 'knobs' | 'channels'>, id: string): boolean {
  if (!rig.channels.some((channel) => channel.id === id && isInPx(channel.signal))) return false
  const seen = rig.outputs.filter(({ channel }) => channel === id)
  return (
    seen.length > 0 &&
    rig.outputs.every(({ weight }) => weight !== id) &&
    seen.every(({ slot, knob, curve }) => unitOf(slot) === 'px' && curve === undefined && (unitOfKnob(rig.knobs, knob) ?? '') === '')
  )
}

/** Whether the elements of a rig share a vanishing point with what stands beside them. */
export const sharesEye = ({ rules }: Rig) => rules.some(({ css }) => 'perspective' in css)

/** A custom property that is written, and on what; through a curve where CSS cannot say it. */
export interface Write {
  readonly property: string
  readonly to?: Exclude<Target, 'self'> | undefined
  readonly curve?: Output['curve']
  readonly link?: number | undefined
}

export type ChannelPlan = Omit<Channel, 'area' | 'frame' | 'seenBy'> & {
  /** The index of the channel of its frame that tells whether it is seen. */
  readonly seenBy?: number | undefined
  readonly writes: readonly Write[]
  /** How the page is told of it, where it is a zone. */
  readonly zone?: string | undefined
  /** It turns with frames alone, as a stylesheet's transition does. */
  readonly inFrames?: true | undefined
}

/** The channels that are read in one frame of reference. */
export interface FramePlan {
  readonly of: FrameOf
  readonly channels: readonly ChannelPlan[]
}

/** What there is to an area: where it is read, what follows there, and what is added there. */
export interface AreaPlan {
  /** Its name in attributes and events. */
  readonly name: string
  readonly area: Area
  readonly frames: readonly FramePlan[]
  readonly parts: readonly Part[]
  /** The channel that its slider shows, where it has one. */
  readonly slider: string | undefined
  /** The custom properties that keep what the page itself gives an element, by the property that it gives. */
  readonly own: Readonly<Record<string, string>>
}

/** What there is to each area of a rig, in order. */
export function planRig(rig: Rig, names: Names): readonly AreaPlan[] {
  const own = Object.fromEntries(
    drivenBy(rig)
      .filter((property) => property in keptProperties)
      .map((property) => [property, propertyOfOwn(property)]),
  )
  return rig.areas.map((area) => {
    const frames = new Map<string, Channel[]>()
    for (const channel of rig.channels.filter((each) => each.area === area.id)) {
      const key = JSON.stringify(channel.frame)
      frames.set(key, [...(frames.get(key) ?? []), channel])
    }
    return {
      name: nameOfArea(names, rig, area.id),
      area,
      // What is chosen is known after what chooses.
      frames: [...frames.values()]
        .sort((one, other) => Number(choosing(one)) - Number(choosing(other)))
        .map((members) => ({
          of: members[0]?.frame ?? 'area',
          channels: members.map((channel) => planChannel(rig, names, channel, members)),
        })),
      parts: addedParts(rig).filter((part) => part.area === area.id),
      slider: sliderOf(rig, area.id)?.value,
      own,
    }
  })
}

const choosing = (members: readonly Channel[]) => members.some(({ signal }) => signal.of === 'chosen')

function planChannel(rig: Rig, names: Names, channel: Channel, members: readonly Channel[]): ChannelPlan {
  const { id, seenBy } = channel
  const writes: Write[] = []
  const write = (property: string, { to }: Output, more: Omit<Write, 'property' | 'to'>) => {
    const target = to === 'self' ? undefined : to
    if (!writes.some((each) => each.property === property && JSON.stringify(each.to) === JSON.stringify(target)))
      writes.push({ property, ...(target ? { to: target } : {}), ...more })
  }
  for (const output of rig.outputs) {
    if (output.channel === id && isPlain(output)) write(propertyOfChannel(names, id, output.link), output, { link: output.link })
    if (output.channel === id && !isPlain(output))
      write(propertyOfOutput(names, output), output, { curve: output.curve, link: output.link })
    if (output.weight === id) write(propertyOfChannel(names, id), output, {})
  }
  const seen = members.findIndex((member) => member.id === seenBy)
  return { ...channel, seenBy: seen < 0 ? undefined : seen, writes, zone: nameOfZone(rig, channel) }
}
