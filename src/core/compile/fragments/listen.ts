import { events, wake } from './draw'
import { given } from './given'
import { ending } from './off'

/** Hears what happens, for the next frame. */
export function listen(): void {
  for (const type of given.heard)
    addEventListener(
      type,
      (event) => {
        const { relatedTarget, pointerType, isPrimary } = event as PointerEvent
        // On its way from one element to another the pointer is not gone.
        if (type === 'pointerout' && relatedTarget) return
        // A finger scrolls the page.
        if (!given.hasTouch && pointerType === 'touch') return
        // Of several fingers the first one leads.
        if (given.hasTouch && isPrimary === false) return
        // A fast mouse moves more than once a frame.
        events.push(...((event as PointerEvent).getCoalescedEvents?.().slice(0, -1) ?? []), event as PointerEvent)
        wake()
      },
      given.takesOff ? { passive: true, capture: true, signal: ending.signal } : { passive: true, capture: true },
    )
}
