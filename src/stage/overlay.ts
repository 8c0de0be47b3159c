// What the studio draws on the page: corner ticks, effect numbers, handles, the away pin and the stand-in pointer. In a closed
// shadow root, so that neither side's styles reach the other.
import { holdsPoint, type Box } from '../core/geometry/box'
import type { Place } from '../core/geometry/place'
import { findAll } from '../play/find'
import { stillBoxOf } from './boxes'
import { lineOf } from './distance'
import { addDistance, addNumber, addPin, addTicks, drawingStyles, drawStandIn } from './drawings'
import { drawHandles, handlesMark, handleStyles } from './handles/handles'
import type { Numbers } from './numbers'
import type { Edge, ShownEffect } from './protocol'

export interface Overlay {
  readonly host: Element
  /** Draws effects afresh: after they, the window or the page changed. */
  readonly draw: () => void
  readonly showEffects: (effects: readonly ShownEffect[]) => void
  /** Loud ticks around everything that the selector matches, or one element by its number; null takes them off. */
  readonly outline: (select: string | number | null) => void
  /** Which element carries the pin: the one that was met last. */
  readonly meet: (element: Element | null) => void
  /** The edges of a distance, and the one that a click would choose. */
  readonly showEdges: (edges: readonly Edge[], under: Edge | null) => void
  /** The effect whose number is drawn at a point of the window. */
  readonly numberAt: (x: number, y: number) => number | undefined
  /** The elements that effects are on. */
  readonly shown: () => ReadonlySet<Element>
  readonly showStandIn: (at: { x: number; y: number } | null) => void
}

export interface OverlayOptions {
  /** Hears where the pin is dragged to, in the element's own frame. */
  readonly onPin: (place: Place, last: boolean) => void
  /** Hears what a handle is dragged to. */
  readonly onHandle: (id: string, value: number, last: boolean) => void
}

/** The closed root on the page that is drawn in. */
function addRoot(page: Document) {
  const host = page.createElement('glass-moth-overlay')
  host.setAttribute('aria-hidden', 'true')
  const root = host.attachShadow({ mode: 'closed' })
  const sheet = new CSSStyleSheet()
  sheet.replaceSync(drawingStyles + handleStyles)
  root.adoptedStyleSheets = [sheet]
  const drawing = root.appendChild(page.createElement('div'))
  const standIn = root.appendChild(drawStandIn(page))
  page.documentElement.append(host)
  return { host, drawing, standIn }
}

/** The element around another one, or that itself, which a selector matches; null for one that is none. */
function closest(element: Element, select: string): Element | null {
  try {
    return element.closest(select)
  } catch {
    return null
  }
}

/** How near a click on a number is, px. */
const numberReach = 10

/** So many of what is outlined are watched at most. */
const mostWatched = 40

const isInSight = ({ x, y, width, height }: Box) => y + height > 0 && y < innerHeight && x + width > 0 && x < innerWidth
const hasHandles = ({ selected, handles = [] }: ShownEffect) => selected && handles.length > 0
/** Rings stand round the pointer, and so go with it. */
const hasRings = ({ handles = [] }: ShownEffect) => handles.some(({ on }) => on === 'radius' || on === 'softness')

/** Puts the overlay on the page. */
export function makeOverlay(page: Document, numbers: Numbers, { onPin, onHandle }: OverlayOptions): Overlay {
  const { host, drawing, standIn } = addRoot(page)
  let effects: readonly ShownEffect[] = []
  let outlined: string | number | null = null
  let met: Element | null = null
  let standsAt: { readonly x: number; readonly y: number } | null = null
  let edges: readonly Edge[] = []
  let candidate: Edge | null = null
  let isDragging = false
  let placed: { readonly number: number; readonly x: number; readonly y: number }[] = []

  const lineAt = ({ number, side }: Edge) => {
    const element = numbers.at(number)
    return element && lineOf(element, side)
  }
  /** While something is dragged it is not drawn afresh under the hand. */
  const hold = (isHeld: boolean) => {
    isDragging = isHeld
    if (!isHeld) draw()
  }
  const drawHeld = ({ handles = [], pin }: ShownEffect, box: Box) => {
    const middle = standsAt && holdsPoint(box, standsAt.x, standsAt.y) ? standsAt : { x: box.x + box.width / 2, y: box.y + box.height / 2 }
    if (handles.length > 0) drawHandles(drawing, handles, { box, middle }, onHandle, hold)
    if (pin) addPin(drawing, box, pin, onPin, hold)
  }
  /** What is outlined may grow by the effect itself. */
  let watched: readonly Element[] = []
  const sizes = new ResizeObserver(() => draw())
  const watch = (elements: readonly Element[]) => {
    if (elements.length === watched.length && elements.every((each, i) => each === watched[i])) return
    watched = elements
    sizes.disconnect()
    for (const each of elements) sizes.observe(each)
  }
  const drawEffect = (effect: ShownEffect, numbered: Map<Element, number>) => {
    const matches = findAll(page, effect.select) ?? []
    const seen = matches.map((element) => ({ element, box: stillBoxOf(element) })).filter(({ box }) => isInSight(box))
    if (effect.selected) for (const { box } of seen) addTicks(drawing, box, false)
    if (effect.selected) watch(seen.slice(0, mostWatched).map(({ element }) => element))
    const [first] = seen
    if (!first) return
    if (effect.number !== undefined) {
      const count = numbered.get(first.element) ?? 0
      numbered.set(first.element, count + 1)
      placed.push({ number: effect.number, ...addNumber(drawing, first.box, effect.number, effect.selected, count * 22) })
    }
    const { element } = seen.find((each) => each.element === met) ?? first
    const home = effect.ground === undefined ? element : (closest(element, effect.ground) ?? element)
    if (effect.selected) drawHeld(effect, stillBoxOf(home, 'padding'))
  }
  const draw = () => {
    if (isDragging) return
    drawing.replaceChildren()
    placed = []
    host.toggleAttribute(handlesMark, effects.some(hasHandles))
    const numbered = new Map<Element, number>()
    for (const effect of effects) drawEffect(effect, numbered)
    addDistance(
      drawing,
      edges.flatMap((each) => lineAt(each) ?? []),
      candidate ? lineAt(candidate) : undefined,
    )
    const one = typeof outlined === 'number' ? numbers.at(outlined) : undefined
    for (const element of one ? [one] : typeof outlined === 'string' ? (findAll(page, outlined) ?? []) : [])
      addTicks(drawing, stillBoxOf(element), true)
  }
  addEventListener('scroll', draw, { passive: true, capture: true })
  new ResizeObserver(draw).observe(page.documentElement)

  return {
    host,
    draw,
    showEffects: (shown) => {
      effects = shown
      draw()
    },
    outline: (select) => {
      outlined = select
      draw()
    },
    meet: (element) => {
      if (element === met || !element) return
      met = element
      draw()
    },
    numberAt: (x, y) => placed.find((each) => Math.hypot(each.x - x, each.y - y) <= numberReach)?.number,
    shown: () => new Set(effects.flatMap(({ select }) => findAll(page, select) ?? [])),
    showEdges: (shown, under) => {
      edges = shown
      candidate = under
      draw()
    },
    showStandIn: (at) => {
      const isMoved = at?.x !== standsAt?.x || at?.y !== standsAt?.y
      standsAt = at
      if (isMoved && (edges.length > 0 || effects.some(hasRings))) draw()
      standIn.hidden = at === null
      if (at) standIn.style.transform = `translate(${at.x}px, ${at.y}px)`
    },
  }
}
