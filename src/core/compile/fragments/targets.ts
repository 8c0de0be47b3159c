import type { Effect, Place, Value } from './types'

/** The elements that a value is written on. */
export function targetsOf(effect: Effect, place: Place, { within, linked, onParts }: Value): Iterable<HTMLElement> {
  if (within) return place.element.querySelectorAll<HTMLElement>(within)
  if (linked) return linkedTo(effect, place, linked)
  if (onParts) return onParts.flatMap((part) => place.parts?.get(part) ?? [])
  return effect.isGroup && !effect.readsIn ? document.querySelectorAll<HTMLElement>(effect.select) : [place.element as HTMLElement]
}

/** The element that is in step with an area: the first with the first, the second with the second. */
function linkedTo(effect: Effect, { area }: Place, select: string): readonly HTMLElement[] {
  const index = effect.isGroup || effect.isWindow ? 0 : [...document.querySelectorAll(effect.select)].indexOf(area)
  return [...document.querySelectorAll<HTMLElement>(select)].slice(index, index + 1)
}
