import type { At } from './types'

/** What the zones of areas tell, by their names. */
const zones = new Map<Element, Map<string, number>>()

export function noteZone(area: Element, zone: string, reading: number): void {
  const known = zones.get(area) ?? new Map<string, number>()
  zones.set(area, known.set(zone, reading))
}

/** Whether an element is that one, of all that this selects in its area, which a zone chooses. */
export const isChosen = ({ place: { area, element } }: At, zone: string, scope: Document | Element, select: string) =>
  Number([...scope.querySelectorAll(select)].indexOf(element) === zones.get(area)?.get(zone))
