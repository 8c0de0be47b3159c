// What lies under a point of the page: what is hit, what it covers, what wraps it, and what is there but not seen.
import type { Numbers } from './numbers'
import type { Under } from './protocol'

const most = 12

/**
 * The elements under a point, topmost first, each with its number in the source. Hidden ones are looked for when
 * `withHidden` says so, since that takes a look at every element.
 */
export function elementsUnder(page: Document, numbers: Numbers, x: number, y: number, overlay: Element, withHidden: boolean): Under[] {
  const found = new Map<Element, Under['how']>()
  const hits = page.elementsFromPoint(x, y).filter((hit) => hit !== overlay)
  const [top] = hits
  for (const hit of hits) {
    for (let each: Element | null = hit; each && each !== page.body && each !== page.documentElement; each = each.parentElement) {
      const element = drawingOf(each)
      if (!found.has(element)) found.set(element, element === top ? 'seen' : element.contains(top ?? null) ? 'wraps' : 'covered')
    }
  }
  // Where nothing lies, the page itself is meant.
  if (found.size === 0 && hits.length > 0) found.set(page.body, 'seen')
  if (withHidden) for (const element of hiddenUnder(page, x, y)) if (!found.has(element)) found.set(element, 'hidden')
  return [...found]
    .flatMap(([element, how]) => {
      const number = numbers.of(element)
      if (number === undefined) return []
      const { width, height } = element.getBoundingClientRect()
      return [{ number, how, width, height, isBox: isSeenAsBox(element, width, height) }]
    })
    .slice(0, most)
}

/** Whether an element is seen as a box: by a ground of its own, a border or a shadow. What is as large as the window is none. */
function isSeenAsBox(element: Element, width: number, height: number): boolean {
  if (width >= 0.95 * innerWidth && height >= 0.95 * innerHeight) return false
  const style = getComputedStyle(element)
  const isClear = (colour: string) => /^(transparent|rgba\(.*, 0\)|.*\/ 0\))$/.test(colour)
  const sides = ['top', 'right', 'bottom', 'left'].map(
    (side) => parseFloat(style.getPropertyValue(`border-${side}-width`)) > 0 && !isClear(style.getPropertyValue(`border-${side}-color`)),
  )
  // A line on one side is a rule between things.
  const isBordered = sides.filter((each) => each).length > 2
  return !isClear(style.backgroundColor) || style.backgroundImage !== 'none' || style.boxShadow !== 'none' || isBordered
}

/** Inside an SVG the drawing as a whole is meant. */
function drawingOf(element: Element): Element {
  return element instanceof SVGElement ? (element.ownerSVGElement ?? element) : element
}

/** Elements whose box holds the point although nothing of them is seen or hit there. */
function hiddenUnder(page: Document, x: number, y: number): readonly Element[] {
  return [...page.body.querySelectorAll('*')].filter((element) => {
    if (element instanceof SVGElement && element.ownerSVGElement) return false
    const box = element.getBoundingClientRect()
    if (box.width === 0 || x < box.left || x > box.right || y < box.top || y > box.bottom) return false
    const { visibility, opacity, pointerEvents, clipPath } = getComputedStyle(element)
    return visibility === 'hidden' || opacity === '0' || pointerEvents === 'none' || clipPath !== 'none'
  })
}
