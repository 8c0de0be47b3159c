// What the studio draws on the page: corner ticks, effect numbers, the away pin and the ghost. In a closed shadow root,
// so that neither side's styles reach the other.
import { holdsPoint, type Box } from '../core/geometry/box'
import { pointAt, type Place } from '../core/geometry/place'
import { placeIn, stillBoxOf } from './boxes'
import { findAll } from '../play/find'
import { lineOf, type EdgeLine } from './gap'
import { drawHandles, handlesMark, handleStyles } from './handles/handles'
import type { Numbers } from './numbers'
import type { Edge, ShownEffect } from './protocol'

const styles = `
  :host { all: initial !important; position: fixed !important; inset: 0 !important; z-index: 2147483647 !important; pointer-events: none !important; }
  @media print { :host { display: none !important; } }
  .ticks { position: absolute; color: #23262B; }
  .ticks i { position: absolute; width: 11px; height: 11px; border: solid #A8326A; border-width: 0; box-sizing: border-box; filter: drop-shadow(0 0 1px #fff) drop-shadow(0 0 1px #fff); }
  .ticks i:nth-child(1) { left: -5px; top: -5px; border-width: 2px 0 0 2px; }
  .ticks i:nth-child(2) { right: -5px; top: -5px; border-width: 2px 2px 0 0; }
  .ticks i:nth-child(3) { left: -5px; bottom: -5px; border-width: 0 0 2px 2px; }
  .ticks i:nth-child(4) { right: -5px; bottom: -5px; border-width: 0 2px 2px 0; }
  /* Close to their own corners, so that those of neighbours do not run together. */
  .ticks.quiet i { border-color: #23262B; width: 6px; height: 6px; margin: 4px; }
  .number { position: absolute; font: 600 13px/18px ui-sans-serif, system-ui, sans-serif; font-variant-numeric: tabular-nums; color: #23262B; min-width: 18px; text-align: center;
    background: #FAFBF9; border: 1px solid #6B7168; border-radius: 9px; padding: 0 3px; box-sizing: border-box; translate: -50% -50%; }
  .number.selected { background: #23262B; color: #FAFBF9; border-color: #FAFBF9; }
  .edge { position: absolute; background: #23262B; box-shadow: 0 0 0 1px #fffb; }
  .edge.loud { background: #A8326A; }
  .slit { position: absolute; background: repeating-linear-gradient(45deg, #23262B 0 1px, #fff8 1px 5px); }
  .pin { position: absolute; width: 28px; height: 28px; margin: -14px 0 0 -14px; pointer-events: auto; cursor: grab; touch-action: none; }
  .pin:active { cursor: grabbing; }
  .pin svg, .ghost svg { display: block; overflow: visible; }
  .ghost { position: absolute; left: 0; top: 0; width: 0; height: 0; }
`

const pinDrawing = `<svg width="28" height="28" viewBox="-14 -14 28 28"><circle r="9" fill="#FAFBF9" fill-opacity=".88" stroke="#5E5287" stroke-width="1.5"/><circle r="3.2" fill="#5E5287"/><path d="M0-13v4M0 9v4M-13 0h4M9 0h4" stroke="#5E5287" stroke-width="1.5"/></svg>`
const ghostDrawing = `<svg width="1" height="1"><circle r="11" fill="#A8326A" fill-opacity=".16" stroke="#fff" stroke-width="3.5"/><circle r="11" fill="none" stroke="#A8326A" stroke-width="1.5" stroke-dasharray="4.3 2.6"/><circle r="2.6" fill="#A8326A" stroke="#fff" stroke-width="1"/></svg>`

export interface Overlay {
  readonly host: Element
  /** Draws effects afresh: after they, the window or the page changed. */
  readonly draw: () => void
  readonly showEffects: (effects: readonly ShownEffect[]) => void
  /** Loud ticks around everything that the selector matches, or one element by its number; null takes them off. */
  readonly outline: (select: string | number | null) => void
  /** Which element carries the pin: the one that was met last. */
  readonly meet: (element: Element | null) => void
  /** The edges of a gap, and the one that a click would choose. */
  readonly showEdges: (edges: readonly Edge[], under: Edge | null) => void
  readonly showGhost: (at: { x: number; y: number } | null) => void
}

