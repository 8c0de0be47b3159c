// The state of one matched element while its rig is played: one follower a channel.
import { shapers } from '../curve/shapers'
import { followerAt, turnTo, valueAt, type Follower } from '../feel/follower'
import type { Box } from '../geometry/box'
import { rangeOf, readSignal } from '../signal/signal'
import type { Channel } from './rig'

/** What the followers need of a channel. */
export type PlayedChannel = Pick<Channel, 'signal' | 'away' | 'curve' | 'feel' | 'going' | 'group'>

/** The followers of one element, in the order of the rig's channels. */
export interface Play {
  readonly followers: readonly Follower[]
}

/** The value that a channel lies at before the pointer first comes. */
export function poseOf(channel: PlayedChannel): number {
  return shape(channel, channel.away.pose)
}

/** A play with every channel at its away pose, or at the value that `start` gives for its index. */
export function beginPlay(channels: readonly PlayedChannel[], start?: (index: number) => number | undefined): Play {
  return { followers: channels.map((channel, index) => followerAt(start?.(index) ?? poseOf(channel))) }
}

/**
 * Turns every channel to what the pointer at (x, y) inside `box` asks for at `t` (ms).
 * With reduced motion only light answers.
 */
export function meetPointer(play: Play, channels: readonly PlayedChannel[], box: Box, x: number, y: number, t: number, reducedMotion = false): void {
  for (let i = 0; i < channels.length; i++) {
    const channel = channels[i]
    const follower = play.followers[i]
    if (!channel || !follower || (reducedMotion && channel.group !== 'light')) continue
    const reading = readSignal(channel.signal, box, x, y)
    turnTo(follower, shape(channel, reading), channel.feel, spanOf(channel), t)
  }
}

/** Turns every channel to its away pose at `t` (ms); one that holds stays where its target is. */
export function leavePointer(play: Play, channels: readonly PlayedChannel[], t: number): void {
  for (let i = 0; i < channels.length; i++) {
    const channel = channels[i]
    const follower = play.followers[i]
    if (!channel || !follower || channel.away.kind === 'hold') continue
    turnTo(follower, poseOf(channel), channel.going ?? channel.feel, spanOf(channel), t)
  }
}

/** The value of the channel with this index at `t`. */
export function channelValue(play: Play, index: number, t: number): number {
  const follower = play.followers[index]
  return follower ? valueAt(follower, t) : 0
}

/** Whether all channels rest at `t`. */
export function isAtRest(play: Play, t: number): boolean {
  for (const follower of play.followers) if (t < follower.restsAt) return false
  return true
}

function spanOf(channel: PlayedChannel): number {
  const [least, greatest] = channel.curve ? shapers.stops.range(channel.curve) : rangeOf(channel.signal)
  return greatest - least
}

/** The signal through the channel's curve. */
function shape({ curve }: PlayedChannel, reading: number): number {
  return curve ? shapers.stops.valueAt(curve, reading) : reading
}
