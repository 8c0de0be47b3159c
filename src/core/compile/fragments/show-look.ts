import { given } from './given'
import { undone } from './off'
import { seenOn, targetsOf } from './targets'
import type { Deed, Effect, Place } from './types'

/** Tells the stylesheet which look a place shows, and does what goes with it. */
export function showLook(effect: Effect, place: Place): void {
  const { shown, before } = place.look
  const { element } = place
  if (element.getAttribute(effect.mark) === shown) return
  const told = effect.linkedLooks ? [element, ...seenOn(effect, place)] : [element]
  for (const target of told) {
    if (effect.tellsBefore) target.setAttribute(`${effect.mark}-from`, before)
    target.setAttribute(effect.mark, shown)
  }
  if (effect.deeds) doDeeds(effect.deeds, effect, place)
}

/** What the page itself gives elements of the attributes that looks set. */
const kept = new Map<Element, Map<string, string | null>>()

function setAttribute(target: Element, name: string, text: string): void {
  const known = kept.get(target) ?? new Map<string, string | null>()
  kept.set(target, known)
  if (!known.has(name)) {
    known.set(name, target.getAttribute(name))
    if (given.takesOff) undone.push(() => giveBack(target, name))
  }
  target.setAttribute(name, text)
}

function giveBack(target: Element, name: string): void {
  const before = kept.get(target)?.get(name)
  if (before === null) target.removeAttribute(name)
  else if (before !== undefined) target.setAttribute(name, before)
  kept.get(target)?.delete(name)
}

/** Does with elements what goes with the look of a place; what goes with another one is over. */
function doDeeds(deeds: readonly Deed[], effect: Effect, place: Place): void {
  const isNow = ({ looks }: Deed) => looks.includes(place.look.shown)
  for (const deed of deeds.filter((each) => !isNow(each)))
    for (const target of targetsOf(effect, place, deed)) for (const [name] of deed.attributes) giveBack(target, name)
  for (const deed of deeds.filter(isNow))
    for (const target of targetsOf(effect, place, deed)) {
      if (given.sparesSome && deed.unless && target.matches(deed.unless)) continue
      for (const [name, text] of deed.attributes) setAttribute(target, name, text)
      if (given.hasMedia && deed.media && target instanceof HTMLMediaElement) {
        // A browser may not let it play by itself.
        if (given.restarts && deed.media === 'restart') target.currentTime = 0
        if (deed.media === 'pause') target.pause()
        else target.play().catch(() => undefined)
      }
    }
}

/** Numbers elements by their order, for those that set out one after another. */
export function numberElements({ indexed = [] }: Effect, { element }: Place): void {
  for (const [property, within] of indexed)
    element.querySelectorAll<HTMLElement>(within).forEach((target, index) => {
      target.style.setProperty(property, String(index))
      if (given.takesOff) undone.push(() => target.style.removeProperty(property))
    })
}
