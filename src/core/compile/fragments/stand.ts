import { wake } from './draw'
import { findAll } from './find'
import { effects } from './given'
import { pointer } from './pointer'
import { write } from './write'

/** What is seen without the pointer stands from the start. */
export function stand(): void {
  for (const effect of effects) {
    findAll(effect)
    if (effect.stands) for (const place of effect.places.values()) if (place.moves && write(effect, place, pointer.time)) wake()
  }
}

/** Elements that come later stand too. */
export function watch(): void {
  new MutationObserver(stand).observe(document, { subtree: true, childList: true, attributes: true, attributeFilter: ['class'] })
}
