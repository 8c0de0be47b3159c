// The pointer source: one source of samples for the script, whether they come from the real pointer or from the stand-in, which
// rests where the real one did, plays a path, or plays a trace. What it does is the studio's pointer mode, mirrored.
import { pointAt, type Place } from '../core/geometry/place'
import type { Look } from '../core/look/look'
import { isOfPointer, isPresent, type Sample } from '../core/signal/sample'
import { findAll } from '../play/find'
import { makeArea, visibleMatch } from './area'
import { placeIn, stillBoxOf } from './boxes'
import { handlesMark } from './handles/handles'
import { makeMotions } from './motions'
import type { PageMode, RunSample, ThreadSample, Visitor } from './protocol'
import { pointerOf, type Feed } from './real-pointer'
import { makeTeller, type TellerListeners } from './teller'
import { asVisitor } from './visitor'

export interface PointerSource {
  /** Gives every sample from now on to one more. */
  readonly feedTo: (feed: Feed) => void
  /** What it did lately, each with its own time: for a script that begins, so that it is where it would be had it been there. */
  readonly past: () => readonly { readonly sample: Sample; readonly hit: Element | null }[]
  /** Where the real pointer is on the page; undefined while it is elsewhere. */
  readonly pointer: () => { readonly x: number; readonly y: number } | undefined
  /** What is hit at a point of the window, what the studio draws there apart. */
  readonly hitAt: (x: number, y: number) => Element | null
  /** The element of the area that the pointer is on, or would go to, and where on it. */
  readonly place: () => { readonly element: Element; readonly place: Place } | undefined
  /** Which elements the selected effect reads; null while nothing is selected. */
  readonly setArea: (select: string | null) => void
  /** The place where an element was pointed at. */
  readonly pointedAt: (element: Element | null, x: number, y: number) => void
  /** Mirrors the studio's mode. */
  readonly become: (mode: PageMode) => void
  readonly becomeVisitor: (visitor: Visitor) => void
  /** The hand left for the controls: the stand-in stays where the pointer last rested inside the area, and what plays goes on. */
  readonly leaveForControls: () => void
  readonly leave: () => void
  /** Stands at a place on a match of a selector, as the pointer of another window does. */
  readonly follow: (select: string, index: number, place: Place) => void
  /** Puts the stand-in at a point of the window. */
  readonly standAt: (x: number, y: number, isQuiet: boolean) => void
  /** Plays a trace of the window in its own time; null ends it. */
  readonly run: (samples: readonly RunSample[] | null) => void
}

interface Listeners extends TellerListeners {
  readonly overlay: Element
  /** Where the stand-in is to be seen. */
  readonly onStandIn: (at: { x: number; y: number } | null) => void
}

