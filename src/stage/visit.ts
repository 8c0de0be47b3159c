// The page as another visitor has it: media features that say what a visitor has or prefers are resolved in the studio's
// copy of its sheets.
import type { Visitor } from './protocol'

/** What each visitor's browser says of these features. */
const answers: Readonly<Record<Visitor, Readonly<Record<string, string>>>> = {
  mouse: { hover: 'hover', 'any-hover': 'hover', pointer: 'fine', 'any-pointer': 'fine', 'prefers-reduced-motion': 'no-preference' },
  finger: { hover: 'none', 'any-hover': 'none', pointer: 'coarse', 'any-pointer': 'coarse', 'prefers-reduced-motion': 'no-preference' },
  keyboard: { hover: 'hover', 'any-hover': 'hover', pointer: 'fine', 'any-pointer': 'fine', 'prefers-reduced-motion': 'no-preference' },
  reduced: { hover: 'hover', 'any-hover': 'hover', pointer: 'fine', 'any-pointer': 'fine', 'prefers-reduced-motion': 'reduce' },
}

const always = '(min-width: 0px)'
const never = '(max-width: -1px)'

/** A media query with the features of a visitor resolved. */
export function resolveMedia(text: string, visitor: Visitor): string {
  return text.replace(/\(\s*([a-z-]+)\s*(?::\s*([a-z-]+)\s*)?\)/gi, (feature, name: string, value?: string) => {
    const answer = answers[visitor][name.toLowerCase()]
    if (answer === undefined) return feature
    const isTrue = value === undefined ? answer !== 'none' && answer !== 'no-preference' : value.toLowerCase() === answer
    return isTrue ? always : never
  })
}

/** Keeps sheets as a visitor has them: all of a page, or those that are given. */
export function makeVisit(page: Document): (visitor: Visitor, sheets?: Iterable<CSSStyleSheet>) => void {
  const originals = new WeakMap<MediaList, string>()
  const resolve = (list: MediaList, visitor: Visitor) => {
    const own = originals.get(list) ?? list.mediaText
    originals.set(list, own)
    const text = resolveMedia(own, visitor)
    if (text !== list.mediaText) list.mediaText = text
  }
  const walk = (rules: CSSRuleList, visitor: Visitor) => {
    for (const rule of rules) {
      if (rule instanceof CSSMediaRule) resolve(rule.media, visitor)
      if ('cssRules' in rule) walk(rule.cssRules as CSSRuleList, visitor)
    }
  }
  return (visitor, sheets = page.styleSheets) => {
    for (const sheet of sheets) {
      if (sheet.media.length > 0) resolve(sheet.media, visitor)
      walk(sheet.cssRules, visitor)
    }
  }
}
