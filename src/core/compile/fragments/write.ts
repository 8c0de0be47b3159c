import { linkAt, linkMoves } from './chain'
import { flowsOn } from './flow'
import { given } from './given'
import { addParts } from './parts'
import { tell, tellSettled } from './tell'
import type { Effect, Follower, Place, Value } from './types'

/** The elements that a value is written on. */
function targetsOf(effect: Effect, place: Place, { within, linked, onPart }: Value): Iterable<HTMLElement> {
  if (within) return place.element.querySelectorAll<HTMLElement>(within)
  if (linked) return [...document.querySelectorAll<HTMLElement>(linked)].slice(...indexOf(effect, place))
  if (onPart) return place.parts?.get(onPart) ?? []
  return effect.isGroup && !effect.readsIn ? document.querySelectorAll<HTMLElement>(effect.select) : [place.element as HTMLElement]
}
function indexOf(effect: Effect, { area }: Place): readonly [number, number] {
  const index = effect.isGroup || effect.isWindow ? 0 : [...document.querySelectorAll(effect.select)].indexOf(area)
  return [index, index + 1]
}

const set = (target: HTMLElement, { property, as, digits }: Value, shown: number) => target.style.setProperty(property, as ? String(as(shown)) : shown.toFixed(digits))

/** Writes the links of a chain: one of them, or each on an element of its own. */
function writeChain(effect: Effect, place: Place, value: Value, chain: Follower, t: number): void {
  const last = (value.links ?? 1) - 1
  let k = 0
  for (const target of targetsOf(effect, place, value)) set(target, value, linkAt(chain, Math.min(value.link ?? k++, last), t))
  if (linkMoves(chain, last, t)) place.moves = true
}

/** Writes the values of a place at t; tells whether it goes on. */
export function write(effect: Effect, place: Place, t: number): boolean {
  place.moves = false
  if (!place.element.hasAttribute(effect.mark)) place.element.setAttribute(effect.mark, '')
  if (effect.parts) place.parts ??= addParts(place.area as HTMLElement, effect.parts)
  effect.values.forEach((value, i) => {
    const follower = place.followers[i] as Follower
    if (value.links) return writeChain(effect, place, value, follower, t)
    const { gap, moves } = follower.feel(follower, t)
    for (const target of targetsOf(effect, place, value)) set(target, value, follower.target + gap)
    if (moves) place.moves = true
  })
  if (effect.looks && place.look.dueAt < Infinity) place.moves = true
  if (given.hasFlows && flowsOn(effect, place, t)) place.moves = true
  if (given.tells) tell(effect, place)
  if (given.tells && !place.moves) tellSettled(effect, place)
  if (!effect.keeps && !place.moves && !place.isOn) effect.places.delete(place.element)
  return place.moves
}
