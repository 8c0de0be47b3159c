// Handles on the page: what the word in hand is about, drawn over the area and dragged there, with its number beside it. Each sort is a module.
import type { ShownHandle } from '../protocol'
import { direction } from './direction'
import { px, type Ground, type HandleKind, type HandleOf, type Point } from './handle'
import { factor } from './factor'
import { inset } from './inset'
import { point } from './point'
import { reach } from './reach'
import { diameter, radius, softness } from './ring'
import { zones } from './zones'

export type { Ground } from './handle'

/** By what a handle is on; each is only ever asked for handles of its own sort. */
const kinds: { readonly [On in ShownHandle['on']]: HandleKind<HandleOf<On>> } = {
  inset,
  radius,
  diameter,
  softness,
  reach,
  point,
  direction,
  zones,
  factor,
}
const kindOf = ({ on }: ShownHandle) => kinds[on] as HandleKind<ShownHandle>

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

/** Where the grip of a handle stands. */
export const gripOf = (handle: ShownHandle, all: readonly ShownHandle[], ground: Ground): Point => kindOf(handle).grip(handle, ground, all)

/** What the handle's number is with its grip at a point, held in its range. */
export const valueAt = (handle: ShownHandle, ground: Ground, at: Point): number =>
  Math.min(handle.greatest, Math.max(handle.least, kindOf(handle).valueAt(handle, ground, at)))

const unitWords = (value: number, unit: string) => `${value}${unit === 'deg' ? '°' : unit}`

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
  const drawn: Element[] = []
  const shape = (shown: readonly ShownHandle[]) => {
    for (const each of drawn.splice(0)) each.remove()
    for (const handle of shown) {
      const shapes = kindOf(handle).draw(handle, ground, gripOf(handle, shown, ground))
      drawn.push(...shapes.map(({ className, style }) => add(className, style)))
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
      for (const { style } of [grip, told]) Object.assign(style, { left: px(x), top: px(y) })
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
