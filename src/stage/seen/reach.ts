// How far an effect makes things stick out of their elements, and what of that is cut off or covered.
import type { Seen } from '../../core/check/seen'
import { stillBoxOf } from '../boxes'
import type { Numbers } from '../numbers'

/** Beyond each edge of the element, px. */
export interface Reach {
  readonly top: number
  readonly right: number
  readonly bottom: number
  readonly left: number
}
export const noReach: Reach = { top: 0, right: 0, bottom: 0, left: 0 }

type Box = Pick<DOMRect, 'x' | 'y' | 'width' | 'height'>

/** Less than this nobody misses, px. */
const slight = 2.5
/** Of how many elements at most it is told. */
const most = 40

export const wider = (one: Reach, other: Reach): Reach => ({
  top: Math.max(one.top, other.top),
  right: Math.max(one.right, other.right),
  bottom: Math.max(one.bottom, other.bottom),
  left: Math.max(one.left, other.left),
})

/** How far an element is drawn beyond the box where it lies by itself. */
export function reachOf(element: Element, still: Box, soft = 0): Reach {
  const { left, top, right, bottom, width, height } = element.getBoundingClientRect()
  if (width * height === 0) return noReach
  return {
    top: still.y - top + soft,
    left: still.x - left + soft,
    right: right + soft - (still.x + still.width),
    bottom: bottom + soft - (still.y + still.height),
  }
}

/** How far an element with its shadow and the parts in it are drawn beyond a box. */
export function reachOfAll(element: Element, still: Box, parts: readonly Element[]): Reach {
  const inIt = clips(element) ? [] : parts.filter((part) => element.contains(part) && part !== element)
  const drawn = inIt.filter((part) => !inIt.some((other) => other !== part && other.contains(part) && clips(other)))
  return [element, ...drawn].map((each) => reachOf(each, still, shadowOf(each))).reduce(wider, noReach)
}

/** How far a shadow goes at least, px: half of its blur, with what it spreads and is moved. */
function shadowOf(element: Element): number {
  const lengths = getComputedStyle(element)
    .boxShadow.replace(/[a-z-]+\([^)]*\)/g, '')
    .match(/-?[\d.]+px/g)
  const [x = 0, y = 0, blur = 0, spread = 0] = (lengths ?? []).map(parseFloat)
  return Math.max(0, blur / 2 + spread + Math.max(Math.abs(x), Math.abs(y)) / 2)
}

const clips = (element: Element) => {
  const { overflowX, overflowY, contain } = getComputedStyle(element)
  return overflowX !== 'visible' || overflowY !== 'visible' || /paint|strict|content/.test(contain)
}

/** What cuts off something of what sticks out of these elements. */
export function clippedBy(elements: readonly Element[], reach: Reach, numbers: Numbers): Seen['clipped'] {
  const found = new Map<Element, number>()
  for (const element of elements.slice(0, most)) {
    const box = stillBoxOf(element)
    for (let each = element.parentElement; each && each !== each.ownerDocument.body; each = each.parentElement) {
      if (!clips(each)) continue
      const { overflowX, overflowY } = getComputedStyle(each)
      const edge = each.getBoundingClientRect()
      const past = (beyond: number, room: number, isCut: boolean) =>
        // What is cut off anyway, or scrolled away, is not the effect's doing.
        isCut && beyond > slight && room > -0.5 ? beyond - room : 0
      const margin = parseFloat(getComputedStyle(each).overflowClipMargin) || 0
      const across = overflowX !== 'visible'
      const down = overflowY !== 'visible'
      const px =
        Math.max(
          past(reach.left, box.x - edge.left, across),
          past(reach.right, edge.right - (box.x + box.width), across),
          past(reach.top, box.y - edge.top, down),
          past(reach.bottom, edge.bottom - (box.y + box.height), down),
        ) - margin
      if (px > slight) found.set(each, Math.max(found.get(each) ?? 0, px))
    }
  }
  return [...found].flatMap(([element, px]) => {
    const by = numbers.of(element)
    const { overflowX, overflowY } = getComputedStyle(element)
    const scrolls = /auto|scroll/.test(overflowX + overflowY)
    return by === undefined ? [] : [{ by, px, scrolls }]
  })
}

/** Which of these elements come to lie under one after them, while they are drawn as `sample` is now. */
export function coveredBy(elements: readonly Element[], sample: Element, reach: Reach, numbers: Numbers): Seen['covered'] {
  const own = levelOf(sample)
  return elements.slice(0, most).flatMap((element) => {
    const number = numbers.of(element)
    if (number === undefined) return []
    const box = stillBoxOf(element)
    for (let next = element.nextElementSibling; next; next = next.nextElementSibling) {
      const level = levelOf(next)
      // What has no level of its own is drawn under what has one.
      if (numbers.of(next) === undefined || level === undefined || (own !== undefined && level < own)) continue
      const other = next.getBoundingClientRect()
      if (other.width * other.height === 0) continue
      const across = overlap(box.x - reach.left, box.x + box.width + reach.right, other.left, other.right)
      const down = overlap(box.y - reach.top, box.y + box.height + reach.bottom, other.top, other.bottom)
      const already =
        overlap(box.x, box.x + box.width, other.left, other.right) > 0.5 &&
        overlap(box.y, box.y + box.height, other.top, other.bottom) > 0.5
      if (already || across <= slight || down <= slight) continue
      return [{ number, px: Math.min(across, down) }]
    }
    return []
  })
}

const overlap = (from: number, to: number, start: number, end: number) => Math.min(to, end) - Math.max(from, start)

/** At which level an element is drawn among its siblings (CSS 2.2, Appendix E): its z-index, 0 for a layer without one; undefined where it is none. */
function levelOf(element: Element): number | undefined {
  const { position, zIndex, transform, opacity, filter, translate, rotate, scale, willChange, isolation, mixBlendMode, display } =
    getComputedStyle(element)
  if (display === 'none') return undefined
  const parent = element.parentElement && getComputedStyle(element.parentElement).display
  const isItem = parent !== null && /flex|grid/.test(parent)
  if (zIndex !== 'auto' && (position !== 'static' || isItem)) return Number(zIndex)
  const isLayer =
    position !== 'static' ||
    transform !== 'none' ||
    translate !== 'none' ||
    rotate !== 'none' ||
    scale !== 'none' ||
    Number(opacity) < 1 ||
    filter !== 'none' ||
    isolation === 'isolate' ||
    mixBlendMode !== 'normal' ||
    /transform|opacity|filter/.test(willChange)
  return isLayer ? 0 : undefined
}
