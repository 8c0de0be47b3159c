import type { Feel, Look, Place, Value } from './types'

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
export function change(look: Look, event: string): boolean {
  const next = states[look.state][event]
  if (!next) return false
  look.state = next
  if (next === 'going' || next === look.shown) return false
  look.before = look.shown
  look.shown = next
  return true
}

/** The feel for the way from the look before to the one that is shown. */
export function feelByLook({ timing, feel, going }: Value, { look }: Place): Feel {
  const own = timing?.find(([from, to]) => to === look.shown && (from === 'any' || from === look.before))
  return own ? own[2] : look.shown === 'off' ? (going ?? feel) : feel
}
