// Under a neighbour: what grows or rises comes to lie under the element after it.
import { countOf, nameOf, withCommonSetting, type Check } from './check'

export const underNeighbour: Check = {
  id: 'under-neighbour',
  needsLayout: true,
  look: (checked) => {
    const found = checked.seen?.covered ?? []
    if (found.length === 0 || (checked.effect.settings as { neighbours?: unknown }).neighbours === 'front') return undefined
    const most = Math.round(Math.max(...found.map(({ px }) => px)))
    return {
      words: `${nameOf(checked)} makes ${countOf(found.length)} slide under the one after it, by up to ${most}px.`,
      elements: found.map(({ number }) => number),
      fix: { words: 'Bring it in front', edit: withCommonSetting(checked, { neighbours: 'front' }) },
    }
  },
}
