import { frameOf } from './frames'
import { atOf, turnValue } from './place'
import type { At, Effect } from './types'

/** By how much what an element holds is larger than itself, px. */
export const overflowX = ({ place: { element } }: At) => element.scrollWidth - element.clientWidth
export const overflowY = ({ place: { element } }: At) => element.scrollHeight - element.clientHeight

/** By how much an element is larger than its area, px. */
export const excessX = ({ width, place: { area } }: At, measure: Effect['measure']) => Math.max(0, width - frameOf(area, measure).width)
export const excessY = ({ height, place: { area } }: At, measure: Effect['measure']) => Math.max(0, height - frameOf(area, measure).height)

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
