// What a move costs, in counts: boxes read, elements written, and how much of the window may have to be drawn anew.
import type { Cost } from './protocol'

/** Reports are no more frequent than this, ms. */
const everyMs = 250

type FrameCallback = (now: number) => void

/** Gives a frame callback that is counted while it runs. */
export type Counted = (callback: FrameCallback) => FrameCallback

/** Whether what sticks out of an element is not seen. */
const clips = (element: Element) => getComputedStyle(element).overflow !== 'visible'

/** What is drawn of an element: itself, or what hangs on it where it has no size of its own. */
function drawnOf(element: Element): readonly Element[] {
  const { width, height } = element.getBoundingClientRect()
  return width > 0 && height > 0 ? [element] : [...element.children].flatMap(drawnOf)
}

/** The part of the window, 0..1, in which these elements are drawn; what lies over one another counts once (on a raster of cells). */
export function shareOfWindow(elements: Iterable<Element>, width: number, height: number): number {
  const cells = 40
  const hit = new Set<number>()
  const cellOf = (value: number, size: number) => Math.min(cells, Math.max(0, (value / size) * cells))
  for (const element of [...elements].flatMap(drawnOf)) {
    let { left, top, right, bottom } = element.getBoundingClientRect()
    for (let each = element.parentElement; each && each !== each.ownerDocument.documentElement; each = each.parentElement) {
      if (!clips(each)) continue
      const box = each.getBoundingClientRect()
      left = Math.max(left, box.left)
      top = Math.max(top, box.top)
      right = Math.min(right, box.right)
      bottom = Math.min(bottom, box.bottom)
    }
    if (right <= left || bottom <= top) continue
    for (let y = Math.floor(cellOf(top, height)); y < cellOf(bottom, height); y++)
      for (let x = Math.floor(cellOf(left, width)); x < cellOf(right, width); x++) hit.add(y * cells + x)
  }
  return hit.size / cells ** 2
}

/** Counts what the frames of a script do on a page, and reports the dearest of the last moments. */
export function countCosts(page: Document, report: (cost: Cost) => void): Counted {
  let boxes = 0
  let isCounting = false
  const measure = Object.getOwnPropertyDescriptor(Element.prototype, 'getBoundingClientRect')?.value as Element['getBoundingClientRect']
  // The page's own scripts do not run here, so nobody else minds.
  Element.prototype.getBoundingClientRect = function () {
    if (isCounting) boxes++
    return measure.call(this)
  }
  const written = new MutationObserver(() => undefined)
  written.observe(page, { subtree: true, attributes: true, attributeFilter: ['style'] })
  let most: { readonly boxes: number; readonly elements: ReadonlySet<Element> } = { boxes: 0, elements: new Set() }
  let timer: ReturnType<typeof setTimeout> | undefined
  const tell = () => {
    timer = undefined
    const { elements } = most
    report({
      boxes: most.boxes,
      elements: elements.size,
      share: shareOfWindow(
        [...elements].filter((element) => element.isConnected),
        innerWidth,
        innerHeight,
      ),
    })
    most = { boxes: 0, elements: new Set() }
  }
  return (callback) => (now) => {
    written.takeRecords()
    boxes = 0
    isCounting = true
    try {
      callback(now)
    } finally {
      isCounting = false
    }
    const elements = new Set(written.takeRecords().flatMap(({ target }) => (target instanceof Element ? [target] : [])))
    // A frame that only looks whether something has moved is no move.
    if (elements.size === 0) return
    if (elements.size > most.elements.size || (elements.size === most.elements.size && boxes > most.boxes)) most = { boxes, elements }
    timer ??= setTimeout(tell, everyMs)
  }
}
