// Takes the values of effects off a page.
import type { Written } from '../core/compile/writes'
import { findAll } from './find'

/** Takes what was written off the elements on which no effect writes it any more. */
export function takeOff(page: Document, before: readonly Written[], after: readonly Written[]): void {
  const kept = new Map<string, Set<Element>>()
  for (const { name, select } of after) kept.set(name, new Set([...(kept.get(name) ?? []), ...(findAll(page, select) ?? [])]))
  for (const { name, select } of before) {
    for (const element of findAll(page, select) ?? []) {
      if (kept.get(name)?.has(element)) continue
      if (name.startsWith('--')) element.style.removeProperty(name)
      else element.removeAttribute(name)
      if (element.getAttribute('style') === '') element.removeAttribute('style')
    }
  }
}
