// Handles on the page: what the word in hand is about, drawn over the area and dragged there, with its number beside it.
import type { Box } from '../core/geometry/box'
import type { ShownHandle } from './protocol'

/** The attribute of the overlay while it has handles. */
export const handlesMark = 'data-handles'

export const handleStyles = `
  .line { position: absolute; box-sizing: border-box; border: 0 dashed #5E5287; filter: drop-shadow(0 0 1px #fff); }
  .ring { position: absolute; box-sizing: border-box; border-radius: 50%; border: 1.5px solid #A8326A; box-shadow: 0 0 0 1px #fffb, inset 0 0 0 1px #fffb; translate: -50% -50%; }
  .ring.soft { border-style: dashed; }
  .grip { position: absolute; width: 20px; height: 20px; margin: -10px 0 0 -10px; border-radius: 10px; background: #FAFBF9; border: 2px solid #A8326A; box-sizing: border-box; pointer-events: auto; cursor: grab; touch-action: none; }
  .grip:active { cursor: grabbing; }
  .arrow { position: absolute; height: 2px; background: #A8326A; transform-origin: 0 50%; box-shadow: 0 0 0 1px #fffb; }
  .told { position: absolute; translate: 14px -50%; font: 600 14px/20px ui-sans-serif, system-ui, sans-serif; font-variant-numeric: tabular-nums; color: #23262B; background: #FAFBF9; border: 1px solid #6B7168; border-radius: 4px; padding: 0 5px; white-space: nowrap; }
  .cross { position: absolute; width: 22px; height: 22px; margin: -11px 0 0 -11px; background: linear-gradient(#5E5287 0 0) 50% / 1.5px 100% no-repeat, linear-gradient(#5E5287 0 0) 50% / 100% 1.5px no-repeat; }
`

/** What a handle is dragged about: the box of the area (px of the window), and where the ring has its middle. */
export interface Ground {
  readonly box: Box
  readonly middle: { readonly x: number; readonly y: number }
}

interface Point {
  readonly x: number
  readonly y: number
}

/** Where the grip of a handle stands. */
export function gripOf(handle: ShownHandle, handles: readonly ShownHandle[], { box, middle }: Ground): Point {
  const { value } = handle
  switch (handle.on) {
    case 'inset': {
      const px = insetPx(handle, box)
      const across = handle.side === 'left' ? box.x + px : handle.side === 'right' ? box.x + box.width - px : box.x + box.width / 2
      const down = handle.side === 'top' ? box.y + px : handle.side === 'bottom' ? box.y + box.height - px : box.y + box.height / 2
      return { x: across, y: down }
    }
    case 'radius':
    case 'diameter':
      return { x: middle.x + ringOf(handle), y: middle.y }
    case 'reach':
      return { x: box.x + box.width + value, y: box.y + box.height / 2 }
    case 'softness':
      return { x: middle.x, y: middle.y + handle.inner + value }
    case 'point': {
      const other = handles.find((each) => each.on === 'point' && each.axis !== handle.axis)
      const share = (each: ShownHandle | undefined) => (each?.on === 'point' ? (each.value - each.from) / (each.to - each.from) : 0.5)
      const [x, y] = handle.axis === 'x' ? [share(handle), share(other)] : [share(other), share(handle)]
      return { x: box.x + x * box.width, y: box.y + y * box.height }
    }
    case 'direction': {
      const reach = Math.min(box.width, box.height) * 0.4
      return {
        x: box.x + box.width / 2 + reach * Math.sin((value * Math.PI) / 180),
        y: box.y + box.height / 2 - reach * Math.cos((value * Math.PI) / 180),
      }
    }
    case 'zones':
      return handle.along === 'columns'
        ? { x: box.x + box.width / value, y: box.y + box.height - 12 }
        : { x: box.x + 12, y: box.y + box.height / value }
  }
}

/** The radius of the ring of a handle, px. */
const ringOf = (handle: ShownHandle) =>
  handle.on === 'softness' ? handle.inner + handle.value : handle.on === 'diameter' ? handle.value / 2 : handle.value

type Inset = Extract<ShownHandle, { on: 'inset' }>

/** Whether an inset is drawn as an upright line; and the length that 100 % of it is. */
const isUpright = ({ side }: Inset) => side === 'left' || side === 'right'
const wholeOf = (handle: Inset, box: Box) => (isUpright(handle) ? box.width : box.height)
const insetPx = (handle: Inset, box: Box) => (handle.unit === '%' ? (handle.value / 100) * wholeOf(handle, box) : handle.value)

/** What the handle's number is with its grip at a point, held in its range. */
export function valueAt(handle: ShownHandle, { box, middle }: Ground, { x, y }: Point): number {
  const held = (value: number) => Math.min(handle.greatest, Math.max(handle.least, value))
  switch (handle.on) {
    case 'inset': {
      const px = { left: x - box.x, right: box.x + box.width - x, top: y - box.y, bottom: box.y + box.height - y }[handle.side]
      return held(Math.round(handle.unit === '%' ? (px / wholeOf(handle, box)) * 100 : px))
    }
    case 'radius':
    case 'diameter':
      return held(Math.round(Math.hypot(x - middle.x, y - middle.y) * (handle.on === 'diameter' ? 2 : 1)))
    case 'reach':
      return held(Math.round(x - box.x - box.width))
    case 'softness':
      return held(Math.round(Math.hypot(x - middle.x, y - middle.y) - handle.inner))
    case 'point': {
      const share = handle.axis === 'x' ? (x - box.x) / box.width : (y - box.y) / box.height
      // Caught by the middle.
      const caught = Math.abs(share - 0.5) < 0.03 ? 0.5 : share
      return held(Math.round(handle.from + caught * (handle.to - handle.from)))
    }
    case 'direction': {
      const degrees = (Math.atan2(x - box.x - box.width / 2, box.y + box.height / 2 - y) * 180) / Math.PI
      const caught = Math.abs(degrees - Math.round(degrees / 45) * 45) < 3 ? Math.round(degrees / 45) * 45 : Math.round(degrees)
      // The turn that comes nearest to where it was.
      return held(caught + 360 * Math.round((handle.value - caught) / 360))
    }
    case 'zones': {
      const size = handle.along === 'columns' ? x - box.x : y - box.y
      return held(Math.round((handle.along === 'columns' ? box.width : box.height) / Math.max(4, size)))
    }
  }
}

