// How an element stands on the page, for an effect that is put on it: in which row or column, and with which corners.
import type { RowOf } from '../core/effect/kind'

const px = (text: string) => parseFloat(text) || 0

/** The row in which the first of some elements stands with others of them; null where it stands alone. */
export function rowOf(elements: readonly Element[]): RowOf | null {
  const [first] = elements
  const parent = first?.parentElement
  if (!first || !parent) return null
  const together = elements.filter((each) => each.parentElement === parent)
  const [, next] = together
  if (!next) return null
  const [style, own] = [getComputedStyle(parent), getComputedStyle(first)]
  const [one, other] = [first.getBoundingClientRect(), next.getBoundingClientRect()]
  const isFlex = style.display.endsWith('flex')
  const isDown = isFlex ? style.flexDirection.startsWith('column') : Math.abs(other.top - one.top) > Math.abs(other.left - one.left)
  return {
    count: together.length,
    gapPx: px(isDown ? style.rowGap : style.columnGap),
    besidePx: px(own.paddingLeft) + px(own.paddingRight) + px(own.borderLeftWidth) + px(own.borderRightWidth),
    along: isDown ? 'down' : 'across',
    isFlex,
    isGrid: style.display.endsWith('grid'),
  }
}

/** How round the corners of an element are, px: of the one that is rounded least; 0 where there is none. */
export function cornersOf(element: Element | undefined): number {
  if (!element) return 0
  const style = getComputedStyle(element)
  return Math.min(
    ...[style.borderTopLeftRadius, style.borderTopRightRadius, style.borderBottomRightRadius, style.borderBottomLeftRadius].map((text) =>
      text.includes('%') ? 0 : px(text),
    ),
  )
}

/** Whether an element stands in a line, as words do. */
export const isInLine = (element: Element | undefined): boolean =>
  element !== undefined && getComputedStyle(element).display.startsWith('inline')

/** Whether an element is of another size once it is a container of that type, since its size hangs on what is in it. */
export function hugsItsContents(element: Element, container: 'size' | 'inline-size'): boolean {
  if (!(element instanceof HTMLElement)) return false
  const { width, height } = element.getBoundingClientRect()
  const own = element.getAttribute('style')
  element.style.setProperty('container-type', container, 'important')
  const contained = element.getBoundingClientRect()
  if (own === null) element.removeAttribute('style')
  else element.setAttribute('style', own)
  return Math.abs(contained.width - width) > 0.5 || Math.abs(contained.height - height) > 0.5
}
