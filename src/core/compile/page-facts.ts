// What a page's own sheets and attributes do to elements, as far as it matters to a script: by rules and elements, wherever they come from.
import { AttributeAction, isTraversal, parse, SelectorType, stringify, type Selector } from 'css-what'
import { liesInBy, platformBy, touchedBy } from '../rig/resolve'
import { drivenBy } from '../rig/plan'
import { lookedOn, turnedSelects } from '../rig/states'
import type { Source } from './effects'
import { takeOver, type Declarations, type OwnRule } from './own-rules'
import { worstFacts, type Facts, type Sheets } from './facts'

/** What matters, by the properties that do it. */
const deeds = {
  border:
    /^(border(-(top|right|bottom|left|block|inline)(-(start|end))?)?(-(width|style))?|border-radius|border-(top|bottom)-(left|right)-radius|border-(start|end)-(start|end)-radius|all)$/,
  position: /^(position|all)$/,
  eye: /^(perspective|all)$/,
  clip: /^(overflow(-(x|y|block|inline))?|all)$/,
  turn: /^(transform|transform-origin|rotate|scale|zoom|perspective|perspective-origin|offset-path|offset|all)$/,
  transition: /^(transition|transition-duration|transition-delay|animation|animation-name|all)$/,
} as const
type Deed = keyof typeof deeds
const deedNames = Object.keys(deeds) as Deed[]

/** Elements that browsers give borders of their own. */
const bordered = new Set(['button', 'input', 'select', 'textarea', 'fieldset', 'iframe', 'hr', 'dialog', 'th', 'td', 'table'])

/** A page as facts are read from it; `Found` is what an element is. */
export interface PageRead<Found extends object> {
  /** What a selector matches; undefined where it cannot be read. */
  readonly find: (select: string) => readonly Found[] | undefined
  /** How many times an element was looked at to find them; left out where that is the browser's own work. */
  readonly looks?: () => number
  /** All elements, and all classes that they have now. */
  readonly all: () => readonly Found[]
  readonly classes: () => ReadonlySet<string>
  readonly parentOf: (element: Found) => Found | null
  /** The name of its tag, in small letters. */
  readonly nameOf: (element: Found) => string
  /** The rules of all sheets, whatever they hang on, each with what it stands in, and what stands on one element. */
  readonly rules: readonly { readonly context: readonly string[]; readonly select: string; readonly declarations: Declarations }[]
  readonly inline: readonly { readonly element: Found; readonly declarations: Declarations }[]
  /** The layers of its sheets, in their order. */
  readonly layers: readonly string[]
  /** What all animations change. */
  readonly animated: Declarations
  /** What of its sheets is known, and whether the page has scripts that may change it. */
  readonly sheets: Sheets
  readonly hasScripts: boolean
}

/**
 * About what facts are asked: the selectors of where effects read, and of what they write on; what they drive there that a page may give too;
 * the selectors of what their looks give a list of transitions; and what else looks give, with its selectors.
 */
export interface Asked {
  readonly read: readonly string[]
  readonly written: readonly string[]
  readonly driven: readonly string[]
  readonly turned: readonly string[]
  readonly looked: readonly { readonly select: string; readonly properties: readonly string[] }[]
}

/** What there is to know for these effects. */
export function askedBy(sources: readonly Source[]): Asked {
  const touched = sources.map(({ rig }) => touchedBy(rig))
  return {
    read: [...new Set(touched.flatMap(({ read }) => read))],
    written: [...new Set(touched.flatMap(({ written }) => written))],
    driven: [...new Set(sources.flatMap(({ rig }) => drivenBy(rig)))],
    turned: [...new Set(sources.flatMap(({ rig }) => turnedSelects(rig)))],
    looked: sources
      .flatMap(({ rig }) => lookedOn(rig))
      .map(({ select, state: { looks, css } }) => ({ select, properties: looks.includes('off') ? [] : Object.keys(css) }))
      .filter(({ properties }) => properties.length > 0),
  }
}

/** Facts as they travel: of `liesIn` the pairs that are so; and why the worst was taken, where it was. */
export interface PageFacts extends Omit<Facts, 'liesIn'> {
  readonly liesIn: readonly (readonly [inner: string, outer: string])[]
  readonly sheets: Sheets
}

