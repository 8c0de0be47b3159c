// The colours of a page, those it uses most first.

const most = 18

/** Whether a computed colour shows nothing at all. */
export const isClear = (css: string) => /^(transparent|rgba\(0, 0, 0, 0\))$/.test(css)

/** Colours of grounds, texts and edges that are seen, by how much of the page they are on. */
export function coloursOf(page: Document): string[] {
  const weights = new Map<string, number>()
  const note = (css: string, weight: number) => {
    if (!isClear(css)) weights.set(css, (weights.get(css) ?? 0) + weight)
  }
  for (const element of [...page.querySelectorAll('body, body *')].slice(0, 3000)) {
    const { width, height } = element.getBoundingClientRect()
    const size = Math.sqrt(width * height)
    if (size < 4) continue
    const style = getComputedStyle(element)
    note(style.backgroundColor, size)
    if ([...element.childNodes].some((node) => node.nodeType === Node.TEXT_NODE && node.textContent?.trim())) note(style.color, size / 3)
    if (style.borderTopStyle !== 'none' && style.borderTopWidth !== '0px') note(style.borderTopColor, size / 10)
  }
  return [...weights]
    .sort(([, a], [, b]) => b - a)
    .slice(0, most)
    .map(([css]) => css)
}

/** So many custom properties are told. */
const mostNames = 24

/** The custom properties that the page's own sheets give its root or body and that are colours, with what they come to. */
export function colourNamesOf(page: Document, ownSheets: () => readonly CSSStyleSheet[]): { name: string; css: string }[] {
  const names = new Set<string>()
  const read = (rules: CSSRuleList) => {
    for (const rule of rules) {
      if (rule instanceof CSSStyleRule && /(^|,)\s*(:root|html|body)\b/.test(rule.selectorText))
        for (const name of rule.style) if (name.startsWith('--')) names.add(name)
      if (rule instanceof CSSGroupingRule) read(rule.cssRules)
    }
  }
  const own = ownSheets()
  for (const sheet of [...page.styleSheets, ...page.adoptedStyleSheets]) {
    try {
      if (!own.includes(sheet)) read(sheet.cssRules)
    } catch {
      // A sheet of another origin, which the studio's copy has none of.
    }
  }
  const style = getComputedStyle(page.body)
  return [...names]
    .map((name) => ({ name, css: style.getPropertyValue(name).trim() }))
    .filter(({ css }) => css !== '' && CSS.supports('color', css) && !isClear(css))
    .slice(0, mostNames)
}
