import { frameOf } from './frames'
import { given } from './given'
import { none } from './measure'
import { hasPointer } from './on'
import type { Effect, Frame, Place } from './types'

/** A box of the window as a frame of reference. */
export const frameOfBox = (
  left: number,
  top: number,
  width: number,
  height: number,
  toFrame = new DOMMatrix([1, 0, 0, 1, -left, -top]),
): Frame => ({ toFrame, width, height, border: none, radii: none })

/** In the window a point is where it is. */
const asItIs = new DOMMatrix()
const measureWindow = () => frameOfBox(0, 0, document.documentElement.clientWidth, document.documentElement.clientHeight, asItIs)
export const windowFrame = () => frameOf(document as unknown as Element, measureWindow)

/** The box around all elements of a group. */
function groupFrame({ select }: Effect): Frame {
  const boxes = [...document.querySelectorAll(select)].map((element) => element.getBoundingClientRect())
  const [left, top] = [Math.min(...boxes.map((box) => box.left)), Math.min(...boxes.map((box) => box.top))]
  return frameOfBox(left, top, Math.max(...boxes.map(({ right }) => right)) - left, Math.max(...boxes.map(({ bottom }) => bottom)) - top)
}

/** Where an area lies: its element, the box around a group, or the window. */
export function areaFrame(effect: Effect, area: Element): Frame {
  if (effect.isWindow) return windowFrame()
  return effect.isGroup ? groupFrame(effect) : frameOf(area, effect.measure)
}

/** Where the values of a place are read. */
export function readFrame(effect: Effect, place: Place): Frame {
  if (effect.readsInWindow) return windowFrame()
  const box = effect.readsInBox ? document.querySelector(effect.readsInBox) : effect.readsIn ? place.element : undefined
  return box ? frameOf(box, effect.measure) : areaFrame(effect, place.area)
}

/** A point of the window as the values of a place have it. */
export const inFrame = (effect: Effect, place: Place, point: { readonly x: number; readonly y: number }) =>
  effect.readsInWindow || effect.isWindow ? point : readFrame(effect, place).toFrame.transformPoint(point)

/** Whether the pointer is on an area: on its element, on one of a group, or on what is bridged or joined to it. */
export function holds(effect: Effect, area: Element, beside?: Element): boolean {
  if (effect.isWindow) return hasPointer(windowFrame(), effect.insets)
  const isOnSome = (elements: Iterable<Element>, insets?: Effect['insets']) =>
    [...elements].some((element) => hasPointer(frameOf(element, effect.measure), insets))
  if (effect.isGroup)
    return isOnSome(document.querySelectorAll(effect.bridge ? `${effect.select}, ${effect.bridge}` : effect.select), effect.insets)
  if (given.hasJoined && beside && hasPointer(frameOf(beside, effect.measure))) return true
  return hasPointer(frameOf(area, effect.measure), effect.insets) || !!(effect.bridge && isOnSome(area.querySelectorAll(effect.bridge)))
}
