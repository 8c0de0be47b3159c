// A figure under the pointer: which of its places have it, and what becomes of them.
import { holdsLocal, toFrame, type Point } from '../geometry/frame'
import type { At } from '../signal/reader'
import { isPresent, type Sample } from '../signal/sample'
import { features } from './features'
import { replay, touch, type Hit, type Place, type Scene } from './place'
import { playRests } from './play'

const local: Point = { x: 0, y: 0 }

/** Whether the pointer at (x, y) is inside the place's boxes; insets count for the area's own. */
export function holds({ boxes, frame }: Place, { figure: { area } }: Scene, x: number, y: number): boolean {
  for (let i = 0; i < boxes.length; i++) {
    const box = boxes[i]
    if (!box) continue
    toFrame(box, x, y, local)
    if (holdsLocal(box, box === frame || area.of === 'group' ? area.insets : undefined, local)) return true
  }
  return false
}

/**
 * Which place has the pointer where one at most may: the one that was hit wins, else the one that had it before keeps it,
 * else the one painted last has it. -1 for none.
 */
function claim(scene: Scene, x: number, y: number, hit: Hit): number {
  const { places, holder } = scene
  let found = -1
  for (let i = places.length - 1; i >= 0; i--) {
    const place = places[i]
    if (!place || !holds(place, scene, x, y)) continue
    if (hit.isIn(place)) return i
    if (hit.isForeign(place)) continue
    if (found < 0 || i === holder) found = i
  }
  return found
}

/** Whether a place that holds the point is met there: nothing foreign lies on top of it, which beside its own box nothing can. */
function isMet({ figure, places }: Scene, place: Place, { x, y }: Sample, hit: Hit): boolean {
  if (isOn(place, x, y)) return hit.isIn(place) || !hit.isForeign(place)
  return figure.area.beyond !== 'fellows' || places.some((each) => isOn(each, x, y))
}

/** Whether a point lies on the area's own box, whatever its insets. */
function isOn({ frame }: Place, x: number, y: number): boolean {
  toFrame(frame, x, y, local)
  return holdsLocal(frame, undefined, local)
}

/** How far the pointer may go and still stand still, px. */
const stillPx = 3

/** Takes a sample, which `at.pointer` has taken already, to the places that have the pointer, and away from those that had it. */
export function meetScene(scene: Scene, sample: Sample, at: At, hit: Hit): void {
  const { figure, places } = scene
  features.looks?.hear(scene, sample, at, hit)
  if (sample.phase === 'focus' || sample.phase === 'blur') return
  const counts = isPresent(sample) && (figure.area.pointer === 'any' || sample.pointerType !== 'touch')
  const isOne = figure.area.among === 'one'
  const claimed = counts && isOne ? claim(scene, sample.x, sample.y, hit) : -1
  for (let i = 0; i < places.length; i++) {
    const place = places[i]
    if (!place) continue
    const isHeld = isOne ? i === claimed : counts && holds(place, scene, sample.x, sample.y) && isMet(scene, place, sample, hit)
    if (isHeld || place.presence.inside) meetPlace(scene, place, isHeld, at)
  }
  scene.holder = claimed
}

function meetPlace(scene: Scene, place: Place, isHeld: boolean, at: At): void {
  const { presence } = place
  const { t, pointer } = at
  const arrives = isHeld && !presence.inside
  if (arrives || !isHeld) features.crossings?.note(presence, place.frame, pointer, isHeld)
  presence.inside = isHeld
  if (arrives || Math.hypot(pointer.x - presence.anchorX, pointer.y - presence.anchorY) >= stillPx) {
    presence.anchorX = pointer.x
    presence.anchorY = pointer.y
    presence.anchorAt = t
  }
  touch(scene, place)
  features.looks?.follow(scene, place, at)
  replay(place, at, arrives)
}

/** Lets every place go to its away pose from `t` (ms) on. */
export function leaveScene(scene: Scene, at: At, t: number): void {
  at.t = t
  for (const place of scene.places) {
    place.presence.inside = false
    touch(scene, place)
    replay(place, at)
  }
}

/** Takes all that happens by itself up to `until` (ms), in the order of time. */
export function advanceScene(scene: Scene, at: At, until: number): void {
  const start = at.t
  for (const place of scene.awake) touch(scene, place)
  features.looks?.advance(scene, at, until)
  features.flow?.advanceAll(scene.awake, at, until)
  at.t = start
}

/** Puts to sleep the places where nothing will change after `at.t`; to be asked once their values are written. */
export function settleScene(scene: Scene, at: At, onSettle?: (scene: Scene, place: Place) => void): void {
  const { awake } = scene
  for (let i = awake.length - 1; i >= 0; i--) {
    const place = awake[i]
    if (!place || !placeRests(place, at)) continue
    place.isAwake = false
    const last = awake.pop()
    if (last && last !== place) awake[i] = last
    onSettle?.(scene, place)
  }
}

function placeRests({ plays, presence }: Place, at: At): boolean {
  if (presence.look.dueAt < Infinity) return false
  for (const play of plays) if (!playRests(play, at) || features.flow?.goesOn(play, at)) return false
  return true
}