export interface OverlayOptions {
  /** Hears where the pin is dragged to, in the element's own frame. */
  readonly onPin: (place: Place, last: boolean) => void
  /** Hears what a handle is dragged to. */
  readonly onHandle: (id: string, value: number, last: boolean) => void
}

/** Puts the overlay on the page. */
export function makeOverlay(page: Document, numbers: Numbers, { onPin, onHandle }: OverlayOptions): Overlay {
  const host = page.createElement('glass-moth-overlay')
  host.setAttribute('aria-hidden', 'true')
  const root = host.attachShadow({ mode: 'closed' })
  const sheet = new CSSStyleSheet()
  sheet.replaceSync(styles + handleStyles)
  root.adoptedStyleSheets = [sheet]
  const drawing = root.appendChild(page.createElement('div'))
  const ghost = root.appendChild(page.createElement('div'))
  ghost.className = 'ghost'
  ghost.innerHTML = ghostDrawing
  ghost.hidden = true
  page.documentElement.append(host)

  let effects: readonly ShownEffect[] = []
  let outlined: string | number | null = null
  let met: Element | null = null
  let ghostAt: { readonly x: number; readonly y: number } | null = null
  let edges: readonly Edge[] = []
  let candidate: Edge | null = null

  const addTicks = (box: Box, className: string) => {
    const ticks = drawing.appendChild(page.createElement('div'))
    ticks.className = className
    ticks.innerHTML = '<i></i><i></i><i></i><i></i>'
    Object.assign(ticks.style, { left: `${box.x}px`, top: `${box.y}px`, width: `${box.width}px`, height: `${box.height}px` })
  }
  const addNumber = (box: Box, number: number, selected: boolean, shift: number) => {
    const tag = drawing.appendChild(page.createElement('div'))
    tag.className = selected ? 'number selected' : 'number'
    tag.textContent = String(number)
    Object.assign(tag.style, { left: `${Math.max(12, box.x) + shift}px`, top: `${Math.max(12, box.y)}px` })
  }
  const lineAt = ({ number, side }: Edge) => {
    const element = numbers.at(number)
    return element && lineOf(element, side)
  }
  const addEdge = ({ isUpright, at, from, to }: EdgeLine, isLoud: boolean) => {
    const serif = drawing.appendChild(page.createElement('div'))
    serif.className = isLoud ? 'edge loud' : 'edge'
    Object.assign(
      serif.style,
      isUpright
        ? { left: `${at - 1}px`, top: `${from}px`, width: '2px', height: `${to - from}px` }
        : { left: `${from}px`, top: `${at - 1}px`, width: `${to - from}px`, height: '2px' },
    )
  }
  /** The two edges as short serifs, and the slit between them hatched. */
  const addGap = () => {
    const lines = edges.flatMap((each) => lineAt(each) ?? [])
    const shown = candidate && lineAt(candidate)
    if (shown) addEdge(shown, true)
    const [one, other] = lines
    if (one && !other) addEdge(one, false)
    if (!one || !other) return
    const from = Math.max(one.from, other.from)
    const to = Math.max(from + 24, Math.min(one.to, other.to))
    for (const each of [one, other])
      addEdge({ ...each, from: Math.max(each.from, (from + to) / 2 - 26), to: Math.min(each.to, (from + to) / 2 + 26) }, false)
    if (one.isUpright !== other.isUpright) return
    const slit = drawing.appendChild(page.createElement('div'))
    slit.className = 'slit'
    const [near, size] = [Math.min(one.at, other.at), Math.abs(one.at - other.at)]
    Object.assign(
      slit.style,
      one.isUpright
        ? { left: `${near}px`, top: `${from}px`, width: `${size}px`, height: `${to - from}px` }
        : { left: `${from}px`, top: `${near}px`, width: `${to - from}px`, height: `${size}px` },
    )
  }
  const addPin = (box: Box, pin: Place) => {
    const handle = drawing.appendChild(page.createElement('div'))
    handle.className = 'pin'
    handle.innerHTML = pinDrawing
    const put = (place: Place) => {
      const { x, y } = pointAt(box, place)
      Object.assign(handle.style, { left: `${x}px`, top: `${y}px` })
    }
    put(pin)
    handle.addEventListener('pointerdown', (down) => {
      down.preventDefault()
      handle.setPointerCapture(down.pointerId)
      const dragged = (event: PointerEvent) => {
        const place = snapped(placeIn(box, event.clientX, event.clientY))
        put(place)
        onPin(place, event.type === 'pointerup')
      }
      handle.addEventListener('pointermove', dragged)
      handle.addEventListener('pointerup', dragged, { once: true })
      dragging = true
      handle.addEventListener(
        'lostpointercapture',
        () => {
          dragging = false
          draw()
        },
        { once: true },
      )
    })
  }
  let dragging = false
  const draw = () => {
    if (dragging) return
    drawing.replaceChildren()
    host.toggleAttribute(
      handlesMark,
      effects.some(({ selected, handles = [] }) => selected && handles.length > 0),
    )
    const numbered = new Map<Element, number>()
    for (const effect of effects) {
      const matches = findAll(page, effect.select) ?? []
      const boxes = matches.map((element) => ({ element, box: stillBoxOf(element) }))
      const seen = boxes.filter(({ box }) => box.y + box.height > 0 && box.y < innerHeight && box.x + box.width > 0 && box.x < innerWidth)
      if (effect.selected) for (const { box } of seen) addTicks(box, 'ticks quiet')
      const first = seen[0]
      if (!first) continue
      if (effect.number !== undefined) {
        const count = numbered.get(first.element) ?? 0
        numbered.set(first.element, count + 1)
        addNumber(first.box, effect.number, effect.selected, count * 22)
      }
      if (effect.selected && effect.handles && effect.handles.length > 0) {
        const box = stillBoxOf((seen.find(({ element }) => element === met) ?? first).element, 'padding')
        const middle = ghostAt && holdsPoint(box, ghostAt.x, ghostAt.y) ? ghostAt : { x: box.x + box.width / 2, y: box.y + box.height / 2 }
        drawHandles(drawing, effect.handles, { box, middle }, onHandle, (isOn) => {
          dragging = isOn
          if (!isOn) draw()
        })
      }
      if (effect.selected && effect.pin)
        addPin(stillBoxOf((seen.find(({ element }) => element === met) ?? first).element, 'padding'), effect.pin)
    }
    addGap()
    const one = typeof outlined === 'number' ? numbers.at(outlined) : undefined
    for (const element of one ? [one] : typeof outlined === 'string' ? (findAll(page, outlined) ?? []) : [])
      addTicks(stillBoxOf(element), 'ticks')
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
    showEdges: (shown, under) => {
      edges = shown
      candidate = under
      draw()
    },
    showGhost: (at) => {
      const isMoved = at?.x !== ghostAt?.x || at?.y !== ghostAt?.y
      ghostAt = at
      // Rings stand round the pointer, and so go with it.
      if (isMoved && (edges.length > 0 || effects.some(({ handles }) => handles?.some(({ on }) => on === 'radius' || on === 'softness'))))
        draw()
      ghost.hidden = at === null
      if (at) ghost.style.transform = `translate(${at.x}px, ${at.y}px)`
    },
  }
}

/** A pin's place, each coordinate caught by the middle. */
function snapped({ x, y }: Place): Place {
  const snap = (value: number) => (Math.abs(value) < 0.06 ? 0 : Number(value.toFixed(2)))
  return { x: snap(x), y: snap(y) }
}
