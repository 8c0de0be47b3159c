// Finding by many selectors in one tree that stays as it is: only those elements are looked at that have a name which the selector asks for.
import { compile } from 'css-select'
import { AttributeAction, isTraversal, parse, SelectorType, type Selector } from 'css-what'
import type { AnyNode, Document, Element } from 'domhandler'
import { elementsOf } from './tree'

export interface Finder {
  /** All elements, in the order of the page. */
  readonly all: readonly Element[]
  /** What a selector matches, in the order of the page; undefined where it cannot be read. */
  readonly find: (select: string) => readonly Element[] | undefined
  /** How many times an element was looked at. */
  readonly looks: () => number
}

/** A name that whatever the selector matches must have; undefined where it names none. */
function nameIn(steps: readonly Selector[]): string | undefined {
  const last = steps.slice(steps.findLastIndex(isTraversal) + 1)
  const names = last.flatMap((step) => {
    if (step.type === SelectorType.Tag && step.namespace === null) return [step.name.toLowerCase()]
    if (step.type !== SelectorType.Attribute) return []
    if (step.name === 'class' && step.action === AttributeAction.Element) return [`.${step.value}`]
    return step.name === 'id' && step.action === AttributeAction.Equals ? [`#${step.value}`] : []
  })
  return names.toSorted().at(0)
}

/** The names by which an element is found: of its tag, its id and its classes. */
const namesOf = ({ name, attribs }: Element): readonly string[] => [
  ...new Set([
    name.toLowerCase(),
    ...(attribs.id === undefined ? [] : [`#${attribs.id}`]),
    ...(attribs.class ?? '').split(/\s+/).map((each) => `.${each}`),
  ]),
]

export function makeFinder(tree: Document): Finder {
  const all = elementsOf(tree)
  const places = new Map(all.map((element, place) => [element, place]))
  const byName = new Map<string, Element[]>()
  for (const element of all)
    for (const name of namesOf(element)) {
      const named = byName.get(name)
      if (named) named.push(element)
      else byName.set(name, [element])
    }
  let looks = 0
  const find = (select: string) => {
    try {
      const found = parse(select).flatMap((steps) => {
        const name = nameIn(steps)
        const candidates = name === undefined ? all : (byName.get(name) ?? [])
        looks += candidates.length
        const matches = compile<AnyNode, Element>([steps])
        return candidates.filter((element) => matches(element))
      })
      return [...new Set(found)].sort((one, other) => (places.get(one) ?? 0) - (places.get(other) ?? 0))
    } catch {
      return undefined
    }
  }
  return { all, find, looks: () => looks }
}
