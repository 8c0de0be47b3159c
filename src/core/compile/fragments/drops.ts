import { frameOf } from './frames'
import { given } from './given'
import { undone } from './off'
import { addPart, partsOf } from './parts'
import { pointer } from './pointer'
import type { Effect, Part, Place, Way } from './types'

/** Takes the ways along which parts are dropped on to where the pointer is now. */
export function dropAlong(effect: Effect, place: Place, arrives: boolean): void {
  if (place.element !== place.area) return
  for (const part of effect.parts ?? []) {
    if (!part.stride) continue
    place.ways ??= new Map()
    const way = place.ways.get(part) ?? { x: 0, y: 0, t: 0, toNext: 0, count: 0, fallen: [] }
    if (given.takesOff && !place.ways.has(part)) undone.push(() => way.fallen.splice(0).forEach(({ element }) => element?.remove()))
    place.ways.set(part, way)
    const { x, y } = part.inWindow ? pointer : frameOf(place.area, effect.measure).toFrame.transformPoint(pointer)
    // A pointer that comes has no way behind it.
    if (arrives) Object.assign(way, { x, y, t: pointer.time, toNext: 0 })
    drop(part, way, pointer.time, place.isOn && !part.byTime ? x : way.x, place.isOn && !part.byTime ? y : way.y)
    Object.assign(way, { x, y })
  }
}

/** Drops what falls until t on the straight way to (x, y). */
function drop({ stride = 1, byTime, atMost = 1 }: Part, way: Way, t: number, x: number, y: number): void {
  const [dx, dy] = [x - way.x, y - way.y]
  const length = byTime ? t - way.t : Math.hypot(dx, dy)
  // Of a long stretch the last ones alone can still be there.
  const skipped = Math.max(0, Math.floor((length - way.toNext) / stride) - atMost)
  way.count += skipped
  way.toNext += skipped * stride
  for (; way.toNext <= length; way.toNext += stride) {
    const share = way.toNext / (length || 1)
    way.fallen.push({ index: way.count++, x: way.x + share * dx, y: way.y + share * dy, t: byTime ? way.t + way.toNext : t })
  }
  way.toNext -= length
  way.t = t
}

/** Shows what has been dropped in a place, and takes away what has lived its time. */
export function showDrops(place: Place, t: number): void {
  for (const [part, way] of place.ways ?? []) {
    if (place.isOn) drop(part, way, t, way.x, way.y)
    const { forMs = 0, atMost = 1 } = part
    const isThere = way.fallen.slice(-atMost).filter((each) => t - each.t < forMs)
    for (const each of way.fallen) if (!isThere.includes(each)) each.element?.remove()
    way.fallen = isThere
    for (const each of isThere) {
      if (each.element) continue
      const [home = place.area as HTMLElement] = part.home ? partsOf(place.area, part.home) : []
      const element = addPart(place.area as HTMLElement, home, part)
      each.element = element
      const properties = { x: each.x.toFixed(2), y: each.y.toFixed(2), index: String(each.index) }
      for (const [name, value] of Object.entries(properties)) element.style.setProperty(`--${part.part}-${name}`, value)
      // It has lived for a while when it is first seen.
      element.style.animationDelay = `${(each.t - t).toFixed(1)}ms`
    }
    if (isThere.length > 0 || (part.byTime && place.isOn)) place.moves = true
  }
}
