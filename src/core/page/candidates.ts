// What choosing an element could mean: it alone, its likes, the one like it in each repeat. Selectors as short and as
// lasting as they can be.
import type { Element } from 'domhandler'
import { thingOf, type Thing } from '../effect/thing'
import { wordOf } from '../export/names'
import {
  classesOf,
  matchesAmong,
  matchesOf,
  placeOf,
  remembered,
  specificityOf,
  writeSelector,
  type PageIndex,
  type Step,
} from './selector'
import { childrenOf, parentOf, textOf } from './tree'

/**
 * How a choice is meant: this one, its likes by class, by structure, its like in each repeat, what holds only the picture; the links of its
 * menu, the items of its list, the rows of its table, the cells of its column.
 */
export type How = 'one' | 'class' | 'structure' | 'repeat' | 'picture' | 'links' | 'items' | 'rows' | 'column'

export interface Choice {
  readonly how: How
  readonly select: string
  readonly specificity: readonly [number, number, number]
  /** How many elements it matches here, and on each page of the site, by the page's id. */
  readonly count: number
  readonly counts: Readonly<Record<string, number>>
}

/** A rung of the ladder: an element and what choosing it could mean. */
export interface Rung {
  /** The element's number in the source. */
  readonly number: number
  readonly noun: string
  /** The element as it is written: tag, id, classes. */
  readonly element: string
  /** It holds nothing that CSS could draw in: a picture, a video. */
  readonly isReplaced: boolean
  /** How many elements it holds. */
  readonly holds: number
  /** What sort of thing it is, for what suits it. */
  readonly thing: Thing
  /** Its first words. */
  readonly words: string
  readonly choices: readonly Choice[]
}

/** The pages of a site by id, ready to be searched. */
export type SiteIndex = ReadonlyMap<string, PageIndex>

/** The rung of one element of a page; undefined where the page or the element is not there. */
export function rungOf(site: SiteIndex, pageId: string, number: number): Rung | undefined {
  const page = site.get(pageId)
  const element = page?.elements[number]
  if (!page || !element) return undefined
  const found = new Map<string, Choice>()
  const add = (how: How, steps: readonly Step[] | undefined, least: number) => {
    const select = steps && writeSelector(steps)
    if (!steps || select === undefined || found.has(select)) return
    const count = matchesOf(page, steps).length
    if (count < least) return
    const counts = Object.fromEntries([...site].map(([id, each]) => [id, each === page ? count : matchesOf(each, steps).length]))
    found.set(select, { how, select, specificity: specificityOf(steps), count, counts })
  }
  add('one', onlyThis(page, element), 1)
  for (const steps of byClass(page, element)) add('class', steps, 2)
  for (const [how, steps] of inCollection(page, element)) add(how, steps, 2)
  add('repeat', inEachRepeat(page, element), 2)
  add('structure', byStructure(element), 2)
  const holder = pictureHolder(element)
  if (holder) add('picture', likesOf(page, holder) ?? onlyThis(page, holder), 1)
  const choices = [...found.values()]
  const words = textOf(element).slice(0, 60)
  const named = choices.find(({ how }) => how === 'class') ?? choices[0]
  return {
    number,
    noun: element.name === 'body' ? 'page' : wordOf(named?.select ?? element.name),
    element: describe(element),
    isReplaced: replaced.has(element.name),
    holds: childrenOf(element).length,
    thing: thingOf({ element: describe(element), holds: childrenOf(element).length, alike: alikeIn(element), words }),
    words,
    choices,
  }
}

/** Replaced elements (CSS Display Module Level 3): what they show is no content of theirs. */
const replaced = new Set(['img', 'video', 'canvas', 'iframe', 'object', 'embed', 'svg'])

/** How many of the elements that it holds are of one sort: of the same tag, and of the same first class. */
function alikeIn(element: Element): number {
  const counts = new Map<string, number>()
  for (const child of childrenOf(element)) {
    const sort = `${child.name} ${classesOf(child)[0] ?? ''}`
    counts.set(sort, (counts.get(sort) ?? 0) + 1)
  }
  return Math.max(0, ...counts.values())
}

