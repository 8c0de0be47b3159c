// A figure while it is played: which elements it plays on, which of them has the pointer, and what is written on them.
import { claimPoint } from '../core/rig/claim'
import { channelValue, isAtRest, leavePointer, meetPointer } from '../core/rig/play'
import type { PlayedFigure } from '../core/rig/played'
import { isPresent, type Sample } from '../core/signal/sample'
import { beginMatch, endMatch, readStillBox, type Match } from './matches'

export interface Playing {
  readonly figure: PlayedFigure
  matches: readonly Match[]
  /** The match that has the pointer, as an index, or -1. */
  holder: number
}

/** What the figures of one player share: the elements that they move, and who watches which of them are in sight. */
export interface Reach {
  readonly moved: WeakSet<Element>
  readonly visibility: IntersectionObserver
}

/** Finds the figure's elements afresh, at `t` (ms), and keeps the play of those that stay. */
export function findMatches(playing: Playing, root: Document | ShadowRoot, { moved, visibility }: Reach, t: number): void {
  const { figure, matches } = playing
  const before = new Map(matches.map((match) => [match.element, match]))
  const holder = matches[playing.holder]
  playing.matches = [...root.querySelectorAll<HTMLElement | SVGElement>(figure.select)].map((element) => {
    const kept = before.get(element)
    before.delete(element)
    moved.add(element)
    if (!kept) visibility.observe(element)
    return kept ?? beginMatch(element, figure, t)
  })
  for (const gone of before.values()) {
    moved.delete(gone.element)
    visibility.unobserve(gone.element)
    endMatch(gone, figure)
  }
  playing.holder = holder ? playing.matches.indexOf(holder) : -1
}

/** Reads where the elements in sight lie without us. */
export function readBoxes({ matches }: Playing): void {
  for (const match of matches) if (match.visible) readStillBox(match.element, match.box)
}

/** Takes a sample to the element that has it, and away from the one that had the pointer before. */
export function meetSample(playing: Playing, sample: Sample, hit: Element | null, { moved }: Reach, reducedMotion: boolean): void {
  const { figure, matches } = playing
  const counts = isPresent(sample) && (figure.pointer === 'any' || sample.pointerType !== 'touch')
  const isOutOfReach = (index: number) => {
    const match = matches[index]
    return !match?.visible || isForeign(hit, match.element, moved)
  }
  const hitIndex = counts && hit ? matches.findIndex(({ element }) => element.contains(hit)) : -1
  const claimed = counts ? claimPoint(matches, hitIndex, playing.holder, sample.x, sample.y, isOutOfReach) : -1
  const left = matches[playing.holder]
  if (left && playing.holder !== claimed) leavePointer(left.play, figure.channels, sample.t)
  const met = matches[claimed]
  if (met) meetPointer(met.play, figure.channels, met.box, sample.x, sample.y, sample.t, reducedMotion)
  playing.holder = claimed
}

/** Whether what was hit is no part of the area: not it, nor in it, nor around it, nor something that we move. */
function isForeign(hit: Element | null, area: Element, moved: WeakSet<Element>): boolean {
  if (!hit || hit.contains(area) || area.contains(hit)) return false
  for (let each: Element | null = hit; each; each = each.parentElement) if (moved.has(each)) return false
  return true
}

/** Writes what changed at `time` (ms). Gives whether anything still moves. */
export function writeValues({ figure, matches }: Playing, time: number): boolean {
  let isMoving = false
  for (const { element, play, written } of matches) {
    for (let i = 0; i < figure.channels.length; i++) {
      const value = channelValue(play, i, time)
      if (value === written[i]) continue
      written[i] = value
      element.style.setProperty(figure.channels[i]?.property ?? '', String(value))
    }
    if (!isAtRest(play, time)) isMoving = true
  }
  return isMoving
}

/** Lets every element of the figure go to its away pose, from `t` (ms) on. */
export function leaveAll({ figure, matches }: Playing, t: number): void {
  for (const { play } of matches) leavePointer(play, figure.channels, t)
}

/** Takes everything of the figure off its elements. */
export function endFigure({ figure, matches }: Playing): void {
  for (const match of matches) endMatch(match, figure)
}
