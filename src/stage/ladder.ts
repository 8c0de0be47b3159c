// The ladder: everything under the pointer, and what a choice of each would match.
import { wordOf } from '../core/export/names'
import type { Rung } from './protocol'

const tallest = 8

/** The elements under a point, topmost first, then those that wrap them; without html, body and `overlay`. */
export function elementsUnder(page: Document, x: number, y: number, overlay: Element): Element[] {
  const found = new Set<Element>()
  for (const hit of page.elementsFromPoint(x, y)) {
    if (hit === overlay) continue
    for (let each: Element | null = hit; each && each !== page.body && each !== page.documentElement; each = each.parentElement) found.add(each)
  }
  // Inside an SVG the drawing as a whole is meant.
  return [...found].filter((element) => !(element instanceof SVGElement && element.ownerSVGElement)).slice(0, tallest)
}

/**
 * The rungs for these elements, and which of them is most likely meant: the nearest of some size that has likes, or what
 * wraps it as often as there are likes (the card rather than the picture that each card holds).
 */
export function makeLadder(elements: readonly Element[]): { rungs: Rung[]; pick: number } {
  const rungs = elements.map(makeRung)
  const nearest = elements.findIndex((element, index) => {
    const box = element.getBoundingClientRect()
    return rungs[index]?.likes !== undefined && box.width >= 90 && box.height >= 70
  })
  const inner = elements[nearest]
  const outermost = elements.findLastIndex((element, index) => inner !== undefined && element.contains(inner) && rungs[index]?.likes?.count === rungs[nearest]?.likes?.count)
  return { rungs, pick: Math.max(0, outermost) }
}

function makeRung(element: Element): Rung {
  const page = element.ownerDocument
  const select = likesOf(element)
  const count = select === undefined ? 0 : page.querySelectorAll(select).length
  const one = select !== undefined && count === 1 ? select : uniqueSelector(element, select)
  const noun = wordOf(select ?? one)
  const name = element.localName + (element.id ? `#${element.id}` : '') + [...element.classList].map((each) => `.${each}`).join('')
  return select !== undefined && count > 1 ? { noun, element: name, one, likes: { select, count } } : { noun, element: name, one }
}

/** The selector that the element shares with its likes: its first class of its own making, else its place in a repeat. */
function likesOf(element: Element): string | undefined {
  const own = [...element.classList].find((name) => !isGenerated(name))
  if (own !== undefined) return `.${CSS.escape(own)}`
  const parent = element.parentElement
  if (!parent) return undefined
  const siblings = [...parent.children].filter(({ localName }) => localName === element.localName)
  if (siblings.length < 2) return undefined
  const around = likesOf(parent) ?? (parent.id ? `#${CSS.escape(parent.id)}` : parent.localName)
  return `${around} > ${element.localName}`
}

/** Class names that a build step makes change from build to build, so nothing should hang on them. */
function isGenerated(name: string): boolean {
  return /^(css|sc|jsx|svelte|_)-?[a-z0-9]{4,}$/i.test(name) || (/\d/.test(name) && /[a-z]/i.test(name) && /^[a-z0-9]{5,8}$/i.test(name))
}

/** A selector that matches this element alone: its id, or its place among its likes, or the path to it. */
function uniqueSelector(element: Element, likes: string | undefined): string {
  const page = element.ownerDocument
  const isUnique = (select: string) => page.querySelectorAll(select).length === 1
  if (element.id) {
    const byId = `#${CSS.escape(element.id)}`
    if (isUnique(byId)) return byId
  }
  const nth = `:nth-child(${[...(element.parentElement?.children ?? [])].indexOf(element) + 1})`
  if (likes !== undefined && isUnique(likes + nth)) return likes + nth
  const step = (likes !== undefined && !likes.includes(' ') ? likes : element.localName) + nth
  const parent = element.parentElement
  if (!parent || parent === page.body || parent === page.documentElement) return `body > ${step}`
  return `${uniqueSelector(parent, likesOf(parent))} > ${step}`
}
