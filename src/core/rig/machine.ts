// The hover looks of an area's places: what turns them, and when.
import { turnLook, type LookEvent } from '../look/look'
import type { Presence } from '../signal/reader'
import type { Looks } from './rig'

/** Takes an event to a place's machine at `t` (ms), with what follows at once; gives whether what is shown changed. */
function turn(presence: Presence, { goDelayMs, stillMs }: Looks, event: LookEvent, t: number): boolean {
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
function follow(presence: Presence, looks: Looks, buttons: number, t: number): boolean {
  const { look } = presence
  const isCaused = presence.inside || presence.focused || look.tapped
  let changed = turn(presence, looks, isCaused ? 'come' : 'go', t)
  if (presence.inside) changed = turn(presence, looks, buttons ? 'press' : 'release', t) || changed
  if (look.state === 'still' && presence.anchorAt + (looks.stillMs ?? 0) > t) changed = turn(presence, looks, 'move', t) || changed
  return changed
}

/** Takes what is due: the end of a delay, or of standing still. Gives whether what is shown changed. */
function advance(presence: Presence, looks: Looks): boolean {
  const { dueAt, state } = presence.look
  presence.look.dueAt = Infinity
  return turn(presence, looks, state === 'going' ? 'due' : 'rest', dueAt)
}

export const machine = { turn, follow, advance }
