import { noteZone } from './chosen'
import { effects, given } from './given'
import { followCauses } from './looks'
import { rests } from './meet'
import { shapedOf, turnPlace } from './place'
import { pointer } from './pointer'
import { turn } from './turn'
import type { Effect, Place } from './types'

/** What has got the focus chooses its zone, until that goes or the pointer moves. */
function focusZones(place: Place, target: Element): void {
  for (const follower of place.followers) {
    const { value } = follower
    const { zoneFocus } = value
    const index = zoneFocus ? [...document.querySelectorAll(zoneFocus)].findIndex((each) => each.contains(target)) : -1
    if (index < 0) continue
    follower.reading = index
    if (given.hasChosen && value.zone) noteZone(place.area, value.zone, index)
    if (given.hasWritten) turn(follower, shapedOf(value, index), value.feel, pointer.time)
    place.moves = true
  }
}

/** Takes the focus to the places that have it; null takes it away. */
export function meetFocus(effect: Effect, target: Element | null): void {
  if (!effect.focuses) return
  for (const place of effect.places.values()) {
    const focused =
      !!target &&
      (!given.playsByMedia || !rests(effect)) &&
      (effect.isGroup
        ? !!target.closest(effect.select)
        : given.hasJoined
          ? [place.area, place.beside].some((home) => home?.contains(target))
          : place.area.contains(target)) &&
      (!given.partsSlide || !effect.slider || target.matches(effect.slider))
    if (focused !== place.focused) {
      place.focused = focused
      if (effect.turnsLooks) followCauses(effect, place, pointer.time)
      turnPlace(effect, place, pointer.time, false)
    }
    if (given.hasFocusedZones && target) focusZones(place, target)
  }
}

/** Where and when a finger went down; whether it has just come up again there. */
let finger = { x: 0, y: 0, t: -Infinity }
let isTap = false

export function hearTap(type: string, t: number): void {
  isTap = type === 'pointerup' && pointer.isTouch && t - finger.t <= 500 && Math.hypot(pointer.x - finger.x, pointer.y - finger.y) <= 10
  if (type === 'pointerdown') finger = { x: pointer.x, y: pointer.y, t }
}

/** Whether the finger went down on something that its tap is to open. */
let opens = false

/** A tap that opens something follows no link; the next one does. What is open is asked as the finger goes down: frames go by before its click. */
export function keepTap(event: Event): void {
  const { type, pointerType, detail, target } = event as PointerEvent
  if (type === 'click') {
    // A click by a key has no detail.
    if (opens && detail) event.preventDefault()
    return
  }
  opens = false
  for (const effect of effects) {
    if (given.playsByMedia && rests(effect)) continue
    const area = effect.opensByTap && pointerType === 'touch' && (target as Element).closest(effect.select)
    if (area) opens ||= !effect.places.get(area)?.look.tapped
  }
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
