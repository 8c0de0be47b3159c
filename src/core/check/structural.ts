// Structural selectors: a rule of the page counts elements from the end, and the effect adds some there.
import { nameOf, type Check } from './check'

export const structural: Check = {
  id: 'structural',
  needsLayout: false,
  look: (checked) => {
    const { upset } = checked.told
    const [first] = upset
    if (!first) return undefined
    return {
      words: `${nameOf(checked)} adds elements, so ${upset.length === 1 ? 'a rule of the page matches' : `${upset.length} rules of the page match`} something else: ${first.select.replace(/\s*([>+~])\s*/g, ' $1 ')}.`,
      fix: { words: 'Have the page not count them', css: `${upset.map(({ css }) => css).join('\n')}\n` },
    }
  },
}
