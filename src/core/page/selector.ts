// Selectors as the studio makes them: compounds joined by combinators, and how many elements of a page they match.
import type { Document, Element } from 'domhandler'
import { childrenOf, elementsOf, parentOf } from './tree'

/** One compound of a selector, and how it is joined to the one before it. */
export interface Step {
  readonly joint: '' | ' ' | ' > '
  readonly tag?: string | undefined
  readonly id?: string | undefined
  readonly classes?: readonly string[] | undefined
  /** What a field of a form is called, by its attribute `name`. */
  readonly name?: string | undefined
  /** Its place among all its siblings, from 1. */
  readonly nth?: number | undefined
}

/** A page ready to be searched. */
export interface PageIndex {
  readonly tree: Document
  readonly elements: readonly Element[]
  readonly numbers: ReadonlyMap<Element, number>
  readonly byClass: ReadonlyMap<string, readonly Element[]>
  readonly byTag: ReadonlyMap<string, readonly Element[]>
  readonly byId: ReadonlyMap<string, readonly Element[]>
}

export function indexPage(tree: Document): PageIndex {
  const elements = elementsOf(tree)
  const byClass = new Map<string, Element[]>()
  const byTag = new Map<string, Element[]>()
  const byId = new Map<string, Element[]>()
  const put = (map: Map<string, Element[]>, key: string, element: Element) => {
    const list = map.get(key)
    if (list) list.push(element)
    else map.set(key, [element])
  }
  for (const element of elements) {
    put(byTag, element.name, element)
    for (const name of classesOf(element)) put(byClass, name, element)
    if (element.attribs.id) put(byId, element.attribs.id, element)
  }
  return { tree, elements, numbers: new Map(elements.map((element, i) => [element, i])), byClass, byTag, byId }
}

/** Remembers what is made of each element; a tree that is searched does not change. */
export function remembered<T>(make: (element: Element) => T): (element: Element) => T {
  const known = new WeakMap<Element, { readonly value: T }>()
  return (element) => {
    const before = known.get(element)
    if (before) return before.value
    const value = make(element)
    known.set(element, { value })
    return value
  }
}

export const classesOf = remembered(({ attribs }): readonly string[] => [
  ...new Set((attribs.class ?? '').split(/[\t\n\f\r ]+/).filter((name) => name !== '')),
])

/** An identifier as CSS writes it (CSSOM, "serialize an identifier"). */
export function escapeName(name: string): string {
  return [...name]
    .map((character, i) => {
      const code = character.codePointAt(0) ?? 0
      if (code === 0) return '\ufffd'
      const isDigit = code >= 48 && code <= 57
      if (code < 32 || code === 127 || (isDigit && (i === 0 || (i === 1 && name.startsWith('-'))))) return `\\${code.toString(16)} `
      if (character === '-' && name === '-') return '\\-'
      return code >= 128 || /[\w-]/.test(character) ? character : `\\${character}`
    })
    .join('')
}

/** A string as CSS writes it (CSSOM, "serialize a string"), of a text without line breaks. */
const quoted = (text: string) => `"${text.replace(/["\\]/g, '\\$&')}"`

export function writeSelector(steps: readonly Step[]): string {
  return steps
    .map(
      ({ joint, tag, id, classes, name, nth }, i) =>
        `${i === 0 ? '' : joint}${tag ?? ''}${id === undefined ? '' : `#${escapeName(id)}`}${(classes ?? []).map((each) => `.${escapeName(each)}`).join('')}${name === undefined ? '' : `[name=${quoted(name)}]`}${nth === undefined ? '' : `:nth-child(${nth})`}`,
    )
    .join('')
}

/** The specificity: ids; classes, attributes and pseudo-classes; types. */
export function specificityOf(steps: readonly Step[]): readonly [number, number, number] {
  return steps.reduce<[number, number, number]>(
    ([a, b, c], { id, classes, name, nth, tag }) => [
      a + (id === undefined ? 0 : 1),
      b + (classes?.length ?? 0) + (name === undefined ? 0 : 1) + (nth === undefined ? 0 : 1),
      c + (tag === undefined ? 0 : 1),
    ],
    [0, 0, 0],
  )
}

/** The elements of a page that the steps match, in its order. */
export function matchesOf(page: PageIndex, steps: readonly Step[]): readonly Element[] {
  const last = steps.at(-1)
  if (!last) return []
  const pools = [
    ...(last.id === undefined ? [] : [page.byId.get(last.id) ?? []]),
    ...(last.classes ?? []).map((name) => page.byClass.get(name) ?? []),
    ...(last.tag === undefined ? [] : [page.byTag.get(last.tag) ?? []]),
  ]
  const pool = pools.reduce((least, each) => (each.length < least.length ? each : least), pools[0] ?? page.elements)
  return matchesAmong(pool, steps)
}

/** Those of some elements that the steps match. */
export function matchesAmong(elements: readonly Element[], steps: readonly Step[]): readonly Element[] {
  return elements.filter((element) => isMatch(element, steps, steps.length - 1))
}

function isMatch(element: Element, steps: readonly Step[], at: number): boolean {
  const step = steps[at]
  if (!step || !fits(element, step)) return false
  if (at === 0) return true
  for (let each = parentOf(element); each; each = parentOf(each)) {
    if (isMatch(each, steps, at - 1)) return true
    if (step.joint === ' > ') return false
  }
  return false
}

function fits(element: Element, { tag, id, classes, name, nth }: Step): boolean {
  if (tag !== undefined && element.name !== tag) return false
  if (id !== undefined && element.attribs.id !== id) return false
  if (name !== undefined && element.attribs.name !== name) return false
  if (classes && !classes.every((name) => classesOf(element).includes(name))) return false
  return nth === undefined || placeOf(element) === nth
}

/** An element's place among its siblings, from 1. */
export const placeOf = remembered((element): number => (element.parent ? childrenOf(element.parent).indexOf(element) + 1 : 1))