export function makePointerSource(page: Document, { overlay, onStandIn, ...listeners }: Listeners): PointerSource {
  const hitAt = (x: number, y: number) => page.elementsFromPoint(x, y).find((element) => element !== overlay) ?? null
  const area = makeArea(page, hitAt)
  const { tell, tellOther, ...teller } = makeTeller(area, listeners)
  let mode: PageMode = { is: 'real' }
  let visitor: Visitor = 'mouse'
  /** Whether the hand is at the controls, and there was nothing on the page yet for the stand-in to stay on. */
  let isAwaited = false
  /** Whether no move of the real pointer means anything. */
  const isStill = () => mode.is === 'held' || mode.is === 'fastened' || mode.is === 'posing'

  const motions = makeMotions(
    page,
    (x, y) => stand(x, y, 'path'),
    (sample) => {
      const isGone = sample.phase === 'leave' || sample.phase === 'cancel'
      onStandIn(isGone ? null : { x: sample.x, y: sample.y })
      tell(sample, 'run', sample.phase === 'leave' ? null : hitAt(sample.x, sample.y))
    },
  )
  const mouseAt = (x: number, y: number, phase: Sample['phase'], buttons = 0): Sample => ({
    t: performance.now(),
    x,
    y,
    buttons,
    pointerType: 'mouse',
    phase,
  })
  const stand = (x: number, y: number, source: ThreadSample['by'] = 'stand-in') => {
    onStandIn({ x, y })
    tell(mouseAt(x, y, 'move'), source, hitAt(x, y))
  }
  const leave = () => {
    motions.stop()
    isAwaited = false
    onStandIn(null)
    area.forget()
    tell(mouseAt(teller.last()?.x ?? 0, teller.last()?.y ?? 0, 'leave'), 'real', null)
  }
  const leaveForControls = () => {
    if (isStill()) return
    motions.stop()
    area.settle(performance.now())
    area.forget()
    const point = area.restingPoint()
    if (point) return stand(point.x, point.y)
    leave()
    isAwaited = !area.isAny()
  }
  /** Where the pointer is if it is in the area, else where the stand-in belongs. */
  const pointInArea = () => {
    const last = teller.last()
    return last && isPresent(last) && area.holds(last) ? last : area.restingPoint()
  }
  const hold = (look: Look, point: { readonly x: number; readonly y: number } | undefined) => {
    if (look === 'off' || !point) return leave()
    const { x, y } = point
    stand(x, y)
    if (look === 'pressed') tell(mouseAt(x, y, 'down', 1), 'stand-in', hitAt(x, y))
  }

  const real = { x: NaN, y: NaN }
  pointerOf(page, (heard, told, prevent) => {
    // The studio tells when the pointer leaves a sandboxed frame; the browser's own word on it is not to be relied on.
    if (heard.phase === 'leave') return
    if (!isOfPointer(heard)) return tellOther(heard, told ?? null, prevent)
    const sample = asVisitor(heard, visitor)
    if (!sample) return
    // What changes under a standing pointer does not bring it back from where it went.
    const hasStood = sample.phase === 'move' && sample.x === real.x && sample.y === real.y
    Object.assign(real, { x: sample.x, y: sample.y })
    if (isStill()) return
    // A run plays to its end, unless it is clicked away.
    if (motions.is() === 'run' && sample.phase !== 'down') return
    // Handles are controls: while the hand is on one, the stand-in stays where the pointer rested.
    if (told === overlay && overlay.hasAttribute(handlesMark)) {
      if (teller.by() === 'real') leaveForControls()
      return
    }
    const last = teller.last()
    if (hasStood && (teller.by() !== 'real' || !last || !isPresent(last))) return
    const hit = !told || told === overlay ? hitAt(sample.x, sample.y) : told
    motions.stop()
    isAwaited = false
    onStandIn(null)
    area.remember(sample, hit)
    tell(sample, 'real', hit, prevent)
  })

  return {
    hitAt,
    leave,
    past: teller.past,
    feedTo: teller.feedTo,
    pointer: () => {
      const last = teller.last()
      return last && teller.by() === 'real' && isPresent(last) ? last : undefined
    },
    place: () => {
      const last = teller.last()
      const point = last && isPresent(last) ? last : area.restingPoint()
      const element = point && area.at(hitAt(point.x, point.y), point.x, point.y)
      return point && element ? { element, place: placeIn(stillBoxOf(element, 'padding'), point.x, point.y) } : undefined
    },
    setArea: (select) => {
      const stands = teller.last()?.phase === 'move' && teller.by() === 'stand-in'
      if (area.become(select) && (stands || isAwaited)) leaveForControls()
    },
    pointedAt: (element, x, y) => area.pointedAt(element, { x, y }),
    become: (next) => {
      if (JSON.stringify(next) === JSON.stringify(mode)) return
      const point = pointInArea()
      const wasTaken = isStill() || motions.is() === 'path'
      mode = next
      const element = next.is === 'playing' ? visibleMatch(page, next.select) : undefined
      if (element) return motions.playPath(element)
      if (isStill()) motions.stop()
      if (next.is === 'held') hold(next.look, point)
      else if (isStill()) {
        if (point) stand(point.x, point.y)
      } else if (wasTaken) leaveForControls()
    },
    becomeVisitor: (next) => {
      if (next === visitor) return
      visitor = next
      leave()
    },
    leaveForControls: () => {
      if (!motions.is()) leaveForControls()
    },
    follow: (select, index, place) => {
      const element = findAll(page, select)?.[index]
      if (!element) return
      const { x, y } = pointAt(stillBoxOf(element, 'padding'), place)
      stand(x, y)
    },
    standAt: (x, y, isQuiet) => {
      motions.stop()
      area.restAt({ x, y })
      stand(x, y)
      if (isQuiet) onStandIn(null)
    },
    run: (samples) => {
      motions.stop()
      mode = { is: 'real' }
      if (samples === null) leaveForControls()
      else motions.run(samples)
    },
  }
}
