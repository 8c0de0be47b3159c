// Elements as frames of reference: measured in batches, and where they would lie without us.
import { emptyFrame, type Frame } from '../core/geometry/frame'
import { identity, locate, writeFrame, type Plane } from '../core/geometry/plane'

export type Styled = HTMLElement | SVGElement

/** An element that somebody reads. */
export interface Measured {
  readonly element: Element
  /** Its computed style: it is live, so that asking again makes nothing. */
  readonly style: CSSStyleDeclaration
  readonly plane: Plane
  readonly frame: Frame
  /** What our effects do to it, in a matrix that is used again; undefined while nothing moves it. */
  matrix: DOMMatrix | undefined
  /** What takes the page's own transform off that, where there is one. */
  undo: DOMMatrix | undefined
  /** Whether it is read where it is, our effects included. */
  readonly isLive: boolean
  /** The measured element above it that our effects move. */
  above: Measured | undefined
  /** Where it was drawn when it was last read. */
  hull: DOMRectReadOnly
  /** Whether any of it is in the window; true until the browser has told. */
  isVisible: boolean
  /** Whether anybody needs it, and in which batch it was read last. */
  isUsed: boolean
  batch: number
  /** Whether its shape was read since its place was. */
  isReshaped: boolean
}

export function measure(element: Element, isLive: boolean): Measured {
  const plane: Plane = { width: 0, height: 0, matrix: identity, originX: 0, originY: 0, own: { a: 1, b: 0, c: 0, d: 1, e: 0, f: 0 }, above: undefined }
  return { element, style: getComputedStyle(element), plane, frame: emptyFrame(), matrix: undefined, undo: undefined, isLive, above: undefined, hull: new DOMRectReadOnly(), isVisible: true, isUsed: true, batch: -1, isReshaped: false }
}

/** Reads what changes seldom: size, borders and corners, and how the page itself turns and scales it. */
export function readShape(measured: Measured, moved: ReadonlyMap<Element, string>): void {
  const { element, style, plane, frame, above } = measured
  measured.isReshaped = true
  const { border, radii } = frame
  border[0] = px(style.borderTopWidth)
  border[1] = px(style.borderRightWidth)
  border[2] = px(style.borderBottomWidth)
  border[3] = px(style.borderLeftWidth)
  const isBorderBox = style.boxSizing === 'border-box'
  plane.width = parseFloat(style.width) + (isBorderBox ? 0 : border[1] + border[3] + px(style.paddingLeft) + px(style.paddingRight))
  plane.height = parseFloat(style.height) + (isBorderBox ? 0 : border[0] + border[2] + px(style.paddingTop) + px(style.paddingBottom))
  radii[0] = radius(style.borderTopLeftRadius, plane.width)
  radii[1] = radius(style.borderTopRightRadius, plane.width)
  radii[2] = radius(style.borderBottomRightRadius, plane.width)
  radii[3] = radius(style.borderBottomLeftRadius, plane.width)
  const itself = moved.get(element)
  measured.undo = itself && itself !== 'none' ? new DOMMatrix(itself).invertSelf() : undefined
  const own = new DOMMatrix()
  for (let each: Element | null = element; each && each !== above?.element; each = each.parentElement) {
    const { rotate, scale, transform } = getComputedStyle(each)
    // What our effects do is not the page's own.
    const turned = moved.get(each) ?? transform
    if (rotate === 'none' && scale === 'none' && turned === 'none') continue
    own.preMultiplySelf(new DOMMatrix(`${asFunction('rotate', rotate)} ${asFunction('scale', scale)} ${turned === 'none' ? '' : turned}`))
  }
  const zoom = zoomOf(element) / (above ? zoomOf(above.element) : 1)
  plane.own.a = own.a * zoom
  plane.own.b = own.b * zoom
  plane.own.c = own.c * zoom
  plane.own.d = own.d * zoom
}

/** Reads where it lies, once in each batch, what is above it first. Gives whether it lies elsewhere than when it was last read. */
export function readPlace(measured: Measured, batch: number, locateInRow?: (measured: Measured) => void): boolean {
  if (measured.batch === batch) return false
  const isFirst = measured.batch < 0 || measured.isReshaped
  measured.batch = batch
  measured.isReshaped = false
  const { element, style, plane, frame, matrix, above } = measured
  if (above) readPlace(above, batch, locateInRow)
  measured.hull = element.getBoundingClientRect()
  if (matrix) {
    plane.matrix = matrix.setMatrixValue(style.transform)
    if (measured.undo) matrix.preMultiplySelf(measured.undo)
    const origin = style.transformOrigin
    plane.originX = parseFloat(origin)
    plane.originY = parseFloat(origin.slice(origin.indexOf(' ')))
  }
  plane.above = above?.plane
  const { e, f } = plane.own
  locate(plane, measured.hull)
  locateInRow?.(measured)
  if (isFirst || matrix || above || plane.own.e !== e || plane.own.f !== f) writeFrame(frame, plane, measured.hull)
  return !isFirst && Math.abs(plane.own.e - e) + Math.abs(plane.own.f - f) > 0.05
}

/** Whether a point may lie near the element, by where it was drawn last. */
export function isNear({ hull }: Measured, x: number, y: number, px: number): boolean {
  return x > hull.left - px && x < hull.right + px && y > hull.top - px && y < hull.bottom + px
}

const px = (text: string) => parseFloat(text) || 0

const radius = (text: string, width: number) => (text.includes('%') ? (px(text) / 100) * width : px(text))

const zoomOf = (element: Element & { readonly currentCSSZoom?: number }) => element.currentCSSZoom ?? 1

/** The individual transform properties as the functions that they stand for. */
function asFunction(name: 'rotate' | 'scale', value: string): string {
  if (value === 'none') return ''
  const words = value.split(' ')
  if (name === 'scale') return `scale(${words.slice(0, 2).join(', ')})`
  const axis = { x: '1, 0, 0', y: '0, 1, 0', z: '0, 0, 1' }[words[0] ?? ''] ?? words.slice(0, 3).join(', ')
  return words.length === 1 ? `rotate(${value})` : `rotate3d(${axis}, ${words.at(-1) ?? '0deg'})`
}
