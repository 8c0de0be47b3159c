import { events, wake } from './draw'
import { effects, given } from './given'
import { pointer } from './pointer'
import { ways, zooms } from './press-key'

/** Hears a key that an effect asks for, but for what is written with it. */
export function hearKey(event: KeyboardEvent): void {
  const { type, timeStamp, key, target, altKey, ctrlKey, metaKey } = event
  const element = target as Element
  if (altKey || ctrlKey || metaKey || element.closest('input, textarea, select, [contenteditable]')) return
  const moves =
    given.hasArrowKeys &&
    (given.hasPinch ? ways.has(key) || zooms.has(key) : ways.has(key)) &&
    effects.some(({ select, arrowKeys, slider }) => arrowKeys && element.closest((given.partsSlide && slider) || select))
  if (moves) event.preventDefault()
  if (!moves && key !== 'Escape') return
  events.push({ type, timeStamp, key, target, clientX: pointer.x, clientY: pointer.y, buttons: 0 })
  wake()
}
