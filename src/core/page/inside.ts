// An element that was pointed at within a match of an effect, told in a way that holds for every match: `& img` and not `.card:nth-child(1) img`.
import type { Element } from 'domhandler'
import { relativeToMatches, selectOfRole } from '../effect/roles'
import { classesOf, placeOf, writeSelector, type PageIndex, type Step } from './selector'
import { findIn, parentOf } from './tree'

/** The steps from an element up to what it lies in, that one left out; undefined where it does not lie in it. */
function pathBetween(element: Element, home: Element): readonly Step[] | undefined {
  const steps: Step[] = []
  for (let each: Element | undefined = element; each !== home; each = parentOf(each)) {
    if (!each) return undefined
    steps.unshift({ joint: ' > ', nth: placeOf(each) })
  }
  return steps
}

/**
 * What `select`, which means the element of this number, means within the matches of `own`: a selector that begins with `&`. Undefined where the
 * element does not lie in a match, or other elements are meant too that lie in none. Of several ways one by a class comes first, then
 * the one that finds one element in each match; else one that finds the element alone in its own.
 */
export function insideMatches(page: PageIndex, own: string, number: number, select: string): string | undefined {
  const element = page.elements[number]
  const homes = findIn(page.tree, own) ?? []
  const meant = findIn(page.tree, select) ?? []
  if (!element || homes.length === 0 || !meant.includes(element)) return undefined
  const all = new Set(homes)
  const homeOf = (each: Element) => {
    for (let around: Element | undefined = each; around; around = parentOf(around)) if (all.has(around)) return around
    return undefined
  }
  const home = homeOf(element)
  if (!home || meant.some((each) => !homeOf(each))) return undefined
  const written = relativeToMatches(own, select)
  if (written !== select) return written
  if (home === element) return meant.length === 1 || meant.length === homes.length ? '&' : undefined
  const path = pathBetween(element, home)
  if (!path) return undefined
  const names = [...classesOf(element).map((name): Step => ({ joint: ' ', classes: [name] })), { joint: ' ', tag: element.name } as const]
  const ways = [...names, ...names.map((step): Step => ({ ...step, joint: ' > ' }))]
    .map((step) => `&${step.joint}${writeSelector([step])}`)
    .concat(`&${path.map((step) => `${step.joint}${writeSelector([step])}`).join('')}`)
  const byHome = (way: string) => {
    const found = findIn(page.tree, selectOfRole(own, way)) ?? []
    return { way, found, mine: found.filter((each) => homeOf(each) === home) }
  }
  const told = ways.map(byHome)
  // Several in one match are kept as several.
  const same = told.find(({ found }) => meant.length > 1 && found.length === meant.length && found.every((each) => meant.includes(each)))
  if (same) return same.way
  const alone = told.filter(({ mine }) => mine.length === 1 && mine[0] === element)
  const isOneInEach = ({ found }: (typeof alone)[number]) =>
    found.length === homes.length && new Set(found.map(homeOf)).size === homes.length
  // A class of its own says more of what was meant than a tag that others have as well.
  const named = alone.filter(({ way }) => way.includes('.'))
  return meant.length > 1 ? undefined : (named.find(isOneInEach) ?? named[0] ?? alone.find(isOneInEach) ?? alone[0])?.way
}
