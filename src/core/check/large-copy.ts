// Large copies: what is shown in a lens is more than is copied.
import { copyOf } from '../rig/rig'
import { countOf, nameOf, type Check } from './check'

/** So many elements are copied at the most (`compile/fragments/live-copy.ts`). */
const most = 2000

export const largeCopy: Check = {
  id: 'large-copy',
  needsLayout: true,
  look: (checked) => {
    const holds = checked.seen?.holds ?? 0
    if (holds <= most || !checked.planned.rig.parts.some((part) => copyOf(part) === 'live')) return undefined
    return {
      words: `${nameOf(checked)} is to show ${countOf(holds)} in its lens; beyond ${most} they stay empty there. Put it on a part of them.`,
      elements: checked.told.matches.slice(0, 1),
    }
  },
}
