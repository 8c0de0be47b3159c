// Parts: decorative elements that a figure adds. They are hidden from assistive technology and take no pointer events.
import type { PlayedPart } from '../core/rig/played'

export type Parts = ReadonlyMap<string, readonly HTMLElement[]>

/** Adds the parts to a host, each inside it or inside another part. Those of a chain come one for each link. */
function add(host: Element, parts: readonly PlayedPart[]): Parts {
  const made = new Map<string, readonly HTMLElement[]>()
  for (const { id, inside, count = 1, className } of parts) {
    const home = (inside !== undefined && made.get(inside)?.[0]) || host
    made.set(id, Array.from({ length: count }, () => {
      const part = host.ownerDocument.createElement('span')
      part.className = className
      part.setAttribute('aria-hidden', 'true')
      home.append(part)
      return part
    }))
  }
  return made
}

/** Shows or hides the parts that are seen only while their place is on. */
function show(made: Parts, parts: readonly PlayedPart[], isOn: boolean): void {
  for (const { id, whileOn } of parts) if (whileOn) for (const part of made.get(id) ?? []) part.style.visibility = isOn ? '' : 'hidden'
}

function remove(made: Parts): void {
  for (const elements of made.values()) for (const element of elements) element.remove()
}

export const parts = { add, show, remove }
