// Small targets: something to press, under 24 px, that goes away from the pointer (WCAG 2.2, 2.5.8).
import { addDeclarations } from './inline-style'
import { nameOf, type Check } from './check'

export const smallTarget: Check = {
  id: 'small-target',
  needsLayout: true,
  look: (checked) => {
    const found = checked.seen?.fleeing ?? []
    const [first] = found
    if (!first) return undefined
    return {
      words: `${nameOf(checked)} takes a link or a button of ${Math.round(first.width)} x ${Math.round(first.height)}px away from the pointer, by ${Math.round(first.px)}px: under 24px that is hard to hit.`,
      elements: found.map(({ number }) => number),
      fix: {
        words: 'Make it 24px large',
        markup: found.map(({ number }) => addDeclarations(number, checked.styleOf(number), ['min-width: 24px', 'min-height: 24px'])),
      },
    }
  },
}