const unitWords = (value: number, unit: string) => `${value}${unit === 'deg' ? '°' : unit ? `\u202f${unit}` : ''}`

/** Draws handles into `layer`. `onDrag` hears each new number; while one is dragged `draw` is not to be called. */
export function drawHandles(
  layer: Element,
  handles: readonly ShownHandle[],
  ground: Ground,
  onDrag: (id: string, value: number, last: boolean) => void,
  setDragging: (isOn: boolean) => void,
): void {
  const page = layer.ownerDocument
  const add = (className: string, style: Readonly<Record<string, string>>) => {
    const element = layer.appendChild(page.createElement('div'))
    element.className = className
    Object.assign(element.style, style)
    return element
  }
  const { box, middle } = ground
  const px = (value: number) => `${value}px`
  const drawn: Element[] = []
  const shape = (shown: readonly ShownHandle[]) => {
    for (const each of drawn.splice(0)) each.remove()
    for (const handle of shown) {
      const grip = gripOf(handle, shown, ground)
      switch (handle.on) {
        case 'inset': {
          drawn.push(
            add(
              'line',
              isUpright(handle)
                ? { left: px(grip.x), top: px(box.y), height: px(box.height), borderLeftWidth: '1.5px' }
                : { left: px(box.x), top: px(grip.y), width: px(box.width), borderTopWidth: '1.5px' },
            ),
          )
          break
        }
        case 'radius':
        case 'diameter':
        case 'softness': {
          const radius = ringOf(handle)
          drawn.push(
            add(handle.on === 'softness' ? 'ring soft' : 'ring', {
              left: px(middle.x),
              top: px(middle.y),
              width: px(2 * radius),
              height: px(2 * radius),
            }),
          )
          break
        }
        case 'reach':
          drawn.push(
            add('line', {
              left: px(box.x - handle.value),
              top: px(box.y - handle.value),
              width: px(box.width + 2 * handle.value),
              height: px(box.height + 2 * handle.value),
              borderWidth: '1.5px',
            }),
          )
          break
        case 'point':
          drawn.push(add('cross', { left: px(grip.x), top: px(grip.y) }))
          break
        case 'direction': {
          const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
          drawn.push(
            add('arrow', {
              left: px(from.x),
              top: px(from.y - 1),
              width: px(Math.hypot(grip.x - from.x, grip.y - from.y)),
              transform: `rotate(${handle.value - 90}deg)`,
            }),
          )
          break
        }
        case 'zones':
          for (let i = 1; i < handle.value; i++) {
            const share = i / handle.value
            drawn.push(
              add(
                'line',
                handle.along === 'columns'
                  ? { left: px(box.x + share * box.width), top: px(box.y), height: px(box.height), borderLeftWidth: '1.5px' }
                  : { left: px(box.x), top: px(box.y + share * box.height), width: px(box.width), borderTopWidth: '1.5px' },
              ),
            )
          }
      }
    }
  }
  shape(handles)
  let shown = handles
  const points = handles.filter(({ on }) => on === 'point')
  for (const handle of handles) {
    // Both numbers of a point have one grip.
    if (handle.on === 'point' && handle !== points[0]) continue
    const grip = add('grip', {})
    const told = add('told', {})
    const put = () => {
      const now = shown.find(({ id }) => id === handle.id) ?? handle
      const { x, y } = gripOf(now, shown, ground)
      Object.assign(grip.style, { left: px(x), top: px(y) })
      Object.assign(told.style, { left: px(x), top: px(y) })
      told.textContent =
        handle.on === 'point'
          ? shown
              .filter(({ on }) => on === 'point')
              .map((each) => unitWords(each.value, each.unit))
              .join(', ')
          : unitWords(now.value, now.unit)
    }
    put()
    grip.dataset.handle = handle.id
    grip.addEventListener('pointerdown', (down) => {
      down.preventDefault()
      down.stopPropagation()
      grip.setPointerCapture(down.pointerId)
      setDragging(true)
      const moved = handle.on === 'point' ? points : [handle]
      const dragged = (event: PointerEvent) => {
        const at = { x: event.clientX, y: event.clientY }
        for (const each of moved) {
          const value = valueAt(each, ground, at)
          shown = shown.map((other) =>
            other.id === each.id
              ? { ...other, value }
              : other.on === 'softness' && each.on === 'radius'
                ? { ...other, inner: value }
                : other,
          )
          onDrag(each.id, value, event.type === 'pointerup')
        }
        shape(shown)
        put()
      }
      grip.addEventListener('pointermove', dragged)
      grip.addEventListener('pointerup', dragged, { once: true })
      grip.addEventListener(
        'lostpointercapture',
        () => {
          grip.removeEventListener('pointermove', dragged)
          setDragging(false)
        },
        { once: true },
      )
    })
  }
}
