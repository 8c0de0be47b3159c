// The state of a figure while it is played: its places, and what happens at each.
import type { Frame } from '../geometry/frame'
import { newLook } from '../look/look'
import type { At, Presence } from '../signal/reader'
import { leavePlay, meetPlay, type Play } from './play'
import type { PlayedFigure } from './played'

/** A record of the state with two copies of it, the older one from before any sample that may still come. */
export interface Kept {
  readonly live: object
  readonly newer: object
  readonly older: object
}

/** A place: one match of an area, or the whole of a group or the window. */
export interface Place {
  readonly presence: Presence
  /** The area's own frame, and all boxes that count as inside: its own, a group's members, what is bridged. */
  readonly frame: Frame
  readonly boxes: readonly Frame[]
  readonly plays: readonly Play[]
  /** Its state as it was, for samples that come late. */
  readonly kept: readonly Kept[]
  /** Whether it has anything to do before the next sample. */
  isAwake: boolean
  /** How often its state is still to be kept: twice after it was last touched. */
  untilKept: number
}

export interface Scene {
  readonly figure: PlayedFigure
  places: readonly Place[]
  /** The place that has the pointer, or had it last, as an index; -1 for none. */
  holder: number
  /** The places with something to do, and those whose state is not kept yet. */
  readonly awake: Place[]
  readonly touched: Place[]
}

/** A figure before the pointer came, without places yet. */
export function newScene(figure: PlayedFigure): Scene {
  return { figure, places: [], holder: -1, awake: [], touched: [] }
}

/** A place where nothing has happened yet. `keep` makes a record of a part of its state, where samples may come late. */
export function newPlace(presence: Presence, frame: Frame, boxes: readonly Frame[], plays: readonly Play[], keep?: (live: object) => Kept): Place {
  const states = plays.flatMap((play) => play.states)
  const followers = states.flatMap(({ own, follower, chain }) => (chain ? [own, follower, chain, chain.gaps] : [own, follower]))
  return { presence, frame, boxes, plays, kept: keep ? [presence, presence.look, ...states, ...followers].map(keep) : [], isAwake: false, untilKept: 0 }
}

export function newPresence(): Presence {
  return { inside: false, focused: false, anchorX: 0, anchorY: 0, anchorAt: 0, entrySide: 0, exitSide: 0, entryX: 3, entryY: 0, exitX: 3, exitY: 0, look: newLook() }
}

/** What only the page knows of the point of a sample. */
export interface Hit {
  /** Whether the element that was hit belongs to the place, or something foreign lies on top of it there. */
  readonly isIn: (place: Place) => boolean
  readonly isForeign: (place: Place) => boolean
  /** Whether it is a link or a control, which a tap is meant for. */
  readonly isLink: () => boolean
}

/** Notes that something happens at a place. */
export function touch(scene: Scene, place: Place): void {
  if (place.untilKept === 0) scene.touched.push(place)
  place.untilKept = 2
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
