// The channels of one frame of reference while they are played.
import { rangeOfCurve, valueOnCurve } from '../curve/curve'
import type { Chain } from '../feel/chain'
import type { Feel } from '../feel/feel'
import { followerAt, placeAt, restBand, rests, turnTo, valueAt, type Follower } from '../feel/follower'
import { toFrame, type Frame } from '../geometry/frame'
import type { Insets } from '../geometry/insets'
import type { At, Memory, Presence } from '../signal/reader'
import { pxOfShare } from '../signal/position'
import { readers } from '../signal/readers'
import { isZone } from '../signal/signal'
import { isBySize } from '../signal/size'
import type { ChannelPlan } from './plan'
import type { Timing } from './rig'
import { chains } from './chains'
import { beginPath, endPath, onPath, pathOf, type Path } from './path'

/** What the followers need of a channel. */
export type Followed = Pick<
  ChannelPlan,
  'id' | 'signal' | 'away' | 'curve' | 'feel' | 'going' | 'timing' | 'chain' | 'group' | 'seenBy' | 'inFrames'
>

/** One channel while it is played. */
export interface ChannelState extends Memory {
  reading: number
  readonly own: Follower
  readonly follower: Follower
  /** Where it is heard at frames alone: what it turns to with the next one. */
  next: { readonly target: number; readonly feel: Feel } | undefined
  /** Where it is a chain; where it is a path. */
  readonly chain: Chain | undefined
  readonly path: Path | undefined
  /** How far its values go apart, by which rest is judged. */
  readonly span: number
}

/** One frame of reference with its channels. */
export interface Play {
  readonly channels: readonly Followed[]
  readonly states: readonly ChannelState[]
  readonly frame: Frame
  /** That of the area. */
  readonly area: Frame
  readonly presence: Presence
  /** The area's insets, where the frame is the area. */
  readonly insets: Insets | undefined
  zones: readonly Frame[]
  /** The frames of what signals ask whether the pointer is on it, by selector. */
  met: ReadonlyMap<string, readonly Frame[]>
  /** The frames of what chooses a zone as it gets the focus. */
  focusable: readonly Frame[]
  /** Which of the elements of its frame in the same place this is. */
  index: number
  /** The indexes of the channels whose signals change by themselves. */
  readonly flowing: readonly number[]
}

/** The value that a channel lies at before the pointer first comes. */
export function poseOf(channel: Pick<Followed, 'signal' | 'away' | 'curve'>): number {
  return shape(channel, channel.signal.of === 'look' ? channel.signal.values.off : channel.away.pose)
}

/** How far the values of a channel go apart, by which rest is judged. */
export function spanOf({ curve, signal }: Pick<Followed, 'signal' | 'curve'>): number {
  if (!curve) return readers[signal.of].span(signal) || 1
  const [least, greatest] = rangeOfCurve(curve)
  return greatest - least || 1
}

/** A play with every channel at its away pose, or at the value that `start` gives for its index. */
export function beginPlay(
  channels: readonly Followed[],
  frame: Frame,
  area: Frame,
  presence: Presence,
  insets: Insets | undefined,
  start?: (index: number) => number | undefined,
): Play {
  const states = channels.map((channel, index): ChannelState => {
    const value = start?.(index) ?? poseOf(channel)
    const span = spanOf(channel)
    const path = pathOf(channel.signal, channel.chain, frame)
    const chain = channel.chain && !path ? chains.begin(value, channel.chain, channel.feel, restBand * span) : undefined
    const { signal } = channel
    const reading = 'first' in signal ? (signal.first ?? NaN) : NaN
    if (Number.isFinite(reading)) presence.zones.set(channel.id, reading)
    return { reading, turn: 0, turnedTo: NaN, next: undefined, own: followerAt(0), follower: followerAt(value), chain, path, span }
  })
  const flowing = [...channels.keys()].filter(
    (index) => !states[index]?.path && Boolean(channels[index] && readers[channels[index].signal.of].due),
  )
  return { channels, states, frame, area, presence, insets, zones: [], met: new Map(), focusable: [], index: 0, flowing }
}

/** Turns a channel to `reading` at `at.t`. */
export function turnChannel(channel: Followed, state: ChannelState, reading: number, feel: Feel, at: At): void {
  if (!Number.isFinite(reading)) return
  const { t } = at
  const start = reading === state.reading ? NaN : (readers[channel.signal.of].start?.(channel.signal, at) ?? NaN)
  if (!Number.isNaN(start) && rests(state.follower, t)) placeAt(state.follower, shape(channel, start))
  state.reading = reading
  if (isZone(channel.signal)) at.presence.zones.set(channel.id, reading)
  const target = shape(channel, reading)
  if (channel.inFrames) state.next = { target, feel }
  else if (state.chain) chains.turn(state.chain, target, feel, t)
  else turnTo(state.follower, target, feel, state.span, t)
}

