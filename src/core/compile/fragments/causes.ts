import { effects, given } from './given'
import { followCauses } from './looks'
import { turnPlace } from './place'
import { pointer } from './pointer'
import type { Effect } from './types'

/** Takes the focus to the places that have it; null takes it away. */
export function meetFocus(effect: Effect, target: Element | null): void {
  if (!effect.focuses) return
  for (const place of effect.places.values()) {
    const focused =
      !!target &&
      (effect.isGroup
        ? !!target.closest(effect.select)
        : given.hasJoined
          ? [place.area, place.beside].some((home) => home?.contains(target))
          : place.area.contains(target)) &&
      (!given.partsSlide || !effect.slider || target.matches(effect.slider))
    if (focused === place.focused) continue
    place.focused = focused
    if (effect.turnsLooks) followCauses(effect, place, pointer.time)
    turnPlace(effect, place, pointer.time, false)
  }
}

/** Where and when a finger went down; whether it has just come up again there. */
let finger = { x: 0, y: 0, t: -Infinity }
let isTap = false

export function hearTap(type: string, t: number): void {
  isTap = type === 'pointerup' && pointer.isTouch && t - finger.t <= 500 && Math.hypot(pointer.x - finger.x, pointer.y - finger.y) <= 10
  if (type === 'pointerdown') finger = { x: pointer.x, y: pointer.y, t }
}

/** A tap that opens something follows no link; the next one does. */
export function keepTap(event: Event): void {
  const { pointerType, target } = event as PointerEvent
  if (pointerType !== 'touch') return
  for (const effect of effects)
    if (effect.opensByTap)
      for (const { area, look } of effect.places.values()) if (area.contains(target as Element) && !look.tapped) event.preventDefault()
}

/** A tap turns on what had the finger, unless it was meant for something else; a tap elsewhere ends that. */
export function meetTap(effect: Effect, target: Element): void {
  if (!isTap || !effect.taps) return
  const isPlain = !target.closest(effect.taps)
  for (const place of effect.places.values()) {
    const tapped = isPlain && place.isOn
    if (tapped === place.look.tapped) continue
    place.look.tapped = tapped
    if (effect.turnsLooks) followCauses(effect, place, pointer.time)
  }
}
