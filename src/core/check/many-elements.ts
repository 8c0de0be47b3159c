// Many elements: so many are lit by every move that a page may stutter.
import { nameOf, type Check } from './check'
import { addedParts } from '../rig/rig'

/** So many elements with light in them, all read at every move, are still smooth on a slow machine. */
const most = 120

export const manyElements: Check = {
  id: 'many-elements',
  needsLayout: false,
  look: (checked) => {
    const { rig } = checked.planned
    const { length } = checked.told.matches
    if (length <= most || addedParts(rig).length === 0 || !rig.areas.some(({ among }) => among === 'all')) return undefined
    return {
      words: `${nameOf(checked)} lights ${length} elements at every move; beyond ${most} a slow machine stutters. Choose a part of them.`,
      elements: checked.told.matches,
    }
  },
}
