import { keepTap } from './causes'
import { events, wake } from './draw'
import { given } from './given'
import { hearKey } from './keys'
import { ending } from './off'
import { pointer } from './pointer'
import { hearFingers, hearWheel } from './wheel'

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
        if (given.hasPinch && pointerType === 'touch' && hearFingers(event as PointerEvent)) return
        // Of several fingers the first one leads.
        if (given.hasTouch && isPrimary === false) return
        // A fast mouse moves more than once a frame.
        events.push(...((event as PointerEvent).getCoalescedEvents?.().slice(0, -1) ?? []), event as PointerEvent)
        wake()
      },
      given.takesOff ? { passive: true, capture: true, signal: ending.signal } : { passive: true, capture: true },
    )
  if (given.pressed) addEventListener('dragstart', keepPress, given.takesOff ? { capture: true, signal: ending.signal } : true)
  if (given.opensByTap) {
    addEventListener('pointerdown', keepTap, given.takesOff ? { capture: true, signal: ending.signal } : true)
    addEventListener('click', keepTap, given.takesOff ? { capture: true, signal: ending.signal } : true)
  }
  if (given.hasKeys) addEventListener('keydown', hearKey, given.takesOff ? { capture: true, signal: ending.signal } : { capture: true })
  if (given.hasWheel) {
    const passive = !given.hasPinch
    addEventListener('wheel', hearWheel, given.takesOff ? { passive, capture: true, signal: ending.signal } : { passive, capture: true })
  }
}

/** A picture, a link or selected text is not dragged where an effect is another while it is pressed: that would be over. */
function keepPress(event: Event): void {
  if (pointer.over?.closest(given.pressed)) event.preventDefault()
}
