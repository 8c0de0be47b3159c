// The hover looks of an area's places: what turns them, and when.
import { turnLook, type LookEvent } from '../look/look'
import type { At, Presence } from '../signal/reader'
import type { Sample } from '../signal/sample'
import { advanceFlows } from './flow'
import { focusZones, holdsOwn, replay, touch, type Place, type Scene } from './place'
import type { Looks } from './rig'

/** Takes an event to a place's machine at `t` (ms), with what follows at once; gives whether what is shown changed. */
function turnPresence(presence: Presence, { goDelayMs, stillMs }: Looks, event: LookEvent, t: number): boolean {
  const { look } = presence
  let changed = turnLook(look, event)
  if (look.state === 'going') {
    if (event === 'go') look.dueAt = t + goDelayMs
    if (look.dueAt <= t) changed = turnLook(look, 'due') || changed
  }
  if (look.state === 'on') look.dueAt = stillMs === undefined || !presence.inside ? Infinity : Math.max(t, presence.anchorAt + stillMs)
  else if (look.state !== 'going') look.dueAt = Infinity
  return changed
}

/** Brings a place's machine in line with what is the case at `t`: the pointer, its buttons, the focus, a tap. */
function followCauses(presence: Presence, looks: Looks, buttons: number, t: number): boolean {
  const { look } = presence
  const isCaused = presence.inside || (looks.keys && presence.focused) || look.tapped
  if (!isCaused) look.dismissed = false
  if (look.dismissed) return false
  let changed = (isCaused || !looks.stays) && turnPresence(presence, looks, isCaused ? 'come' : 'go', t)
  if (presence.inside || looks.stays)
    changed = turnPresence(presence, looks, presence.inside && buttons ? 'press' : 'release', t) || changed
  if (look.state === 'still' && (!isCaused || presence.anchorAt + (looks.stillMs ?? 0) > t))
    changed = turnPresence(presence, looks, 'move', t) || changed
  return changed
}

/** Takes what is due: the end of a delay, or of standing still. Gives whether what is shown changed. */
function takeDue(presence: Presence, looks: Looks): boolean {
  const { dueAt, state } = presence.look
  presence.look.dueAt = Infinity
  return turnPresence(presence, looks, state === 'going' ? 'due' : 'rest', dueAt)
}

/** Brings the looks of a place in line with what is the case at `at.t`. */
export function followLooks(scene: Scene, place: Place, at: At): void {
  const { looks } = scene.plan.area
  const { shown } = place.presence.look
  if (looks && followCauses(place.presence, looks, at.pointer.buttons, at.t)) showLooks(scene, place, at, shown === 'off')
}

/** Tells a place that its look changed at `at.t`, and the other places of it; one that comes on may put the others off. */
function showLooks(scene: Scene, place: Place, at: At, wasOff = false): void {
  const { looks: machine } = scene.plan.area
  const isOn = place.presence.look.shown !== 'off'
  // It may be on and pressed by now: what counts is what was shown before both.
  const hasComeOn = isOn && wasOff
  const readsOthers = scene.plan.frames.some(({ channels }) =>
    channels.some(({ signal }) => signal.of === 'look' && signal.whose === 'others'),
  )
  replay(place, at)
  for (const other of scene.places) {
    if (other === place || !machine) continue
    const isDismissed = machine.atMostOne && hasComeOn && turnPresence(other.presence, machine, 'dismiss', at.t)
    if (isDismissed) other.presence.look.tapped = false
    if (!isDismissed && !readsOthers) continue
    at.others = isOn ? place.presence.look : undefined
    touch(scene, other)
    replay(other, at)
    at.others = undefined
  }
}

/** Escape puts off what shows anything, until its causes have gone. */
function dismissAll(scene: Scene, at: At): void {
  const { looks } = scene.plan.area
  if (!looks?.escape) return
  for (const place of scene.places) {
    const { look } = place.presence
    if (!turnPresence(place.presence, looks, 'dismiss', at.t)) continue
    look.tapped = false
    look.dismissed = place.presence.inside || place.presence.focused
    touch(scene, place)
    showLooks(scene, place, at)
  }
}

/** Hears what is not about the pointer's place: the focus that came or left, and taps. */
export function hearCauses(scene: Scene, sample: Sample, at: At): void {
  const { area, frames } = scene.plan
  if (sample.phase === 'key') {
    if (sample.key === 'Escape') dismissAll(scene, at)
  } else if (sample.phase === 'focus' || sample.phase === 'blur') {
    if (
      !area.looks?.keys &&
      area.arrowKeys === undefined &&
      !frames.some(({ channels }) => channels.some(({ signal }) => signal.of === 'focus' || 'focus' in signal))
    )
      return
    for (const place of scene.places) {
      const focused = sample.phase === 'focus' && place.boxes.some((box) => holdsOwn(box, sample.x, sample.y))
      if (focused !== place.presence.focused) {
        place.presence.focused = focused
        touch(scene, place)
        followLooks(scene, place, at)
        replay(place, at)
      }
      if (sample.phase === 'focus') focusZones(scene, place, at, sample.x, sample.y)
    }
  } else if (area.touch === 'tap' && sample.pointerType === 'touch' && at.pointer.isTap) {
    // A tap turns on the places that had the finger; a tap elsewhere ends that.
    for (const place of scene.places) {
      if (place.presence.inside === place.presence.look.tapped) continue
      place.presence.look.tapped = place.presence.inside
      touch(scene, place)
      followLooks(scene, place, at)
    }
  }
}

/** Takes what is due in the looks of a scene up to `until` (ms), the first one first. */
export function advanceLooks(scene: Scene, at: At, until: number): void {
  const { awake, plan } = scene
  if (!plan.area.looks) return
  for (let place = nextDue(awake, until); place; place = nextDue(awake, until)) {
    const due = place.presence.look.dueAt
    advanceFlows(awake, at, due)
    at.t = due
    if (takeDue(place.presence, plan.area.looks)) showLooks(scene, place, at)
  }
}

/** The place whose look is due first, by `until`. */
function nextDue(awake: readonly Place[], until: number): Place | undefined {
  let first: Place | undefined
  for (const place of awake) if (place.presence.look.dueAt <= (first?.presence.look.dueAt ?? until)) first = place
  return first
}
