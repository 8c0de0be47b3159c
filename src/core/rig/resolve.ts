// Which elements does this touch? By selectors, for stylesheets and facts; and as elements, over whatever platform there is: a page, a
// parsed tree, or boxes alone.
import { metBy, type Signal } from '../signal/signal'
import { partOf, type Area, type FrameOf, type Output, type Rig, type Target } from './rig'

/** Where elements are found. `Found` is what one is there. */
export interface Platform<Found> {
  /** What a selector matches, in the order of the page; undefined where it cannot be read. */
  readonly find: (select: string) => readonly Found[] | undefined
  /** Which of some elements another one is, or lies in: its place among them; -1 for none. */
  readonly homeOf: (element: Found, among: readonly Found[]) => number
}

/** A platform whose elements know what they lie in: of several that are one in another the nearest is meant. */
export function platformBy<Found extends object>(
  find: Platform<Found>['find'],
  parentOf: (element: Found) => Found | null | undefined,
): Platform<Found> {
  const known = new WeakMap<readonly Found[], ReadonlyMap<Found, number>>()
  const placesIn = (among: readonly Found[]) => {
    const places = known.get(among) ?? new Map(among.map((element, index) => [element, index]))
    known.set(among, places)
    return places
  }
  return {
    find,
    homeOf: (element, among) => {
      const places = placesIn(among)
      for (let each: Found | null | undefined = element; each; each = parentOf(each)) {
        const place = places.get(each)
        if (place !== undefined) return place
      }
      return -1
    },
  }
}

/** The selectors that a rig reads the pointer in, and those of the elements of the page that its outputs are written on. */
export interface Touched {
  readonly read: readonly string[]
  readonly written: readonly string[]
}

export function touchedBy({ areas, channels, outputs, ...rig }: Rig): Touched {
  const whole = { ...rig, areas, channels, outputs }
  return {
    read: [
      ...areas.flatMap(({ of, select, beyond, except }) => [
        ...(of === 'window' ? [] : [select]),
        ...[beyond, except].flatMap((each) => each ?? []),
      ]),
      ...channels.flatMap(({ frame, signal }) => [
        ...(typeof frame === 'string' ? [] : [frameSelect(frame)]),
        ...(signal.of === 'nearest' ? [signal.among] : metBy(signal)),
        ...('focus' in signal && signal.focus !== undefined ? [signal.focus] : []),
      ]),
    ],
    written: outputs.filter(({ to }) => partOf(to) === undefined).map((output) => selectOf(whole, output)),
  }
}

/** A place of an area: what holds the pointer there, and by frame of reference the elements that are read in. */
export interface ResolvedPlace<Found> {
  /** One match, all of a group; none for the window. */
  readonly elements: readonly Found[]
  /** In the order of the frames: the elements of each; undefined where it is the place itself, or the window. */
  readonly frames: readonly (readonly Found[] | undefined)[]
}

/**
 * The places of an area on a platform, with what is read in each. Parts are there before: a frame may be one of them. An
 * element of a frame belongs to the place that it lies in; where it lies in none, to the first of all.
 */
export function resolveArea<Found>(
  area: Pick<Area, 'of' | 'select'>,
  frames: readonly FrameOf[],
  { find, homeOf }: Platform<Found>,
): readonly ResolvedPlace<Found>[] {
  const matches = area.of === 'window' ? [] : (find(area.select) ?? [])
  const places = area.of === 'each' ? matches.map((match) => [match]) : [matches]
  const placeOf = (element: Found) => (area.of === 'each' ? Math.max(0, homeOf(element, matches)) : 0)
  const found = frames.map((of) => {
    if (typeof of === 'string') return undefined
    const elements = find(frameSelect(of)) ?? []
    // One box elsewhere is the same for all places.
    return 'box' in of ? places.map(() => elements.slice(0, 1)) : places.map((_, i) => elements.filter((each) => placeOf(each) === i))
  })
  return places.map((elements, i) => ({ elements, frames: found.map((by) => by?.[i]) }))
}

/** Each set of two or more of these selectors that some element matches (and no other of them), in their order: there effects are composed. */
export function overlapsOf(selects: readonly string[], find: Platform<object>['find']): readonly (readonly string[])[] {
  const matched = new Map<object, string[]>()
  for (const select of selects) for (const element of find(select) ?? []) matched.set(element, [...(matched.get(element) ?? []), select])
  const sets = new Map<string, readonly string[]>()
  for (const set of matched.values()) if (set.length > 1) sets.set(set.join('\n'), set)
  return [...sets.values()]
}

