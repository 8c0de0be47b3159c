import { atOf, turnValue } from './place'
import type { Effect, Place, Value } from './types'

/** What changes by itself is followed at every multiple of 4 ms, so it is the same at every frame rate. */
export const nextInstant = (t: number) => (Math.floor(t / 4) + 1) * 4

const flows = (place: Place, value: Value) => value.due && (place.isOn || value.leave)

/** Follows what changes by itself in all places of an effect, from one instant to another. */
export function flowAll(effect: Effect, from: number, until: number): void {
  for (const place of effect.places.values()) {
    for (const follower of place.followers) {
      const { value } = follower
      if (value.due && flows(place, value))
        for (let at = atOf(effect, place, from), t = value.due(at, follower); t <= until; t = value.due(at, follower)) {
          // After a long pause the last stretch is enough of what never ends.
          at = { ...at, t: value.isEndless ? Math.max(t, until - 5000) : t }
          turnValue(follower, at)
        }
    }
  }
}

/** Whether anything in a place will change by itself after t. */
export const flowsOn = (place: Place, t: number) =>
  place.followers.some((follower) => {
    const { value } = follower
    return value.due && flows(place, value) && value.due({ t, place }, follower) < Infinity
  })
