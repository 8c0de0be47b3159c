import { effects } from './given'
import { begin } from './place'
import { wake } from './pointer'
import type { Effect } from './types'

/** Finds all elements of an effect that there are by now, and lets go of those that have left the page. */
export function findAll(effect: Effect): void {
  for (const element of effect.places.keys()) if (!element.isConnected) effect.places.delete(element)
  if (!effect.findsAll) return
  const areas = effect.isWindow ? [document.documentElement] : [...document.querySelectorAll(effect.select)].slice(0, effect.isGroup ? 1 : Infinity)
  for (const area of areas) {
    const scope = effect.isGroup ? document.documentElement : area
    if (effect.readsIn || !effect.places.has(area)) begin(effect, area, scope)
  }
}

/** What is seen without the pointer stands from the start. */
export function stand(): void {
  for (const effect of effects) {
    findAll(effect)
    if (effect.stands) {
      for (const place of effect.places.values()) place.moves = true
      wake()
    }
  }
}
