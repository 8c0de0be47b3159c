import { events, wake } from './draw'
import { effects, given } from './given'
import type { Heard } from './types'

/** Hears a wheel; with Ctrl it is what two fingers on a pad do, which the page is not to zoom by where an effect does. */
export function hearWheel(event: WheelEvent): void {
  const { timeStamp, clientX, clientY, target, buttons, ctrlKey, deltaY, deltaMode } = event
  const turnedPx = deltaMode ? deltaY * 18 : deltaY
  if (given.hasPinch && ctrlKey && effects.some(({ select, pinches }) => pinches && (target as Element).closest(select)))
    event.preventDefault()
  const by = ctrlKey ? Math.exp(-Math.max(-25, Math.min(25, turnedPx)) / 100) : turnedPx
  events.push({ type: ctrlKey ? 'pinch' : 'wheel', timeStamp, clientX, clientY, target, buttons, by })
  wake()
}

/** Where two fingers are, by their numbers. */
const fingers = new Map<number, PointerEvent>()

/** Hears two fingers; tells whether it is they who lead. */
export function hearFingers(event: PointerEvent): boolean {
  const { type, pointerId, timeStamp, buttons, target, clientX, clientY } = event
  const apart = () => {
    const [one, other] = [...fingers.values()]
    return one && other ? Math.hypot(one.clientX - other.clientX, one.clientY - other.clientY) : 0
  }
  const before = apart()
  if (type === 'pointerdown' || (type === 'pointermove' && fingers.has(pointerId))) fingers.set(pointerId, event)
  else if (type !== 'pointermove') fingers.delete(pointerId)
  const after = apart()
  const heard: Heard = {
    type: 'pinch',
    timeStamp,
    clientX,
    clientY,
    target,
    buttons,
    pointerType: 'touch',
    by: before ? after / before : 1,
  }
  if (type === 'pointermove' && after) {
    events.push(heard)
    wake()
  }
  return type === 'pointermove' && after > 0
}
