// Clipped: what the effect makes stick out is cut off by something around it.
import { addDeclarations } from './inline-style'
import { nameOf, type Check } from './check'

export const clipped: Check = {
  id: 'clipped',
  needsLayout: true,
  look: (checked) => {
    const found = checked.seen?.clipped ?? []
    const most = Math.ceil(Math.max(0, ...found.map(({ px }) => px)))
    if (most < 1) return undefined
    const fixed = found.filter(({ scrolls }) => !scrolls)
    return {
      words: `${nameOf(checked)} is cut off by up to ${most}px: something around it ${fixed.length < found.length ? 'scrolls' : 'has overflow: hidden or clip'}, and shows nothing beyond its edges.`,
      elements: found.map(({ by }) => by),
      fix:
        fixed.length === 0
          ? undefined
          : {
              words: `Let ${most}px more be seen`,
              markup: fixed.map(({ by }) =>
                addDeclarations(by, checked.styleOf(by), ['overflow: clip', `overflow-clip-margin: ${most}px`]),
              ),
            },
    }
  },
}
