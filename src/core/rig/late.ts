// Samples that come late: the state is kept every so often, and played again from before the late sample on.
import type { Engine } from './engine'
import { touch, type Kept } from './place'

/** A record that is kept from now on. */
const keep = (live: object): Kept => ({ live, newer: copyOf(live), older: copyOf(live) })

const copyOf = (live: object): object => (Array.isArray(live) ? [...(live as unknown[])] : { ...live })

/** Makes the newer copies the older ones, and the live state the newer ones. */
function keepStates(records: readonly Kept[]): void {
  for (const { live, newer, older } of records) {
    Object.assign(older, newer)
    Object.assign(newer, live)
  }
}

/** Takes the live state back to the newer or the older copies; older ones become both. */
function restoreStates(records: readonly Kept[], isNewer: boolean): void {
  for (const { live, newer, older } of records) {
    if (!isNewer) Object.assign(newer, older)
    Object.assign(live, newer)
  }
}

/** Keeps the state of all that was touched, and forgets the samples that no late one can come before. */
function keepAll<Found>(engine: Engine<Found>): void {
  keepStates(engine.keptPointer)
  for (const { touched } of engine.scenes) {
    let left = 0
    for (const place of touched) {
      keepStates(place.kept)
      if (--place.untilKept > 0) touched[left++] = place
    }
    touched.length = left
  }
  engine.olderAt = engine.newerAt
  engine.newerAt = engine.time
  forget(engine)
}

/** Rotates the store: the samples up to the older copies are free to be used again. */
function forget<Found>(engine: Engine<Found>): void {
  const { heard } = engine
  let gone = 0
  while (gone < engine.next && (heard[gone]?.sample.t ?? Infinity) <= engine.olderAt) gone++
  if (gone === 0) return
  for (let i = 0; i + gone < heard.length; i++) {
    const free = heard[i]
    const used = heard[i + gone]
    if (!free || !used) continue
    heard[i] = used
    heard[i + gone] = free
  }
  engine.count -= gone
  engine.next -= gone
}

/** Goes back to the last kept state before the late sample, so that all since is played again. */
function goBack<Found>(engine: Engine<Found>): void {
  // A copy holds what was heard up to its time; one of that very time came after it.
  const isNewer = engine.newerAt < engine.backTo
  restoreStates(engine.keptPointer, isNewer)
  for (const scene of engine.scenes) {
    for (const place of scene.touched) {
      restoreStates(place.kept, isNewer)
      touch(scene, place)
    }
    scene.holder = scene.places.findIndex(({ presence }) => presence.inside)
  }
  if (!isNewer) engine.newerAt = engine.olderAt
  engine.time = engine.at.t = engine.newerAt
  engine.backTo = Infinity
  engine.next = 0
  while ((engine.heard[engine.next]?.sample.t ?? Infinity) <= engine.newerAt && engine.next < engine.count) engine.next++
}

/** Makes the present state the only one that there is to go back to. */
function forgetAll<Found>(engine: Engine<Found>): void {
  engine.newerAt = engine.olderAt = engine.time
  for (const records of [engine.keptPointer, ...engine.scenes.flatMap(({ places }) => places.map(({ kept }) => kept))]) {
    keepStates(records)
    keepStates(records)
  }
}

export const late = { keep, keepAll, goBack, forgetAll }
