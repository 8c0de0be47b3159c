// No answer for touch: content that comes with the pointer, and a finger gets nothing.
import { firstAreaTo, fixBy, nameOf, withCommonSetting, type Check } from './check'
import { chosenOf, revealedBy } from './reveals'

export const noTouch: Check = {
  id: 'no-touch',
  needsLayout: false,
  look: (checked) => {
    const { rig } = checked.planned
    if (revealedBy(rig).length + chosenOf(rig).length === 0) return undefined
    const [area] = rig.areas
    if (!area || (area.pointer === 'any' && area.touch !== 'none')) return undefined
    return {
      words: `${nameOf(checked)} shows content that a finger cannot bring: it responds to a mouse or a pen alone.`,
      fix: fixBy(
        'Respond to any drag',
        checked.kind.lacks?.includes('touch')
          ? firstAreaTo(checked, { pointer: 'any', touch: 'drag' })
          : withCommonSetting(checked, { touch: 'drag' }),
      ),
    }
  },
}
