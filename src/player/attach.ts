// attach(): plays figures on a page until it is told to stop.
import { poseOf } from '../core/rig/play'
import type { PlayedFigure } from '../core/rig/played'
import { endFigure, findMatches, leaveAll, meetSample, readBoxes, writeValues, type Playing, type Reach } from './playing'
import { pointerOf, type Source } from './pointer'
import { enqueue, type Queue } from './queue'

/** What may be given from outside: a clock (ms), a frame callback with its cancel, and the samples of the pointer. */
export interface AttachOptions {
  readonly clock?: () => number
  readonly frame?: { readonly request: (callback: (now: number) => void) => number; readonly cancel: (handle: number) => void }
  readonly samples?: Source
}

/**
 * Plays the figures on everything under `root`, elements that come later included. Gives `detach`, which takes off
 * what was written; with `keepValues` the values stay on the elements for the player that comes next.
 */
export function attach(root: Document | ShadowRoot, figures: readonly PlayedFigure[], options: AttachOptions = {}): (keepValues?: boolean) => void {
  const page = root instanceof Document ? root : root.ownerDocument
  const clock = options.clock ?? (() => performance.now())
  const frames = options.frame ?? { request: (callback) => requestAnimationFrame(callback), cancel: (handle) => cancelAnimationFrame(handle) }
  const reducedMotion = matchMedia('(prefers-reduced-motion: reduce)')
  const playing: Playing[] = figures.map((figure) => ({ figure, matches: [], holder: -1 }))
  const queue: Queue = { store: [], count: 0 }
  let newest = -Infinity
  let handle = 0
  let isStale = true

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
  const reach: Reach = { moved: new WeakSet(), visibility }

  /** Does something for every figure; one that fails is taken off and named once, and the others play on. */
  const forEachFigure = (act: (each: Playing) => void) => {
    for (let i = playing.length - 1; i >= 0; i--) {
      const each = playing[i]
      if (!each) continue
      try {
        act(each)
      } catch (error) {
        playing.splice(i, 1)
        endFigure(each)
        console.error(`${each.figure.title} was turned off:`, error)
      }
    }
  }

  // First everything is read, then everything is written: the page is laid out once a frame at most.
  const onFrame = (now: number) => {
    handle = 0
    if (isStale) {
      isStale = false
      forEachFigure((each) => findMatches(each, root, reach, clock()))
    }
    if (queue.count > 0) forEachFigure(readBoxes)
    for (let i = 0; i < queue.count; i++) {
      const waiting = queue.store[i]
      if (!waiting) continue
      const { sample } = waiting
      const hit = waiting.hit ?? root.elementFromPoint(sample.x, sample.y)
      forEachFigure((each) => meetSample(each, sample, hit, reach, reducedMotion.matches))
    }
    queue.count = 0
    const time = Math.max(now, newest)
    let isMoving = false
    forEachFigure((each) => {
      if (writeValues(each, time)) isMoving = true
    })
    if (isMoving) wake()
  }

  const stopSamples = (options.samples ?? pointerOf(page))((sample, hit) => {
    if (!Number.isFinite(sample.t)) return
    newest = Math.max(newest, sample.t)
    enqueue(queue, sample, hit)
    wake()
  })
  const onMotionChange = () => {
    forEachFigure((each) => leaveAll(each, clock()))
    wake()
  }
  reducedMotion.addEventListener('change', onMotionChange)
  const mutations = new MutationObserver(() => {
    isStale = true
    wake()
  })
  mutations.observe(root, { subtree: true, childList: true, attributes: true, attributeFilter: ['class', 'id'] })
  // The away pose stands before the first frame.
  isStale = false
  forEachFigure((each) => {
    findMatches(each, root, reach, clock())
    writeValues(each, clock())
  })
  wake()

  return (keepValues = false) => {
    stopSamples()
    frames.cancel(handle)
    mutations.disconnect()
    visibility.disconnect()
    reducedMotion.removeEventListener('change', onMotionChange)
    root.adoptedStyleSheets = root.adoptedStyleSheets.filter((each) => each !== sheet)
    if (!keepValues) playing.forEach(endFigure)
    playing.length = 0
  }
}

/** Our properties are numbers that no element hands down: changing one touches that element alone. */
function registrations({ channels }: PlayedFigure): string[] {
  return channels.map((channel) => `@property ${channel.property} { syntax: "<number>"; inherits: false; initial-value: ${poseOf(channel)}; }`)
}
