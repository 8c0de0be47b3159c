import { given } from './given'
import type { Frame } from './types'

/** No borders, and no round corners. */
export const none = [0, 0, 0, 0] as const
export const px = (text: string) => parseFloat(text) || 0

const bordersOf = (style: CSSStyleDeclaration): Frame['border'] => [
  px(style.borderTopWidth),
  px(style.borderRightWidth),
  px(style.borderBottomWidth),
  px(style.borderLeftWidth),
]
const radiiOf = (style: CSSStyleDeclaration): Frame['radii'] => [
  px(style.borderTopLeftRadius),
  px(style.borderTopRightRadius),
  px(style.borderBottomRightRadius),
  px(style.borderBottomLeftRadius),
]

/** A padding box: what takes a point of the window to the upper left corner of the border box, and the size of that, without the borders. */
export function paddingBox(toBox: DOMMatrix, width: number, height: number, element: Element): Frame {
  if (!given.hasBorders) return { toFrame: toBox, width, height, border: none, radii: none }
  const style = getComputedStyle(element)
  const border = bordersOf(style)
  return {
    toFrame: new DOMMatrix([1, 0, 0, 1, -border[3], -border[0]]).multiply(toBox),
    width: width - border[1] - border[3],
    height: height - border[0] - border[2],
    border,
    radii: radiiOf(style),
  }
}

/** Where an element lies that nothing turns or moves. */
export function plain(element: Element): Frame {
  const { left, top, width, height } = element.getBoundingClientRect()
  return paddingBox(new DOMMatrix([1, 0, 0, 1, -left, -top]), width, height, element)
}

/** The box around where a matrix draws an element of this size, about its middle. */
export function hullOf(
  drawn: DOMMatrix,
  width: number,
  height: number,
): { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number } {
  const corners = [-0.5, 0.5].flatMap((x) => [-0.5, 0.5].map((y) => drawn.transformPoint({ x: x * width, y: y * height })))
  const [xs, ys] = [corners.map(({ x, w }) => x / w), corners.map(({ y, w }) => y / w)]
  return { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs), bottom: Math.max(...ys) }
}

/** Where an element would lie if it did not lean: by the box that is seen, less what the lean makes of it. */
export function leaning(element: Element): Frame {
  const { offsetWidth: width, offsetHeight: height } = element as HTMLElement
  const hull = hullOf(new DOMMatrix(getComputedStyle(element).transform), width, height)
  const box = element.getBoundingClientRect()
  const toBox = new DOMMatrix()
    .translate(width / 2 + hull.left, height / 2 + hull.top)
    .scale((hull.right - hull.left) / box.width, (hull.bottom - hull.top) / box.height)
    .translate(-box.x, -box.y)
  return paddingBox(toBox, width, height, element)
}

/** Where an element would lie if it were not slid: its size is that of the box that is seen. */
export function sliding(element: Element): Frame {
  const { x, y, width, height } = element.getBoundingClientRect()
  const { e, f } = new DOMMatrix(getComputedStyle(element).transform)
  return paddingBox(new DOMMatrix([1, 0, 0, 1, e - x, f - y]), width, height, element)
}
