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
