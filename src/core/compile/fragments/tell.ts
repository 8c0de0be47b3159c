import { given } from './given'
import { undone } from './off'
import type { Effect, Place } from './types'

/** Tells the page's own code, by an event that bubbles from the element: card-tilt-on, -off, -settled. */
function say(effect: Effect, { area }: Place, what: string, detail?: number): void {
  const tellAs = (name: string) => area.dispatchEvent(new CustomEvent(`${name}-${what}`, { bubbles: true, composed: true, detail }))
  tellAs(effect.name)
  if (effect.alsoNamed) effect.alsoNamed.forEach(tellAs)
}

export function tell(effect: Effect, place: Place): void {
  const isOn = effect.turnsLooks ? place.look.shown !== 'off' : place.isOn
  if (place.moves) place.framesMoving = (place.framesMoving ?? -1) + 1
  if (isOn !== !!place.told) say(effect, place, isOn ? 'on' : 'off')
  place.told = isOn
  const { shown } = place.look
  if (effect.turnsLooks && shown !== place.lookTold && (shown === 'still' || shown === 'pressed')) say(effect, place, shown)
  place.lookTold = shown
}

/** Tells that all of a place has come to rest; what follows at once was never under way. */
export function tellSettled(effect: Effect, place: Place): void {
  if ((place.framesMoving ?? 0) > 0) say(effect, place, 'settled')
  place.framesMoving = 0
}

/** Tells which of the elements that are linked to a zone it chooses; none, where there is no reading. */
function tellChosen(chosen: NonNullable<Effect['chosen']>, zone: string | undefined, chosenMark: string, reading?: number): void {
  for (const [select, of] of chosen)
    if (of === zone) document.querySelectorAll(select).forEach((element, index) => element.toggleAttribute(chosenMark, index === reading))
}

/** Tells the zones that the pointer is in, by attributes that the stylesheet can use. */
export function tellZones(effect: Effect, place: Place): void {
  for (const follower of place.followers) {
    const { value, reading, told } = follower
    if (value.zone && reading !== undefined && reading !== told) {
      const attribute = `${effect.mark}-${value.zone}`
      if (given.takesOff && told === undefined)
        undone.push(() => {
          place.element.removeAttribute(attribute)
          if (effect.chosen) tellChosen(effect.chosen, value.zone, `${effect.mark}-chosen`)
        })
      follower.told = reading
      place.element.setAttribute(attribute, String(reading))
      if (effect.chosen) tellChosen(effect.chosen, value.zone, `${effect.mark}-chosen`, reading)
      if (given.tells) say(effect, place, value.zone, reading)
    }
  }
}

/** Has the slider of a place say where it is. */
export function tellSlider({ area, followers }: Place, select: string): void {
  const shown = followers.find(({ value }) => value.slides)
  const slider = area.querySelector(select)
  const text = shown?.target.toFixed(2)
  if (slider && text !== undefined && slider.ariaValueNow !== text) slider.ariaValueNow = text
}
