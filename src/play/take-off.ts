// Takes the values of effects off a page.
import type { Written } from '../core/compile/writes'

/** Takes what was written off the elements on which no effect writes it any more. */
export function takeOff(page: Document, before: readonly Written[], after: readonly Written[]): void {
  const kept = new Map<string, Set<Element>>()
  for (const { name, select } of after) kept.set(name, new Set([...(kept.get(name) ?? []), ...find(page, select)]))
  for (const { name, select } of before) {
    for (const element of find(page, select)) {
      if (kept.get(name)?.has(element)) continue
      if (name.startsWith('--')) element.style.removeProperty(name)
      else element.removeAttribute(name)
      if (element.getAttribute('style') === '') element.removeAttribute('style')
    }
  }
}

/** What a selector matches; nothing where the browser cannot read it. */
function find(page: Document, select: string): readonly HTMLElement[] {
  try {
    return [...page.querySelectorAll<HTMLElement>(select)]
  } catch {
    return []
  }
}