function describe(element: Element): string {
  return (
    element.name +
    (element.attribs.id ? `#${element.attribs.id}` : '') +
    classesOf(element)
      .map((name) => `.${name}`)
      .join('')
  )
}

/** Class names that a build step makes, which change from build to build. */
function isGenerated(name: string): boolean {
  return (
    /^(css|sc|jsx|svelte|_)-?[a-z0-9]{4,}$/i.test(name) ||
    /(^|[_-]{1,2})(?=[a-z]*\d)[a-z0-9]{5,}$/i.test(name) ||
    (/\d/.test(name) && /[a-z]/i.test(name) && /^[a-z0-9]{5,8}$/i.test(name))
  )
}

const cssWords = new Set(
  'flex grid block inline hidden visible relative absolute fixed sticky static italic underline uppercase lowercase capitalize truncate contents table isolate antialiased border rounded shadow transition transform filter container clearfix active selected open closed first last odd even is-active'.split(
    ' ',
  ),
)

/** Class names that say how something looks or how it is now, not what it is. */
function isAboutLooks(name: string): boolean {
  return (
    cssWords.has(name) ||
    /[:[\]/!@%]/.test(name) ||
    /^-?[a-z]+(-[a-z]+)*-(\d+(\.\d+)?|px|auto|full|screen|none|min|max|fit|xs|sm|md|lg|[2-9]?xl|center|start|end|between|around|left|right|top|bottom|col|row|wrap|hidden|bold|medium|semibold|light|white|black|cover|contain|tight|snug|loose|wide)$/.test(
      name,
    ) ||
    /^(js|is|has)-/.test(name)
  )
}

const lasting = remembered((element): readonly string[] => classesOf(element).filter((name) => !isGenerated(name) && !isAboutLooks(name)))

const lastingId = ({ attribs: { id } }: Element) =>
  id && !/\d{3,}|^[:_]|^(radix|headlessui|__)/.test(id) && !isGenerated(id) ? id : undefined

/** Its likes by a class: by the one that most of its own kind have, and by one that fewer have. */
function byClass(page: PageIndex, element: Element): readonly (readonly Step[])[] {
  const sized = lasting(element)
    .map((name) => {
      const matches = page.byClass.get(name) ?? []
      const isMixed = matches.some((each) => each.name !== element.name)
      return { name, count: matches.length, isMixed }
    })
    .filter(({ count }) => count > 1)
  const pure = sized.filter(({ isMixed }) => !isMixed)
  const ordered = (pure.length > 0 ? pure : sized).sort((a, b) => b.count - a.count)
  const picked = ordered.filter(({ count }, i) => i === 0 || count !== ordered[i - 1]?.count).slice(0, 2)
  return picked.map(({ name, isMixed }) => [{ joint: '', classes: [name], ...(isMixed ? { tag: element.name } : {}) }])
}

const landmarks = new Set(['main', 'header', 'footer', 'nav', 'article', 'aside', 'section', 'form', 'ul', 'ol', 'dl', 'table', 'figure'])

/** An element by what it lastingly is: its id, a class, or that it is a landmark. */
function anchorStep(element: Element): Step | undefined {
  const id = lastingId(element)
  if (id !== undefined) return { joint: '', id }
  const [name] = lasting(element)
  if (name !== undefined) return { joint: '', classes: [name] }
  return landmarks.has(element.name) || element.name === 'body' ? { joint: '', tag: element.name } : undefined
}

