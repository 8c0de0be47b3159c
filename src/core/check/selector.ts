// Selectors: one that matches nothing on the page, or more than was meant.
import { isOneAlone } from '../site/site'
import { capital, nameOf, pointingAgain, switchingOff, type Check } from './check'

export const selector: Check = {
  id: 'selector',
  needsLayout: false,
  look: (checked) => {
    const { effect, told, planned } = checked
    if (planned.rig.areas[0]?.of === 'window') return undefined
    const count = told.matches.length
    // An effect of the whole site is on those pages that have its elements.
    if (count === 0)
      return checked.matchesElsewhere(effect.select)
        ? undefined
        : {
            words: `${nameOf(checked)} is on nothing: no element of this page matches ${effect.select}.`,
            fix: pointingAgain(checked, 'Point at the element again'),
            or: switchingOff(checked),
          }
    if (count === 1 || !isOneAlone(effect)) return undefined
    return { words: `${capital(effect.noun)} was one element; ${count} match ${effect.select} by now.`, elements: told.matches }
  },
}