/** Whether some element of one selector is one of another, or lies in one; found once for each selector. */
export function liesInBy<Found>({ find, homeOf }: Platform<Found>): (inner: string, outer: string) => boolean {
  const known = new Map<string, readonly Found[]>()
  const found = (select: string) => {
    const elements = known.get(select) ?? find(select) ?? []
    known.set(select, elements)
    return elements
  }
  return (inner, outer) => found(inner).some((element) => homeOf(element, found(outer)) >= 0)
}

/** The rig with every selector in it as `change` has it. */
export function withSelectors(rig: Rig, change: (select: string) => string): Rig {
  const changed = <T extends object>(target: T): T =>
    Object.fromEntries(
      Object.entries(target).map(([key, value]) => [key, key === 'part' || typeof value !== 'string' ? (value as unknown) : change(value)]),
    ) as T
  const withTarget = <T extends { readonly to: Target }>(item: T): T => ({ ...item, to: item.to === 'self' ? item.to : changed(item.to) })
  return {
    ...rig,
    areas: rig.areas.map(({ select, bridge, beyond, joined, except, ...area }) => ({
      ...area,
      select: change(select),
      ...(bridge === undefined ? {} : { bridge: change(bridge) }),
      ...(beyond === undefined ? {} : { beyond: change(beyond) }),
      ...(joined === undefined ? {} : { joined: change(joined) }),
      ...(except === undefined ? {} : { except: change(except) }),
    })),
    channels: rig.channels.map((channel) => ({
      ...channel,
      frame: typeof channel.frame === 'string' ? channel.frame : changed(channel.frame),
      signal: signalWith(channel.signal, change),
    })),
    outputs: rig.outputs.map(withTarget),
    ...(rig.states ? { states: rig.states.map(withTarget) } : {}),
    parts: rig.parts.map((part) => (typeof part.host === 'object' ? { ...part, host: { on: change(part.host.on) } } : part)),
    rules: rig.rules.map((rule) => ({ ...rule, select: change(rule.select) })),
  }
}

/** A signal with its selectors as `change` has them. */
function signalWith(signal: Signal, change: (select: string) => string): Signal {
  if (signal.of === 'over') return { ...signal, among: signal.among.map(change) }
  if ('among' in signal && signal.of !== 'nearest') return { ...signal, among: change(signal.among) }
  if (signal.of !== 'zone' && signal.of !== 'nearest') return signal
  const { focus } = signal
  const own = focus === undefined ? {} : { focus: change(focus) }
  return signal.of === 'nearest' ? { ...signal, ...own, among: change(signal.among) } : { ...signal, ...own }
}

/** The area in which an output is read. */
export function areaOf(rig: Rig, { channel, weight }: Output): Area | undefined {
  const read = rig.channels.find(({ id }) => id === (channel ?? weight))
  return rig.areas.find(({ id }) => id === read?.area) ?? rig.areas[0]
}

/** The selector of what an output is written on. */
export function selectOf(rig: Rig, output: Output): string {
  const read = rig.channels.find(({ id }) => id === (output.channel ?? output.weight))
  const area = areaOf(rig, output)
  const frame =
    read && typeof read.frame === 'object' && 'each' in read.frame
      ? read.frame.each
      : area?.of === 'window'
        ? ':root'
        : (area?.select ?? '')
  return targetSelect(frame, output.to)
}

export function targetSelect(frame: string, to: Target): string {
  if (to === 'self' || 'part' in to) return frame
  if ('linked' in to) return to.linked
  // A selector that begins with the area's own already says that it lies in it.
  if (to.within.startsWith(`${frame} `)) return to.within
  const inner = /[\s>+~,]/.test(to.within) ? `:is(${to.within})` : to.within
  return `${asOneSelector(frame)} ${inner}`
}

/** A list of selectors as one, to which more can be added. */
export const asOneSelector = (select: string) => (select.includes(',') ? `:is(${select})` : select)

/**
 * A selector as one compound, to which more can be added on either side. What it says of elements further out goes into `:is()`: after the
 * combinator of a relative selector, as in `:has(> .list > .card)`, that would be looked for further in.
 */
export const asCompound = (select: string) => (/[\s,>+~]/.test(select) ? `:is(${select})` : select)

/** By what boxes of a frame of reference are told: a selector, or the name of a part as CSS writes it. */
export const frameSelect = (frame: Exclude<FrameOf, string>): string =>
  'each' in frame ? frame.each : 'box' in frame ? frame.box : `::part(${frame.part})`
