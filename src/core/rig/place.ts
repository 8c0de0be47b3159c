// The state of an effect while it is played: its places, and what happens at each.
import { holdsLocal, toFrame, type Frame } from '../geometry/frame'
import { newLook } from '../look/look'
import type { At, Presence } from '../signal/reader'
import { aim, leavePlay, meetPlay, turnChannel, type Play } from './play'
import type { AreaPlan } from './plan'
import type { Way } from './drops'

/** A place: one match of an area, or the whole of a group or the window. */
export interface Place {
  readonly presence: Presence
  /** The area's own frame, and all boxes that count as inside: its own, a group's members, what is bridged. */
  readonly frame: Frame
  readonly boxes: readonly Frame[]
  readonly plays: readonly Play[]
  /** Along which parts are dropped. */
  readonly ways: readonly Way[]
  /** Whether anything has happened there. */
  isAwake: boolean
}

export interface Scene {
  readonly plan: AreaPlan
  places: readonly Place[]
  /** What the pointer has to be on beyond a place's own box; undefined where that does not matter. */
  beyond?: readonly Frame[]
  /** Where the pointer is not there for it. */
  except?: readonly Frame[]
  /** The place that has the pointer, or had it last, as an index; -1 for none. */
  holder: number
  /** The places where something has happened. */
  readonly awake: Place[]
}

/** An effect before the pointer came, without places yet. */
export function newScene(plan: AreaPlan): Scene {
  return { plan, places: [], holder: -1, awake: [] }
}

/** A place where nothing has happened yet. */
export const newPlace = (
  presence: Presence,
  frame: Frame,
  boxes: readonly Frame[],
  plays: readonly Play[],
  ways: readonly Way[] = [],
): Place => ({ presence, frame, boxes, plays, ways, isAwake: false })

export function newPresence(): Presence {
  return {
    inside: false,
    focused: false,
    leftByFinger: false,
    anchorX: 0,
    anchorY: 0,
    anchorAt: 0,
    entrySide: 0,
    exitSide: 0,
    entryX: 3,
    entryY: 0,
    exitX: 3,
    exitY: 0,
    zones: new Map(),
    look: newLook(),
  }
}

/** Whether a point of the window lies in a frame, whatever an area's insets. */
export function holdsOwn(frame: Frame, x: number, y: number): boolean {
  const point = { x: 0, y: 0 }
  toFrame(frame, x, y, point)
  return holdsLocal(frame, undefined, point)
}

/** Notes that something happens at a place. */
export function touch(scene: Scene, place: Place): void {
  if (!place.isAwake) scene.awake.push(place)
  place.isAwake = true
}

/** Turns the channels of a place to what it is now. `arrives`: the pointer has just come. */
export function replay({ plays, presence }: Place, at: At, arrives = false): void {
  for (let i = 0; i < plays.length; i++) {
    const play = plays[i]
    if (play && presence.inside) meetPlay(play, at, arrives)
    else if (play) leavePlay(play, at)
  }
}

/** Takes the zones of a place to what has got the focus, at a point of the window; elsewhere they stay. */
export function focusZones(scene: Scene, place: Place, at: At, x: number, y: number): void {
  for (const play of place.plays) {
    const reading = play.focusable.findIndex((frame) => holdsOwn(frame, x, y))
    if (reading < 0) continue
    touch(scene, place)
    aim(at, play)
    play.channels.forEach((channel, i) => {
      const state = play.states[i]
      if (state && 'focus' in channel.signal && channel.signal.focus !== undefined) turnChannel(channel, state, reading, channel.feel, at)
    })
  }
}