export const takeFacts = ({ liesIn, ...facts }: PageFacts): Facts => ({
  ...facts,
  liesIn: (inner, outer) => liesIn.some(([one, other]) => one === inner && other === outer),
})

/** Reads a page once, and tells the facts about it that matter where this is asked; the worst where its sheets do not tell. */
export function readFacts<Found extends object>(page: PageRead<Found>): (asked: Asked) => PageFacts {
  const { hasScripts, sheets } = page
  const does = sheets === 'read' ? deedsOf(page) : undefined
  const find = (select: string) => page.find(select) ?? []
  return ({ read, written, driven, turned, looked }) => {
    const isIn = liesInBy(platformBy(find, page.parentOf))
    const all = [...new Set([...read, ...written])]
    const liesIn = all.flatMap((inner) => written.filter((outer) => isIn(inner, outer)).map((outer) => [inner, outer] as const))
    const rest = { hasLateElements: hasScripts, hasOwnCode: hasScripts, liesIn }
    if (!does) {
      const contested = [...new Set(looked.flatMap(({ properties }) => properties))]
      return { ...worstFacts, ...rest, contested, sheets: sheets === 'read' ? 'unread' : sheets }
    }
    const readHere = new Set(read.flatMap(find))
    const around = new Set([...readHere].flatMap((element) => withParents(element, page)))
    const meets = (deed: Deed, elements: Iterable<Found>) => [...elements].some((element) => does[deed].has(element))
    const writtenHere = written.flatMap(find)
    const gives = (map: ReadonlyMap<string, ReadonlySet<Found>>) =>
      driven.filter((property) => writtenHere.some((element) => map.get(property)?.has(element)))
    return {
      hasBorders: meets('border', readHere) || [...readHere].some((element) => bordered.has(page.nameOf(element))),
      hasPositions: meets('position', readHere) || [...readHere].some((element) => page.nameOf(element) === 'dialog'),
      hasTurns: meets('turn', around),
      hasOwnStyles: gives(does.unsaid).length > 0,
      hasInlineStyles: driven.length > 0 && writtenHere.length > 0 && (hasScripts || gives(does.inline).length > 0),
      hasTransitions: meets('transition', writtenHere),
      ownRules: rulesFor(does.taken, writtenHere, driven, turned.flatMap(find)),
      ownLayers: page.layers,
      hasPartTransitions: does.reachesParts,
      partStyles: does.partStyles,
      contested: contestedOn(page, looked),
      hasEyes: meets('eye', around),
      hasClips: meets('clip', readHere),
      sheets,
      ...rest,
    }
  }
}

/**
 * The properties that looks give some elements, and that the page gives them by what may count before a class under the pointer. Properties are
 * compared first: selectors are weighed, and elements looked for, only where they meet.
 */
function contestedOn<Found extends object>(page: PageRead<Found>, looked: Asked['looked']): readonly string[] {
  if (looked.length === 0) return []
  const lookedAt = new Map<string, Set<Found>>()
  for (const { select, properties } of looked) {
    const elements = page.find(select) ?? []
    for (const property of properties) lookedAt.set(property, new Set([...(lookedAt.get(property) ?? []), ...elements]))
  }
  const contested = new Set<string>()
  const compare = (declarations: Declarations, isStrong: (isImportant: boolean) => boolean, elements: () => readonly Found[]) => {
    const met = [...lookedAt.keys()].filter(
      (property) =>
        !contested.has(property) &&
        declarations.some(([given, , isImportant]) => isGivenBy(property, given) && isStrong(isImportant === true)),
    )
    if (met.length === 0) return
    const here = elements()
    for (const property of met) if (here.some((element) => lookedAt.get(property)?.has(element))) contested.add(property)
  }
  const most = (select: string) => {
    const widest = atMost(select)
    return widest === '' ? [] : (page.find(widest) ?? page.all())
  }
  for (const { select, declarations } of page.rules)
    compare(declarations, (isImportant) => isImportant || isHeavy(select), () => most(select)) // prettier-ignore
  for (const { element, declarations } of page.inline) compare(declarations, () => true, () => [element]) // prettier-ignore
  return [...contested]
}

/** Whether a declaration gives a longhand, by itself or as a part of a shorthand. */
const isGivenBy = (property: string, given: string) => property === given || given === 'all' || property.startsWith(`${given}-`)

/** What a selector consists of; undefined where it cannot be read. */
function readSelectors(select: string): Selector[][] | undefined {
  try {
    return parse(select)
  } catch {
    return undefined
  }
}

