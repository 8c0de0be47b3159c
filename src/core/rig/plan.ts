// From a rig to what is played of it: one figure for each of its areas.
import { partOf, type Channel, type Output, type Rig } from './rig'
import { areaOf } from './select'
import { keptProperties, propertyOf, slotName } from './slot'
import type { PlayedChannel, PlayedFigure, PlayedFrame, Write } from './played'

/** The names that a rig's properties have on a page. */
export interface Names {
  readonly title: string
  readonly name: string
  /** What knobs go by that are told by an element of the page: its word, by the id of its role. */
  readonly roles?: Readonly<Record<string, string>>
  /** What it has in common with a figure before it, and goes by its names: areas, and the properties of channels. */
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

/** The name of an area of a figure in attributes and events. */
export function nameOfArea({ name, shared }: Names, rig: Rig, area: string): string {
  return shared?.areas[area] ?? (rig.areas[0]?.id === area ? name : `${name}-${area}`)
}

/** The attribute by which the area that an output hangs on says that it plays. */
export function markOfOutput(names: Names, rig: Rig, output: Output): string {
  return `data-${nameOfArea(names, rig, areaOf(rig, output)?.id ?? '')}`
}

/** Where a part lies in its area, by classes. */
export function pathOfPart(rig: Rig, names: Names, part: string): string {
  const inside = rig.parts.find(({ id }) => id === part)?.inside
  return `${inside === undefined ? '' : pathOfPart(rig, names, inside)} > .${names.name}-${part}`
}

/** The custom property that carries an output which CSS cannot work out by itself. */
export function propertyOfOutput({ name }: Names, output: Output): string {
  return `--${name}-${output.channel ?? ''}-${slotName(output.slot).replace(/^--/, '')}${output.link === undefined ? '' : `-${output.link + 1}`}`
}

/** Whether CSS can say a curve: colours or numbers between two stops, on a straight line, without steps. */
export function isPlain({ curve }: Output): boolean {
  if (!curve) return true
  const stops = 'colours' in curve ? curve.colours : curve.stops
  return stops.length === 2 && (stops[0]?.easing ?? 'linear') === 'linear' && !('step' in curve && curve.step)
}

/** Whether the elements of a rig share a vanishing point with what stands beside them. */
export const sharesEye = ({ rules }: Rig) => rules.some(({ css }) => 'perspective' in css)

/** What is played of a rig: a figure for each area, in order. */
export function planRig(rig: Rig, names: Names): readonly PlayedFigure[] {
  const drives = [...new Set(rig.outputs.filter(({ to }) => partOf(to) === undefined).map(({ slot }) => propertyOf(slot)))]
  const kept = drives.filter((property) => property in keptProperties)
  return rig.areas.map((area) => {
    const channels = rig.channels.filter((channel) => channel.area === area.id)
    const frames = new Map<string, Channel[]>()
    for (const channel of channels) {
      const key = JSON.stringify(channel.frame)
      frames.set(key, [...(frames.get(key) ?? []), channel])
    }
    const parts = rig.parts.filter((part) => part.area === area.id)
    const { of, select, insets, box, among, beyond, bridge, pointer, looks } = area
    return {
      title: names.title,
      name: nameOfArea(names, rig, area.id),
      area: { of, select, insets, box, among, beyond, bridge, pointer, looks, touch: area.touch === 'tap' ? ('tap' as const) : undefined },
      frames: [...frames.values()].map((members): PlayedFrame => ({ of: members[0]?.frame ?? 'area', channels: members.map((channel) => playedChannel(rig, names, channel, members)) })),
      own: kept.length > 0 ? Object.fromEntries(kept.map((property) => [property, propertyOfOwn(property)])) : undefined,
      parts: parts.length > 0 ? parts.map(({ id, inside, count, whileOn, covers, holds }) => ({ id, inside, count, whileOn, covers, holds, className: `${names.name}-${id}` })) : undefined,
      drives,
      marksArea: rig.rules.some((rule) => rule.whilePlayed && rule.select === select) || undefined,
      sharesEye: sharesEye(rig) || undefined,
      media: rig.media,
      notCalm: rig.notCalm ? true : undefined,
    }
  })
}

function playedChannel(rig: Rig, names: Names, channel: Channel, members: readonly Channel[]): PlayedChannel {
  const { id, signal, away, curve, feel, going, timing, chain, group, seenBy } = channel
  const writes: Write[] = []
  const write = (property: string, { to }: Output, more: Omit<Write, 'property' | 'to'>) => {
    const target = to === 'self' ? undefined : to
    if (!writes.some((each) => each.property === property && JSON.stringify(each.to) === JSON.stringify(target))) writes.push({ property, ...(target ? { to: target } : {}), ...more })
  }
  for (const output of rig.outputs) {
    if (output.channel === id && isPlain(output)) write(propertyOfChannel(names, id, output.link), output, { link: output.link })
    if (output.channel === id && !isPlain(output)) write(propertyOfOutput(names, output), output, { curve: output.curve, link: output.link })
    if (output.weight === id) write(propertyOfChannel(names, id), output, {})
  }
  const seen = members.findIndex((member) => member.id === seenBy)
  return { id, signal, away, curve, feel, going, timing, chain, group, seenBy: seen < 0 ? undefined : seen, writes }
}
