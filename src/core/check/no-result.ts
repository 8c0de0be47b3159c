// No result: with the pointer anywhere on it, nothing is seen that is not seen without the effect.
import { filledIn } from '../effect/kinds'
import { nameOf, pointingAgain, switchingOff, type Check } from './check'

export const noResult: Check = {
  id: 'no-result',
  needsLayout: true,
  look: (checked) => {
    const { effect } = checked
    if (!checked.seen || checked.seen.isSeen || checked.told.matches.length === 0) return undefined
    return {
      words: `${nameOf(checked)} does nothing that is seen here, wherever the pointer is.`,
      elements: checked.told.matches,
      fix: checked.kind.remedy?.(effect.settings, effect.select, filledIn(effect)) ?? pointingAgain(checked),
      or: switchingOff(checked),
    }
  },
}
