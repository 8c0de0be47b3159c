import { keepApart, keepCopy, keepSplit, keepTold } from './copies'
import { given } from './given'
import { keepLaid } from './laid'
import { keepLive } from './live-copy'
import { remember, undone } from './off'
import { pointer } from './pointer'
import type { Effect, Part, Place } from './types'

/** Adds the parts of an effect to an element, once. */
export function addParts(host: HTMLElement, parts: readonly Part[], measure: Effect['measure']): void {
  const [first] = parts
  if (given.readsParts && first && host.querySelector(`:scope > .${first.part}`)) return
  const made = new Map<string, HTMLElement>()
  const isThere = ({ inside, host: elsewhere, is }: Part) => !inside && !elsewhere && !is
  if (given.hasPositions && (!given.partsElsewhere || parts.some(isThere)) && getComputedStyle(host).position === 'static') {
    if (given.takesOff) remember(host, 'position')
    host.style.position = 'relative'
  }
  for (const part of parts) {
    if (given.partsDrop && part.stride) continue
    const home = (part.inside && made.get(part.inside)) || (given.partsElsewhere && part.host ? homeOf(part.host) : host)
    if (given.partsLaid && part.lays) {
      keepLaid(host, home, part, measure)
      continue
    }
    if (given.partsSplit && part.splits) {
      keepSplit(host, home, part)
      continue
    }
    made.set(part.part, given.partsTaken && part.is ? takePart(part) : addPart(host, home, part))
    if (given.partsLive && part.copiesLive) keepLive(host, made.get(part.part) ?? host, part)
    if (given.partsCount) for (let n = 1; n < (part.count ?? 1); n++) addPart(host, home, part)
    if (given.partsNumbered && part.isNumbered)
      home.querySelectorAll<HTMLElement>(`:scope > .${part.part}`).forEach(({ style }, n) => {
        style.setProperty(`--${part.part}-index`, String(n))
      })
  }
}

/** Takes an element of the page for a part, over all else. */
function takePart({ part, is = '' }: Part): HTMLElement {
  const element = document.querySelector<HTMLElement>(is) ?? document.createElement('span')
  if (!element.isConnected) return element
  if (given.takesOff) {
    const before = ['class', 'style', 'popover', 'aria-hidden'].map((name) => [name, element.getAttribute(name)] as const)
    undone.push(() => {
      for (const [name, text] of before)
        if (text === null) element.removeAttribute(name)
        else element.setAttribute(name, text)
    })
  }
  element.classList.add(part)
  element.ariaHidden = 'true'
  element.popover = 'manual'
  element.showPopover()
  return element
}

/** What lies over all else goes over what has come there since: a dialog, a popover, what fills the screen. */
export function stayOnTop(effect: Effect): void {
  const top = pointer.over?.closest(':modal, :popover-open, :fullscreen') ?? null
  if (top === effect.under) return
  effect.under = top
  if (!top) return
  for (const { part, host, is } of effect.parts ?? []) {
    if (host !== 'top' && !is) continue
    for (const element of document.querySelectorAll<HTMLElement>(`.${part}`)) {
      element.hidePopover()
      element.showPopover()
    }
  }
}

/** Where on the page a part stands that does not stand in its area. */
const homeOf = (host: string) =>
  given.partsOnTop && host === 'top' ? document.body : (document.querySelector<HTMLElement>(host) ?? document.body)

/** Adds one part: seen only, and never heard, clicked or focused, unless it is to be reached. */
export function addPart(
  host: HTMLElement,
  home: HTMLElement,
  { part, tag, host: place, coversBorder, copies, copiesApart, told, source, attribute, reached, role, namedBy, shows, passes }: Part,
): HTMLElement {
  const element = document.createElement((given.partsPaint && tag) || 'span')
  element.className = part
  if (!(given.partsReached && reached)) element.setAttribute('aria-hidden', 'true')
  if (given.partsReached && role) element.setAttribute('role', role)
  if (given.partsSlide && namedBy) makeSlider(host, element, namedBy, shows)
  element.dataset.part = ''
  if (given.partsCover && coversBorder && (!given.hasClips || getComputedStyle(host).overflow === 'visible')) {
    const { borderTopWidth, borderRightWidth, borderBottomWidth, borderLeftWidth } = getComputedStyle(host)
    element.style.inset = [borderTopWidth, borderRightWidth, borderBottomWidth, borderLeftWidth].map((width) => `-${width}`).join(' ')
  }
  if (given.partsCopy && copies) keepCopy(host, element)
  if (given.partsApart && copiesApart) keepApart(host, element)
  if (given.partsTell && told) keepTold(host, element, told, source, attribute, !((given.partsDrop || given.partsMeet) && passes))
  home.append(element)
  if (given.partsOnTop && place === 'top') {
    element.popover = 'manual'
    element.showPopover()
  }
  if (given.takesOff && !((given.partsDrop || given.partsMeet) && passes)) undone.push(() => element.remove())
  return element
}

/** Makes a part a slider that can be focused, named by the headings of what these select, or by their words. */
function makeSlider(host: HTMLElement, element: HTMLElement, namedBy: readonly string[], shows = ''): void {
  const words = namedBy.map((select) => {
    const named = host.querySelector(select)
    return (named?.querySelector('h1, h2, h3, h4, h5, h6') ?? named)?.textContent?.trim().slice(0, 60)
  })
  element.tabIndex = 0
  element.ariaLabel = words.join(' / ')
  element.ariaValueMin = '0'
  element.ariaValueMax = '1'
  element.ariaValueNow = shows
}

/** Parts that are there only with the pointer come with it, and are gone once all has come to rest; of more places than may have them the oldest one loses them. */
export function meetParts(effect: Effect, place: Place): void {
  const alive = (effect.alive ??= [])
  const isWanted = effect.turnsLooks ? place.look.shown !== 'off' : place.isOn
  const isThere = alive.includes(place)
  if (isWanted && !isThere) {
    addParts(place.area as HTMLElement, effect.parts ?? [], effect.measure)
    alive.push(place)
  }
  const ends = alive.length > (effect.meets ?? 1) ? alive.shift() : !isWanted && isThere && !place.moves ? place : undefined
  if (!ends) return
  effect.alive = alive.filter((each) => each !== ends)
  endParts(ends, effect.parts)
}

export const endParts = ({ area }: Place, parts: Effect['parts'] = []) =>
  parts.forEach(({ part }) => area.querySelectorAll(`:scope > .${part}`).forEach((element) => element.remove()))

/** What is seen only with the pointer is gone once all of it has come to rest: what nobody sees costs nothing. */
export function showParts({ turnsLooks }: Effect, { area, isOn, look, moves }: Place, parts: string): void {
  const isSeen = turnsLooks ? look.shown !== 'off' : isOn
  for (const part of partsOf(area, parts)) part.style.visibility = isSeen || moves ? '' : 'hidden'
}

/** The parts of an area that a selector means: in it, or elsewhere on the page. */
export const partsOf = (area: Element, select: string): Iterable<HTMLElement> =>
  given.partsElsewhere && !select.includes(':scope')
    ? document.querySelectorAll<HTMLElement>(select)
    : given.partsElsewhere
      ? [...area.querySelectorAll<HTMLElement>(select), ...document.querySelectorAll<HTMLElement>(select.replaceAll(':scope', ':not(*)'))]
      : area.querySelectorAll<HTMLElement>(select)
