// Lost light: light that is so like the ground it falls on that nobody sees it.
import { isLostOn, shadeOn } from '../effect/lights'
import { nameOf, settingsTo, type Check } from './check'

export const lostLight: Check = {
  id: 'lost-light',
  needsLayout: true,
  look: (checked) => {
    const { seen, kind, effect } = checked
    if (!seen?.ground || !kind.lights || !isLostOn(kind.lights(effect.settings), seen.ground)) return undefined
    const colour = shadeOn(seen.ground)
    return {
      words: `${nameOf(checked)} has light that is not seen: it is as pale, or as dark, as the ground it falls on.`,
      fix:
        colour !== undefined && kind.litIn
          ? { words: 'Use a shade of the ground', edit: settingsTo(checked, kind.litIn(effect.settings, colour)) }
          : undefined,
    }
  },
}
