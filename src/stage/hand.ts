// The hand: one source of samples for the script, whether they come from the real pointer, the ghost or a walk.
import { holdsPoint } from '../core/geometry/box'
import { pointAt, type Place } from '../core/geometry/place'
import { isOfPointer, isPresent, type Sample } from '../core/signal/sample'
import { placeOnWalk } from '../core/trace/walk'
import { placeIn, stillBoxOf } from './boxes'
import { findAll } from '../play/find'
import type { Look } from '../core/look/look'
import { handlesMark } from './handles/handles'
import { pointerOf, type Feed } from './pointer'
import type { RunSample, ThreadSample, Visitor } from './protocol'

const restPx = 3
const restMs = 120
/** How many samples are kept for a script that begins. */
const mostPast = 600

export interface Hand {
  /** Gives every sample from now on to one more. */
  readonly feedTo: (feed: Feed) => void
  /** Where the real pointer is on the page; undefined while it is elsewhere. */
  readonly pointer: () => { readonly x: number; readonly y: number } | undefined
  /** Which elements the selected effect reads; null while nothing is selected. */
  readonly setArea: (select: string | null) => void
  /** The hand left for the controls: the ghost stays where the pointer last rested inside the area, and a walk goes on. */
  readonly leaveForControls: () => void
  readonly leave: () => void
  /** Stands at a place on the match of a selector, as the pointer of another window does. */
  readonly follow: (select: string, index: number, place: Place) => void
  /** Walks round the first visible element that matches, until told null or the real pointer moves. */
  readonly walk: (select: string | null) => void
  /** Whose hand it is: a mouse, a finger that is there while it is pressed, or none at all. */
  readonly becomeVisitor: (visitor: Visitor) => void
  /** What it did lately, each with its own time: for a script that begins, so that it is where it would be had it been there. */
  readonly past: () => readonly { readonly sample: Sample; readonly hit: Element | null }[]
  /** Holds a look, as a pointer that stays would; null lets go. */
  readonly hold: (look: Look | null) => void
  /** Fastens the ghost where it stands, or lets it follow again. Gives the place in the area. */
  readonly fasten: (isOn: boolean) => void
  /** Stands the ghost at a point of the window. */
  readonly standAtPoint: (x: number, y: number, isQuiet: boolean) => void
  /** Plays a trace of the window in its own time; null ends it. */
  readonly run: (steps: readonly RunSample[] | null) => void
  /** The element of the area that the hand is on, or would go to, and where on it. */
  readonly place: () => { readonly element: Element; readonly place: Place } | undefined
  /** The place where an element was pointed at: the ghost goes there, or to its middle, when the pointer rested nowhere. */
  readonly standAt: (element: Element | null, x: number, y: number) => void
  /** What is hit at a point of the window, what the studio draws there apart. */
  readonly hitAt: (x: number, y: number) => Element | null
}

interface HandOptions {
  readonly overlay: Element
  readonly onSample: (sample: ThreadSample) => void
  readonly onGhost: (at: { x: number; y: number } | null) => void
  readonly onMeet: (element: Element | null) => void
  /** What is under the hand, and whether it is pressed: for the page's own rules. */
  readonly onHit: (element: Element | null, isPressed: boolean) => void
}