/** Whether a selector weighs as much as a class in one of its states, or more (Selectors Level 4, specificity). */
function isHeavy(select: string): boolean {
  const selectors = readSelectors(select)
  if (!selectors) return true
  return selectors.some((steps) => {
    const isId = (step: Selector) => step.type === SelectorType.Attribute && step.name === 'id' && step.action === AttributeAction.Equals
    const isClass = (step: Selector) => step.type === SelectorType.Attribute || (step.type === SelectorType.Pseudo && step.name !== 'where')
    return steps.some(isId) || steps.filter(isClass).length > 1
  })
}

/**
 * The rules that elements may come to match, as far as they give something of what is driven on those that are written on, or transitions
 * there or on those that looks turn.
 */
function rulesFor<Found>(
  taken: Done<Found>['taken'],
  written: readonly Found[],
  driven: readonly string[],
  turned: readonly Found[],
): readonly OwnRule[] {
  const timed = driven.length > 0 ? [...written, ...turned] : turned
  const matching = taken.flatMap(({ rule, elements }) => {
    const matches = (some: readonly Found[]) => some.some((element) => elements.has(element))
    const kept = rule.declarations.filter(([name]) => (name === 'transition' ? matches(timed) : driven.includes(name) && matches(written)))
    return kept.length > 0 ? [{ ...rule, declarations: kept }] : []
  })
  const given = new Set(
    matching.flatMap(({ declarations }) => declarations.filter(([name, value]) => !isNothing(name, value)).map(([name]) => name)),
  )
  return matching.flatMap(({ declarations, ...rule }) => {
    const kept = declarations.filter(([name]) => given.has(name))
    return kept.length > 0 ? [{ ...rule, declarations: kept }] : []
  })
}

function withParents<Found extends object>(element: Found, page: PageRead<Found>): readonly Found[] {
  const parent = page.parentOf(element)
  return parent ? [element, ...withParents(parent, page)] : [element]
}

/** What a page does: the elements to which something of each sort is done, or may be once a state or a class comes. */
interface Done<Found> extends Readonly<Record<Deed, ReadonlySet<Found>>> {
  /** What effects may drive, by the property: whose own is not told by rules, and whose is given in its `style`. */
  readonly unsaid: ReadonlyMap<string, ReadonlySet<Found>>
  readonly inline: ReadonlyMap<string, ReadonlySet<Found>>
  /** What of its rules effects can take over, with the elements that each may come to match. */
  readonly taken: readonly { readonly rule: OwnRule; readonly elements: ReadonlySet<Found> }[]
  /** Whether its transitions reach what scripts add. */
  readonly reachesParts: boolean
  readonly partStyles: readonly string[]
}

/** How often elements are looked at for rules at most; a page that takes more is taken for one whose sheets do not tell. */
const mostLooks = 10_000_000

