import { frameOf } from './frames'
import type { Effect, Part } from './types'

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
  const observer = new MutationObserver((records) => {
    if (!home.isConnected) observer.disconnect()
    else if (records.some(({ target }) => !home.contains(target) && target !== host)) layLetters(host, home, part, measure)
  })
  observer.observe(host, { subtree: true, childList: true, characterData: true })
}

function layLetters(host: HTMLElement, home: HTMLElement, { part, lays }: Part, measure: Effect['measure']): void {
  const { toFrame } = frameOf(host, measure)
  const isUpright = Math.abs(toFrame.b) + Math.abs(toFrame.c) < 1e-6
  const letters = piecesOf(host, lays).map(({ range, parent }) => {
    const { left, top, width, height } = range.getBoundingClientRect()
    const { x, y } = toFrame.transformPoint({ x: left + width / 2, y: top + height / 2 })
    const { color, fontFamily, fontSize, fontStyle, fontWeight, letterSpacing, textTransform } = getComputedStyle(parent)
    const letter = document.createElement('span')
    letter.className = part
    letter.dataset.part = ''
    letter.textContent = range.toString().replace(/\s+/g, ' ')
    if (parent !== host) {
      letter.style.fontFamily = fontFamily
      letter.style.fontSize = fontSize
      letter.style.fontStyle = fontStyle
      letter.style.letterSpacing = letterSpacing
      letter.style.textTransform = textTransform
    }
    if (isUpright) letter.style.lineHeight = `${height * toFrame.d}px`
    letter.style.setProperty('--letter-x', x.toFixed(2))
    letter.style.setProperty('--letter-y', y.toFixed(2))
    letter.style.setProperty('--letter-weight', fontWeight)
    letter.style.setProperty('--letter-colour', color)
    return letter
  })
  home.replaceChildren(...letters)
}
