// Overruled: an important declaration in an element's own style, which no stylesheet can overrule.
import { withoutImportance } from './inline-style'
import { countOf, nameOf, type Check } from './check'

export const overruled: Check = {
  id: 'overruled',
  needsLayout: false,
  look: (checked) => {
    const found = checked.told.important.filter(({ properties }) => properties.some((property) => !property.startsWith('transition')))
    if (found.length === 0) return undefined
    const properties = [...new Set(found.flatMap((each) => each.properties))].filter((property) => !property.startsWith('transition'))
    return {
      words: `${nameOf(checked)} is overruled on ${countOf(found.length)}: ${properties.join(' and ')} ${properties.length === 1 ? 'is' : 'are'} !important in the style attribute there, and nothing outweighs that.`,
      elements: found.map(({ number }) => number),
      fix: {
        words: 'Take !important off',
        markup: found.map(({ number }) => withoutImportance(number, checked.styleOf(number), properties)),
      },
    }
  },
}
