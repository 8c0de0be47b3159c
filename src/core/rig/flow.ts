// Channels whose signals change by themselves between events: speed, *here*, what was, the time, standing still.
import type { At } from '../signal/reader'
import { readers } from '../signal/readers'
import { aim, turnChannel, type Followed, type Play } from './play'

/** How much of a pause is followed instant by instant where a signal never ends, ms. */
const longestGapMs = 5000

/** Whether the signal goes on now: while the pointer is there, or where it knows its way to being away. */
function isFlowing(channel: Followed, play: Play): boolean {
  const { due, away } = readers[channel.signal.of]
  return !!due && (play.presence.inside || (!!away && channel.away.kind === 'settle'))
}

/** Takes the channels of a play from `at.t` up to `until` (ms), instant by instant. */
function advance(play: Play, at: At, until: number): void {
  const start = at.t
  for (const i of play.flowing) {
    const channel = play.channels[i]
    const state = play.states[i]
    if (!channel || !state || !isFlowing(channel, play)) continue
    const { due, read, away, isEndless } = readers[channel.signal.of]
    aim(at, play)
    const reads = play.presence.inside || !away ? read : away
    const feel = play.presence.inside ? channel.feel : (channel.going ?? channel.feel)
    for (let next = due?.(channel.signal, at, state) ?? Infinity; next <= until; next = due?.(channel.signal, at, state) ?? Infinity) {
      at.t = isEndless ? Math.max(next, until - longestGapMs) : next
      turnChannel(channel, state, reads(channel.signal, at, state), feel, at)
    }
    at.t = start
  }
}

/** Takes the channels of these places up to `until` (ms). */
export function advanceFlows(places: readonly { readonly plays: readonly Play[] }[], at: At, until: number): void {
  for (const { plays } of places) for (const play of plays) advance(play, at, until)
}
