// What an element needs of its page's own sheets, to stand on another page as it stands here.

/** The rules that match an element or anything in it, with the custom properties they read, as CSS. */
export function liftCss(page: Document, root: Element, isOurs: (sheet: CSSStyleSheet) => boolean): string {
  const elements = [root, ...root.querySelectorAll('*')]
  const names = new Set<string>()
  const matches = (select: string) => {
    // What a state or a generated part hangs on is there all the same.
    const plain = select
      .replace(
        /::?(before|after|first-line|first-letter|placeholder|marker|selection|hover|active|focus|focus-visible|focus-within)(?![\w-])/g,
        '',
      )
      .replace(/\[data-glass-moth-(hover|active)\]/g, '')
      .replace(/(^|[\s>+~(,])(?=$|[\s>+~),])/g, '$1*')
    try {
      return elements.some((element) => element.matches(plain))
    } catch {
      return false
    }
  }
  const isGeneral = (select: string) => /^(\*|html|body|:root)([,\s:]|$)/.test(select.trim())
  const walk = (rules: CSSRuleList): string[] =>
    [...rules].flatMap((rule) => {
      if (rule instanceof CSSStyleRule) {
        if (isGeneral(rule.selectorText) || !matches(rule.selectorText)) return []
        return [rule.cssText.replaceAll('[data-glass-moth-hover]', ':hover').replaceAll('[data-glass-moth-active]', ':active')]
      }
      if (rule instanceof CSSMediaRule || rule instanceof CSSSupportsRule) {
        const inner = walk(rule.cssRules)
        const head = rule instanceof CSSMediaRule ? `@media ${rule.conditionText}` : `@supports ${rule.conditionText}`
        return inner.length > 0 ? [`${head} {\n${inner.join('\n')}\n}`] : []
      }
      return []
    })
  const rules = [...page.styleSheets].filter((sheet) => !isOurs(sheet)).flatMap((sheet) => walk(sheet.cssRules))
  for (const rule of rules) for (const [, name] of rule.matchAll(/var\(\s*(--[\w-]+)/g)) if (name) names.add(name)
  const style = getComputedStyle(root)
  const values = [...names]
    .map((name) => [name, style.getPropertyValue(name).trim()] as const)
    .filter(([name, value]) => value !== '' && !rules.some((rule) => new RegExp(`${name}\\s*:`).test(rule)))
  return [...(values.length > 0 ? [`:root {\n${values.map(([name, value]) => `  ${name}: ${value};`).join('\n')}\n}`] : []), ...rules].join(
    '\n',
  )
}
