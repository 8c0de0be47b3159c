import { flowAll } from './flow'
import { given } from './given'
import { pointer } from './pointer'
import { change } from './look-state'
import { turnPlace } from './place'
import type { Effect, Place } from './types'

function turnLook(effect: Effect, place: Place, event: string, t: number): boolean {
  const { look } = place
  let changed = change(look, event)
  if (look.state === 'going') {
    if (event === 'go') look.dueAt = t + (effect.goDelayMs ?? 0)
    if (look.dueAt <= t) changed = change(look, 'due') || changed
  }
  if (look.state === 'on') look.dueAt = effect.stillMs && place.isOn ? Math.max(t, place.stood.t + effect.stillMs) : Infinity
  else if (look.state !== 'going') look.dueAt = Infinity
  return changed
}

/** Brings the look of a place in line with the pointer, its buttons, the focus and taps. */
export function followCauses(effect: Effect, place: Place, t: number): void {
  const { look, isOn } = place
  const wasOff = look.shown === 'off'
  const isCaused = isOn || (effect.takesKeys && place.focused) || look.tapped
  if (given.hasEscape) {
    if (!isCaused) look.dismissed = false
    if (look.dismissed) return
  }
  const stays = given.hasStaying && effect.staysOn
  const causes = [...(isCaused ? ['come'] : stays ? [] : ['go']), ...(isOn || stays ? [isOn && pointer.buttons ? 'press' : 'release'] : [])]
  let changed = causes.map((event) => turnLook(effect, place, event, t)).includes(true)
  if (given.hasStill && look.state === 'still' && (!isCaused || place.stood.t + (effect.stillMs ?? 0) > t))
    changed = turnLook(effect, place, 'move', t) || changed
  if (changed) show(effect, place, t, wasOff)
}

/** Escape puts off what shows anything. */
export function dismissAll(effect: Effect, t: number): void {
  if (!effect.escapes) return
  for (const place of effect.places.values()) {
    if (!turnLook(effect, place, 'dismiss', t)) continue
    place.look.tapped = false
    place.look.dismissed = place.isOn || place.focused
    show(effect, place, t)
  }
}

/** Follows a look that has changed, in its place and in the others; where one at most is on, the others go off. */
function show(effect: Effect, place: Place, t: number, wasOff = false): void {
  const { look } = place
  turnPlace(effect, place, t, false)
  if (given.tellsOthers || given.hasAtMostOne) {
    for (const other of effect.places.values()) {
      if (other.area === place.area) continue
      const isDismissed = effect.atMostOne && look.shown !== 'off' && wasOff && turnLook(effect, other, 'dismiss', t)
      if (isDismissed) other.look.tapped = false
      if (effect.tellsOthers || isDismissed) turnPlace(effect, other, t, false, look.shown === 'off' ? undefined : look)
    }
  }
}

/** Takes what is due by itself until t, the first one first: the end of a delay, or of standing still. Gives when that was last. */
export function advanceLooks(effect: Effect, from: number, until: number): number {
  for (let at = from; ;) {
    const due = [...effect.places.values()].reduce<Place | undefined>(
      (first, place) => (place.look.dueAt <= (first?.look.dueAt ?? until) ? place : first),
      undefined,
    )
    if (!due) return at
    const t = due.look.dueAt
    if (given.hasFlows) flowAll(effect, at, t)
    at = t
    due.look.dueAt = Infinity
    if (turnLook(effect, due, due.look.state === 'going' ? 'due' : 'rest', t)) show(effect, due, t)
  }
}
