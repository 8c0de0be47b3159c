// The engine: samples in, states of all effects out. Time goes by events alone, so values depend on the trace and on
// nothing else.
import { emptyFrame } from '../geometry/frame'
import { movePointer, newPointer, type Pointer } from '../signal/pointer'
import type { At } from '../signal/reader'
import { nudge } from './arrow-keys'
import type { Sample } from '../signal/sample'
import { followTrack } from '../signal/track'
import { followSizes } from './play'
import { newPresence, type Scene } from './place'
import { advanceScene, meetScene } from './scene'

export interface Engine {
  readonly scenes: readonly Scene[]
  readonly pointer: Pointer
  readonly at: At
  /** Up to when all has been played, ms. */
  time: number
}

export function newEngine(scenes: readonly Scene[]): Engine {
  const pointer = newPointer()
  const at: At = {
    t: 0,
    pointer,
    presence: newPresence(),
    frame: emptyFrame(),
    area: emptyFrame(),
    insets: undefined,
    point: { x: 0, y: 0 },
    zones: [],
    met: new Map(),
    others: undefined,
    index: 0,
  }
  return { scenes, pointer, at, time: -Infinity }
}

/**
 * Hears a sample. One that is older than what has been played counts now; one without a finite time is not heard. One of
 * phase `scroll` has no point of its own: it counts where the pointer is.
 */
export function hear(engine: Engine, sample: Sample): void {
  const { pointer, scenes } = engine
  if (!Number.isFinite(sample.t)) return
  const t = Math.max(sample.t, engine.time)
  playUntil(engine, t)
  if (sample.phase === 'scroll') {
    engine.at.t = t
    for (const { places } of scenes)
      for (const { plays, presence } of places) if (!presence.inside) for (const play of plays) followSizes(play, engine.at)
    if (!pointer.present) return
  }
  const heard = sample.phase === 'scroll' ? { ...sample, t, x: pointer.x, y: pointer.y, buttons: pointer.buttons } : { ...sample, t }
  take(engine, heard)
  const moved = nudge(scenes, pointer, heard)
  if (moved) take(engine, moved)
  if (moved && moved.phase !== 'leave') pointer.isByKeys = true
}

/** Takes a sample to the pointer, and to all that hears it. */
function take({ at, pointer, scenes }: Engine, sample: Sample): void {
  followTrack(pointer, sample)
  movePointer(pointer, sample)
  for (const scene of scenes) meetScene(scene, sample, at)
}

/** Something moved under the pointer at `t` (ms): what it stands on is met afresh. */
export const hearAgain = (engine: Engine, t: number): void =>
  hear(engine, { t, x: 0, y: 0, buttons: 0, pointerType: 'mouse', phase: 'scroll' })

/** Plays what happens by itself up to `until` (ms). */
export function playUntil(engine: Engine, until: number): void {
  const { at, scenes } = engine
  engine.time = Math.max(until, engine.time)
  for (const scene of scenes) advanceScene(scene, at, engine.time)
  at.t = engine.time
}
