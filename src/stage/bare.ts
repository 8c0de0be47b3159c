// The bare view: while it is on, every box of the page is seen, and nothing is clipped, blurred, faded, hidden or left out.

/** What is left out of the page by `display: none`, and is shown meanwhile. */
const mark = 'data-glass-moth-bare'

const bare = `
  body *:not(glass-moth-overlay) { opacity: 1 !important; visibility: visible !important; filter: none !important; backdrop-filter: none !important; clip-path: none !important; mask: none !important; overflow: visible !important; box-shadow: none !important; }
  body *:not(glass-moth-overlay) { outline: 1px solid #5E528780 !important; outline-offset: -1px !important; }
  [${mark}] { display: revert !important; }
`
let sheet: CSSStyleSheet | undefined

/** What never is a box of a page. */
const neverShown =
  'script, style, template, noscript, link, meta, title, source, track, option, datalist, svg *, [data-part], glass-moth-overlay'

/** Shows the page bare, or as it is. */
export function showBare(page: Document, isOn: boolean): void {
  if (!sheet) {
    sheet = new CSSStyleSheet()
    sheet.replaceSync(bare)
  }
  const others = page.adoptedStyleSheets.filter((each) => each !== sheet)
  page.adoptedStyleSheets = isOn ? [...others, sheet] : others
  const leftOut = isOn
    ? [...page.body.querySelectorAll(`:not(${neverShown})`)].filter((element) => getComputedStyle(element).display === 'none')
    : page.body.querySelectorAll(`[${mark}]`)
  for (const element of leftOut) element.toggleAttribute(mark, isOn)
}
