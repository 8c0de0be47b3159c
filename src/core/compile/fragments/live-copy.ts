import { ownSheets, withAround } from './around'
import { given } from './given'
import { childrenOf, goesOn, keepState } from './live-nodes'
import { ending, undone } from './off'
import type { Part } from './types'

/** A copy of what a host holds that is made, and kept in step, a few ms at a time. */
export interface Live {
  readonly host: HTMLElement
  /** What in the host all of it is shown in. */
  readonly lens: HTMLElement
  /** The part in which the copy stands. */
  readonly element: HTMLElement
  readonly zoom: number
  readonly sharper: string
  /** Copies, by what they are of. */
  readonly copies: WeakMap<Node, Node>
  /** Whose children are not copied yet, or are others by now: how far each is from the pointer. */
  readonly unmade: Map<Element, number>
  /** What moves by itself, and what shows it. */
  readonly films: Map<HTMLVideoElement | HTMLCanvasElement, HTMLCanvasElement>
  /** How many elements there may still be: in all, and before the browser is let go on; until when that waits. */
  left: number
  room: number
  until: number
  isAwaited: boolean
}

/** So many elements are copied at the most. */
const mostCopied = 2000
/** So many at a time, and for so long, ms. */
const copiedAtOnce = 80
const copyingMs = 5

/**
 * Fills a part with what its host holds, apart from the page: what is near the pointer first, in steps that hold nothing up, as long as it is
 * seen. It stays in step with what the page, and whoever uses it, makes of the host. Nobody can focus, select or hear it.
 */
export function keepLive(host: HTMLElement, element: HTMLElement, { zoom = 1, sharper = '' }: Part): void {
  let lens = element
  while (lens.parentElement && lens.parentElement !== host) lens = lens.parentElement
  element.inert = true
  const live: Live = {
    host,
    lens,
    element,
    zoom,
    sharper,
    copies: new WeakMap(),
    unmade: new Map([[host, 0]]),
    films: new Map(),
    left: mostCopied,
    room: 0,
    until: 0,
    isAwaited: false,
  }
  const wakes = new MutationObserver(() => {
    if (live.unmade.size + live.films.size > 0) makeOn(live)
  })
  wakes.observe(lens, { attributeFilter: ['style'] })
  if (given.takesOff) undone.push(() => wakes.disconnect())
}

/** Begins a copy: with the page's own stylesheets, once these are there, and on the ground that the host is seen on. */
function beginCopy(live: Live): void {
  const { host, lens, element } = live
  const copy = host.cloneNode() as HTMLElement
  live.copies.set(host, copy)
  const { borderTopWidth, borderRightWidth, borderBottomWidth, borderLeftWidth } = getComputedStyle(host)
  // The middle of its padding box is where the part is.
  const translate = `calc((${borderRightWidth} - ${borderLeftWidth}) / 2 - 50%) calc((${borderBottomWidth} - ${borderTopWidth}) / 2 - 50%)`
  // Whatever the page has the host do, its copy lies flat.
  copy.style.cssText += `; position: absolute !important; inset: 0 auto auto 0 !important; margin: 0 !important; z-index: auto !important; opacity: 1 !important; filter: none !important; transform: none !important; translate: ${translate} !important; rotate: none !important; scale: none !important; transition: none !important; animation: none !important; max-width: none !important; max-height: none !important`
  const root = element.attachShadow({ mode: 'closed' })
  const sheets = ownSheets().map((each) => each.cloneNode(true) as HTMLElement)
  const links = sheets.filter(({ localName }) => localName === 'link')
  let waiting = links.length
  const isThere = () => (element.style.visibility = waiting-- > 0 ? 'hidden' : '')
  for (const link of links) link.onload = link.onerror = isThere
  isThere()
  root.append(...sheets, withAround(host, copy))
  root.adoptedStyleSheets = [...document.adoptedStyleSheets]
  let ground: Element | null = host
  while (ground && /^transparent|, 0\)$/.test(getComputedStyle(ground).backgroundColor)) ground = ground.parentElement
  lens.style.setProperty('--ground', ground ? getComputedStyle(ground).backgroundColor : 'Canvas')
  followHost(live)
}

/** Hears of all that becomes another in a host. */
function followHost(live: Live): void {
  const { host } = live
  const observer = new MutationObserver((records) => {
    for (const record of records) followChange(live, record)
    if (live.unmade.size > 0) makeOn(live)
  })
  observer.observe(host, { subtree: true, childList: true, characterData: true, attributes: true })
  const sizes = new ResizeObserver(() => makeOn(live))
  sizes.observe(host)
  if (given.takesOff)
    undone.push(() => {
      observer.disconnect()
      sizes.disconnect()
    })
  const options = given.takesOff ? { capture: true, signal: ending.signal } : true
  for (const type of ['input', 'change', 'scroll'])
    document.addEventListener(type, ({ target }) => keepState(live, target as Element), options)
}

function followChange({ host, copies, unmade }: Live, { type, target, attributeName }: MutationRecord): void {
  const copy = copies.get(target)
  if (type === 'characterData' && copy) copy.textContent = target.textContent
  else if (type === 'childList' && copy) unmade.set(target as Element, 0)
  else if (attributeName && copy && target !== host && !unmade.has(target as Element)) {
    const text = (target as Element).getAttribute(attributeName)
    if (text === null) (copy as Element).removeAttribute(attributeName)
    else (copy as Element).setAttribute(attributeName, text)
  }
}

function makeOn(live: Live): void {
  if (live.isAwaited) return
  live.isAwaited = true
  requestAnimationFrame(() => {
    live.isAwaited = false
    const { lens, films, unmade } = live
    if (lens.style.visibility === 'hidden' || !lens.isConnected) return
    if (!live.copies.has(live.host)) beginCopy(live)
    make(live)
    for (const [film, canvas] of films)
      if (film.isConnected) showFilm(film, canvas)
      else films.delete(film)
    if (unmade.size + films.size > 0) makeOn(live)
  })
}

/** Makes some more of a copy: all is read first, then written. */
function make(live: Live): void {
  const { host, copies, unmade } = live
  const { width, height } = getComputedStyle(host)
  const made: (readonly [source: Element, children: readonly Node[], isOther: boolean])[] = []
  live.room = copiedAtOnce
  live.until = performance.now() + copyingMs
  while (unmade.size > 0 && goesOn(live)) {
    const [source] = [...unmade].reduce((nearest, each) => (each[1] < nearest[1] ? each : nearest))
    unmade.delete(source)
    made.push([source, childrenOf(live, source), source.scrollTop !== 0 || source.scrollLeft !== 0 || source.matches('select')])
  }
  for (const [source, children, isOther] of made) {
    const copy = copies.get(source) as HTMLElement
    // Once all of it is there it is as large as that again.
    if (source !== host && !unmade.has(source)) copy.style.cssText = (source as HTMLElement).style.cssText
    const known = [...copy.childNodes]
    if (known.every((node, i) => node === children[i])) copy.append(...children.slice(known.length))
    else copy.replaceChildren(...children)
    if (isOther) keepState(live, source)
  }
  const { style } = copies.get(host) as HTMLElement
  style.setProperty('width', width, 'important')
  style.setProperty('height', height, 'important')
}

function showFilm(film: HTMLVideoElement | HTMLCanvasElement, canvas: HTMLCanvasElement): void {
  const [width, height] = film instanceof HTMLVideoElement ? [film.videoWidth, film.videoHeight] : [film.width, film.height]
  if (canvas.width !== width || canvas.height !== height) Object.assign(canvas, { width, height })
  if (width && height) canvas.getContext('2d')?.drawImage(film, 0, 0)
}
