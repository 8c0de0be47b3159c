import { partsOf } from './parts'
import type { Effect, Place, Value } from './types'

/** The elements that a value is written on. */
export function targetsOf(
  effect: Effect,
  place: Place,
  { onSelf, within, linked, onParts }: Pick<Value, 'onSelf' | 'within' | 'linked' | 'onParts'>,
): Iterable<HTMLElement> {
  if (linked) return linkedTo(effect, place, linked)
  return [
    ...(onSelf ? selvesOf(effect, place) : []),
    ...(within ? place.element.querySelectorAll<HTMLElement>(within) : []),
    ...(onParts ? partsOf(place.area, onParts) : []),
  ]
}

const selvesOf = (effect: Effect, place: Place): Iterable<HTMLElement> =>
  effect.isGroup && !effect.readsIn ? document.querySelectorAll<HTMLElement>(effect.select) : [place.element as HTMLElement]

/** The elements that something of an effect is seen on, besides its parts. */
export const seenOn = (effect: Effect, place: Place): readonly HTMLElement[] => [
  ...(effect.seenOnSelf ? selvesOf(effect, place) : []),
  ...(effect.seenWithin ? place.element.querySelectorAll<HTMLElement>(effect.seenWithin) : []),
  ...(effect.seenLinked ? effect.seenLinked.flatMap((select) => linkedTo(effect, place, select)) : []),
]

/** The element that is in step with an area: the first with the first, the second with the second. */
export function linkedTo(effect: Effect, { area }: Place, select: string): readonly HTMLElement[] {
  const index = effect.isGroup || effect.isWindow ? 0 : [...document.querySelectorAll(effect.select)].indexOf(area)
  return [...document.querySelectorAll<HTMLElement>(select)].slice(index, index + 1)
}
