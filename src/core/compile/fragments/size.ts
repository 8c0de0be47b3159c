import { atOf, turnValue } from './place'
import type { At, Effect } from './types'

/** By how much what an element holds is larger than itself, px. */
export const overflowX = ({ place: { element } }: At) => element.scrollWidth - element.clientWidth
export const overflowY = ({ place: { element } }: At) => element.scrollHeight - element.clientHeight

/** What hangs on how large things are follows that where the pointer is not. */
export function followSizes(effect: Effect, t: number): void {
  for (const place of effect.places.values()) {
    if (place.isOn) continue
    for (const follower of place.followers) {
      if (!follower.value.bySize) continue
      turnValue(follower, atOf(effect, place, t))
      place.moves = true
    }
  }
}
