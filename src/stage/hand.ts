// What the hand looks like over the page while it means something to the studio, whatever the page and its effects make of the cursor.

let sheet: CSSStyleSheet | undefined

/** Shows the hand as this cursor of CSS, or as the page has it. */
export function showHand(page: Document, cursor: 'crosshair' | 'move' | null): void {
  sheet ??= new CSSStyleSheet()
  const root = ':root:root:root:root:root'
  sheet.replaceSync(cursor === null ? '' : `${root}, ${root} * { cursor: ${cursor} !important; }`)
  const others = page.adoptedStyleSheets.filter((each) => each !== sheet)
  page.adoptedStyleSheets = cursor === null ? others : [...others, sheet]
}
