// Pose by hand: with the pointer fastened, the element itself is dragged to where it should be there.
import { showHand } from './hand'
import type { Place } from '../core/geometry/place'
import { findAll } from '../play/find'
import type { PointerSource } from './pointer-source'

/** Gives a function that begins posing what a selector matches, or ends it. */
export function makePose(
  page: Document,
  source: PointerSource,
  onDrag: (x: number, y: number, place: Place, last: boolean) => void,
): (select: string | null) => void {
  let posed: string | null = null
  let from: { readonly x: number; readonly y: number; readonly place: Place } | null = null
  const tell = (event: PointerEvent, last: boolean) => {
    if (!from) return
    event.preventDefault()
    event.stopPropagation()
    onDrag(event.clientX - from.x, event.clientY - from.y, from.place, last)
  }
  page.addEventListener(
    'pointerdown',
    (event) => {
      const isOn =
        posed !== null && (findAll(page, posed) ?? []).some((element) => event.target instanceof Element && element.contains(event.target))
      const at = isOn ? source.place() : undefined
      if (!at) return
      event.preventDefault()
      event.stopPropagation()
      from = { x: event.clientX, y: event.clientY, place: snapped(at.place) }
    },
    { capture: true },
  )
  page.addEventListener('pointermove', (event) => tell(event, false), { capture: true })
  page.addEventListener(
    'pointerup',
    (event) => {
      tell(event, true)
      from = null
    },
    { capture: true },
  )
  return (select) => {
    if (select === posed) return
    posed = select
    showHand(page, select === null ? null : 'move')
  }
}

/** A place near a midline lies on it. */
function snapped({ x, y }: Place): Place {
  const snap = (value: number) => (Math.abs(value) < 0.12 ? 0 : value)
  return { x: snap(x), y: snap(y) }
}