/** The path from the nearest lasting ancestor down to an element. `withPlaces`: by the place of each among its siblings. */
function pathTo(element: Element, withPlaces: boolean): readonly Step[] {
  const steps: Step[] = []
  let each: Element | undefined = element
  for (; each; each = parentOf(each)) {
    const anchor = each === element ? undefined : anchorStep(each)
    if (anchor) return [anchor, ...steps]
    const alone = !each.parent || childrenOf(each.parent).filter(({ name }) => name === each?.name).length < 2
    steps.unshift({ joint: ' > ', tag: each.name, ...(withPlaces && !alone ? { nth: placeOf(each) } : {}) })
    if (each.name === 'html') break
  }
  return steps
}

function byStructure(element: Element): readonly Step[] | undefined {
  const path = pathTo(element, false)
  return path.length > 1 ? path : undefined
}

/** Its likes, by the best way there is. */
export function likesOf(page: PageIndex, element: Element): readonly Step[] | undefined {
  const [named] = byClass(page, element)
  if (named) return named
  const path = byStructure(element)
  return path && matchesOf(page, path).length > 1 ? path : undefined
}

/** Elements that are known to a form by their name. */
const fields = new Set(['input', 'select', 'textarea', 'button', 'fieldset', 'output', 'form'])

/** A selector that matches this one alone: its id, its name in a form, a class of its own, its place among its likes, or the path to it. */
export function onlyThis(page: PageIndex, element: Element): readonly Step[] {
  if (element.name === 'body') return [{ joint: '', tag: 'body' }]
  const isOnly = (steps: readonly Step[]) => matchesOf(page, steps).length === 1
  const id = lastingId(element)
  const tries: (readonly Step[])[] = []
  if (id !== undefined) tries.push([{ joint: '', id }])
  const { name: called } = element.attribs
  if (called && fields.has(element.name) && !/[\n\r\f]|\d{3,}/.test(called)) tries.push([{ joint: '', tag: element.name, name: called }])
  for (const name of lasting(element)) tries.push([{ joint: '', classes: [name] }])
  if (landmarks.has(element.name)) tries.push([{ joint: '', tag: element.name }])
  const [named] = lasting(element)
  if (named !== undefined) {
    tries.push([{ joint: '', classes: [named], nth: placeOf(element) }])
    const parent = parentOf(element)
    const around = parent && anchorStep(parent)
    if (around) tries.push([around, { joint: ' > ', classes: [named], nth: placeOf(element) }])
  }
  tries.push(pathTo(element, false))
  return tries.find(isOnly) ?? narrowed(page, element) ?? [pathTo(element, true)].find(isOnly) ?? wholePath(element)
}

/** The longest selector of this sort that anybody would call short. */
const fewSteps = 4

/** Its class or tag, with as many of the ancestors that tell it apart as it takes; undefined where that grows long. */
function narrowed(page: PageIndex, element: Element): readonly Step[] | undefined {
  const [name] = lasting(element)
  const own: Step = { joint: '', ...(name === undefined ? { tag: element.name } : { classes: [name] }) }
  let best: readonly Step[] = [own]
  let matched = matchesOf(page, best)
  /** Takes the alternative that leaves the fewest of what is matched so far, if any leaves fewer. */
  const keepLeast = (tries: readonly (readonly Step[])[]) => {
    const before = matched
    for (const tried of tries) {
      const left = matchesAmong(before, tried)
      if (left.length >= matched.length) continue
      matched = left
      best = tried
    }
    return matched !== before
  }
  keepLeast([[{ ...own, nth: placeOf(element) }]])
  let below = element
  for (const around of ancestorsOf(element)) {
    const anchor = anchorStep(around)
    if (!anchor || best.length >= fewSteps) continue
    const [first = own, ...rest] = best
    const joints = parentOf(below) === around ? ([' ', ' > '] as const) : ([' '] as const)
    if (
      keepLeast(
        joints.flatMap((joint) =>
          [anchor, { ...anchor, nth: placeOf(around) }].map((step): readonly Step[] => [step, { ...first, joint }, ...rest]),
        ),
      )
    )
      below = around
    if (matched.length === 1) return best
  }
  return matched.length === 1 ? best : undefined
}

