// When a page comes in a newer version: what became of the elements that a selector matched before.
import type { Element } from 'domhandler'
import { likesOf, onlyThis } from './candidates'
import { classesOf, matchesOf, writeSelector, type PageIndex } from './selector'
import { childrenOf, findIn, parentOf, textOf } from './tree'

const most = 3

/** Selectors of what is most like the first match of `select` in the page as it was, the likeliest first. */
export function findAlike(
  before: PageIndex,
  now: PageIndex,
  select: string,
): readonly { readonly select: string; readonly count: number }[] {
  const lost = findIn(before.tree, select) ?? []
  const [first] = lost
  if (!first) return []
  const scored = now.elements
    .map((element) => ({ element, score: likeness(first, element) }))
    .filter(({ score }) => score > 0.35)
    .sort((a, b) => b.score - a.score)
  const found = new Map<string, number>()
  for (const { element } of scored) {
    const steps = (lost.length > 1 ? likesOf(now, element) : undefined) ?? onlyThis(now, element)
    const text = writeSelector(steps)
    if (!found.has(text)) found.set(text, matchesOf(now, steps).length)
    if (found.size >= most) break
  }
  return [...found].map(([text, count]) => ({ select: text, count }))
}

/** How much alike two elements are, 0..1: by tag, id, classes, words, what they hold and what is around them. */
function likeness(one: Element, other: Element): number {
  const shared = (a: readonly string[], b: readonly string[]) =>
    a.length + b.length === 0 ? 0.5 : (2 * a.filter((each) => b.includes(each)).length) / (a.length + b.length)
  const words = (element: Element) =>
    textOf(element)
      .toLowerCase()
      .split(/\W+/)
      .filter((word) => word.length > 2)
      .slice(0, 24)
  const holds = (element: Element) => childrenOf(element).map(({ name }) => name)
  const around = (element: Element) => parentOf(element)?.name ?? ''
  return (
    0.2 * Number(one.name === other.name) +
    0.1 * Number(one.attribs.id !== undefined && one.attribs.id === other.attribs.id) +
    0.2 * shared(classesOf(one), classesOf(other)) +
    0.3 * shared(words(one), words(other)) +
    0.15 * shared(holds(one), holds(other)) +
    0.05 * Number(around(one) === around(other))
  )
}
