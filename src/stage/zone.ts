// Which zone the selected effect tells: read from the attribute by which its script says so.
import { findAll } from '../play/find'
import type { ShownEffect } from './protocol'

/** Watches the areas of an effect that tells zones; `onZone` hears each that it tells, null for none. Gives what begins with another effect. */
export function watchZone(page: Document, onZone: (zone: number | null) => void): (effect: ShownEffect | undefined) => void {
  let told: number | null = null
  let areas: readonly Element[] = []
  const read = () => {
    const values = areas.flatMap((area) => {
      const name = area.getAttributeNames().find((each) => /^data-.+-zone(-|$)/.test(each))
      return name === undefined ? [] : [Number(area.getAttribute(name))]
    })
    const zone = values.find((each) => each >= 0) ?? null
    if (zone !== told) onZone(zone)
    told = zone
  }
  const observer = new MutationObserver(read)
  return (effect) => {
    observer.disconnect()
    areas = effect?.zones ? (findAll(page, effect.reads ?? effect.select) ?? []) : []
    for (const area of areas) observer.observe(area, { attributes: true })
    read()
  }
}
