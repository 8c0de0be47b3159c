// What the page in the frame does to its own elements, as far as it matters to a script: read from the sheets that stand in it.
import { layersIn, nested, type Declaration, type Declarations } from '../core/compile/own-rules'
import type { Sheets } from '../core/compile/facts'
import type { PageRead } from '../core/compile/page-facts'
import { findAll } from '../play/find'

/** What the server held back of the page, as the agent's own script is told: sheets, scripts. */
export interface HeldFromPage {
  readonly sheets: Sheets
  readonly hasScripts: boolean
}

/** What of all that was held back, by how many of each sort, matters to facts. */
export const heldFrom = (counts: Readonly<Record<string, number>>): HeldFromPage => ({
  sheets: 'sheet' in counts ? 'missing' : 'read',
  hasScripts: 'script' in counts || 'handler' in counts,
})

/** The page as facts are read from it; `isOurs` tells which sheets are not its own. */
export function readPage(page: Document, isOurs: (sheet: CSSStyleSheet) => boolean, held: HeldFromPage): PageRead<Element> {
  const all = [...page.querySelectorAll<HTMLElement>('*')]
  const rules: PageRead<Element>['rules'][number][] = []
  const animated: Declaration[] = []
  const layers: string[] = []
  const walk = (list: CSSRuleList, context: readonly string[], around: string) => {
    for (const rule of list) {
      const { selectorText, keyText, style, conditionText, name, nameList } = rule as Partial<
        CSSStyleRule & CSSKeyframeRule & CSSConditionRule & CSSLayerBlockRule & CSSLayerStatementRule
      >
      if (nameList) layers.push(...layersIn(context, nameList.join(', ')))
      const select = selectorText === undefined ? around : nested(selectorText, around)
      if (style && keyText !== undefined) animated.push(...declarationsOf(style))
      else if (style && select !== '') rules.push({ context, select, declarations: declarationsOf(style) })
      if (!('cssRules' in rule)) continue
      if (atRule(rule, '') === '@layer' && name) layers.push(...layersIn(context, name))
      const inside = selectorText === undefined ? [...context, atRule(rule, conditionText ?? name ?? '')] : context
      walk(rule.cssRules as CSSRuleList, inside, select)
    }
  }
  for (const sheet of page.styleSheets)
    if (!isOurs(sheet)) walk(sheet.cssRules, sheet.media.mediaText ? [`@media ${sheet.media.mediaText}`] : [], '')
  return {
    all: () => all,
    find: (select) => findAll(page, select),
    classes: () => new Set(all.flatMap((element) => [...element.classList])),
    parentOf: ({ parentElement }) => parentElement,
    nameOf: ({ localName }) => localName,
    rules,
    layers: [...new Set(layers)],
    animated,
    inline: all.flatMap((element) => (element.hasAttribute('style') ? [{ element, declarations: declarationsOf(element.style) }] : [])),
    ...held,
  }
}

/** What a rule that holds others begins with. */
const atRule = (rule: CSSRule, words: string) => `${/^@[\w-]+/.exec(rule.cssText)?.[0] ?? '@media'}${words ? ` ${words}` : ''}`

function declarationsOf(style: CSSStyleDeclaration): Declarations {
  // A list of transitions is told as a whole, where it was given so.
  const transition = style.getPropertyValue('transition')
  // Our own effects write custom properties, and transitions behind those of the page.
  const single = Array.from(style).filter((property) => !property.startsWith('--') && !(transition && property.startsWith('transition-')))
  return [...(transition ? ['transition'] : []), ...single].map((property): Declaration => {
    const value = style.getPropertyValue(property)
    return style.getPropertyPriority(property) === 'important' ? [property, value, true] : [property, value]
  })
}
