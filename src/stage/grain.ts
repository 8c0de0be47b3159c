// Grain in a page that is shown scaled: drawn pixel for pixel, since noise that is resampled shows bands.

/** The sizes that the stylesheet gives pictures of noise, by rule: px of the page. */
const given = new WeakMap<CSSStyleRule, number>()

/** Gives pictures of noise in a sheet the size by which each of their pixels is one of the screen, in a page shown at `scale` (over 0, 1 for as it is). */
export function alignGrain(sheet: CSSStyleSheet, scale: number): void {
  const walk = (rules: CSSRuleList) => {
    for (const rule of rules) {
      if (rule instanceof CSSStyleRule && rule.style.backgroundImage.includes('feTurbulence')) {
        const px = given.get(rule) ?? parseFloat(rule.style.backgroundSize)
        given.set(rule, px)
        if (px > 0) rule.style.backgroundSize = `calc(${px}px / ${scale})`
      }
      if ('cssRules' in rule) walk(rule.cssRules as CSSRuleList)
    }
  }
  walk(sheet.cssRules)
}
