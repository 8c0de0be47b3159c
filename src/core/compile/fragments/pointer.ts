import { given } from './given'
import { draw } from './draw'

/** The pointer: where it is and was, what it is over, its buttons, and since when. */
export const pointer = { x: 0, y: 0, fromX: 0, fromY: 0, over: null as Element | null, buttons: 0, isTouch: false, time: 0 }
/** What happened since the last frame. */
export const events: PointerEvent[] = []
let frame = 0

export const wake = () => {
  frame ||= requestAnimationFrame((now) => {
    frame = 0
    draw(now)
  })
}

export function listen(): void {
  for (const type of given.heard) addEventListener(type, (event) => {
    const { relatedTarget, pointerType, isPrimary } = event as PointerEvent
    // On its way from one element to another the pointer is not gone.
    if (type === 'pointerout' && relatedTarget) return
    // A finger scrolls the page.
    if (!given.hasTouch && pointerType === 'touch') return
    // Of several fingers the first one leads.
    if (given.hasTouch && isPrimary === false) return
    // A fast mouse moves more than once a frame.
    const all = (event as PointerEvent).getCoalescedEvents?.() ?? []
    events.push(...(all.length ? all : [event as PointerEvent]))
    wake()
  }, { passive: true, capture: true })
}