/** The path from the root, by the place of each. */
function wholePath(element: Element): readonly Step[] {
  const parent = parentOf(element)
  const own: Step = { joint: ' > ', tag: element.name, nth: placeOf(element) }
  return parent && parent.name !== 'html' ? [...wholePath(parent), own] : [{ ...own, joint: '', nth: undefined }]
}

/** What an element is one of, by the words of HTML: links of a menu, items of a list, rows of a table, cells of a column. */
function inCollection(page: PageIndex, element: Element): readonly (readonly [How, readonly Step[]])[] {
  const nearest = (...names: readonly string[]) => ancestorsOf(element).find(({ name }) => names.includes(name))
  const within = (holder: Element | undefined, how: How, ...steps: readonly Step[]): readonly (readonly [How, readonly Step[]])[] =>
    holder ? [[how, [...onlyThis(page, holder), ...steps]]] : []
  switch (element.name) {
    case 'a':
      return within(nearest('nav', 'menu', 'ul', 'ol'), 'links', { joint: ' ', tag: 'a' })
    case 'li':
      return within(parentOf(element), 'items', { joint: ' > ', tag: 'li' })
    case 'tr':
      return nearest('tbody')
        ? within(nearest('table'), 'rows', { joint: ' ', tag: 'tbody' }, { joint: ' > ', tag: 'tr' })
        : within(nearest('table'), 'rows', { joint: ' ', tag: 'tr' })
    case 'td':
    case 'th':
      return within(nearest('table'), 'column', { joint: ' ', tag: element.name, nth: placeOf(element) })
    default:
      return []
  }
}

/** The one like it in each repeat: by the nearest ancestor that has likes beside it, and the way from there. */
function inEachRepeat(page: PageIndex, element: Element): readonly Step[] | undefined {
  for (const around of ancestorsOf(element)) {
    const beside = around.parent ? childrenOf(around.parent).filter(({ name }) => name === around.name) : []
    const repeat = beside.length < 2 ? undefined : likesOf(page, around)
    if (repeat) return [...repeat, ...wayInside(page, element, around)]
  }
  return undefined
}

/** What is around an element, from the nearest on, without body and html. */
function ancestorsOf(element: Element): readonly Element[] {
  const parent = parentOf(element)
  return parent && parent.name !== 'body' && parent.name !== 'html' ? [parent, ...ancestorsOf(parent)] : []
}

/** The way from an ancestor down to an element: a class that no other in there has, or step by step. */
function wayInside(page: PageIndex, element: Element, around: Element): readonly Step[] {
  if (element === around) return []
  const [own] = lasting(element).filter((name) => (page.byClass.get(name) ?? []).filter((each) => isInside(each, around)).length === 1)
  if (own !== undefined) return [{ joint: ' ', classes: [own] }]
  const parent = parentOf(element)
  if (!parent) return []
  const alone = childrenOf(parent).filter(({ name }) => name === element.name).length < 2
  return [...wayInside(page, parent, around), { joint: ' > ', tag: element.name, ...(alone ? {} : { nth: placeOf(element) }) }]
}

function isInside(element: Element, around: Element): boolean {
  for (let each: Element | undefined = element; each; each = parentOf(each)) if (each === around) return true
  return false
}

const pictures = new Set(['img', 'picture', 'svg', 'video', 'canvas'])

/** The outermost element that holds nothing but the picture that this one is or holds. */
function pictureHolder(element: Element): Element | undefined {
  if (!holdsOnlyPicture(element)) return undefined
  let holder = element
  for (let each = parentOf(element); each && each.name !== 'body' && holdsOnlyPicture(each); each = parentOf(each)) holder = each
  return holder === element ? undefined : holder
}

function holdsOnlyPicture(element: Element): boolean {
  if (pictures.has(element.name)) return true
  const children = childrenOf(element).filter(({ name }) => name !== 'noscript' && name !== 'source')
  const [only] = children
  return only !== undefined && children.length === 1 && textOf(element) === '' && holdsOnlyPicture(only)
}
