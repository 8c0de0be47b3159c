// Finds elements by selectors that a designer may have mistyped.

/** What a selector matches, in the order of the page; undefined where it cannot be read. */
export function findAll(page: Document, select: string): HTMLElement[] | undefined {
  try {
    return [...page.querySelectorAll<HTMLElement>(select)]
  } catch {
    return undefined
  }
}
