// A figure on the page: where its places stand, and which elements carry its values.
import type { Frame } from '../core/geometry/frame'
import type { Insets } from '../core/geometry/insets'
import { beginPlay } from '../core/rig/play'
import type { PlayedChannel, PlayedFigure } from '../core/rig/played'
import { features } from '../core/rig/features'
import { newPlace, newPresence, newScene, type Place, type Scene } from '../core/rig/place'
import { abilities } from './abilities'
import { findAll } from './find'
import { lodge, type House } from './house'
import type { Styled } from './measure'
import type { Parts } from './parts'
import { endWrites, type StyledBefore, type Writer } from './write'

/** A place on the page. */
export interface Stand {
  readonly place: Place
  readonly cast: Cast
  readonly writers: readonly Writer[]
  readonly parts: Parts | undefined
  /** Whether the page's own code was told that it is on. */
  isToldOn: boolean
  /** Whether its parts are seen. */
  isShown: boolean
  /** For how many frames it has been moving; its beginning does not count. */
  framesMoving: number
  toldLook: string
  toldZone: number
}

/** The elements that have to do with a place. */
export interface Cast {
  /** The area itself: one match, all of a group, or the page. */
  readonly elements: readonly Styled[]
  readonly frame: Frame
  readonly boxes: readonly Frame[]
  /** Each frame of reference in it, with the elements that its values are written on, by channel and write. */
  readonly plays: readonly { readonly frame: Frame; readonly insets: Insets | undefined; readonly channels: readonly PlayedChannel[]; readonly zones: readonly Frame[]; readonly element: Styled }[]
  /** All elements in it, by which it is told whether it is still the same. */
  readonly members: readonly Element[]
}

/** A figure while it is played on a page. */
export interface Playing extends Scene {
  readonly stands: Map<Place, Stand>
  readonly styled: StyledBefore
}

export function newPlaying(figure: PlayedFigure): Playing {
  return { ...newScene(figure), stands: new Map(), styled: new Map() }
}

/** Finds the figure's elements afresh, none where it does not apply, and keeps the places whose elements are the same. */
export function findStands(playing: Playing, house: House, applies = true): void {
  const { figure, stands } = playing
  const before = new Map([...stands.values()].map((stand) => [stand.cast.elements[0], stand]))
  const casts = !applies ? [] : figure.area.of === 'each' ? findAll(house.root, figure.area.select).map((element) => castOne(figure, house, element)) : (abilities.frames?.castAll(figure, house) ?? [])
  stands.clear()
  playing.places = casts.map((cast, index) => {
    const old = before.get(cast.elements[0])
    const isSame = old?.cast.members.length === cast.members.length && old.cast.members.every((member, i) => member === cast.members[i])
    const stand = old && isSame ? old : beginStand(playing, house, cast, index)
    if (stand === old) before.delete(cast.elements[0])
    stands.set(stand.place, stand)
    markMoved(stand, figure, house)
    return stand.place
  })
  for (const gone of before.values()) endStand(playing, gone, true)
  playing.holder = playing.places.findIndex(({ presence }) => presence.inside)
}

/** One match of an area, read in its own frame and in those of what is inside it. */
function castOne(figure: PlayedFigure, house: House, element: Styled): Cast {
  const { area, frames } = figure
  const frame = lodge(house, element, area.box === 'live').frame
  const members: Element[] = [element]
  const plays = frames.flatMap((each) => {
    if (each.of === 'area') return [{ frame, insets: area.insets, channels: each.channels, zones: [], element }]
    const found = abilities.frames?.castFrame(each, figure, house, element) ?? []
    members.push(...found.map((play) => play.element))
    return found
  })
  return { elements: [element], frame, boxes: abilities.frames?.bridge(figure, house, element, frame, members) ?? [frame], plays, members }
}

/** A place that begins: values that stand on its elements, left there by a player before us, are where it starts from. */
function beginStand(playing: Playing, house: House, cast: Cast, index: number): Stand {
  const { figure, styled } = playing
  const host = cast.elements[0]
  const parts = figure.parts && host && abilities.parts?.add(host, figure.parts, abilities.copies)
  const presence = newPresence()
  const writers: Writer[] = []
  const plays = cast.plays.map(({ frame, insets, channels, zones, element }) => {
    const standing = (channel: number) => {
      const text = element.style.getPropertyValue(channels[channel]?.writes[0]?.property ?? '')
      return text === '' || Number.isNaN(Number(text)) ? undefined : Number(text)
    }
    const play = beginPlay(channels, frame, presence, insets, standing)
    play.zones = zones
    channels.forEach(({ writes }, channel) => {
      for (const write of writes) {
        const own: Writer = { play, channel, link: write.link, write, elements: cast.elements.includes(element) ? cast.elements : [element], last: NaN }
        writers.push(...(write.to ? (abilities.targets?.writersOn(write.to, own, { house, element, index, parts }) ?? []) : [own]))
      }
    })
    return play
  })
  const take = (element: Styled, isPart: boolean) => {
    if (styled.has(element)) return
    const style = getComputedStyle(element)
    styled.set(element, { wasEmpty: element.getAttribute('style') === '', quieted: undefined, style })
    if (!isPart) mark(element, style, figure, house)
  }
  if (host && (parts || figure.marksArea)) take(host, false)
  for (const { elements, write } of writers) for (const element of elements) take(element, Boolean(write.to && 'part' in write.to))
  const place = newPlace(presence, cast.frame, cast.boxes, plays, features.late?.keep)
  return { place, cast, writers, parts, isToldOn: false, isShown: true, framesMoving: -1, toldLook: '', toldZone: NaN }
}

const moving = ['transform', 'translate', 'rotate', 'scale']

/** Notes which elements the figure moves, and how the page itself does. */
function markMoved({ writers }: Stand, { own, drives }: PlayedFigure, { moved }: House): void {
  if (!drives.some((name) => moving.includes(name))) return
  for (const { write, elements } of writers) if (!write.to || !('part' in write.to)) for (const element of elements) moved.set(element, (own?.transform && element.style.getPropertyValue(own.transform)) || 'none')
}

/** What the page itself gives an element of a property; where another figure is at work on it already, as that one found it. */
function ownOf(element: Styled, style: CSSStyleDeclaration, property: string, { figures }: House): string {
  for (const { name, own } of figures) if (own?.[property] !== undefined && element.hasAttribute(`data-${name}`)) return element.style.getPropertyValue(own[property]) || 'none'
  return style.getPropertyValue(property)
}

/**
 * Says on an element that the figure is at work on it, from when on its rules count; what the page itself does to it is
 * kept before that.
 */
function mark(element: Styled, style: CSSStyleDeclaration, { name, own }: PlayedFigure, house: House): void {
  const attribute = `data-${name}`
  if (element.hasAttribute(attribute)) return
  for (const property in own) {
    const text = ownOf(element, style, property, house)
    if (text !== 'none') element.style.setProperty(own[property] ?? '', text)
  }
  element.setAttribute(attribute, '')
}

/** Takes a place off the page. */
export function endStand(playing: Playing, { writers, parts, place, cast }: Stand, takesValues: boolean): void {
  if (parts) abilities.parts?.remove(parts, abilities.copies)
  if (!takesValues) return
  abilities.states?.end(playing.figure, cast.elements)
  endWrites(playing.styled, parts || playing.figure.marksArea ? cast.elements : [], writers, playing.figure)
  const awake = playing.awake.indexOf(place)
  if (awake >= 0) playing.awake.splice(awake, 1)
  place.isAwake = false
}

