// What the figures of one player share on a page: which elements are measured, and which of them we move.
import { emptyFrame, type Frame } from '../core/geometry/frame'
import type { PlayedFigure } from '../core/rig/played'
import { isNear, measure, readPlace, readShape, type Measured } from './measure'

export interface House {
  readonly root: Document | ShadowRoot
  readonly figures: readonly PlayedFigure[]
  /** Whoever finds elements that are turned under the perspective of what they stand in. */
  readonly locateInRow: ((measured: Measured) => void) | undefined
  /** Measured elements, where they would lie without us and where they are. */
  readonly still: Map<Element, Measured>
  readonly live: Map<Element, Measured>
  /** Elements that our figures move, with the transform that the page itself gives them. */
  readonly moved: Map<Element, string>
  /** All that is measured, how far the turn of being read has come, and for how many batches more all in reach is read. */
  all: readonly Measured[]
  turn: number
  restless: number
  batch: number
  /** The window as a frame of reference, and the frames of groups with their members. */
  readonly window: Frame
  readonly groups: Map<Frame, readonly Measured[]>
  /** Whoever watches which elements are in sight, and which change their size. */
  readonly sight: IntersectionObserver
  readonly sizes: ResizeObserver
}

export function newHouse(root: Document | ShadowRoot, figures: readonly PlayedFigure[], onChange: () => void, locateInRow?: (measured: Measured) => void): House {
  const house: House = {
    root,
    figures,
    locateInRow,
    still: new Map(),
    live: new Map(),
    moved: new Map(),
    all: [],
    turn: 0,
    restless: 0,
    batch: 0,
    window: emptyFrame(),
    groups: new Map(),
    sight: new IntersectionObserver((entries) => {
      for (const { target, isIntersecting } of entries) {
        for (const register of [house.still, house.live]) {
          const measured = register.get(target)
          if (measured) measured.isVisible = isIntersecting
        }
      }
      onChange()
    }),
    sizes: new ResizeObserver((entries) => {
      for (const { target } of entries) {
        for (const register of [house.still, house.live]) {
          const measured = register.get(target)
          if (measured && measured.batch >= 0) readShape(measured, house.moved)
        }
      }
      onChange()
    }),
  }
  return house
}

/** The element's record, made where there is none. */
export function lodge(house: House, element: Element, isLive: boolean): Measured {
  const register = isLive ? house.live : house.still
  let measured = register.get(element)
  if (!measured) {
    measured = measure(element, isLive)
    register.set(element, measured)
    house.sight.observe(element)
    house.sizes.observe(element)
  }
  measured.isUsed = true
  return measured
}

/** Says that nothing is used, before all figures lodge what they need afresh. */
export function clearHouse({ still, live, moved, groups }: House): void {
  moved.clear()
  groups.clear()
  for (const measured of still.values()) measured.isUsed = false
  for (const measured of live.values()) measured.isUsed = false
}

/** Once all figures have lodged: forgets what nobody uses, finds what stands under what we move, and reads shapes. */
export function settleHouse(house: House): void {
  const { still, live, moved } = house
  for (const measured of still.values()) {
    measured.matrix = moved.has(measured.element) ? (measured.matrix ?? new DOMMatrix()) : undefined
    measured.above = undefined
    for (let each = measured.isUsed ? measured.element.parentElement : null; each && !measured.above; each = each.parentElement) {
      // A record made here comes last in the map, so that its own turn comes too.
      if (moved.has(each)) measured.above = lodge(house, each, false)
    }
  }
  for (const register of [still, live]) {
    for (const [element, measured] of register) {
      if (measured.isUsed) readShape(measured, moved)
      else register.delete(element)
      if (!still.has(element) && !live.has(element)) {
        house.sight.unobserve(element)
        house.sizes.unobserve(element)
      }
    }
  }
  house.all = [...still.values(), ...live.values()]
}

/** What lies nearer to the pointer than this is in reach, px. */
const reachPx = 120
/** For so many batches everything in reach is read, once something moved without a word. */
const restlessFor = 30
/** How many records are looked at in a batch for the next one in reach. */
const lookAhead = 24
/** Every so many batches what our effects move is read without a reason. */
const seldom = 8

/**
 * Reads in one batch where elements lie. All in sight when `everything` is asked for: after a rest, a scroll, a change of
 * the page. Otherwise one of those in reach of (x, y) and one of all, in turn; as long as one of them is found to have
 * moved without a word, everything in reach.
 */
export function readHouse(house: House, x: number, y: number, everything: boolean): void {
  const { all, root } = house
  const batch = ++house.batch
  const { clientWidth, clientHeight } = (root.ownerDocument ?? (root as Document)).documentElement
  house.window.width = clientWidth
  house.window.height = clientHeight
  if (everything || house.restless > 0) {
    house.restless--
    for (const measured of all) if (measured.isVisible && (everything || isNear(measured, x, y, reachPx)) && readPlace(measured, batch, house.locateInRow) && !everything) house.restless = restlessFor
    return
  }
  for (let step = 0; step < Math.min(lookAhead, all.length); step++) {
    const measured = all[(house.turn + step) % all.length]
    // What our effects move is dear to read, and lies still by its own; it is looked at now and then.
    if (!measured?.isVisible || (measured.matrix && batch % seldom) || !(step === 0 || isNear(measured, x, y, reachPx))) continue
    if (readPlace(measured, batch, house.locateInRow)) house.restless = restlessFor
    if (step > 0) break
  }
  house.turn = (house.turn + lookAhead - 1) % Math.max(1, all.length)
}
