import { flowAll } from './flow'
import { pointer } from './pointer'
import { turnPlace } from './place'
import type { Effect, Feel, Look, Place, Value } from './types'

/** What an event makes of a hover state; what is not named changes nothing. `going` still shows what was shown. */
const states: Readonly<Record<Look['state'], Readonly<Record<string, Look['state']>>>> = {
  off: { come: 'on' },
  on: { go: 'going', press: 'pressed', rest: 'still', dismiss: 'off' },
  still: { go: 'going', press: 'pressed', move: 'on', dismiss: 'off' },
  pressed: { go: 'going', release: 'on', dismiss: 'off' },
  going: { come: 'on', due: 'off', dismiss: 'off' },
}

export const newLook = (): Look => ({ state: 'off', shown: 'off', before: 'off', dueAt: Infinity, tapped: false })

/** Takes an event to a state; tells whether what is shown changed. */
function change(look: Look, event: string): boolean {
  const next = states[look.state][event]
  if (!next) return false
  look.state = next
  if (next === 'going' || next === look.shown) return false
  look.before = look.shown
  look.shown = next
  return true
}

function turnLook({ looks }: Effect, place: Place, event: string, t: number): boolean {
  const { look } = place
  let changed = change(look, event)
  if (look.state === 'going') {
    if (event === 'go') look.dueAt = t + (looks?.goDelayMs ?? 0)
    if (look.dueAt <= t) changed = change(look, 'due') || changed
  }
  if (look.state === 'on') look.dueAt = looks?.stillMs && place.isOn ? Math.max(t, place.stood.t + looks.stillMs) : Infinity
  else if (look.state !== 'going') look.dueAt = Infinity
  return changed
}

/** Brings the look of a place in line with the pointer, its buttons, the focus and taps. */
export function followCauses(effect: Effect, place: Place, t: number): void {
  const { look, isOn, stood } = place
  const events = [isOn || place.focused || look.tapped ? 'come' : 'go', ...(isOn ? [pointer.buttons ? 'press' : 'release'] : [])]
  let changed = events.map((event) => turnLook(effect, place, event, t)).includes(true)
  if (look.state === 'still' && stood.t + (effect.looks?.stillMs ?? 0) > t) changed = turnLook(effect, place, 'move', t) || changed
  if (changed) show(effect, place, t)
}

/** Follows a look that has changed, in its place and in the others; where one at most is on, the others go off. */
function show(effect: Effect, place: Place, t: number): void {
  const { look } = place
  turnPlace(effect, place, t, false)
  for (const other of effect.places.values()) {
    if (other.area === place.area) continue
    if (effect.looks?.atMostOne && look.shown !== 'off' && look.before === 'off' && turnLook(effect, other, 'dismiss', t)) other.look.tapped = false
    turnPlace(effect, other, t, false, look.shown === 'off' ? undefined : look)
  }
}

/** Takes what is due by itself until t, the first one first: the end of a delay, or of standing still. Gives when that was last. */
export function advanceLooks(effect: Effect, from: number, until: number): number {
  for (let at = from; ; ) {
    const due = [...effect.places.values()].reduce<Place | undefined>((first, place) => (place.look.dueAt <= (first?.look.dueAt ?? until) ? place : first), undefined)
    if (!due) return at
    const t = due.look.dueAt
    flowAll(effect, at, t)
    at = t
    due.look.dueAt = Infinity
    if (turnLook(effect, due, due.look.state === 'going' ? 'due' : 'rest', t)) show(effect, due, t)
  }
}

/** The feel for the way from the look before to the one that is shown. */
export function feelByLook({ timing, feel, going }: Value, { look }: Place): Feel {
  const own = timing?.find(([from, to]) => to === look.shown && (from === 'any' || from === look.before))
  return own ? own[2] : look.shown === 'off' ? (going ?? feel) : feel
}
