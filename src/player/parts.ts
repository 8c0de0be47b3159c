// Parts: decorative elements that a figure adds. They are hidden from assistive technology and take no pointer events.
import type { PlayedPart } from '../core/rig/played'
import type { copies } from './copies'
import type { Styled } from './measure'

export interface Parts extends ReadonlyMap<string, readonly HTMLElement[]> {
  /** Gives the host back the position that the page gave it. */
  release?: () => void
}

/** Adds the parts to a host, each inside it or inside another part. Those of a chain come one for each link. */
function add(host: Styled, parts: readonly PlayedPart[], copying?: typeof copies): Parts {
  const made: Map<string, readonly HTMLElement[]> & Parts = new Map<string, readonly HTMLElement[]>()
  const { position, borderTopWidth, borderRightWidth, borderBottomWidth, borderLeftWidth } = getComputedStyle(host)
  for (const { id, inside, count = 1, covers, holds, className } of parts) {
    const home = (inside !== undefined && made.get(inside)?.[0]) || host
    made.set(id, Array.from({ length: count }, () => {
      const part = host.ownerDocument.createElement('span')
      part.className = className
      part.setAttribute('aria-hidden', 'true')
      part.dataset.part = ''
      if (covers) part.style.inset = [borderTopWidth, borderRightWidth, borderBottomWidth, borderLeftWidth].map((width) => `-${width}`).join(' ')
      if (holds) copying?.keep(host, part)
      home.append(part)
      return part
    }))
  }
  // Parts are placed by the host's own box.
  if (position === 'static') {
    const own = host.style.position
    host.style.position = 'relative'
    made.release = () => {
      host.style.position = own
    }
  }
  return made
}

/** Shows or hides the parts that are seen only while their place is on. */
function show(made: Parts, parts: readonly PlayedPart[], isOn: boolean): void {
  for (const { id, whileOn } of parts) if (whileOn) for (const part of made.get(id) ?? []) part.style.visibility = isOn ? '' : 'hidden'
}

function remove(made: Parts, copying?: typeof copies): void {
  for (const elements of made.values()) {
    for (const element of elements) {
      copying?.end(element)
      element.remove()
    }
  }
  made.release?.()
}

export const parts = { add, show, remove }
