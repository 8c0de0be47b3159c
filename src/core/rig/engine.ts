// The engine: samples in, states of all figures out. Time goes by events alone, so values depend on the trace and on
// nothing else; a sample that comes late counts at its own time all the same.
import { emptyFrame } from '../geometry/frame'
import { movePointer, newPointer, type Pointer } from '../signal/pointer'
import type { At } from '../signal/reader'
import { isPresent, type Sample } from '../signal/sample'
import { features } from './features'
import { newPresence, type Hit, type Kept, type Place, type Scene } from './place'
import { advanceScene, leaveScene, meetScene, settleScene } from './scene'

/** As good as at once, ms. */
const soonMs = 1e-6

/** How late a sample may come and still count at its own time, ms. */
export const windowMs = 64

/** A sample, and what the page found under it. */
interface Heard<Found> {
  readonly sample: Sample
  found: Found | undefined
}

export interface Engine<Found> {
  readonly scenes: Scene[]
  readonly pointer: Pointer
  readonly at: At
  /** The last samples in order of time, in a store that is used again; the first `count` count, `next` is yet to be played. */
  readonly heard: Heard<Found>[]
  count: number
  next: number
  /** The time of the newest sample, and up to when all has been played, ms. */
  newest: number
  time: number
  /** The newest sample of the pointer itself: where it stands. */
  readonly standing: Sample
  /** What is heard when something moved under the pointer. */
  readonly again: Sample
  /** A late sample's time; Infinity while none has come. */
  backTo: number
  /** How many samples came later than that, and were taken at the edge of the window. */
  tooLate: number
  readonly keptPointer: readonly Kept[]
  newerAt: number
  olderAt: number
  /** What to do with a figure that throws: it is no longer played. */
  readonly onFail: (scene: Scene, error: unknown) => void
  /** What only the page knows of a sample's point. */
  readonly hitOf: (scene: Scene, sample: Sample, found: Found | undefined) => Hit
}

export function newEngine<Found>(scenes: Scene[], hitOf: Engine<Found>['hitOf'], onFail: Engine<Found>['onFail']): Engine<Found> {
  const pointer = newPointer(features.tracking?.newTrack())
  const at: At = { t: 0, pointer, presence: newPresence(), frame: emptyFrame(), insets: undefined, point: { x: 0, y: 0 }, zones: [], others: undefined, reducedMotion: false }
  return { scenes, pointer, at, heard: [], count: 0, next: 0, newest: -Infinity, time: -Infinity, standing: { t: -Infinity, x: 0, y: 0, buttons: 0, pointerType: 'mouse', phase: 'leave' }, again: { t: 0, x: 0, y: 0, buttons: 0, pointerType: 'mouse', phase: 'scroll' }, backTo: Infinity, tooLate: 0, keptPointer: features.late ? [features.late.keep(pointer)] : [], newerAt: -Infinity, olderAt: -Infinity, onFail, hitOf }
}

/**
 * Hears a sample, to be played with the next `playUntil`. One that is older than the newest counts at its own time, up to
 * 64 ms back; an older one counts there. A sample without a finite time is not heard. One of phase `scroll` has no point
 * of its own: it counts where the pointer is at its time, also when a sample from before it is heard later.
 */
export function hear<Found>(engine: Engine<Found>, sample: Sample, found?: Found): void {
  if (!Number.isFinite(sample.t)) return
  const { heard } = engine
  const edge = features.late ? Math.max(engine.newest, engine.time) - windowMs : engine.newest
  if (sample.t < Math.max(engine.newest, engine.time) - windowMs) engine.tooLate++
  // Behind the last state that there is to go back to.
  const t = Math.max(sample.t, edge, engine.olderAt + soonMs)
  engine.newest = Math.max(engine.newest, t)
  // The place in the order of time, behind those of the same time.
  const slot = heard[engine.count] ?? { sample: { ...sample }, found }
  let i = engine.count++
  for (; i > 0 && (heard[i - 1]?.sample.t ?? t) > t; i--) heard[i] = heard[i - 1] ?? slot
  heard[i] = slot
  copySample(slot.sample, sample)
  slot.sample.t = t
  slot.found = found
  if (sample.phase !== 'focus' && sample.phase !== 'blur' && sample.phase !== 'scroll' && t >= engine.standing.t) copySample(engine.standing, slot.sample)
  if (i < engine.next || t < engine.time) engine.backTo = Math.min(engine.backTo, t)
  if (i < engine.next) engine.next++
}

