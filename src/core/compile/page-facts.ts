// What a page's own sheets and attributes do to elements, as far as it matters to a script: by rules and elements, wherever they come from.
import { AttributeAction, parse, SelectorType, stringify, type Selector } from 'css-what'
import { liesInBy, platformBy, touchedBy } from '../rig/resolve'
import type { Source } from './effects'
import { worstFacts, type Facts } from './facts'

/** What matters, by the properties that do it. */
const deeds = {
  border:
    /^(border(-(top|right|bottom|left|block|inline)(-(start|end))?)?(-(width|style))?|border-radius|border-(top|bottom)-(left|right)-radius|border-(start|end)-(start|end)-radius|all)$/,
  position: /^(position|all)$/,
  turn: /^(transform|transform-origin|rotate|scale|zoom|perspective|perspective-origin|offset-path|offset|all)$/,
  own: /^(transform|filter|box-shadow|background|background-image|mask|mask-image|-webkit-mask|-webkit-mask-image|all)$/,
  transition: /^(transition|transition-duration|transition-delay|animation|animation-name|all)$/,
} as const
type Deed = keyof typeof deeds
const deedNames = Object.keys(deeds) as Deed[]

/** Elements that browsers give borders of their own. */
const bordered = new Set(['button', 'input', 'select', 'textarea', 'fieldset', 'iframe', 'hr', 'dialog', 'th', 'td', 'table'])

/** Declarations, each as its property and its value. */
export type Declarations = readonly (readonly [property: string, value: string])[]

/** A page as facts are read from it; `Found` is what an element is. */
export interface PageRead<Found extends object> {
  /** What a selector matches; undefined where it cannot be read. */
  readonly find: (select: string) => readonly Found[] | undefined
  /** All elements, and all classes that they have now. */
  readonly all: () => readonly Found[]
  readonly classes: () => ReadonlySet<string>
  readonly parentOf: (element: Found) => Found | null
  /** The name of its tag, in small letters. */
  readonly nameOf: (element: Found) => string
  /** The rules of all sheets, whatever they hang on, and those that stand on one element. */
  readonly rules: readonly { readonly select: string; readonly declarations: Declarations }[]
  readonly inline: readonly { readonly element: Found; readonly declarations: Declarations }[]
  /** What all animations change. */
  readonly animated: Declarations
  /** Whether a sheet is missing, and whether the page has scripts that may change it. */
  readonly lacksSheets: boolean
  readonly hasScripts: boolean
}

/** The selectors about which facts are asked: where effects read, and what they write on. */
export interface Asked {
  readonly read: readonly string[]
  readonly written: readonly string[]
}

/** What there is to know for these effects. */
export function askedBy(sources: readonly Source[]): Asked {
  const touched = sources.map(({ rig }) => touchedBy(rig))
  return { read: [...new Set(touched.flatMap(({ read }) => read))], written: [...new Set(touched.flatMap(({ written }) => written))] }
}

/** Facts as they travel: of `liesIn` the pairs that are so. */
export interface PageFacts extends Omit<Facts, 'liesIn'> {
  readonly liesIn: readonly (readonly [inner: string, outer: string])[]
}

export const takeFacts = ({ liesIn, ...facts }: PageFacts): Facts => ({
  ...facts,
  liesIn: (inner, outer) => liesIn.some(([one, other]) => one === inner && other === outer),
})

/** Reads a page once, and tells the facts about it that matter where this is asked; the worst where its sheets do not tell. */
export function readFacts<Found extends object>(page: PageRead<Found>): (asked: Asked) => PageFacts {
  const { hasScripts, lacksSheets } = page
  const does = lacksSheets ? undefined : deedsOf(page)
  const find = (select: string) => page.find(select) ?? []
  return ({ read, written }) => {
    const isIn = liesInBy(platformBy(find, page.parentOf))
    const all = [...new Set([...read, ...written])]
    const liesIn = all.flatMap((inner) => written.filter((outer) => isIn(inner, outer)).map((outer) => [inner, outer] as const))
    const rest = { hasLateElements: hasScripts, hasOwnCode: hasScripts, liesIn }
    if (!does) return { ...worstFacts, ...rest }
    const readHere = new Set(read.flatMap(find))
    const around = new Set([...readHere].flatMap((element) => withParents(element, page)))
    const meets = (deed: Deed, elements: Iterable<Found>) => [...elements].some((element) => does[deed].has(element))
    const writtenHere = written.flatMap(find)
    return {
      hasBorders: meets('border', readHere) || [...readHere].some((element) => bordered.has(page.nameOf(element))),
      hasPositions: meets('position', readHere) || [...readHere].some((element) => page.nameOf(element) === 'dialog'),
      hasTurns: meets('turn', around),
      hasOwnStyles: meets('own', writtenHere),
      hasTransitions: meets('transition', writtenHere),
      ...rest,
    }
  }
}

