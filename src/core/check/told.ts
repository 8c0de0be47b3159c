// What the markup and the sheets of a page tell about an effect, wherever they are read: in a browser or from a tree.
import { atMost, type PageRead } from '../compile/page-facts'
import { drivenBy } from '../rig/plan'
import { addedParts, type Rig } from '../rig/rig'
import { touchedBy } from '../rig/resolve'
import { lookedOn } from '../rig/states'
import * as z from 'zod'

const number = z.number().int()

export const toldSchema = z.object({
  /** The numbers in the source of the elements that it reads the pointer on. */
  matches: z.array(number),
  /** How many elements the effect itself is on. */
  count: z.number().int(),
  /** Elements it writes on whose own `style` has something important of what it drives, or a transition of that. */
  important: z.array(z.object({ number, properties: z.array(z.string()) })),
  /** Rules that match something else once the effect has added its parts, as CSS for what they matched before. */
  upset: z.array(z.object({ select: z.string(), css: z.string() })),
  /** What of its own the page cannot go on with beside the effect: a clip path where the effect cuts, and what its animations drive that the effect drives too. */
  displaced: z.array(z.string()),
  /** Elements that it is on, and that the focus cannot reach: it is neither on them, in them nor around them. */
  unreached: z.array(number),
  /** Of two layers that have to stand apart: whether both are the same element, or one lies in the other. */
  apart: z.enum(['same', 'inside']).nullable(),
  /** The ids of roles whose selector matches nothing on the page. */
  unmet: z.array(z.string()),
})
export type Told = z.infer<typeof toldSchema>

/** About what a page is asked. */
export interface ToldAsked {
  readonly select: string
  /** What the effect itself is on, where that is not what it reads the pointer on. */
  readonly own?: string | undefined
  readonly written: readonly string[]
  readonly driven: readonly string[]
  /** Whether it cuts by a clip of its own, which takes over from a page that cuts sides itself. */
  readonly takesClip: boolean
  /** Whether elements are added to what `select` matches. */
  readonly adds: boolean
  /** What cannot be focused while the effect is off, and whether it lets the focus on its elements itself. */
  readonly shut: readonly string[]
  readonly takesFocus: boolean
  /** The selectors of two layers that have to stand apart, where there are such. */
  readonly layers: readonly string[]
  /** The selectors of its roles beside its own elements, by id. */
  readonly roles: Readonly<Record<string, string>>
}

export function toldAskedBy(
  rig: Rig,
  layers: readonly string[] = [],
  roles: Readonly<Record<string, string>> = {},
  own?: string,
): ToldAsked {
  const [area] = rig.areas
  const looks = lookedOn(rig)
  return {
    select: area && area.of !== 'window' ? area.select : '',
    own,
    written: [...new Set([...touchedBy(rig).written, ...looks.map(({ select }) => select)])],
    driven: [...new Set([...drivenBy(rig), ...looks.flatMap(({ state }) => Object.keys(state.css))])],
    takesClip: rig.outputs.some(({ slot }) => slot.on === 'clip'),
    adds: addedParts(rig).some(({ area: id, host, inside }) => id === area?.id && host === undefined && inside === undefined),
    shut: looks.filter(({ state }) => state.looks.includes('off') && state.css.visibility === 'hidden').map(({ select }) => select),
    layers,
    roles,
    takesFocus: looks.some(({ state }) => state.to === 'self' && state.looks.includes('off') && state.attributes?.tabindex === '0'),
  }
}

const focusable =
  'a[href], area[href], button, input, select, textarea, summary, iframe, [tabindex], [contenteditable], audio[controls], video[controls]'

/** What a page tells of one effect. `numberOf` gives an element's number in the source. */
export function tell<Found extends object>(
  page: PageRead<Found>,
  numberOf: (element: Found) => number | undefined,
  { select, own, written, driven, takesClip, adds, shut, takesFocus, layers, roles }: ToldAsked,
): Told {
  const find = (each: string) => (each === '' ? [] : (page.find(each) ?? []))
  const numbers = (elements: Iterable<Found>) => [...elements].flatMap((element) => numberOf(element) ?? [])
  const matches = find(select)
  const writtenOn = new Set(written.flatMap(find))
  const reached = takesFocus ? new Set(matches) : reachedOn(page, matches, new Set(shut.flatMap(find)))
  return {
    matches: numbers(matches),
    count: find(own ?? select).length,
    important: page.inline.flatMap(({ element, declarations }) => {
      const number = numberOf(element)
      if (number === undefined || !writtenOn.has(element)) return []
      const properties = declarations.flatMap(([property, , isImportant]) =>
        isImportant && (driven.includes(property) || (driven.length > 0 && /^transition/.test(property))) ? [property] : [],
      )
      return properties.length > 0 ? [{ number, properties }] : []
    }),
    displaced: [...displacedOn(page, writtenOn, driven, takesClip)],
    upset: adds ? upsetBy(page, matches) : [],
    unreached: numbers(matches.filter((element) => !reached.has(element))),
    apart: apartOn(page, layers.map(find)),
    unmet: Object.keys(roles).filter((id) => find(roles[id] ?? '').length === 0),
  }
}

