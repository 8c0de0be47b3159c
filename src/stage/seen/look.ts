// What of an effect is seen on the page: it is played at nine places of the pointer on one of its elements, at once and before anything is drawn.
import type { Seen, SeenAsked } from '../../core/check/seen'
import { pointAt } from '../../core/geometry/place'
import { findAll } from '../../play/find'
import type { RunningScript, Surroundings } from '../../play/run-script'
import { stillBoxOf } from '../boxes'
import { flattenedBy } from '../flat'
import type { Host } from '../host'
import type { Hover } from '../hover'
import type { Numbers } from '../numbers'
import { coarseIn } from './pictures'
import { clippedBy, coveredBy, noReach, reachOf, reachOfAll, wider, type Reach } from './reach'
import { fleeingFrom, startOf } from './targets'
import { groundOf, textsIn, type TextLooks } from './texts'

/** After so long all but the slowest has settled, ms: what goes on by itself is followed all that time. */
const longMs = 6000

/** The nine places, as shares from the middle to the edges. */
const shares = [-0.9, 0, 0.9]
export const ninePlaces = shares.flatMap((y) => shares.map((x) => ({ x, y })))

/** Of how many elements at most it is read what is computed. */
const mostRead = 80

type Run = (requestFrame: Surroundings['requestFrame']) => RunningScript

/** Looks at one effect; null where none of its elements is there. The page is as it was afterwards; while something of it is on its way it is left alone. */
export function lookAtEffect(
  page: Document,
  numbers: Numbers,
  measure: Host['measure'],
  hover: Hover,
  asked: SeenAsked,
): Seen | 'busy' | null {
  const before = new Set(page.getAnimations())
  if ([...before].some((each) => each instanceof CSSTransition)) return 'busy'
  const all = asked.select === '' ? [page.documentElement] : (findAll(page, asked.select) ?? [])
  const matches = all.filter((element) => {
    const { width, height } = element.getBoundingClientRect()
    return width > 0 && height > 0
  })
  const inWindow = (element: Element) => {
    const { top, bottom } = element.getBoundingClientRect()
    return bottom > 0 && top < innerHeight
  }
  const first = matches.find(inWindow) ?? matches[0]
  if (!first) return null
  const seen = hover.lend((mark) => measure((run) => play(page, numbers, run, mark, asked, first, matches)))
  // What comes and goes in its own time was there already; the script that plays shows it with its next frame.
  finish(page, before)
  requestAnimationFrame(() => finish(page, before))
  return seen
}

function play(
  page: Document,
  numbers: Numbers,
  run: Run,
  mark: (element: Element | null) => void,
  { written, parts, properties, moves, lens }: SeenAsked,
  first: HTMLElement,
  matches: readonly Element[],
): Seen {
  mark(null)
  const before = new Set(page.getAnimations())
  finish(page, before)
  const read = [...new Set([first, ...written.flatMap((select) => findAll(page, select) ?? [])])].slice(0, mostRead)
  const asIs = valuesOf(read, properties)
  const box = stillBoxOf(first)
  const texts: TextLooks = textsIn(first, numbers)
  const targets = startOf(first, numbers)
  const partsOf = () => parts.flatMap((select) => findAll(page, select) ?? [])
  const holds = first.querySelectorAll('*').length
  const clock = clockFrom(performance.now())
  const running = run(clock.request)
  let isSeen = false
  let [own, all]: [Reach, Reach] = [noReach, noReach]
  const coarse = new Map<number, Seen['coarse'][number]>()
  const fleeing = new Map<number, Seen['fleeing'][number]>()
  for (const place of ninePlaces) {
    const point = pointAt(stillBoxOf(first, 'padding'), place)
    mark(first)
    clock.tick(20)
    // Whatever lies over it there, the pointer is on it.
    running.hear({ t: clock.now(), ...point, buttons: 0, pointerType: 'mouse', phase: 'move' }, first)
    clock.run()
    clock.tick(longMs)
    clock.run()
    finish(page, before)
    const added = partsOf()
    isSeen ||= added.some(isDrawn) || valuesOf(read, properties) !== asIs
    if (moves) own = wider(own, reachOf(first, box))
    // What others do to the element is not this one's doing.
    all = wider(all, reachOfAll(first, moves ? box : first.getBoundingClientRect(), added))
    texts.look(added)
    for (const each of coarseIn(first, box, numbers, lens)) coarse.set(each.number, each)
    for (const each of fleeingFrom(targets, point)) fleeing.set(each.number, each)
  }
  // How it lies under others is seen while it is on.
  const covered = coveredBy(matches, first, own, numbers)
  running.end()
  mark(null)
  finish(page, before)
  return {
    isSeen,
    clipped: clippedBy(matches, all, numbers),
    covered,
    flat: flattenedBy(first),
    texts: texts.all(),
    fleeing: [...fleeing.values()],
    coarse: [...coarse.values()],
    holds,
    ground: groundOf(first),
  }
}

