import { effects } from './given'
import type { Effect } from './types'

/** Does something with an effect. One that cannot go on is turned off, and named once; the others play on. */
export function guarded(effect: Effect, act: (effect: Effect, t: number) => void, t: number): void {
  try {
    act(effect, t)
  } catch (error) {
    effects.splice(effects.indexOf(effect), 1)
    console.error(`${effect.name} was turned off:`, error)
  }
}
