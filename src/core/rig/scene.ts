// A figure while it is played: its places, which of them have the pointer, and the channels that are read there.
import { holdsLocal, toFrame, type Frame, type Point } from '../geometry/frame'
import { newLook } from '../look/look'
import type { At, Presence } from '../signal/reader'
import { isPresent, type Sample } from '../signal/sample'
import { features } from './features'
import { keep, type Kept } from './kept'
import { advancePlay, leavePlay, meetPlay, playRests, type Play } from './play'
import type { PlayedFigure } from './played'

/** A place: one match of an area, or the whole of a group or the window. */
export interface Place {
  readonly presence: Presence
  /** The area's own frame, and all boxes that count as inside: its own, a group's members, what is bridged. */
  readonly frame: Frame
  readonly boxes: readonly Frame[]
  readonly plays: readonly Play[]
  /** Its state as it was, for samples that come late. */
  readonly kept: readonly Kept[]
  /** Whether it has anything to do before the next sample. */
  isAwake: boolean
  /** How often its state is still to be kept: twice after it was last touched. */
  untilKept: number
}

export interface Scene {
  readonly figure: PlayedFigure
  places: readonly Place[]
  /** The place that has the pointer, or had it last, as an index; -1 for none. */
  holder: number
  /** The places with something to do, and those whose state is not kept yet. */
  readonly awake: Place[]
  readonly touched: Place[]
}

/** A figure before the pointer came, without places yet. */
export function newScene(figure: PlayedFigure): Scene {
  return { figure, places: [], holder: -1, awake: [], touched: [] }
}

/** A place where nothing has happened yet. */
export function newPlace(presence: Presence, frame: Frame, boxes: readonly Frame[], plays: readonly Play[]): Place {
  const states = plays.flatMap((play) => play.states)
  const followers = states.flatMap(({ own, follower, chain }) => (chain ? [own, follower, chain, chain.gaps] : [own, follower]))
  return { presence, frame, boxes, plays, kept: [presence, presence.look, ...states, ...followers].map(keep), isAwake: false, untilKept: 0 }
}

export function newPresence(): Presence {
  return { inside: false, focused: false, anchorX: 0, anchorY: 0, anchorAt: 0, entrySide: 0, exitSide: 0, look: newLook() }
}