function withParents<Found extends object>(element: Found, page: PageRead<Found>): readonly Found[] {
  const parent = page.parentOf(element)
  return parent ? [element, ...withParents(parent, page)] : [element]
}

/** The elements to which something of each sort is done, or may be once a state or a class comes. */
function deedsOf<Found extends object>(page: PageRead<Found>): Readonly<Record<Deed, ReadonlySet<Found>>> {
  const found: Record<Deed, Set<Found>> = { border: new Set(), position: new Set(), turn: new Set(), own: new Set(), transition: new Set() }
  const animated = deedsIn(page.animated)
  const add = (declarations: Declarations, elements: () => readonly Found[]) => {
    const isAnimated = declarations.some(
      ([property, value]) => /^(animation|animation-name)$/.test(property) && !isNothing(property, value),
    )
    const done = [...deedsIn(declarations), ...(isAnimated ? animated : [])]
    const which = done.length > 0 ? elements() : []
    for (const deed of done) for (const element of which) found[deed].add(element)
  }
  const classes = page.hasScripts ? page.classes() : undefined
  for (const { select, declarations } of page.rules) {
    add(declarations, () => {
      const most = atMost(select, classes)
      return most === '' ? [] : (page.find(most) ?? page.all())
    })
  }
  for (const { element, declarations } of page.inline) add(declarations, () => [element])
  return found
}

const deedsIn = (declarations: Declarations) =>
  deedNames.filter((deed) => declarations.some(([property, value]) => deeds[deed].test(property) && !isNothing(property, value)))

/** Declarations that only say that there is nothing: as they are written, or as a browser writes them out. */
function isNothing(property: string, value: string): boolean {
  const text = value.trim().toLowerCase()
  if (property === 'position') return /^(static|unset|initial)$/.test(text)
  if (property === 'background') return !/url|gradient|image|element|var|paint|cross-fade/.test(text)
  if (/^background-image|mask/.test(property)) return /^(none|initial|unset)$/.test(text)
  return /^(none|0|0px|0s|unset|initial|medium|0px 0px|0s 0s)$/.test(text) && !/^(transform-origin|all)$/.test(property)
}

const momentary =
  /^(hover|active|focus|focus-visible|focus-within|target|visited|checked|disabled|enabled|valid|invalid|user-valid|user-invalid|placeholder-shown|open|popover-open|fullscreen|autofill|indeterminate|default|in-range|out-of-range|required|optional|read-only|read-write|defined)$/

/**
 * The most that a selector may come to match: without pseudo-classes of a moment, and without classes that no element has now, where
 * `classes` says which there are and others may come. Nothing for pseudo-elements, which are no elements; everything where it cannot be read.
 */
export function atMost(select: string, classes?: ReadonlySet<string>): string {
  let selectors: Selector[][]
  try {
    selectors = parse(select)
  } catch {
    return '*'
  }
  const mayGo = (step: Selector) =>
    (step.type === SelectorType.Pseudo && momentary.test(step.name)) ||
    (step.type === SelectorType.Attribute &&
      (/^data-glass-moth-/.test(step.name) ||
        (classes !== undefined && step.name === 'class' && step.action === AttributeAction.Element && !classes.has(step.value))))
  const kept = selectors
    .filter((steps) => !steps.some(({ type }) => type === SelectorType.PseudoElement))
    .map((steps) =>
      steps.flatMap((step, i): Selector[] => {
        if (!mayGo(step)) return [step]
        // Where it was all that stood between two combinators, anything may stand.
        const isSimple = (other: Selector | undefined) => other !== undefined && !combinators.has(other.type)
        return isSimple(steps[i - 1]) || isSimple(steps[i + 1]) ? [] : [{ type: SelectorType.Universal, namespace: null }]
      }),
    )
  return kept.map((steps) => (steps.length === 0 ? '*' : stringify([steps]))).join(', ')
}

const combinators = new Set([
  SelectorType.Descendant,
  SelectorType.Child,
  SelectorType.Adjacent,
  SelectorType.Sibling,
  SelectorType.Parent,
  SelectorType.ColumnCombinator,
])
