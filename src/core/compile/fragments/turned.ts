import { given } from './given'
import { hullOf, paddingBox, px } from './measure'
import type { Frame } from './types'

/** The individual transform properties, and a transform, as one matrix; the page may have turned an element by either. */
export function matrixOf({ rotate, scale }: CSSStyleDeclaration, transform: string): DOMMatrix {
  const words = rotate.split(' ')
  const axis = { x: '1, 0, 0', y: '0, 1, 0', z: '0, 0, 1' }[words[0] ?? ''] ?? words.slice(0, 3).join(', ')
  const turning = rotate === 'none' ? '' : words.length === 1 ? `rotate(${rotate})` : `rotate3d(${axis}, ${words.at(-1) ?? ''})`
  const scaling = scale === 'none' ? '' : `scale(${scale.split(' ').slice(0, 2).join(', ')})`
  return new DOMMatrix(`${turning} ${scaling} ${transform === 'none' ? '' : transform}`.trim())
}

/** What the page itself gives an element, also while effects move it. */
function ownTransform(element: Element, style: CSSStyleDeclaration): string {
  if (!(given.moved && element.matches(given.moved))) return style.transform
  const own = style.getPropertyValue('--own-transform') || 'none'
  return given.readsComputed ? own : inPx(own, element as HTMLElement)
}

/** Translations in % of an element in px: a matrix knows no sizes. */
const inPx = (transform: string, { offsetWidth, offsetHeight }: HTMLElement) =>
  transform.replace(/(translate\w*)\(([^()]*)\)/g, (_, name: string, list: string) => {
    const lengths = list.split(',').map((length, i) => {
      const size = name.endsWith('Y') || i === 1 ? offsetHeight : offsetWidth
      return length.includes('%') ? `${(parseFloat(length) / 100) * size}px` : length
    })
    return `${name}(${lengths.join()})`
  })

/** How the page turns and scales what lies in these elements, one in another; `isOwn`: without what effects do. */
function aroundOf(element: Element, isOwn: boolean): DOMMatrix {
  let around = new DOMMatrix()
  for (let each = element.parentElement; each; each = each.parentElement) {
    const style = getComputedStyle(each)
    around = matrixOf(style, isOwn ? ownTransform(each, style) : style.transform).multiply(around)
  }
  const zoom = (element as Element & { readonly currentCSSZoom?: number }).currentCSSZoom ?? 1
  return new DOMMatrix([around.a * zoom, around.b * zoom, around.c * zoom, around.d * zoom, 0, 0])
}

/** The perspective of what an element stands in, for one whose origin is seen here. */
function throughEye({ parentElement: row }: Element, { x, y }: { readonly x: number; readonly y: number }): DOMMatrix {
  const { perspective, perspectiveOrigin } = row ? getComputedStyle(row) : { perspective: 'none', perspectiveOrigin: '' }
  if (!row || perspective === 'none') return new DOMMatrix()
  const { left, top } = row.getBoundingClientRect()
  const [eyeX, eyeY] = perspectiveOrigin.split(' ').map(px) as [number, number]
  return new DOMMatrix()
    .translate(left + eyeX - x, top + eyeY - y)
    .multiply(new DOMMatrix(`perspective(${perspective})`))
    .translate(x - left - eyeX, y - top - eyeY)
}

/** Where an element would lie if effects did nothing, also where the page turns or scales it, or what it lies in. */
export function turned(element: Element): Frame {
  const style = getComputedStyle(element)
  const more: readonly [number, number] =
    style.boxSizing === 'border-box'
      ? [0, 0]
      : [
          px(style.paddingLeft) + px(style.paddingRight) + px(style.borderLeftWidth) + px(style.borderRightWidth),
          px(style.paddingTop) + px(style.paddingBottom) + px(style.borderTopWidth) + px(style.borderBottomWidth),
        ]
  const [width, height] = [px(style.width) + more[0], px(style.height) + more[1]]
  const [originX, originY] = style.transformOrigin.split(' ').map(px) as [number, number]
  // From its middle to its origin, about which it is turned, and back.
  const drawn = aroundOf(element, false)
    .multiply(matrixOf(style, style.transform))
    .translate(width / 2 - originX, height / 2 - originY)
  const box = element.getBoundingClientRect()
  let own = aroundOf(element, true).multiply(matrixOf(style, ownTransform(element, style)))
  // Where its origin is seen: the middle of both boxes is one.
  const originOf = (seen: DOMMatrix) => {
    const hull = hullOf(seen, width, height)
    return { x: box.x + box.width / 2 - (hull.left + hull.right) / 2, y: box.y + box.height / 2 - (hull.top + hull.bottom) / 2 }
  }
  let origin = originOf(drawn)
  // How it is seen hangs on where it stands in its row, so both are found in turn.
  if (given.sharesEye) for (let round = 0; round < 6; round++) origin = originOf(throughEye(element, origin).multiply(drawn))
  // What the page itself brings nearer or further is seen larger or smaller.
  if (given.sharesEye) {
    const { a, b, c, d, e, f, m44: far } = throughEye(element, origin).multiply(own)
    own = new DOMMatrix([a / far, b / far, c / far, d / far, e / far, f / far])
  }
  return paddingBox(
    new DOMMatrix()
      .translate(originX, originY)
      .multiply(new DOMMatrix([own.a, own.b, own.c, own.d, own.e, own.f]).inverse())
      .translate(-origin.x, -origin.y),
    width,
    height,
    element,
  )
}
