// Lagging: an important transition in an element's own style, by which what the effect drives comes late.
import { withoutImportance } from './inline-style'
import { countOf, nameOf, type Check } from './check'

export const lagging: Check = {
  id: 'lagging',
  needsLayout: false,
  look: (checked) => {
    const found = checked.told.important.filter(({ properties }) => properties.some((property) => property.startsWith('transition')))
    if (found.length === 0) return undefined
    const properties = ['transition', 'transition-property', 'transition-duration', 'transition-delay']
    return {
      words: `${nameOf(checked)} lags on ${countOf(found.length)}: a transition is !important in the style attribute there, so each move takes its time.`,
      elements: found.map(({ number }) => number),
      fix: {
        words: 'Take !important off',
        markup: found.map(({ number }) => withoutImportance(number, checked.styleOf(number), properties)),
      },
    }
  },
}
