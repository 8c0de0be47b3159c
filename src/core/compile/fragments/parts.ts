import { keepCopy } from './copies'
import { given } from './given'
import { remember, undone } from './off'
import type { Part, Place } from './types'

/** Adds the parts of an effect to an element: seen only, never heard, clicked or focused. */
export function addParts(host: HTMLElement, parts: readonly Part[]): Map<string, HTMLElement[]> {
  const made = new Map<string, HTMLElement[]>()
  const { position, borderTopWidth, borderRightWidth, borderBottomWidth, borderLeftWidth } = getComputedStyle(host)
  if (position === 'static') {
    if (given.takesOff) remember(host, 'position')
    host.style.position = 'relative'
  }
  for (const { part, inside, count = 1, coversBorder, copies } of parts) {
    const home = (inside && made.get(inside)?.[0]) || host
    made.set(part, Array.from({ length: count }, () => {
      const element = document.createElement('span')
      element.className = part
      element.setAttribute('aria-hidden', 'true')
      element.dataset.part = ''
      if (coversBorder) element.style.inset = [borderTopWidth, borderRightWidth, borderBottomWidth, borderLeftWidth].map((width) => `-${width}`).join(' ')
      if (copies) keepCopy(host, element)
      home.append(element)
      if (given.takesOff) undone.push(() => element.remove())
      return element
    }))
  }
  return made
}

/** What is seen only with the pointer is gone once all of it has come to rest: what nobody sees costs nothing. */
export function showParts({ parts, isOn, moves }: Place, all: readonly Part[]): void {
  for (const { part, whileOn } of all) if (whileOn) for (const element of parts?.get(part) ?? []) element.style.visibility = isOn || moves ? '' : 'hidden'
}
