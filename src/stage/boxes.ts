// Boxes of the page's elements, for what is drawn and for where the hand is.
import { matrixOf } from '../core/compile/fragments/turned'
import type { Box } from '../core/geometry/box'
import type { Place } from '../core/geometry/place'
import { locate, type Plane } from '../core/geometry/plane'

const px = (text: string) => parseFloat(text) || 0

/**
 * Where an element lies without what our effects do to it: the box about its middle, however the page turns it.
 * The `padding` box is the one in which the pointer's place is read.
 */
export function stillBoxOf(element: Element, of: 'border' | 'padding' = 'border'): Box {
  // The window stands for the whole page.
  if (element === element.ownerDocument.documentElement) return { x: 0, y: 0, width: innerWidth, height: innerHeight }
  const style = getComputedStyle(element)
  const [upper, right, lower, before] = [style.borderTopWidth, style.borderRightWidth, style.borderBottomWidth, style.borderLeftWidth].map(
    px,
  ) as [number, number, number, number]
  const isBorderBox = style.boxSizing === 'border-box'
  const width = parseFloat(style.width) + (isBorderBox ? 0 : before + right + px(style.paddingLeft) + px(style.paddingRight))
  const height = parseFloat(style.height) + (isBorderBox ? 0 : upper + lower + px(style.paddingTop) + px(style.paddingBottom))
  const hull = element.getBoundingClientRect()
  const own = turnAround(element)
  const [originX = '0', originY = '0'] = style.transformOrigin.split(' ')
  const plane: Plane = {
    width,
    height,
    matrix: new DOMMatrix(style.transform),
    originX: parseFloat(originX),
    originY: parseFloat(originY),
    own: { a: own.a, b: own.b, c: own.c, d: own.d, e: 0, f: 0 },
  }
  locate(plane, hull)
  const { a, b, c, d, e, f } = plane.own
  const middle = { x: (a * width + c * height) / 2 + e, y: (b * width + d * height) / 2 + f }
  // What has no size of its own, text in a line for one, is where it is drawn.
  if (!Number.isFinite(middle.x + middle.y)) return { x: hull.left, y: hull.top, width: hull.width, height: hull.height }
  const [across, down] = [Math.hypot(a, b), Math.hypot(c, d)]
  const border = { x: middle.x - (width * across) / 2, y: middle.y - (height * down) / 2, width: width * across, height: height * down }
  if (of === 'border') return border
  return {
    x: border.x + before * across,
    y: border.y + upper * down,
    width: border.width - (before + right) * across,
    height: border.height - (upper + lower) * down,
  }
}

/** How the page turns and scales an element and what it lies in; what stands in the element's own `transform` apart, since that is of our effects. */
function turnAround(element: Element): DOMMatrix {
  const turned = new DOMMatrix()
  for (let each: Element | null = element; each; each = each.parentElement) {
    const style = getComputedStyle(each)
    const given = each === element ? 'none' : style.transform
    if (style.rotate !== 'none' || style.scale !== 'none' || given !== 'none') turned.preMultiplySelf(matrixOf(style, given))
  }
  return turned.scale((element as Element & { readonly currentCSSZoom?: number }).currentCSSZoom ?? 1)
}

/** The place of a point in a box, as effects read it: held at the edges. */
export function placeIn({ x, y, width, height }: Box, atX: number, atY: number): Place {
  const held = (share: number) => Math.min(1, Math.max(-1, 2 * share - 1))
  return { x: width > 0 ? held((atX - x) / width) : 0, y: height > 0 ? held((atY - y) / height) : 0 }
}
