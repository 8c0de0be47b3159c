import { isPart } from './copies'
import { frameOf } from './frames'
import { given } from './given'
import { toldBySheet } from './knobs'
import { valueAt } from './turn'
import type { Effect, Letter, Part, Place } from './types'

/** A piece of a text, and where it stands. */
interface Piece {
  readonly range: Range
  readonly parent: Element
}

/** What is not taken apart: letters that fonts join, and words of scripts whose letters change beside others. */
const joined = /ff[il]?|f[il]|[\p{Script=Arabic}\p{Script=Syriac}\p{Script=Mongolian}\p{Script=Nko}\p{Mn}]+/gu

/** Where pieces of a text begin. */
function beginsOf(text: string, by: Part['lays']): readonly number[] {
  const segments = [...new Intl.Segmenter(undefined, { granularity: by === 'letters' ? 'grapheme' : 'word' }).segment(text)]
  if (by === 'letters') {
    const inner = new Set(
      [...text.matchAll(joined)].flatMap(({ 0: { length }, index }) => Array.from({ length: length - 1 }, (_, i) => index + i + 1)),
    )
    return segments.map(({ index }) => index).filter((index) => !inner.has(index))
  }
  // A mark goes with the word before it, or with the next one.
  const isSpace = (at: number) => !text.charAt(at).trim()
  let hasWord = false
  return segments
    .filter(({ index, isWordLike = false }) => {
      const begins = index === 0 || isSpace(index) || isSpace(index - 1) || (isWordLike && hasWord)
      hasWord = isWordLike || (hasWord && !begins)
      return begins
    })
    .map(({ index }) => index)
}

/** The pieces of the texts in an element, but for what is empty or not seen. */
function piecesOf(host: Element, by: Part['lays']): readonly Piece[] {
  const walker = document.createTreeWalker(host, NodeFilter.SHOW_TEXT)
  const pieces: Piece[] = []
  let top = NaN
  for (let node = walker.nextNode() as Text | null; node; node = walker.nextNode() as Text | null) {
    const parent = node.parentElement
    if (!parent || parent.closest('[data-part], style, script')) continue
    const { data } = node
    const begins = beginsOf(data, by)
    begins.forEach((from, i) => {
      const end = from + data.slice(from, begins[i + 1]).trimEnd().length
      const range = document.createRange()
      range.setStart(node, from)
      range.setEnd(node, end)
      const [rect] = range.getClientRects()
      const last = pieces.at(-1)
      if (!rect?.width) return
      // Of one line all is one piece.
      if (by === 'lines' && last?.range.endContainer === node && Math.abs(rect.top - top) < 1) last.range.setEnd(node, end)
      else if (end > from) pieces.push({ range, parent })
      top = rect.top
    })
  }
  return pieces
}

/** Lays each letter, word or line of a host once more over where it stands, as long as that is there: they can be moved without the text. */
export function keepLaid(host: HTMLElement, home: HTMLElement, part: Part, measure: Effect['measure']): void {
  home.dataset.letters = ''
  layLetters(host, home, part, measure)
  const sizeOf = () => `${host.clientWidth} ${host.clientHeight}`
  let size = sizeOf()
  const changes = new MutationObserver((records) => {
    const isOwn = ({ target, addedNodes, removedNodes }: MutationRecord) =>
      home.contains(target) || [...addedNodes, ...removedNodes].some(isPart)
    if (!home.isConnected || !records.every(isOwn)) layAnew()
  })
  const sizes = new ResizeObserver(() => {
    if (size !== sizeOf()) layAnew()
    size = sizeOf()
  })
  const layAnew = () => {
    if (home.isConnected) layLetters(host, home, part, measure)
    else {
      changes.disconnect()
      sizes.disconnect()
    }
  }
  changes.observe(host, { subtree: true, childList: true, characterData: true })
  sizes.observe(host)
}

/** The letters that are laid over a text, by what holds it. */
const laid = new WeakMap<Element, readonly Letter[]>()

function layLetters(host: HTMLElement, home: HTMLElement, { part, lays }: Part, measure: Effect['measure']): void {
  const { toFrame } = frameOf(host, measure)
  const isUpright = Math.abs(toFrame.b) + Math.abs(toFrame.c) < 1e-6
  const letters = piecesOf(host, lays).map(({ range, parent }): Letter => {
    const { left, top, width, height } = range.getBoundingClientRect()
    const { x, y } = toFrame.transformPoint({ x: left + width / 2, y: top + height / 2 })
    const { color, fontFamily, fontSize, fontStyle, fontWeight, letterSpacing, textTransform } = getComputedStyle(parent)
    const element = document.createElement('span')
    element.className = part
    element.dataset.part = ''
    element.textContent = range.toString().replace(/\s+/g, ' ')
    element.style.left = `${x}px`
    element.style.top = `${y}px`
    if (isUpright) element.style.lineHeight = `${height * toFrame.d}px`
    if (parent !== host) {
      element.style.fontFamily = fontFamily
      element.style.fontSize = fontSize
      element.style.fontStyle = fontStyle
      element.style.letterSpacing = letterSpacing
      element.style.textTransform = textTransform
    }
    element.style.setProperty('--letter-weight', fontWeight)
    element.style.setProperty('--letter-colour', color)
    // A line is as near as what of it is nearest.
    if (given.laysLines && lays === 'lines') return { element, x, y, near: 0, half: (width * toFrame.a) / 2 }
    return { element, x, y, near: 0 }
  })
  laid.set(host, letters)
  home.replaceChildren(...letters.map(({ element }) => element))
}

/** Tells each letter of a place that the pointer reaches, or did, how near it is. */
export function tellNear({ parts = [] }: Effect, { area, followers }: Place, t: number): void {
  const letters = laid.get(area) ?? []
  const part = parts.find(({ reach }) => reach)
  const home = letters[0]?.element.parentElement
  if (!home?.isConnected || !part?.reach) return
  const reachPx = parseFloat(toldBySheet(home, [part.reach], t)[0] ?? '') || 1
  const at = { x: 0, y: 0, here: 0 }
  for (const follower of followers) if (follower.value.nears) at[follower.value.nears] = valueAt(follower, t)
  for (const letter of letters) {
    let dx = letter.x - at.x
    const dy = letter.y - at.y
    if (given.laysLines) dx = Math.sign(dx) * Math.max(0, Math.abs(dx) - (letter.half ?? 0))
    const far = Math.hypot(dx, dy)
    const near = far < reachPx ? at.here * (0.5 + 0.5 * Math.cos((Math.PI * far) / reachPx)) : 0
    if (near === letter.near) continue
    letter.near = near
    const { style } = letter.element
    style.setProperty('--near', near.toFixed(4))
    if (given.lettersAside && part.isAside) {
      style.setProperty('--aside-x', ((near * dx) / (far || 1)).toFixed(4))
      style.setProperty('--aside-y', ((near * dy) / (far || 1)).toFixed(4))
    }
  }
}