/** What only the page knows of the point of a sample. */
export interface Hit {
  /** Whether the element that was hit belongs to the place, or something foreign lies on top of it there. */
  readonly isIn: (place: Place) => boolean
  readonly isForeign: (place: Place) => boolean
  /** Whether it is a link or a control, which a tap is meant for. */
  readonly isLink: () => boolean
}

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
export function claim(scene: Scene, x: number, y: number, hit: Hit): number {
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

/** How far the pointer may go and still stand still, px. */
const stillPx = 3

/** Takes a sample, which `at.pointer` has taken already, to the places that have the pointer, and away from those that had it. */
export function meetScene(scene: Scene, sample: Sample, at: At, hit: Hit): void {
  const { figure, places } = scene
  if (sample.phase === 'focus' || sample.phase === 'blur') return meetFocus(scene, sample, at, hit)
  const counts = isPresent(sample) && (figure.area.pointer === 'any' || sample.pointerType !== 'touch')
  const isOne = figure.area.among === 'one'
  if (figure.area.touch === 'tap') tapPlaces(scene, sample, at, hit)
  const claimed = counts && isOne ? claim(scene, sample.x, sample.y, hit) : -1
  for (let i = 0; i < places.length; i++) {
    const place = places[i]
    if (!place) continue
    const isHeld = isOne ? i === claimed : counts && holds(place, scene, sample.x, sample.y) && (hit.isIn(place) || !hit.isForeign(place))
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
  followLooks(scene, place, at)
  for (let i = 0; i < place.plays.length; i++) {
    const play = place.plays[i]
    if (!play) continue
    if (isHeld) meetPlay(play, at, arrives)
    else leavePlay(play, at)
  }
}

/** Notes that something happens at a place. */
export function touch(scene: Scene, place: Place): void {
  if (place.untilKept === 0) scene.touched.push(place)
  place.untilKept = 2
  if (!place.isAwake) scene.awake.push(place)
  place.isAwake = true
}

/** Lets every place go to its away pose from `t` (ms) on. */
export function leaveScene(scene: Scene, at: At, t: number): void {
  at.t = t
  for (const place of scene.places) {
    place.presence.inside = false
    touch(scene, place)
    for (const play of place.plays) leavePlay(play, at)
  }
}

/** Brings the looks of a place in line with what is the case; a new one that comes on may put the others off. */
function followLooks(scene: Scene, place: Place, at: At): void {
  const { looks } = scene.figure.area
  if (!looks || !features.machine?.follow(place.presence, looks, at.pointer.buttons, at.t)) return
  showLooks(scene, place, at)
}

/** Tells a place that its look changed at `at.t`, and the other places of it. */
function showLooks(scene: Scene, place: Place, at: At): void {
  const { looks } = scene.figure.area
  const isOn = place.presence.look.shown !== 'off'
  const hasComeOn = isOn && place.presence.look.before === 'off'
  replay(place, at)
  for (const other of scene.places) {
    if (other === place || !looks) continue
    const isPutOff = looks.atMostOne && hasComeOn && features.machine?.turn(other.presence, looks, 'dismiss', at.t)
    if (isPutOff) other.presence.look.tapped = false
    at.others = isOn ? place.presence.look : undefined
    touch(scene, other)
    replay(other, at)
    at.others = undefined
  }
}

/** Turns the channels of a place to what it is now. */
function replay({ plays, presence }: Place, at: At): void {
  for (const play of plays) {
    if (presence.inside) meetPlay(play, at, false)
    else leavePlay(play, at)
  }
}

/** The focus came to, or left, what lies under the sample's point. */
function meetFocus(scene: Scene, sample: Sample, at: At, hit: Hit): void {
  const { places, figure } = scene
  if (!figure.area.looks?.keys && !figure.frames.some(({ channels }) => channels.some(({ signal }) => signal.of === 'focus'))) return
  for (const place of places) {
    const focused = sample.phase === 'focus' && hit.isIn(place)
    if (focused === place.presence.focused) continue
    place.presence.focused = focused
    touch(scene, place)
    followLooks(scene, place, at)
    replay(place, at)
  }
}

/** A tap turns on the place that had the finger, unless it was meant for a link; a tap elsewhere ends that. */
function tapPlaces(scene: Scene, sample: Sample, at: At, hit: Hit): void {
  if (sample.pointerType !== 'touch' || !at.pointer.isTap) return
  const tapped = hit.isLink() ? undefined : scene.places[scene.holder]
  for (const place of scene.places) {
    if ((place === tapped) === place.presence.look.tapped) continue
    place.presence.look.tapped = place === tapped
    touch(scene, place)
    followLooks(scene, place, at)
  }
}

/** Takes all that happens by itself up to `until` (ms), in the order of time. */
export function advanceScene(scene: Scene, at: At, until: number): void {
  const { awake, figure } = scene
  const { looks } = figure.area
  const start = at.t
  if (looks) {
    for (let place = nextDue(awake, until); place; place = nextDue(awake, until)) {
      const due = place.presence.look.dueAt
      advanceTo(scene, at, due)
      at.t = due
      if (features.machine?.advance(place.presence, looks)) showLooks(scene, place, at)
    }
  }
  advanceTo(scene, at, until)
  at.t = start
}

/** The place whose look is due first, by `until`. */
function nextDue(awake: readonly Place[], until: number): Place | undefined {
  let first: Place | undefined
  for (const place of awake) if (place.presence.look.dueAt <= (first?.presence.look.dueAt ?? until)) first = place
  return first
}

function advanceTo(scene: Scene, at: At, until: number): void {
  for (const place of scene.awake) {
    touch(scene, place)
    for (const play of place.plays) advancePlay(play, at, until)
  }
}

/** Puts to sleep the places where nothing will change after `at.t`; to be asked once their values are written. */
export function settleScene(scene: Scene, at: At): void {
  const { awake } = scene
  for (let i = awake.length - 1; i >= 0; i--) {
    const place = awake[i]
    if (!place || !placeRests(place, at)) continue
    place.isAwake = false
    const last = awake.pop()
    if (last && last !== place) awake[i] = last
  }
}

function placeRests({ plays, presence }: Place, at: At): boolean {
  if (presence.look.dueAt < Infinity) return false
  for (const play of plays) if (!playRests(play, at)) return false
  return true
}
