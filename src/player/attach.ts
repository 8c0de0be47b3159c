// attach(): plays figures on a page until it is told to stop.
import type { PlayedFigure } from '../core/export/plan'
import { claimPoint } from '../core/rig/claim'
import { channelValue, isAtRest, leavePointer, meetPointer, poseOf } from '../core/rig/play'
import { isPresent, type Sample } from '../core/signal/sample'
import { beginMatch, endMatch, readStillBox, type Match } from './matches'
import { pointerOf, type Source } from './pointer'
import { enqueue, type Queue } from './queue'

/** What may be given from outside: a clock (ms), a frame callback with its cancel, and the samples of the pointer. */
export interface AttachOptions {
  readonly clock?: () => number
  readonly frame?: { readonly request: (callback: (now: number) => void) => number; readonly cancel: (handle: number) => void }
  readonly samples?: Source
}

/** A figure while it is played. */
interface Playing {
  readonly figure: PlayedFigure
  matches: Match[]
  /** The match that has the pointer, as an index, or -1. */
  holder: number
}

/**
 * Plays the figures on everything under `root`, elements that come later included. Gives `detach`, which takes off
 * what was written; with `keepValues` the values stay on the elements for the player that comes next.
 */
export function attach(root: Document | ShadowRoot, figures: readonly PlayedFigure[], options: AttachOptions = {}): (keepValues?: boolean) => void {
  const page = root instanceof Document ? root : root.ownerDocument
  const view = page.defaultView ?? window
  const clock = options.clock ?? (() => performance.now())
  const frames = options.frame ?? { request: (callback) => requestAnimationFrame(callback), cancel: (handle) => cancelAnimationFrame(handle) }
  const playing: Playing[] = figures.map((figure) => ({ figure, matches: [], holder: -1 }))
  const queue: Queue = { store: [], count: 0 }
  const moved = new WeakSet<Element>()
  const reducedMotion = view.matchMedia('(prefers-reduced-motion: reduce)')
  let newest = -Infinity
  let handle = 0
  let stale = true

  const wake = () => {
    handle ||= frames.request(onFrame)
  }

  const sheet = new CSSStyleSheet()
  sheet.replaceSync(figures.flatMap(registrations).join('\n'))
  root.adoptedStyleSheets.push(sheet)

  const visibility = new IntersectionObserver((entries) => {
    for (const { target, isIntersecting } of entries) {
      for (const { matches } of playing) for (const match of matches) if (match.element === target) match.visible = isIntersecting
    }
  })

  /** Finds the elements again after the page changed, and keeps the play of those that stay. */
  const findMatches = () => {
    stale = false
    for (const each of playing) {
      const before = new Map(each.matches.map((match) => [match.element, match]))
      const holder = each.matches[each.holder]
      each.matches = [...root.querySelectorAll<HTMLElement | SVGElement>(each.figure.select)].map((element) => {
        const kept = before.get(element)
        before.delete(element)
        if (!kept) visibility.observe(element)
        moved.add(element)
        return kept ?? beginMatch(element, each.figure, clock())
      })
      for (const gone of before.values()) {
        visibility.unobserve(gone.element)
        moved.delete(gone.element)
        endMatch(gone, each.figure)
      }
      each.holder = holder ? each.matches.indexOf(holder) : -1
      for (const match of each.matches) write(each.figure, match, newest)
    }
  }

  /** Whether what was hit is no part of the area: not it, nor in it, nor around it, nor something that we move. */
  const isForeign = (hit: Element | null, area: Element): boolean => {
    if (!hit || hit === area || area.contains(hit) || hit.contains(area)) return false
    for (let each: Element | null = hit; each; each = each.parentElement) if (moved.has(each)) return false
    return true
  }

  const meet = (each: Playing, sample: Sample, hit: Element | null) => {
    const { figure, matches } = each
    const counts = isPresent(sample) && (figure.pointer === 'any' || sample.pointerType !== 'touch')
    const isOutOfReach = (index: number) => {
      const area = matches[index]
      return area === undefined || !area.visible || isForeign(hit, area.element)
    }
    const hitIndex = counts && hit ? matches.findIndex(({ element }) => element.contains(hit)) : -1
    const claimed = counts ? claimPoint(matches, hitIndex, each.holder, sample.x, sample.y, isOutOfReach) : -1
    const left = matches[each.holder]
    if (left && each.holder !== claimed) leavePointer(left.play, figure.channels, sample.t)
    const met = matches[claimed]
    if (met) meetPointer(met.play, figure.channels, met.box, sample.x, sample.y, sample.t, reducedMotion.matches)
    each.holder = claimed
  }

  const onFrame = (now: number) => {
    handle = 0
    if (stale) findMatches()
    const time = Math.max(now, newest)
    let awake = false
    for (const each of [...playing]) {
      try {
        if (queue.count > 0) for (const match of each.matches) if (match.visible) readStillBox(match.element, match.box)
      } catch (error) {
        turnOff(each, error)
      }
    }
    for (const each of [...playing]) {
      try {
        for (let i = 0; i < queue.count; i++) {
          const waiting = queue.store[i]
          if (!waiting) continue
          const { sample } = waiting
          waiting.hit ??= root.elementFromPoint(sample.x, sample.y)
          meet(each, sample, waiting.hit)
        }
        for (const match of each.matches) {
          write(each.figure, match, time)
          if (!isAtRest(match.play, time)) awake = true
        }
      } catch (error) {
        turnOff(each, error)
      }
    }
    queue.count = 0
    if (awake) wake()
  }

  /** Takes one figure off that cannot be played; the others play on. */
  const turnOff = (each: Playing, error: unknown) => {
    playing.splice(playing.indexOf(each), 1)
    for (const match of each.matches) endMatch(match, each.figure)
    console.error(`${each.figure.title} was turned off:`, error)
  }

  const stopSamples = (options.samples ?? pointerOf(page))((sample, hit) => {
    if (!Number.isFinite(sample.x + sample.y) || !Number.isFinite(sample.t)) return
    newest = Math.max(newest, sample.t)
    enqueue(queue, sample, hit)
    wake()
  })
  const onMotionChange = () => {
    for (const { figure, matches } of playing) for (const { play } of matches) leavePointer(play, figure.channels, clock())
    wake()
  }
  reducedMotion.addEventListener('change', onMotionChange)
  const mutations = new MutationObserver(() => {
    stale = true
    wake()
  })
  mutations.observe(root, { subtree: true, childList: true, attributes: true, attributeFilter: ['class', 'id'] })
  findMatches()
  wake()

  return (keepValues = false) => {
    stopSamples()
    frames.cancel(handle)
    mutations.disconnect()
    visibility.disconnect()
    reducedMotion.removeEventListener('change', onMotionChange)
    root.adoptedStyleSheets = root.adoptedStyleSheets.filter((each) => each !== sheet)
    if (!keepValues) for (const { figure, matches } of playing) for (const match of matches) endMatch(match, figure)
    playing.length = 0
  }
}

/** Writes what changed of a match at `time`. */
function write(figure: PlayedFigure, { element, play, written }: Match, time: number): void {
  for (let i = 0; i < figure.channels.length; i++) {
    const value = channelValue(play, i, time)
    if (value === written[i]) continue
    written[i] = value
    element.style.setProperty(figure.channels[i]?.property ?? '', String(value))
  }
}

/** Our properties are numbers that no element hands down: changing one touches that element alone. */
function registrations({ channels }: PlayedFigure): string[] {
  return channels.map((channel) => `@property ${channel.property} { syntax: "<number>"; inherits: false; initial-value: ${poseOf(channel)}; }`)
}
