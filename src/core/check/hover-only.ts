// On hover only: content that comes with the pointer, and not by the keyboard's focus (WCAG 2.2, 2.1.1).
import { countOf, firstAreaTo, fixBy, nameOf, type Check } from './check'
import { chosenOf, revealedBy } from './reveals'

/** So many elements are given a place in the order of the focus at most. */
const most = 40

export const hoverOnly: Check = {
  id: 'hover-only',
  needsLayout: false,
  look: (checked) => {
    const { rig } = checked.planned
    if (revealedBy(rig).length + chosenOf(rig).length === 0) return undefined
    const [area] = rig.areas
    const asksFocus =
      area?.looks?.keys === true ||
      rig.channels.some(({ signal }) => signal.of === 'focus' || ('focus' in signal && signal.focus !== undefined))
    const { unreached } = checked.told
    if (asksFocus && unreached.length === 0) return undefined
    if (asksFocus)
      return {
        words: `${nameOf(checked)} shows content by the focus too, and the focus cannot reach ${countOf(unreached.length)} of it.`,
        elements: unreached,
        fix: {
          words: 'Let the focus reach them',
          markup: unreached.slice(0, most).map((at) => ({ do: 'attribute', at, name: 'tabindex', value: '0' }) as const),
        },
      }
    return {
      words: `${nameOf(checked)} shows content on hover only: the keyboard never brings it.`,
      fix: fixBy('Let the focus bring it', firstAreaTo(checked, {}, { keys: true })),
    }
  },
}
