// Flattened: what is to rise in space stays flat, since the page draws the element flat.
import { nameOf, settingsTo, type Check } from './check'

export const flattened: Check = {
  id: 'flattened',
  needsLayout: true,
  look: (checked) => {
    const { seen, kind, effect } = checked
    if (!seen?.flat || !kind.onFlat) return undefined
    const settings: unknown = kind.onFlat(effect.settings)
    if (JSON.stringify(settings) === JSON.stringify(effect.settings)) return undefined
    return {
      words: `${nameOf(checked)} has layers at heights, and the page draws their element flat by its ${seen.flat}: none of them rises.`,
      fix: { words: 'Let them slide on it instead', edit: settingsTo(checked, settings) },
    }
  },
}
