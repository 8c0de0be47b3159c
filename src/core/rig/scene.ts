// An effect under the pointer: which of its places have it, and what becomes of them.
import { distanceBeyond, holdsLocal, toFrame, type Point } from '../geometry/frame'
import type { At } from '../signal/reader'
import { hits } from '../signal/over'
import { isOfPointer, isPresent, type Sample } from '../signal/sample'
import { noteCrossing } from './crossings'
import { followWay, standOnWay } from './drops'
import { advanceFlows } from './flow'
import { advanceLooks, followLooks, hearCauses } from './looks'
import { holdsOwn, replay, touch, type Place, type Scene } from './place'
import { goesByNearest } from './rig'

const local: Point = { x: 0, y: 0 }

/** Whether the pointer at (x, y) is inside the place's boxes; insets count for the area's own. */
export function holds({ boxes, frame }: Place, { plan: { area } }: Scene, x: number, y: number): boolean {
  for (let i = 0; i < boxes.length; i++) {
    const box = boxes[i]
    if (!box) continue
    toFrame(box, x, y, local)
    if (holdsLocal(box, box === frame || area.of === 'group' ? area.insets : undefined, local)) return true
  }
  return false
}

/**
 * Which place has the pointer where one at most may: the one painted last among those that it is on; beyond their own boxes
 * the nearest one, where they reach so far, and of those as near the one that had it before, else the one painted last. -1 for none.
 */
function claim(scene: Scene, x: number, y: number): number {
  const { places, holder } = scene
  const isHeld = (place: Place | undefined) => place !== undefined && holds(place, scene, x, y)
  const hit = places.findLastIndex((place) => holdsOwn(place.frame, x, y) && isHeld(place))
  if (hit >= 0) return hit
  if (!goesByNearest(scene.plan.area)) return isHeld(places[holder]) ? holder : places.findLastIndex(isHeld)
  let [nearest, least] = [-1, Infinity]
  for (let i = 0; i < places.length; i++) {
    const place = places[i]
    if (!place || !isHeld(place)) continue
    toFrame(place.frame, x, y, local)
    const far = distanceBeyond(place.frame, local)
    if (far < least || (far === least && nearest !== holder)) [nearest, least] = [i, far]
  }
  return nearest
}

/** Whether a place that holds the point is met there: beyond its own box only, where so asked, while the pointer is on one of certain elements. */
const isMet = ({ beyond }: Scene, place: Place, { x, y }: Sample) =>
  !beyond || holdsOwn(place.frame, x, y) || beyond.some((frame) => holdsOwn(frame, x, y))

/** How far the pointer may go and still stand still, px. */
const stillPx = 3

/** Takes a sample, which `at.pointer` has taken already, to the places that have the pointer, and away from those that had it. */
export function meetScene(scene: Scene, sample: Sample, at: At): void {
  const { plan, places } = scene
  hearCauses(scene, sample, at)
  if (!isOfPointer(sample)) return
  const isElsewhere = scene.except?.some((frame) => hits(frame, sample)) === true
  const counts = isPresent(sample) && !isElsewhere && (plan.area.pointer === 'any' || sample.pointerType !== 'touch')
  const isOne = plan.area.among === 'one'
  const claimed = counts && isOne ? claim(scene, sample.x, sample.y) : -1
  for (let i = 0; i < places.length; i++) {
    const place = places[i]
    if (!place) continue
    const isHeld = isOne ? i === claimed : counts && holds(place, scene, sample.x, sample.y) && isMet(scene, place, sample)
    if (isHeld || place.presence.inside) meetPlace(scene, place, isHeld, at)
  }
  scene.holder = claimed
}

function meetPlace(scene: Scene, place: Place, isHeld: boolean, at: At): void {
  const { presence } = place
  const { t, pointer } = at
  const arrives = isHeld && !presence.inside
  if (arrives || !isHeld) noteCrossing(presence, place.frame, pointer, isHeld)
  presence.inside = isHeld
  presence.leftByFinger = !isHeld && pointer.isTouch
  if (arrives || Math.hypot(pointer.x - presence.anchorX, pointer.y - presence.anchorY) >= stillPx) {
    presence.anchorX = pointer.x
    presence.anchorY = pointer.y
    presence.anchorAt = t
  }
  for (const way of place.ways) followWay(way, pointer.x, pointer.y, t, isHeld, arrives)
  touch(scene, place)
  // Before its look comes: what nobody sees yet begins where the pointer is.
  replay(place, at, arrives)
  followLooks(scene, place, at)
}

/** Takes all that happens by itself up to `until` (ms), in the order of time. */
export function advanceScene(scene: Scene, at: At, until: number): void {
  const start = at.t
  advanceLooks(scene, at, until)
  advanceFlows(scene.awake, at, until)
  for (const { ways, presence } of scene.awake) if (presence.inside) for (const way of ways) standOnWay(way, until)
  at.t = start
}