export function makeHand(page: Document, { overlay, onSample, onGhost, onMeet, onHit }: HandOptions): Hand {
  const feeds = new Set<Feed>()
  let area: string | null = null
  let fallback: Element | null = null
  let anchor: Sample | null = null
  let rested: { x: number; y: number } | null = null
  let pointed: { x: number; y: number } | null = null
  let last: Sample | null = null
  let past: { readonly sample: Sample; readonly hit: Element | null }[] = []
  const feedAll = (sample: Sample, hit: Element | null, prevent?: () => void) => {
    past.push({ sample: { ...sample }, hit })
    if (past.length > 2 * mostPast) past = past.slice(-mostPast)
    for (const feed of feeds) feed(sample, hit, prevent)
  }
  let by: ThreadSample['by'] = 'hand'
  let lastTold: ThreadSample | undefined
  let walking: { element: Element; since: number } | null = null
  let held: Look | null = null
  let isFastened = false
  let running: { readonly steps: readonly RunSample[]; readonly begun: number; readonly scrolledFrom: number; next: number } | null = null

  /**
   * The element of the area that has the point: the one that was hit, else one whose still box holds it
   * (a leaned card leaves a band where the hit falls through to what lies behind).
   */
  const areaAt = (hit: Element | null, x: number, y: number): Element | null => {
    if (area === null) return null
    const matches = findAll(page, area) ?? []
    const direct = matches.find((element) => element.contains(hit))
    if (direct) return direct
    return matches.find((element) => isNear(element.getBoundingClientRect(), x, y) && holdsPoint(stillBoxOf(element), x, y)) ?? null
  }
  const hitAt = (x: number, y: number) => page.elementsFromPoint(x, y).find((element) => element !== overlay) ?? null

  const tell = (sample: Sample, source: ThreadSample['by'], hit: Element | null, prevent?: () => void) => {
    // Whoever had the hand before may have told of a later moment; the one who has it now goes on from there.
    sample.t = Math.max(sample.t, last?.t ?? -Infinity)
    last = { ...sample }
    by = source
    feedAll(sample, hit, prevent)
    const met = sample.phase === 'leave' ? null : areaAt(hit, sample.x, sample.y)
    onMeet(met)
    onHit(sample.phase === 'leave' ? null : hit, sample.buttons !== 0)
    const told: ThreadSample = { t: sample.t, x: sample.x, y: sample.y, by, phase: sample.phase === 'leave' ? 'away' : 'here' }
    if (sample.buttons !== 0) told.buttons = sample.buttons
    const { phase, by: turnedBy, key } = sample
    if (phase === 'wheel' || phase === 'pinch' || phase === 'key') told.turned = { phase, by: turnedBy, key }
    if (met && area !== null) {
      const box = stillBoxOf(met, 'padding')
      Object.assign(told, {
        place: placeIn(box, sample.x, sample.y),
        index: findAll(page, area)?.findIndex((each) => each === met),
        size: { width: box.width, height: box.height },
      })
    }
    lastTold = told
    onSample(told)
  }
  const isInArea = ({ x, y }: { readonly x: number; readonly y: number }) => areaAt(hitAt(x, y), x, y) !== null
  /** The pointer rested at the anchor if it has been there for long enough by `t` (ms), inside the area. */
  const keepAnchor = (t: number) => {
    if (anchor && t - anchor.t >= restMs && isInArea(anchor)) rested = { x: anchor.x, y: anchor.y }
  }
  /** Remembers a place where the pointer stood still, or was pressed, inside the area. */
  const rememberRest = (sample: Sample, hit: Element | null) => {
    const moved = anchor ? Math.hypot(sample.x - anchor.x, sample.y - anchor.y) : Infinity
    keepAnchor(sample.t)
    if (sample.phase === 'down' && areaAt(hit, sample.x, sample.y)) rested = { x: sample.x, y: sample.y }
    if (moved >= restPx) anchor = { ...sample }
  }
  let visitor: Visitor = 'mouse'
  /** A sample as this visitor's hand makes it; undefined where it makes none. */
  const asVisitor = (sample: Sample): Sample | undefined => {
    if (visitor === 'keyboard') return undefined
    if (visitor !== 'finger') return sample
    const isTouch = sample.phase === 'down' || sample.phase === 'up' || sample.phase === 'cancel' || sample.buttons !== 0
    return isTouch ? { ...sample, pointerType: 'touch' } : undefined
  }
  const real = { x: NaN, y: NaN }
  pointerOf(page, (heard, told, prevent) => {
    // The studio tells when the pointer leaves a sandboxed frame; the browser's own word on it is not to be relied on.
    if (heard.phase === 'leave') return
    if (!isOfPointer(heard)) {
      const sample = { ...heard, t: Math.max(heard.t, last?.t ?? -Infinity) }
      feedAll(sample, told ?? null, prevent)
      // A key leaves the pointer where it is, or gone.
      const where: ThreadSample = lastTold ?? { t: 0, x: 0, y: 0, by: 'hand', phase: 'away' }
      if (heard.key) onSample({ ...where, t: sample.t, turned: { phase: 'key', key: heard.key } })
      return
    }
    const sample = asVisitor(heard)
    if (!sample) return
    // What changes under a standing pointer does not bring the hand back from where it went.
    const hasStood = sample.phase === 'move' && sample.x === real.x && sample.y === real.y
    Object.assign(real, { x: sample.x, y: sample.y })
    if (held !== null || isFastened) return
    // A run plays to its end, unless it is clicked away.
    if (running && sample.phase !== 'down') return
    // Handles are controls: while the hand is on one, the ghost stays where the pointer rested.
    if (told === overlay && overlay.hasAttribute(handlesMark)) {
      if (by === 'hand') leaveForControls()
      return
    }
    if (hasStood && (by !== 'hand' || !last || !isPresent(last))) return
    const hit = !told || told === overlay ? hitAt(sample.x, sample.y) : told
    stopWalk()
    onGhost(null)
    rememberRest(sample, hit)
    tell(sample, 'hand', hit, prevent)
  })

  const stand = (x: number, y: number, by: ThreadSample['by']) => {
    onGhost({ x, y })
    tell({ t: performance.now(), x, y, buttons: 0, pointerType: 'mouse', phase: 'move' }, by, hitAt(x, y))
  }
  const leave = () => {
    stopWalk()
    onGhost(null)
    anchor = null
    tell({ t: performance.now(), x: last?.x ?? 0, y: last?.y ?? 0, buttons: 0, pointerType: 'mouse', phase: 'leave' }, 'hand', null)
  }
  /** Where the ghost belongs: the last place of rest, else the middle of what was pointed at or of the first match in sight. */
  const ghostPoint = (): { readonly x: number; readonly y: number } | undefined => {
    if (rested) return rested
    const target = area === null ? undefined : fallback?.isConnected && fallback.matches(area) ? fallback : visibleMatch(area)
    return target && pointAt(stillBoxOf(target, 'padding'), { x: 0, y: 0 })
  }
  /** Where the hand is if it is in the area, else where the ghost belongs. */
  const pointInArea = () => (last && isPresent(last) && isInArea(last) ? last : ghostPoint())
  const leaveForControls = () => {
    if (held !== null || isFastened) return
    stopWalk()
    if (area === null) return leave()
    keepAnchor(performance.now())
    anchor = null
    const point = ghostPoint()
    if (point) stand(point.x, point.y, 'ghost')
    else leave()
  }
  const hold = (look: Look | null) => {
    if (look === held) return
    const point = pointInArea()
    held = look
    stopWalk()
    if (look === null) return leaveForControls()
    if (look === 'off' || !point) return leave()
    stand(point.x, point.y, 'ghost')
    if (look === 'pressed')
      tell(
        { t: performance.now(), x: point.x, y: point.y, buttons: 1, pointerType: 'mouse', phase: 'down' },
        'ghost',
        hitAt(point.x, point.y),
      )
  }
  const stepRun = () => {
    if (!running) return
    const { steps, begun, scrolledFrom } = running
    const now = performance.now()
    for (let sample = steps[running.next]; sample && begun + sample.t <= now; sample = steps[++running.next]) {
      const { x, y, buttons, phase, pointerType, by, key } = sample
      if (sample.scrollY !== undefined) page.scrollingElement?.scrollTo({ top: scrolledFrom + sample.scrollY, behavior: 'instant' })
      onGhost(phase === 'leave' || phase === 'cancel' ? null : { x, y })
      tell({ t: begun + sample.t, x, y, buttons, pointerType, phase, by, key }, 'run', phase === 'leave' ? null : hitAt(x, y))
      if (!running) return
    }
    if (running.next >= steps.length) running = null
    else requestAnimationFrame(stepRun)
  }
  const stopWalk = () => {
    walking = null
    running = null
  }
  const step = () => {
    if (!walking) return
    const { x, y } = pointAt(stillBoxOf(walking.element, 'padding'), placeOnWalk(performance.now() - walking.since))
    stand(x, y, 'walk')
    requestAnimationFrame(step)
  }
  const visibleMatch = (select: string) =>
    findAll(page, select)?.find((element) => {
      const box = element.getBoundingClientRect()
      return box.bottom > 0 && box.top < innerHeight && box.width > 0
    })

  return {
    hitAt,
    pointer: () => (last && by === 'hand' && isPresent(last) ? last : undefined),
    feedTo: (feed) => void feeds.add(feed),
    setArea: (select) => {
      if (select === area) return
      area = select
      rested = pointed && isInArea(pointed) ? pointed : null
      if (last?.phase === 'move' && by === 'ghost') leaveForControls()
    },
    standAt: (element, x, y) => {
      fallback = element
      pointed = { x, y }
    },
    follow: (select, index, place) => {
      const element = findAll(page, select)?.[index]
      if (!element) return
      const { x, y } = pointAt(stillBoxOf(element, 'padding'), place)
      stand(x, y, 'ghost')
    },
    leaveForControls: () => {
      if (!walking && !running) leaveForControls()
    },
    leave,
    hold,
    fasten: (isOn) => {
      if (isOn === isFastened) return
      const point = pointInArea()
      stopWalk()
      if (isOn && point) stand(point.x, point.y, 'ghost')
      isFastened = isOn
      if (!isOn) leaveForControls()
    },
    standAtPoint: (x, y, isQuiet) => {
      stopWalk()
      rested = { x, y }
      stand(x, y, 'ghost')
      if (isQuiet) onGhost(null)
    },
    run: (steps) => {
      stopWalk()
      held = null
      isFastened = false
      if (steps === null) return leaveForControls()
      running = { steps, begun: performance.now(), scrolledFrom: page.scrollingElement?.scrollTop ?? 0, next: 0 }
      stepRun()
    },
    place: () => {
      const point = last && isPresent(last) ? last : ghostPoint()
      const element = point && areaAt(hitAt(point.x, point.y), point.x, point.y)
      return point && element ? { element, place: placeIn(stillBoxOf(element, 'padding'), point.x, point.y) } : undefined
    },
    walk: (select) => {
      const element = select === null ? undefined : visibleMatch(select)
      if (!element) return walking ? leaveForControls() : undefined
      const isOn = walking !== null
      walking = { element, since: performance.now() }
      if (!isOn) step()
    },
    becomeVisitor: (next) => {
      if (next === visitor) return
      visitor = next
      leave()
    },
    past: () => past,
  }
}

/** Whether a point may lie in the still box of an element with this hull: a lean changes it by less than its own size. */
function isNear(hull: DOMRect, x: number, y: number): boolean {
  return x > hull.left - hull.width && x < hull.right + hull.width && y > hull.top - hull.height && y < hull.bottom + hull.height
}