/** What a page does; undefined where there are so many elements and rules that it is not looked for. */
function deedsOf<Found extends object>(page: PageRead<Found>): Done<Found> | undefined {
  const found = Object.fromEntries(deedNames.map((deed) => [deed, new Set<Found>()])) as Record<Deed, Set<Found>>
  const [unsaid, inline] = [new Map<string, Set<Found>>(), new Map<string, Set<Found>>()]
  const note = (map: Map<string, Set<Found>>, names: readonly string[], elements: Iterable<Found>) => {
    for (const name of names) {
      const noted = map.get(name) ?? new Set()
      for (const element of elements) noted.add(element)
      map.set(name, noted)
    }
  }
  const taken: { rule: OwnRule; elements: ReadonlySet<Found> }[] = []
  const [animated, animatedStyles] = [deedsIn(page.animated), takeOver(page.animated)]
  const classes = page.hasScripts ? page.classes() : undefined
  let reachesParts = false
  const partStyles = new Set<string>()
  for (const { context, select, declarations } of page.rules) {
    const over = takenFrom(
      context,
      declarations.filter(([property, value]) => property !== 'all' || !isNothing(property, value)),
    )
    const isAnimated = declarations.some(
      ([property, value]) => /^(animation|animation-name)$/.test(property) && !isNothing(property, value),
    )
    const given = deedsIn(declarations)
    const inParts = declarations.filter(([property, value]) => changesParts(property, value))
    if ((given.includes('transition') || inParts.length > 0) && reachesAdded(select)) {
      if (given.includes('transition') && !isAnimated) reachesParts = true
      for (const [property] of inParts) partStyles.add(property)
    }
    // Transitions that are taken over need not be asked for.
    const deeds = [...given.filter((deed) => deed !== 'transition' || over.unsaid.includes('transition')), ...(isAnimated ? animated : [])]
    const styles = [...over.unsaid, ...(isAnimated ? ['transition', ...animatedStyles.taken.map(([name]) => name)] : [])]
    if (deeds.length === 0 && styles.length === 0 && over.taken.length === 0) continue
    const most = atMost(select, classes)
    const elements = new Set(most === '' ? [] : (page.find(most) ?? page.all()))
    if ((page.looks?.() ?? 0) > mostLooks) return undefined
    for (const deed of deeds) for (const element of elements) found[deed].add(element)
    note(unsaid, styles, elements)
    if (over.taken.length > 0 && elements.size > 0) taken.push({ rule: { context, select, declarations: over.taken }, elements })
  }
  for (const { element, declarations } of page.inline) {
    for (const deed of deedsIn(declarations)) found[deed].add(element)
    const over = takeOver(declarations)
    note(inline, [...over.unsaid, ...over.taken.filter(([name, value]) => !isNothing(name, value)).map(([name]) => name)], [element])
  }
  return { ...found, unsaid, inline, taken, reachesParts, partStyles: [...partStyles] }
}

/** What of a rule is taken over by what it stands in: all of it where that can be written again as it is. */
function takenFrom(context: readonly string[], declarations: Declarations): ReturnType<typeof takeOver> {
  const over = takeOver(declarations)
  // How something begins when it comes is over then.
  if (context.some((each) => each.startsWith('@starting-style'))) return { taken: [], unsaid: [] }
  if (context.every((each) => /^@(media|supports|layer|container)\b/.test(each))) return over
  return { taken: [], unsaid: [...over.unsaid, ...over.taken.map(([name]) => name)] }
}

/** What is handed down to parts anyway, what they have no use for, and what is told of apart. */
const harmless =
  /^(--|-webkit-|-moz-|transition|animation$|all$|box-sizing|color|cursor|direction|font|hyphens|letter-spacing|line-|list-|orphans|outline|overflow-wrap|pointer-events|quotes|scroll|tab-size|text-(?!decoration)|visibility|white-space|widows|word-|inset|top|right|bottom|left|user-select)/

/** Whether a declaration would change how a part is drawn that matches its rule too. */
const changesParts = (property: string, value: string) =>
  /^[a-z-]+$/.test(property) &&
  !harmless.test(property) &&
  !isNothing(property, value) &&
  !/^(0(px)?( 0(px)?)*|normal|auto|static|visible|baseline|inherit)$/.test(value.trim())

/** Whether a selector may match an element that a script adds: a span with a class of its own. */
function reachesAdded(select: string): boolean {
  const selectors = readSelectors(select)
  if (!selectors) return true
  return selectors.some((steps) => {
    const last = steps.findLastIndex(isTraversal)
    return steps
      .slice(last + 1)
      .every(
        (step) =>
          step.type === SelectorType.Universal ||
          (step.type === SelectorType.Tag && step.name === 'span') ||
          step.type === SelectorType.Pseudo ||
          (step.type === SelectorType.Attribute && /^(data-part|aria-hidden|style)$/.test(step.name)),
      )
  })
}

const deedsIn = (declarations: Declarations) =>
  deedNames.filter((deed) => declarations.some(([property, value]) => deeds[deed].test(property) && !isNothing(property, value)))

/** Declarations that only say that there is nothing: as they are written, or as a browser writes them out. */
function isNothing(property: string, value: string): boolean {
  const text = value.trim().toLowerCase()
  if (property.startsWith('overflow')) return /^(visible\b ?)+$/.test(text)
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
  const selectors = readSelectors(select)
  if (!selectors) return '*'
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
        const isSimple = (other: Selector | undefined) => other !== undefined && !isTraversal(other)
        return isSimple(steps[i - 1]) || isSimple(steps[i + 1]) ? [] : [{ type: SelectorType.Universal, namespace: null }]
      }),
    )
  return kept.map((steps) => (steps.length === 0 ? '*' : stringify([steps]))).join(', ')
}
