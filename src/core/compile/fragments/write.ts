import { layBeside, tie } from './beside'
import { inFrame } from './areas'
import { linkAt, linkMoves } from './chain'
import { showDrops } from './drops'
import { flowsOn } from './flow'
import { given } from './given'
import { tellNear } from './laid'
import { tellMet } from './met'
import { keepOwn } from './own'
import { undone } from './off'
import { paint } from './paint'
import { addParts, endParts, meetParts, showParts, stayOnTop } from './parts'
import { numberElements, showLook } from './show-look'
import { seenOn, targetsOf } from './targets'
import { tell, tellSettled, tellSlider, tellZones } from './tell'
import { onWay, pathEnds } from './track'
import type { Effect, Place, Value, ValueFollower } from './types'

const set = (target: HTMLElement, value: Value, shown: number) =>
  target.style.setProperty(value.property, value.as ? String(value.as(shown)) : shown.toFixed(value.digits) + (value.isLength ? 'px' : ''))

/** What a value is written on: parts are looked for once, as long as they are there. */
function seenOnParts(effect: Effect, place: Place, follower: ValueFollower): readonly HTMLElement[] {
  if (!follower.seen?.[0]?.isConnected) follower.seen = [...targetsOf(effect, place, follower.value)]
  return follower.seen
}

/** Writes the links of a chain: one of them, or each on an element of its own. */
function writeChain(effect: Effect, place: Place, chain: ValueFollower, t: number): void {
  const { value } = chain
  const last = (value.links ?? 1) - 1
  let k = 0
  for (const target of value.isOfParts ? seenOnParts(effect, place, chain) : targetsOf(effect, place, value))
    set(target, value, linkAt(chain, Math.min(value.link ?? k++, last), t))
  if (linkMoves(chain, last, t)) place.moves = true
}

/** Writes where the pointer was at several times since it came, each on an element of its own. */
function writePath(effect: Effect, place: Place, follower: ValueFollower, t: number): void {
  const { value } = follower
  if (place.arrivedAt === undefined) return
  const { pieces = 1, lagMs = 1, axis = 'x', link } = value
  let k = 0
  for (const target of value.isOfParts ? seenOnParts(effect, place, follower) : targetsOf(effect, place, value))
    set(target, value, inFrame(effect, place, onWay(place, lagMs, Math.min(link ?? k++, pieces - 1), t))[axis])
  if (t < pathEnds(pieces, lagMs, place.leftAt)) place.moves = true
}

/** Says on an element that an effect is at work on it: from now on its rules count. */
function mark(effect: Effect, place: Place): void {
  // What was only unmarked has its values still.
  if (effect.bareAtRest && (place.element as HTMLElement).style.getPropertyValue(effect.values[0]?.property ?? '')) {
    place.element.setAttribute(effect.mark, '')
    return
  }
  if (given.takesOff) {
    for (const target of [place.element as HTMLElement, ...seenOn(effect, place)])
      undone.push(() => {
        target.removeAttribute(effect.mark)
        if (effect.tellsBefore) target.removeAttribute(`${effect.mark}-from`)
        for (const { property } of effect.values) target.style.removeProperty(property)
      })
  }
  if (given.hasOwn) keepOwn(effect, place)
  place.element.setAttribute(effect.mark, '')
  if (given.hasOthers) for (const target of seenOn(effect, place)) target.setAttribute(effect.mark, '')
  if (given.hasJoined && place.beside) tie(effect, place, place.beside)
  if (effect.indexed) numberElements(effect, place)
  if (given.partsMeet && given.takesOff && effect.meets) undone.push(() => endParts(place, effect.parts))
  if (effect.parts && !(given.partsMeet && effect.meets)) addParts(place.area as HTMLElement, effect.parts, effect.measure)
}

/** Writes the values of a place at t; tells whether it goes on. */
export function write(effect: Effect, place: Place, t: number): boolean {
  if (!place.element.hasAttribute(effect.mark)) mark(effect, place)
  // How it comes and goes is in the stylesheet.
  if (effect.comes && (place.element.getAttribute(effect.mark) === 'on') !== place.isOn)
    place.element.setAttribute(effect.mark, place.isOn ? 'on' : '')
  place.moves = false
  if (given.partsDrop) showDrops(place, t)
  if (given.partsMeet && effect.meets) meetParts(effect, place)
  if (given.hasWritten) {
    for (const follower of place.followers) {
      const { value } = follower
      if (value.links) writeChain(effect, place, follower, t)
      else if (value.pieces) writePath(effect, place, follower, t)
      else {
        const { gap, moves } = follower.feel(follower, t)
        if (!given.hasUnwritten || value.property)
          for (const target of value.isOfParts ? seenOnParts(effect, place, follower) : targetsOf(effect, place, value))
            set(target, value, moves ? follower.target + gap : follower.target)
        if (moves) place.moves = true
      }
    }
  }
  if (effect.comesMs && t < place.comesUntil) place.moves = true
  if (given.hasDues && effect.turnsLooks && place.look.dueAt < Infinity) place.moves = true
  if (given.hasFlows && flowsOn(place, t)) place.moves = true
  if (given.partsMeet && effect.meets && !place.moves) meetParts(effect, place)
  if (given.partsLaid) tellNear(effect, place, t)
  if (given.partsPaint && effect.canvas) paint(effect, place, t)
  if (given.partsAsk) tellMet(effect, place)
  if (given.partsOnTop && place.isOn) stayOnTop(effect)
  if (effect.shownWhileOn) showParts(effect, place, effect.shownWhileOn)
  if (effect.turnsLooks) showLook(effect, place)
  if (given.placesBeside) layBeside(effect, place)
  if (given.hasZones) tellZones(effect, place)
  if (given.partsSlide && effect.slider && (place.focused || !place.moves)) tellSlider(place, effect.slider)
  if (given.tells) {
    tell(effect, place)
    if (!place.moves) tellSettled(effect, place)
  }
  // What leans is drawn as a layer of its own, with other edges: at rest it is as the page has it.
  if (effect.bareAtRest && !place.moves && !place.isOn) place.element.removeAttribute(effect.mark)
  if (!effect.keeps && !place.moves && !place.isOn) effect.places.delete(place.element)
  return place.moves
}
