import { linkAt, linkMoves } from './chain'
import { flowsOn } from './flow'
import { given } from './given'
import { addParts } from './parts'
import { tell, tellSettled } from './tell'
import type { Effect, Place, Value } from './types'

/** The elements that a value is written on. */
function targetsOf(effect: Effect, place: Place, { within, linked, part }: Value): Iterable<HTMLElement> {
  if (within) return place.element.querySelectorAll<HTMLElement>(within)
  if (linked) return [...document.querySelectorAll<HTMLElement>(linked)].slice(...indexOf(effect, place))
  if (part) return place.parts?.get(part) ?? []
  return effect.isGroup && !effect.readsIn ? document.querySelectorAll<HTMLElement>(effect.select) : [place.element as HTMLElement]
}
function indexOf(effect: Effect, { area }: Place): readonly [number, number] {
  const index = effect.isGroup || effect.isWindow ? 0 : [...document.querySelectorAll(effect.select)].indexOf(area)
  return [index, index + 1]
}

/** Writes the values of a place at t; tells whether it goes on. */
export function write(effect: Effect, place: Place, t: number): boolean {
  place.moves = false
  if (!place.element.hasAttribute(effect.mark)) place.element.setAttribute(effect.mark, '')
  if (effect.parts) place.parts ??= addParts(place.area as HTMLElement, effect.parts)
  effect.values.forEach((value, i) => {
    const follower = place.followers[i]
    if (!follower) return
    const { gap, moves } = follower.feel(follower, t)
    let k = 0
    for (const target of targetsOf(effect, place, value)) {
      const link = Math.min(value.link ?? k++, (value.links ?? 1) - 1)
      const shown = value.links ? linkAt(follower, link, t) : follower.target + gap
      target.style.setProperty(value.property, String(value.as ? value.as(shown) : shown.toFixed(value.digits)))
    }
    if (value.links ? linkMoves(follower, value.links - 1, t) : moves) place.moves = true
  })
  if (effect.looks && place.look.dueAt < Infinity) place.moves = true
  if (given.flows && flowsOn(effect, place, t)) place.moves = true
  if (given.tells) tell(effect, place)
  if (given.tells && !place.moves) tellSettled(effect, place)
  if (!effect.keeps && !place.moves && !place.isOn) effect.places.delete(place.element)
  return place.moves
}
