// The hover state machine: which look an element shows, as a table of states and events.

/** What is shown; judged in the order pressed, still, on, off. */
export const lookNames = ['off', 'on', 'pressed', 'still'] as const
export type Look = (typeof lookNames)[number]

/** `going` still shows what was shown, until its delay is over. */
export type LookStateName = Look | 'going'

/**
 * `come`: the first cause to be on (the pointer inside, the focus, a tap); `go`: the last one gone. `press`, `release`: a button.
 * `rest`: the pointer has stood still for long enough; `move`: it went on. `due`: the delay of going is over.
 * `dismiss`: put off at once (Escape, or another one of its group).
 */
export type LookEvent = 'come' | 'go' | 'press' | 'release' | 'rest' | 'move' | 'due' | 'dismiss'

/** What an event makes of a state; what is not named changes nothing. */
export const lookTable: { readonly [state in LookStateName]: { readonly [event in LookEvent]?: LookStateName } } = {
  off: { come: 'on' },
  on: { go: 'going', press: 'pressed', rest: 'still', dismiss: 'off' },
  still: { go: 'going', press: 'pressed', move: 'on', dismiss: 'off' },
  pressed: { go: 'going', release: 'on', dismiss: 'off' },
  going: { come: 'on', due: 'off', dismiss: 'off' },
}

/** The machine of one element. Times in ms. */
export interface LookState {
  state: LookStateName
  /** What is shown: the state, or while going what was shown before. */
  shown: Look
  /** What was shown before that. */
  before: Look
  /** When its delay of going is over, or it has stood still long enough; Infinity when it waits for nothing. */
  dueAt: number
  /** A tap turned it on. */
  tapped: boolean
  /** Escape put it off: what caused it has to go before it counts again. */
  dismissed: boolean
}

export function newLook(): LookState {
  return { state: 'off', shown: 'off', before: 'off', dueAt: Infinity, tapped: false, dismissed: false }
}

/** Takes an event; gives whether what is shown changed. */
export function turnLook(look: LookState, event: LookEvent): boolean {
  const next = lookTable[look.state][event]
  if (!next) return false
  look.state = next
  if (next === 'going' || next === look.shown) return false
  look.before = look.shown
  look.shown = next
  return true
}