/** Shows a frame at `t`: what is heard at frames alone turns now. */
export function showFrame({ states }: Play, t: number): void {
  for (const { next, follower, span } of states) if (next) turnTo(follower, next.target, next.feel, span, t)
}

/** Points `at` at the play's frame. */
export function aim(at: At, play: Play): void {
  at.frame = play.frame
  at.area = play.area
  at.presence = play.presence
  at.insets = play.insets
  at.zones = play.zones
  at.met = play.met
  at.index = play.index
  toFrame(play.frame, at.pointer.x, at.pointer.y, at.point)
}

/**
 * Turns every channel to what the pointer asks for at `at.t`, while it is there. `arrives`: it has just come, so that what
 * nobody sees yet starts at the pointer.
 */
export function meetPlay(play: Play, at: At, arrives: boolean): void {
  aim(at, play)
  for (let i = 0; i < play.channels.length; i++) {
    const channel = play.channels[i]
    const state = play.states[i]
    if (!channel || !state) continue
    if (state.path) {
      if (arrives) beginPath(state.path, at.pointer, at.t)
      continue
    }
    const reading = readers[channel.signal.of].read(channel.signal, at, state)
    const seenBy = channel.seenBy === undefined ? undefined : play.states[channel.seenBy]
    if (arrives && seenBy && valueAt(seenBy.follower, at.t) === 0) {
      if (state.chain) chains.place(state.chain, shape(channel, reading))
      else placeAt(state.follower, shape(channel, reading))
    }
    turnChannel(channel, state, reading, feelOf(channel, at), at)
  }
}

/** Turns every channel to its away pose at `at.t`; one that holds or lets go stays where its target is. */
export function leavePlay(play: Play, at: At): void {
  aim(at, play)
  for (let i = 0; i < play.channels.length; i++) {
    const channel = play.channels[i]
    const state = play.states[i]
    if (!channel || !state) continue
    if (state.path) endPath(state.path, at.t)
    const { signal, going, feel } = channel
    if (staysAway(channel, play)) continue
    turnChannel(channel, state, awayReading(channel, at, state), signal.of === 'look' ? feelOf(channel, at) : (going ?? feel), at)
  }
}

/** Whether a channel stays where it is while the pointer is away. */
const staysAway = ({ away }: Followed, { presence }: Play): boolean =>
  away.kind !== 'settle' || (away.byFinger === 'hold' && presence.leftByFinger)

/** What a channel reads while the pointer is away. */
function awayReading({ signal, away }: Followed, at: At, state: ChannelState): number {
  if (away.isShare && (signal.of === 'xPx' || signal.of === 'yPx')) return pxOfShare(signal, away.pose, at)
  const own = readers[signal.of].away
  return own ? own(signal, at, state) : away.pose
}

/** Turns what hangs on sizes alone to what it is at `at.t`; before the pointer first comes it lies there (`begins`). */
export function followSizes(play: Play, at: At, begins = false): void {
  if (!play.channels.some(isBySize)) return
  aim(at, play)
  play.channels.forEach((channel, i) => {
    const state = play.states[i]
    if (!state || !isBySize(channel) || (staysAway(channel, play) && !(begins && channel.away.isShare))) return
    const reading = awayReading(channel, at, state)
    if (!begins) turnChannel(channel, state, reading, channel.going ?? channel.feel, at)
    else if (Number.isFinite(reading) && !state.chain) placeAt(state.follower, shape(channel, reading))
  })
}

/** The value of a channel at `t`; of one link, where it is a chain. */
export function channelValue(play: Play, index: number, t: number, link?: number): number {
  const state = play.states[index]
  if (!state) return 0
  if (state.path) return onPath(state.path, link ?? 0, t) ?? state.follower.target
  return link !== undefined && state.chain ? chains.value(state.chain, link, t) : valueAt(state.follower, t)
}

const noTiming: readonly Timing[] = []

/** The feel by which a channel follows now. */
function feelOf(channel: Followed, { presence: { look } }: At): Feel {
  if (channel.signal.of !== 'look') return channel.feel
  for (const { from, to, feel } of channel.timing ?? noTiming)
    if (to === look.shown && (from === 'any' || from === look.before)) return feel
  return look.shown === 'off' ? (channel.going ?? channel.feel) : channel.feel
}

/** The signal through the channel's curve. */
export function shape({ curve }: Pick<Followed, 'curve'>, reading: number): number {
  return curve ? valueOnCurve(curve, reading) : reading
}
