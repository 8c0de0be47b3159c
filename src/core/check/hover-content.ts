// Content on hover (WCAG 2.2, 1.4.13): it can be dismissed by Escape, the pointer can go onto it, and it stays until its cause has gone.
import { firstAreaTo, fixBy, nameOf, type Check } from './check'
import { revealedBy } from './reveals'

export const hoverContent: Check = {
  id: 'hover-content',
  needsLayout: false,
  look: (checked) => {
    const { rig } = checked.planned
    const [area] = rig.areas
    // What comes in the element itself hides nothing else, and the pointer is on it.
    const elsewhere = revealedBy(rig).filter((to) => typeof to === 'object' && 'linked' in to)
    const floats = rig.parts.some(
      ({ host, holds, lives }) => host !== undefined && typeof holds === 'object' && 'text' in holds && lives === 'on',
    )
    if (!area || (elsewhere.length === 0 && !floats)) return undefined
    const lacks = [
      ...(area.looks?.escape === true ? [] : ['Escape does not dismiss it']),
      ...(area.bridge !== undefined || area.joined !== undefined || (floats && elsewhere.length === 0)
        ? []
        : ['the pointer cannot go onto it']),
    ]
    if (lacks.length === 0) return undefined
    const [to] = elsewhere
    const other = area.of === 'each' ? 'joined' : 'bridge'
    const bridge = typeof to === 'object' && 'linked' in to && area[other] === undefined ? { [other]: to.linked } : {}
    return {
      words: `${nameOf(checked)} shows content beside what is pointed at, and ${lacks.join(', and ')}.`,
      fix: fixBy('Let it be dismissed and pointed at', firstAreaTo(checked, bridge, { escape: true })),
    }
  },
}
