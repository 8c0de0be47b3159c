// Small things to press, and whether they go away from the pointer.
import type { Seen } from '../../core/check/seen'
import type { Numbers } from '../numbers'

const pressable = 'a[href], button, input, select, textarea, summary, [role=button], [role=link], [tabindex]'
/** Under this width or height a target is small, px (WCAG 2.2, 2.5.8). */
const leastPx = 24
/** Further than this it goes away, px. */
const slightPx = 2

interface Target {
  readonly element: Element
  readonly number: number
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** The small targets in an element, and where they are now. */
export function startOf(element: Element, numbers: Numbers): readonly Target[] {
  const all = [...(element.matches(pressable) ? [element] : []), ...element.querySelectorAll(pressable)]
  return all.flatMap((each) => {
    const number = numbers.of(each)
    const { x, y, width, height } = each.getBoundingClientRect()
    // A link within a line of text may be as small as that.
    const isInText = getComputedStyle(each).display === 'inline'
    return number === undefined || isInText || width * height === 0 || Math.min(width, height) >= leastPx
      ? []
      : [{ element: each, number, x: x + width / 2, y: y + height / 2, width, height }]
  })
}

/** Those that are further from the pointer now than they were, by how much. */
export function fleeingFrom(targets: readonly Target[], { x, y }: { readonly x: number; readonly y: number }): Seen['fleeing'] {
  return targets.flatMap((target) => {
    const now = target.element.getBoundingClientRect()
    const distance = (toX: number, toY: number) => Math.hypot(x - toX, y - toY)
    const px = distance(now.x + now.width / 2, now.y + now.height / 2) - distance(target.x, target.y)
    const { number, width, height } = target
    return px > slightPx ? [{ number, width, height, px }] : []
  })
}
