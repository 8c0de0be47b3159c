import { wake } from './draw'
import { findAll } from './find'
import { effects, given } from './given'
import { guarded } from './guard'
import { undone } from './off'
import { pointer } from './pointer'
import type { Effect } from './types'
import { write } from './write'

/** What is seen without the pointer stands from the start. */
export function stand(): void {
  for (const effect of effects) {
    if (given.hasMany) guarded(effect, standIn, pointer.time)
    else standIn(effect, pointer.time)
  }
}

function standIn(effect: Effect, t: number): void {
  findAll(effect)
  if (effect.stands) for (const place of effect.places.values()) if (place.moves && write(effect, place, t)) wake()
}

/** Elements that come later stand too. */
export function watch(): void {
  const observer = new MutationObserver(stand)
  observer.observe(document, { subtree: true, childList: true, attributes: true, attributeFilter: ['class'] })
  if (given.takesOff) undone.push(() => observer.disconnect())
}
