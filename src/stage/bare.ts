// The bare view: while it is on, every box of the page is seen, and nothing is clipped, blurred, faded or hidden.

const bare = `
  body *:not(glass-moth-overlay) { opacity: 1 !important; visibility: visible !important; filter: none !important; backdrop-filter: none !important; clip-path: none !important; mask: none !important; overflow: visible !important; box-shadow: none !important; }
  body *:not(glass-moth-overlay) { outline: 1px solid #5E528780 !important; outline-offset: -1px !important; }
`
let sheet: CSSStyleSheet | undefined

/** Shows the page bare, or as it is. */
export function showBare(page: Document, isOn: boolean): void {
  if (!sheet) {
    sheet = new CSSStyleSheet()
    sheet.replaceSync(bare)
  }
  const others = page.adoptedStyleSheets.filter((each) => each !== sheet)
  page.adoptedStyleSheets = isOn ? [...others, sheet] : others
}
