import { areaFrame, holds } from './areas'
import { dropAlong } from './drops'
import { frameOf } from './frames'
import { given } from './given'
import { followCauses } from './looks'
import { hasPointer } from './on'
import { begin, turnPlace } from './place'
import { pointer } from './pointer'
import { noteSide } from './sides'
import type { Effect, Place } from './types'

/** Whether nothing foreign lies on an element where the pointer is: what it hits is around it, or of those that the effect is about. */
const isClear = (effect: Effect, over: Element, element: Element) => over.contains(element) || over.closest(effect.notForeign) !== null

/** Where it lies on top of an element nothing foreign may be there; beyond its edges nothing can. */
function isMet(effect: Effect, over: Element, area: Element): boolean {
  const isOnIt = (element: Element) => hasPointer(frameOf(element, effect.measure))
  if (!effect.insets || isOnIt(area)) return isClear(effect, over, area)
  return !effect.beyond || [...document.querySelectorAll(effect.beyond)].some(isOnIt)
}

/** Whether an element that holds the pointer has it too. */
const hasNothingForeignLyingOnIt = (effect: Effect, over: Element, area: Element) =>
  effect.amongAll ? isMet(effect, over, area) : isClear(effect, over, area)

/** Which the pointer hits, and which it hit before: of others nothing has to be known. */
function nearTo(effect: Effect, over: Element | null): readonly Place[] {
  const hit = over?.closest(effect.select)
  const now = hit ? effect.places.get(hit) : undefined
  const near = new Set([effect.hit, now])
  effect.hit = now
  return [...near].filter((each) => each !== undefined)
}

/** Whether an effect does not play in this window, for this visitor. */
export const rests = ({ playsIn }: Effect): boolean => playsIn?.matches === false

/** Takes the pointer to the elements of an effect that have it, and away from those that had it. */
export function meetEffect(effect: Effect): void {
  const isElsewhere = effect.except && pointer.over?.closest(effect.except) ? true : given.hasTouch && effect.fine && pointer.isTouch
  const over = isElsewhere || (given.playsByMedia && rests(effect)) ? null : pointer.over
  if (!effect.findsAll) {
    const hit = over?.closest(effect.select)
    if (hit && !effect.places.has(hit)) begin(effect, hit)
  }
  const all = given.hasByHit && effect.byHit ? nearTo(effect, over) : [...effect.places.values()]
  const holding = over
    ? all.filter(({ area, beside }) => holds(effect, area, beside) && hasNothingForeignLyingOnIt(effect, over, area))
    : []
  // How far it has to reach for the pointer, and those that have to reach the least.
  const wayTo = ({ area }: Place) => {
    const { toFrame, width, height } = frameOf(area, effect.measure)
    const { x, y } = toFrame.transformPoint(pointer)
    return Math.max(0, -x, x - width, -y, y - height)
  }
  const ways = given.hasByNearest ? holding.map(wayTo) : []
  const near = given.hasByNearest ? holding.filter((_, i) => ways[i] === Math.min(...ways)) : holding
  // What the pointer hits has it; beside an edge that leans away it hits what lies behind, and is on the element all the same.
  const first = effect.amongAll
    ? undefined
    : (holding.findLast(({ area }) => area.contains(over)) ?? near.find((place) => place.isOn) ?? near.at(-1))
  for (const place of all) {
    const has = effect.amongAll ? holding.includes(place) : place.area === first?.area
    if (has || place.isOn) meetPlace(effect, place, has)
  }
}

function meetPlace(effect: Effect, place: Place, has: boolean): void {
  const arrives = has && !place.isOn
  if (given.hasPath && (arrives || !has)) noteSide(place, areaFrame(effect, place.area), arrives)
  place.isOn = has
  if (given.staysByTouch) place.byTouch = pointer.isTouch
  if (given.hasPieces && arrives) Object.assign(place, { arrivedAt: pointer.time, leftAt: undefined })
  if (given.hasPieces && !has) place.leftAt = pointer.time
  if (given.asksStood && (arrives || Math.hypot(pointer.x - place.stood.x, pointer.y - place.stood.y) >= 3))
    place.stood = { x: pointer.x, y: pointer.y, t: pointer.time }
  if (given.partsDrop) dropAlong(effect, place, arrives)
  turnPlace(effect, place, pointer.time, arrives)
  if (effect.turnsLooks) followCauses(effect, place, pointer.time)
  if (effect.comesMs && (arrives || !has)) place.comesUntil = pointer.time + ((has ? effect.comesMs : effect.goesMs) ?? 0)
}
