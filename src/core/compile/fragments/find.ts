import { layBeside } from './beside'
import { given } from './given'
import { addParts } from './parts'
import { begin } from './place'
import type { Effect } from './types'

/** Finds all elements of an effect that there are by now, and lets go of those that are none any more. */
export function findAll(effect: Effect): void {
  const areas = new Set<Element>(
    effect.isWindow ? [document.documentElement] : [...document.querySelectorAll(effect.select)].slice(0, effect.isGroup ? 1 : Infinity),
  )
  for (const [element, place] of effect.places)
    if (!element.isConnected || !areas.has(place.area)) {
      effect.places.delete(element)
      element.removeAttribute(effect.mark)
    }
  if (effect.findsAll)
    for (const area of areas) {
      const scope = effect.isGroup && !effect.readsParts ? document.documentElement : area
      // What is read in parts needs them to be there.
      if (effect.readsParts && effect.parts) addParts(area as HTMLElement, effect.parts, effect.measure)
      const elements = effect.readsIn ? [...scope.querySelectorAll(effect.readsIn)] : [area]
      // One in which there is nothing to read has the pointer all the same.
      if (effect.readsIn && elements.length === 0) elements.push(area)
      for (const element of elements) if (!effect.places.has(element)) begin(effect, area, element)
    }
  if (given.placesBeside) for (const place of effect.places.values()) layBeside(effect, place)
}
