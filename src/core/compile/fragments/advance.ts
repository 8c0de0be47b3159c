import { flowAll } from './flow'
import { effects, given } from './given'
import { advanceLooks } from './looks'

/** Until when all that changes by itself has been followed. */
let advanced = 0

/** Takes what happens by itself until t, in the order of time. */
export function advance(t: number): void {
  for (const effect of effects) {
    if (given.hasFlows) flowAll(effect, given.hasDues && effect.turnsLooks ? advanceLooks(effect, advanced, t) : advanced, t)
    else if (effect.turnsLooks) advanceLooks(effect, advanced, t)
  }
  advanced = Math.max(advanced, t)
}
