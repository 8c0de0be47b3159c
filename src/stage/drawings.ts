// The single things that the studio draws on the page, each by its box or its lines.
import { pointAt, type Place } from '../core/geometry/place'
import type { Box } from '../core/geometry/box'
import { placeIn } from './boxes'
import type { EdgeLine } from './distance'

export const drawingStyles = `
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
  .dimension { position: absolute; overflow: visible; }
  .dimension text { font: 600 12px/1 ui-sans-serif, system-ui, sans-serif; font-variant-numeric: tabular-nums; fill: #23262B; stroke: #FAFBF9; stroke-width: 3px; paint-order: stroke; }
  .pin { position: absolute; width: 28px; height: 28px; margin: -14px 0 0 -14px; pointer-events: auto; cursor: grab; touch-action: none; }
  .pin:active { cursor: grabbing; }
  .pin svg, .stand-in svg { display: block; overflow: visible; }
  .stand-in { position: absolute; left: 0; top: 0; width: 0; height: 0; }
`

const pinDrawing = `<svg width="28" height="28" viewBox="-14 -14 28 28"><circle r="9" fill="#FAFBF9" fill-opacity=".88" stroke="#5E5287" stroke-width="1.5"/><circle r="3.2" fill="#5E5287"/><path d="M0-13v4M0 9v4M-13 0h4M9 0h4" stroke="#5E5287" stroke-width="1.5"/></svg>`
const standInDrawing = `<svg width="1" height="1"><circle r="11" fill="#A8326A" fill-opacity=".16" stroke="#fff" stroke-width="3.5"/><circle r="11" fill="none" stroke="#A8326A" stroke-width="1.5" stroke-dasharray="4.3 2.6"/><circle r="2.6" fill="#A8326A" stroke="#fff" stroke-width="1"/></svg>`

/** The dashed ring of the stand-in pointer, which is put where it is by its transform. */
export function drawStandIn(page: Document): HTMLElement {
  const standIn = page.createElement('div')
  standIn.className = 'stand-in'
  standIn.innerHTML = standInDrawing
  standIn.hidden = true
  return standIn
}

const add = (drawing: Element, className: string, style: Partial<CSSStyleDeclaration>): HTMLElement => {
  const element = drawing.appendChild(drawing.ownerDocument.createElement('div'))
  element.className = className
  Object.assign(element.style, style)
  return element
}

/** Ticks at the corners of a box. */
export function addTicks(drawing: Element, { x, y, width, height }: Box, isLoud: boolean): void {
  const ticks = add(drawing, isLoud ? 'ticks' : 'ticks quiet', {
    left: `${x}px`,
    top: `${y}px`,
    width: `${width}px`,
    height: `${height}px`,
  })
  ticks.innerHTML = '<i></i><i></i><i></i><i></i>'
}

/** An effect's number at the corner of a box, `shift` px beside it. Gives where its middle is, px of the window. */
export function addNumber(
  drawing: Element,
  box: Box,
  number: number,
  isSelected: boolean,
  shift: number,
): { readonly x: number; readonly y: number } {
  const [x, y] = [Math.max(12, box.x) + shift, Math.max(12, box.y)]
  add(drawing, isSelected ? 'number selected' : 'number', { left: `${x}px`, top: `${y}px` }).textContent = String(number)
  return { x, y }
}

function addEdge(drawing: Element, { isUpright, at, from, to }: EdgeLine, isLoud: boolean): void {
  add(
    drawing,
    isLoud ? 'edge loud' : 'edge',
    isUpright
      ? { left: `${at - 1}px`, top: `${from}px`, width: '2px', height: `${to - from}px` }
      : { left: `${from}px`, top: `${at - 1}px`, width: `${to - from}px`, height: '2px' },
  )
}

/** How far the serifs of two edges reach to both sides of the arrows between them, px. */
const serifPx = 26

/** The edges that are chosen as short serifs, arrows from one to the other with the distance beside them, and loudly the edge that a click would choose. */
export function addDistance(drawing: Element, lines: readonly EdgeLine[], candidate: EdgeLine | undefined): void {
  if (candidate) addEdge(drawing, candidate, true)
  const [one, other] = lines
  if (one && !other) addEdge(drawing, one, false)
  if (!one || !other) return
  const from = Math.max(one.from, other.from)
  const to = Math.max(from + 24, Math.min(one.to, other.to))
  const middle = (from + to) / 2
  for (const each of [one, other])
    addEdge(drawing, { ...each, from: Math.max(each.from, middle - serifPx), to: Math.min(each.to, middle + serifPx) }, false)
  if (one.isUpright !== other.isUpright) return
  addArrows(drawing, Math.min(one.at, other.at), Math.max(one.at, other.at), middle, one.isUpright)
}

/** Dimension arrows from `near` to `far`; where there is no room between them they point in from outside. */
function addArrows(drawing: Element, near: number, far: number, middle: number, isAcross: boolean): void {
  const isWide = far - near >= 22
  const [head, tail] = [4, 16]
  const arrow = (tip: number, side: 1 | -1) => `M${tip + side * head} -3.5L${tip} 0L${tip + side * head} 3.5`
  const size = far - near
  const path = isWide
    ? `M0 0H${size}${arrow(0, 1)}${arrow(size, -1)}`
    : `M${-tail} 0H0${arrow(0, -1)}M${size} 0H${size + tail}${arrow(size, 1)}`
  const label = `${Number(size.toFixed(size < 10 ? 1 : 0))}px`
  const place = isAcross ? `translate(${near} ${middle})` : `translate(${middle} ${near}) rotate(90)`
  const at = isWide ? `x="${size / 2}" y="-6" text-anchor="middle"` : `x="${size + tail + 4}" y="4"`
  const svg = add(drawing, 'dimension', { left: '0', top: '0' })
  svg.innerHTML = `<svg width="1" height="1" style="overflow:visible"><g transform="${place}"><path d="${path}" fill="none" stroke="#fff" stroke-width="4" stroke-opacity=".75"/><path d="${path}" fill="none" stroke="#23262B" stroke-width="1.5"/><text ${at}>${label}</text></g></svg>`
}

/** The away pin on a box, which can be dragged; `onDrag` hears where to, and `onHold` whether it is dragged. */
export function addPin(
  drawing: Element,
  box: Box,
  pin: Place,
  onDrag: (place: Place, last: boolean) => void,
  onHold: (isHeld: boolean) => void,
): void {
  const handle = add(drawing, 'pin', {})
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
      onDrag(place, event.type === 'pointerup')
    }
    handle.addEventListener('pointermove', dragged)
    handle.addEventListener('pointerup', dragged, { once: true })
    onHold(true)
    handle.addEventListener('lostpointercapture', () => onHold(false), { once: true })
  })
}

/** A pin's place, each coordinate caught by the middle. */
function snapped({ x, y }: Place): Place {
  const snap = (value: number) => (Math.abs(value) < 0.06 ? 0 : Number(value.toFixed(2)))
  return { x: snap(x), y: snap(y) }
}
