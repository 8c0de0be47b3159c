// What the page in the frame does to its own elements, as far as it matters to a script: read from the sheets that stand in it.
import type { Declarations, PageRead } from '../core/compile/page-facts'
import { findAll } from '../play/find'

/** What the server held back of the page, as the agent's own script is told: sheets, scripts. */
export interface HeldFromPage {
  readonly lacksSheets: boolean
  readonly hasScripts: boolean
}

/** The page as facts are read from it; `isOurs` tells which sheets are not its own. */
export function readPage(page: Document, isOurs: (sheet: CSSStyleSheet) => boolean, held: HeldFromPage): PageRead<Element> {
  const all = [...page.querySelectorAll<HTMLElement>('*')]
  const rules: { select: string; declarations: Declarations }[] = []
  const animated: (readonly [string, string])[] = []
  const walk = (list: CSSRuleList, around: string) => {
    for (const rule of list) {
      const { selectorText: select = around, keyText, style } = rule as Partial<CSSStyleRule & CSSKeyframeRule>
      if (style && keyText !== undefined) animated.push(...declarationsOf(style))
      else if (style && select !== '') rules.push({ select, declarations: declarationsOf(style) })
      if ('cssRules' in rule) walk(rule.cssRules as CSSRuleList, select)
    }
  }
  for (const sheet of page.styleSheets) if (!isOurs(sheet)) walk(sheet.cssRules, '')
  return {
    all: () => all,
    find: (select) => findAll(page, select),
    classes: () => new Set(all.flatMap((element) => [...element.classList])),
    parentOf: ({ parentElement }) => parentElement,
    nameOf: ({ localName }) => localName,
    rules,
    animated,
    inline: all.flatMap((element) => (element.hasAttribute('style') ? [{ element, declarations: declarationsOf(element.style) }] : [])),
    ...held,
  }
}

function declarationsOf(style: CSSStyleDeclaration): Declarations {
  // Our own effects write custom properties, and transitions behind those of the page.
  return Array.from(style)
    .filter((property) => !property.startsWith('--'))
    .map((property) => [property, style.getPropertyValue(property)] as const)
}
