import { readFrame } from './areas'
import { turnChain } from './chain'
import { noteZone } from './chosen'
import { given } from './given'
import { newLook, feelByLook } from './look-state'
import { readOwn } from './own'
import { pointer } from './pointer'
import { linkedTo } from './targets'
import { turn, valueAt } from './turn'
import type { At, Effect, Look, Place, Value, ValueFollower } from './types'

/** Begins to follow the pointer in an element: everything lies at its pose. */
export function begin(effect: Effect, area: Element, element = area): void {
  const place: Place = {
    element,
    area,
    isOn: false,
    moves: !!effect.stands,
    comesUntil: 0,
    focused: false,
    followers: !given.hasValues || (effect.readsIn && element === area) ? [] : effect.values.map((value) => newFollower(value)),
    stood: { x: 0, y: 0, t: 0 },
    look: given.hasFirst ? firstLook(effect, area) : newLook(),
    entry: [0, 3, 0],
    exit: [0, 3, 0],
  }
  if (given.hasFirst && place.look.shown === 'on')
    for (const follower of place.followers)
      if (follower.value.byLook) follower.target = shapedOf(follower.value, follower.value.read({ place } as At, follower))
  if (given.hasFirstZone) for (const follower of place.followers) follower.reading = follower.value.zoneFirst
  if (given.hasSizes)
    for (const follower of place.followers)
      if (follower.value.bySize && follower.value.leave && !follower.value.links)
        follower.target = shapedOf(follower.value, follower.value.leave(atOf(effect, place, 0), follower))
  if (given.hasJoined && effect.joined) place.beside = linkedTo(effect, place, effect.joined)[0]
  effect.places.set(element, place)
  if (given.hasOwn) place.own = readOwn(effect, place)
}

/** The look with which an area begins: the one of that index may be on from the start, unless another is by now. */
function firstLook({ firstOn, places, select }: Effect, area: Element): Look {
  const index = [...document.querySelectorAll(select)].indexOf(area)
  const isFirst = firstOn === index && ![...places.values()].some((other) => other.area !== area && other.look.shown !== 'off')
  return isFirst ? { ...newLook(), state: 'on', shown: 'on' } : newLook()
}

export const shapedOf = ({ curve }: Value, reading: number) => (curve ? curve(reading) : reading)

function newFollower(value: Value): ValueFollower {
  return {
    value,
    target: shapedOf(value, value.pose),
    since: 0,
    gap: 0,
    speed: 0,
    feel: value.feel,
    band: value.band,
    gaps: new Array<number>(value.links ?? 0).fill(0),
    halfLifeMs: value.halfLifeMs,
  }
}

/** The pointer as an element sees it. */
export function atOf(effect: Effect, place: Place, t: number): At {
  const frame = readFrame(effect, place)
  const { x, y } = frame.toFrame.transformPoint(pointer)
  return { ...frame, x, y, t, place }
}

/** Turns all that follows the pointer in a place to where it should be now. */
export function turnPlace(effect: Effect, place: Place, t: number, arrives: boolean, others?: Look): void {
  place.moves = true
  if (given.hasValues) {
    const at = { ...atOf(effect, place, t), others }
    for (const follower of place.followers) turnValue(follower, at, arrives)
  }
}

export function turnValue(follower: ValueFollower, at: At, arrives = false): void {
  const { value } = follower
  if (!at.place.isOn && value.holds && (!given.staysByTouch || value.holds === true || at.place.byTouch)) return
  const reading = at.place.isOn ? value.read(at, follower) : value.leave ? value.leave(at, follower) : value.pose
  const target = shapedOf(value, reading)
  // What nobody sees begins where the pointer is.
  const seen = value.seenBy === undefined ? undefined : at.place.followers[value.seenBy]
  if (value.links && arrives && ((seen && !valueAt(seen, at.t)) || (value.beginsUnseen && at.t >= at.place.comesUntil)))
    follower.gaps?.fill(0)
  if (arrives && seen && !valueAt(seen, at.t)) Object.assign(follower, { target, gap: 0, speed: 0 })
  if (arrives && value.beginsUnseen && at.t >= at.place.comesUntil) Object.assign(follower, { target, gap: 0, speed: 0 })
  if (value.start && !value.links && reading !== follower.reading && !follower.feel(follower, at.t).moves) {
    const start = value.start(at)
    if (start !== undefined) Object.assign(follower, { target: shapedOf(value, start), gap: 0, speed: 0 })
  }
  follower.reading = reading
  if (given.hasChosen && value.zone) noteZone(at.place.area, value.zone, reading)
  if (value.links) turnChain(follower, target, (at.place.isOn ? value.halfLifeMs : value.goingHalfLifeMs) ?? value.halfLifeMs ?? 1, at.t)
  else if (given.hasWritten)
    turn(
      follower,
      target,
      value.byLook && given.hasLooks ? feelByLook(value, at.place) : at.place.isOn ? value.feel : (value.going ?? value.feel),
      at.t,
    )
}