/** Whether an element is one of some, or lies in one. */
function liesIn<Found extends object>(page: PageRead<Found>, element: Found | null, some: ReadonlySet<Found>): boolean {
  for (let each = element; each; each = page.parentOf(each)) if (some.has(each)) return true
  return false
}

/** What keeps two layers from standing apart. */
function apartOn<Found extends object>(page: PageRead<Found>, [one, other]: readonly (readonly Found[])[]): Told['apart'] {
  if (!one || !other) return null
  const [first, second] = [new Set(one), new Set(other)]
  if (other.some((element) => first.has(element))) return 'same'
  return one.some((element) => liesIn(page, page.parentOf(element), second)) ||
    other.some((element) => liesIn(page, page.parentOf(element), first))
    ? 'inside'
    : null
}

/** The properties that rules give some of these elements in ways that effects cannot be composed with, of those that are driven. */
function displacedOn<Found extends object>(
  page: PageRead<Found>,
  elements: ReadonlySet<Found>,
  driven: readonly string[],
  takesClip: boolean,
): readonly string[] {
  const animated = new Set(page.animated.map(([property]) => property).filter((property) => driven.includes(property)))
  const isSaid = (value: string) => !/^(none|initial|unset|inherit)$/.test(value.trim())
  const given = page.rules.flatMap(({ select, declarations }) => {
    const cuts =
      driven.includes('clip-path') &&
      declarations.some(([property, value]) => property === 'clip-path' && isSaid(value) && !(takesClip && value.startsWith('inset(')))
    const moves = animated.size > 0 && declarations.some(([property, value]) => /^animation(-name)?$/.test(property) && isSaid(value))
    if (!cuts && !moves) return []
    const most = atMost(select)
    const meets = most !== '' && (page.find(most) ?? []).some((element) => elements.has(element))
    return meets ? [...(cuts ? ['clip-path'] : []), ...(moves ? animated : [])] : []
  })
  return [...new Set(given)]
}

/** Of some elements those that the focus can be on, in or around; in what is shut it cannot. */
function reachedOn<Found extends object>(page: PageRead<Found>, elements: readonly Found[], shut: ReadonlySet<Found>): ReadonlySet<Found> {
  const all = (page.find(focusable) ?? []).filter((element) => !liesIn(page, element, shut))
  const own = new Set(all)
  const around = new Set<Found>()
  for (const each of all)
    for (let parent: Found | null = each; parent && !around.has(parent); parent = page.parentOf(parent)) around.add(parent)
  return new Set(elements.filter((element) => around.has(element) || liesIn(page, page.parentOf(element), own)))
}

/** Pseudo-classes that count from the end, or count all: one more element at the end changes what they match. */
const fromEnd = /:(last-child|only-child|nth-last-child\(([^()]+)\)|empty)(?![\w-])/

/** The rules of a page that match a child of one of these elements by what comes after it; each as it would be without what is added. */
function upsetBy<Found extends object>(page: PageRead<Found>, elements: readonly Found[]): Told['upset'] {
  const hosts = new Set(elements)
  const tight = (select: string) => select.replace(/\s+/g, '')
  const known = new Set(page.rules.map(({ select }) => tight(select)))
  return page.rules.flatMap(({ context, select, declarations }) => {
    // What stands beside such a rule already needs not be said again.
    if (!fromEnd.test(select) || declarations.length === 0 || known.has(tight(withoutParts(select)))) return []
    const most = atMost(select)
    const found = most === '' ? [] : (page.find(most) ?? [])
    const isUpset = /:empty(?![\w-])/.test(select)
      ? found.some((element) => hosts.has(element))
      : found.some((element) => hosts.has(page.parentOf(element) ?? element))
    if (!isUpset) return []
    const rule = `${withoutParts(select)} { ${declarations.map(([property, value, important]) => `${property}: ${value}${important ? ' !important' : ''};`).join(' ')} }`
    return [{ select, css: context.reduceRight((inner, around) => `${around} { ${inner} }`, rule) }]
  })
}

/** The same selector, counting only what is not added by effects (Selectors Level 4, "of S"). */
const withoutParts = (select: string): string =>
  select
    .replace(/:last-child(?![\w-])/g, ':nth-last-child(1 of :not([data-part]))')
    .replace(/:nth-last-child\(([^()]+)\)/g, (whole: string, nth: string) =>
      nth.includes(' of ') ? whole : `:nth-last-child(${nth.trim()} of :not([data-part]))`,
    )
    .replace(/:only-child(?![\w-])/g, ':not(:nth-child(2 of :not([data-part])), :nth-last-child(2 of :not([data-part])))')
    .replace(/:empty(?![\w-])/g, ':not(:has(> :not([data-part])))')