/** A clock that is moved by hand, and the frames that were asked for by it. */
function clockFrom(start: number) {
  let now = start
  const frames: ((now: number) => void)[] = []
  return {
    now: () => now,
    tick: (ms: number) => (now += ms),
    request: (callback: (now: number) => void) => void frames.push(callback),
    run: () => {
      for (let i = 0; i < 4 && frames.length > 0; i++) for (const each of frames.splice(0)) each(now)
    },
  }
}

/** What comes and goes by the stylesheet has a clock that cannot be moved: it is there. What ran before goes on. */
function finish(page: Document, before: ReadonlySet<Animation>): void {
  for (const each of page.getAnimations()) if (each instanceof CSSTransition && !before.has(each)) each.finish()
}

/** What is computed of some properties of elements, as one text. */
const valuesOf = (elements: readonly Element[], properties: readonly string[]): string =>
  JSON.stringify(
    elements.flatMap((element) =>
      [undefined, '::before', '::after'].map((pseudo) => {
        const style = getComputedStyle(element, pseudo)
        if (pseudo !== undefined && style.content === 'none') return ''
        return properties.map((property) =>
          // Shares of a box and limits are told by a computed translation as they are written: where it comes to counts.
          property === 'translate' && pseudo === undefined ? placeOf(element) : plainly(property, style.getPropertyValue(property)),
        )
      }),
    ),
  )

/** Values by which nothing is drawn elsewhere (CSS Transforms Level 2, individual transforms), by their properties. */
const unmoved: Readonly<Record<string, RegExp>> = {
  translate: /^0(px|%)?( 0(px|%)?)*$/,
  scale: /^1( 1)*$/,
  rotate: /^([xyz] )?0deg$/,
  transform: /^matrix\(1, 0, 0, 1, 0, 0\)$/,
}

const placeOf = (element: Element): string => {
  const { x, y } = element.getBoundingClientRect()
  return `${x.toFixed(1)} ${y.toFixed(1)}`
}

/** A computed value, and `none` for one by which nothing is drawn elsewhere. */
const plainly = (property: string, value: string): string => (unmoved[property]?.test(value) ? 'none' : value)

/** Whether something of a part is seen. */
function isDrawn(part: Element): boolean {
  const { width, height } = part.getBoundingClientRect()
  const { visibility, display, backgroundImage, backgroundColor, boxShadow, borderTopWidth } = getComputedStyle(part)
  if (width * height === 0 || visibility === 'hidden' || display === 'none') return false
  for (let each: Element | null = part; each; each = each.parentElement) if (Number(getComputedStyle(each).opacity) < 0.01) return false
  const isClear = /^(transparent|rgba\(.*, 0\))$/.test(backgroundColor)
  return (
    backgroundImage !== 'none' ||
    !isClear ||
    boxShadow !== 'none' ||
    parseFloat(borderTopWidth) > 0 ||
    part.textContent.trim() !== '' ||
    part.querySelector('img, svg, picture, video, canvas') !== null
  )
}
