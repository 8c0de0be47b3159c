import { ownSheets, withAround } from './around'
import { given } from './given'
import { undone } from './off'
import type { Part } from './types'

export const isPart = (node: Node) => (node as HTMLElement).dataset?.part === ''

/** Fills a part, now and whenever what its host holds has changed. */
function keepFilled(host: HTMLElement, fill: () => void, attribute?: string, isKept = true): void {
  const isOwn = (node: Node) => !(node instanceof Element ? node : node.parentElement)?.closest('[data-part]')
  fill()
  if ((given.partsDrop || given.partsMeet) && !isKept) return
  const observer = new MutationObserver((records) => {
    if (records.some(({ target, addedNodes, removedNodes }) => isOwn(target) && ![...addedNodes, ...removedNodes].some(isPart))) fill()
  })
  observer.observe(host, { subtree: true, childList: true, characterData: true })
  if (given.partsTell && attribute)
    observer.observe(host, { subtree: true, childList: true, characterData: true, attributeFilter: [attribute] })
  if (given.takesOff) undone.push(() => observer.disconnect())
}

/** Fills a part with what its host holds; nobody can focus, select or hear it. */
export function keepCopy(host: HTMLElement, part: HTMLElement): void {
  part.inert = true
  keepFilled(host, () => {
    part.replaceChildren(...[...host.childNodes].filter((node) => !isPart(node)).map((node) => node.cloneNode(true)))
    for (const element of part.querySelectorAll('[id]')) element.removeAttribute('id')
  })
}

/**
 * Fills a part with what its host holds, apart from the page: within copies of all that it lies in, with the page's own stylesheets, so
 * that its rules match there as they do here. The copy of the host itself fills the part.
 */
export function keepApart(host: HTMLElement, part: HTMLElement): void {
  part.inert = true
  const root = part.attachShadow({ mode: 'closed' })
  let [sheets, shown]: [Element[], Node?] = [[]]
  keepFilled(host, () => {
    const copy = host.cloneNode(true) as HTMLElement
    for (const each of copy.querySelectorAll('[data-part]')) each.remove()
    copy.style.cssText +=
      '; position: absolute !important; inset: 0 !important; width: auto !important; height: auto !important; max-width: none !important; max-height: none !important; margin: 0 !important; transform: none !important; transition: none !important'
    const around = withAround(host, copy)
    // Sheets are read anew where there are others by now.
    const own = ownSheets()
    if (own.length !== sheets.length || own.some((each, i) => each !== sheets[i])) {
      root.replaceChildren(...own.map((each) => each.cloneNode(true)), around)
      sheets = own
    } else if (shown) root.replaceChild(around, shown)
    shown = around
    root.adoptedStyleSheets = [...document.adoptedStyleSheets]
  })
}

/** Fills a part with the text or the picture that its host gives, or an element in it. */
export function keepTold(
  host: HTMLElement,
  part: HTMLElement,
  told: 'text' | 'picture',
  source?: string,
  attribute?: string,
  isKept = true,
): void {
  keepFilled(
    host,
    () => {
      const giver = source ? host.querySelector<HTMLElement>(source) : host
      const { currentSrc, src } = (giver ?? {}) as Partial<HTMLImageElement>
      // What is not shown may not be loaded yet.
      const own = told === 'picture' ? currentSrc || src : giver?.textContent
      const text = (attribute ? giver?.getAttribute(attribute) : own) ?? ''
      if (told === 'text') part.textContent = text.trim()
      else part.style.backgroundImage = text ? `url("${text.replaceAll('"', '%22')}")` : ''
    },
    attribute,
    isKept,
  )
}

/** Fills a part with what its host says, in pieces of one letter or one word; what lies between words breaks lines as ever. */
export function keepSplit(host: HTMLElement, home: HTMLElement, { part, splits }: Part): void {
  keepFilled(host, () => {
    const text = [...host.childNodes].map((node) => (isPart(node) ? '' : (node.textContent ?? ''))).join('')
    const words = text.trim().split(/(\s+)/)
    home.replaceChildren(
      ...words.flatMap((word) => {
        if (word.trim() === '') return [' ']
        const pieces = splits === 'words' ? [word] : [...new Intl.Segmenter().segment(word)].map(({ segment }) => segment)
        return pieces.flatMap((piece, index) => {
          const element = document.createElement('span')
          element.className = part
          element.dataset.part = ''
          element.textContent = piece
          // No line breaks inside a word.
          return index > 0 ? ['\u2060', element] : [element]
        })
      }),
    )
  })
}
