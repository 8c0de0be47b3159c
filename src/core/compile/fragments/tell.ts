import { given } from './given'
import type { Effect, Place } from './types'

/** Tells the page's own code, by an event that bubbles from the element: card-tilt-on, -off, -settled. */
function say(effect: Effect, { area }: Place, what: string, detail?: number): void {
  const tellAs = (name: string) => area.dispatchEvent(new CustomEvent(`${name}-${what}`, { bubbles: true, composed: true, detail }))
  tellAs(effect.name)
  if (effect.alsoNamed) effect.alsoNamed.forEach(tellAs)
}

export function tell(effect: Effect, place: Place): void {
  const isOn = effect.looks ? place.look.shown !== 'off' : place.isOn
  if (place.moves) place.framesMoving = (place.framesMoving ?? -1) + 1
  if (isOn !== !!place.told) say(effect, place, isOn ? 'on' : 'off')
  place.told = isOn
  const { shown } = place.look
  if (effect.looks && shown !== place.lookTold && (shown === 'still' || shown === 'pressed')) say(effect, place, shown)
  place.lookTold = shown
}

/** Tells that all of a place has come to rest; what follows at once was never under way. */
export function tellSettled(effect: Effect, place: Place): void {
  if ((place.framesMoving ?? 0) > 0) say(effect, place, 'settled')
  place.framesMoving = 0
}

/** Tells the zone that the pointer is in by an attribute that the stylesheet can use. */
export function tellStates(effect: Effect, place: Place): void {
  for (const { value, reading } of place.followers) if (value.tellsZone && reading !== undefined && reading !== place.zoneTold) {
    place.zoneTold = reading
    place.element.setAttribute(`${effect.mark}-zone`, String(reading))
    if (given.tells) say(effect, place, 'zone', reading)
  }
}