function copySample(to: Sample, from: Sample): void {
  to.t = from.t
  to.x = from.x
  to.y = from.y
  to.buttons = from.buttons
  to.pointerType = from.pointerType
  to.phase = from.phase
}

/** Something moved under the pointer at `t` (ms): what it stands on is met afresh. Gives whether it stands on the page at all. */
export function hearAgain<Found>(engine: Engine<Found>, t: number): boolean {
  const { standing, again } = engine
  if (!isPresent(standing)) return false
  again.t = Math.max(t, standing.t)
  again.pointerType = standing.pointerType
  hear(engine, again)
  return true
}

/** Plays what was heard, and what happens by itself, up to `until` (ms) or the newest sample, whichever is later. Gives that time. */
export function playUntil<Found>(engine: Engine<Found>, until: number): number {
  const { heard, at, pointer } = engine
  if (engine.backTo < Infinity) features.late?.goBack(engine)
  for (; engine.next < engine.count; engine.next++) {
    const each = heard[engine.next]
    if (!each) continue
    const { sample } = each
    if (sample.phase === 'scroll') {
      if (!pointer.present) continue
      sample.x = pointer.x
      sample.y = pointer.y
      sample.buttons = pointer.buttons
    }
    advanceScenes(engine, sample.t)
    features.tracking?.follow(pointer, sample)
    movePointer(pointer, sample)
    at.t = sample.t
    for (let i = engine.scenes.length - 1; i >= 0; i--) {
      const scene = engine.scenes[i]
      if (!scene) continue
      try {
        meetScene(scene, sample, at, engine.hitOf(scene, sample, each.found))
      } catch (error) {
        fail(engine, scene, error)
      }
    }
  }
  const time = Math.max(until, engine.newest, engine.time)
  advanceScenes(engine, time)
  engine.time = time
  if (!features.late) engine.count = engine.next = 0
  else if (time - engine.newerAt > windowMs) features.late.keepAll(engine)
  return time
}

/** Puts to sleep what rests now; to be called once the values are written. Gives whether anything goes on moving. */
export function settle<Found>({ scenes, at, time }: Engine<Found>, onSettle?: (scene: Scene, place: Place) => void): boolean {
  let isMoving = false
  at.t = time
  for (const scene of scenes) {
    settleScene(scene, at, onSettle)
    if (scene.awake.length > 0) isMoving = true
  }
  return isMoving
}

/** Lets every place go to its away pose from `t` (ms) on, with nothing before that to go back to. */
export function leaveAll<Found>(engine: Engine<Found>, t: number): void {
  for (const scene of engine.scenes) leaveScene(scene, engine.at, t)
  engine.count = engine.next = 0
  engine.time = t
  features.late?.forgetAll(engine)
}

/** Takes a figure out that cannot be played. */
export function fail<Found>(engine: Engine<Found>, scene: Scene, error: unknown): void {
  const i = engine.scenes.indexOf(scene)
  if (i >= 0) engine.scenes.splice(i, 1)
  engine.onFail(scene, error)
}

function advanceScenes<Found>(engine: Engine<Found>, until: number): void {
  const { scenes, at } = engine
  for (let i = scenes.length - 1; i >= 0; i--) {
    const scene = scenes[i]
    if (!scene || scene.awake.length === 0) continue
    try {
      advanceScene(scene, at, until)
    } catch (error) {
      fail(engine, scene, error)
    }
  }
  at.t = until
}
