import { given } from './given'
import type { Live } from './live-copy'
import { pointer } from './pointer'

/** What is nearer than this is copied at once, px. */
const nearPx = 100

/** What is copied without what it holds: it is heard, runs, or has a page of its own. */
const emptied = 'audio, iframe, object, embed, script'

/** Whether more may be copied before the browser goes on. */
export const goesOn = ({ room, until }: Live): boolean => room > 0 && performance.now() < until

/**
 * Copies of what an element holds: those that there are go on. What has much in it and is not near is as large as that, and filled later; so is
 * what there is no time for now.
 */
export function childrenOf(live: Live, source: Element): Node[] {
  const children: Node[] = []
  for (const node of source.childNodes) {
    const known = live.copies.get(node)
    if (!known && !goesOn(live)) {
      live.unmade.set(source, farOf(source))
      break
    }
    if (node !== live.lens) children.push(known ?? copyOf(live, node))
  }
  return children
}

function copyOf(live: Live, node: Node): Node {
  if (!(node instanceof Element)) {
    const text = node.cloneNode()
    live.copies.set(node, text)
    return text
  }
  live.left--
  live.room--
  const copy = shellOf(live, node)
  live.copies.set(node, copy)
  if (node.matches('input, textarea')) keepState(live, node)
  if (!node.firstChild || node.matches(`${emptied}, video, canvas`)) return copy
  const { display, width, height } = getComputedStyle(node)
  // What lies in lines has no size of its own.
  if (node.childElementCount === 0 || /^(inline|contents)$/.test(display) || (farOf(node) < nearPx && goesOn(live)))
    copy.append(...childrenOf(live, node))
  else {
    Object.assign(copy.style, { width, height })
    copy.style.overflow = 'clip'
    if (live.left > 0) live.unmade.set(node, farOf(node))
  }
  return copy
}

/** How far an element is from the pointer, px. */
function farOf(element: Element): number {
  const { left, top, right, bottom } = element.getBoundingClientRect()
  const { x, y } = pointer
  return Math.hypot(Math.max(left - x, 0, x - right), Math.max(top - y, 0, y - bottom))
}

/** A copy of an element without what it holds. */
function shellOf(live: Live, element: Element): HTMLElement {
  if (element instanceof HTMLVideoElement || element instanceof HTMLCanvasElement) {
    const canvas = document.createElement('canvas')
    const { width, height, objectFit, objectPosition } = getComputedStyle(element)
    canvas.className = element.className
    Object.assign(canvas.style, { width, height, objectFit, objectPosition })
    live.films.set(element, canvas)
    return canvas
  }
  const copy = element.cloneNode() as HTMLElement
  if (element.matches(emptied)) for (const name of ['src', 'srcdoc', 'data']) copy.removeAttribute(name)
  if (element instanceof HTMLImageElement) sharpen(element, copy as HTMLImageElement, live)
  return copy
}

/** What an element is beside its markup: what was typed or chosen in it, and how far it is scrolled. */
export function keepState({ host, lens, copies }: Live, source: Element): void {
  const copy = copies.get(source)
  if (!copy) return
  const names = source.matches('input:not([type="file"]), textarea, select')
    ? (['value', 'checked', 'selectedIndex', 'scrollTop', 'scrollLeft'] as const)
    : (['scrollTop', 'scrollLeft'] as const)
  const [from, to] = [source, copy] as unknown as Record<string, unknown>[]
  for (const name of names) if (from && to && name in from && from[name] !== to[name]) to[name] = from[name]
  // What lies in a host that scrolls goes with what it holds.
  if (source === host) lens.style.translate = `${source.scrollLeft}px ${source.scrollTop}px`
}

/** Has the copy of a picture take the sharpest source that there is for it, and be as large as the picture is. */
function sharpen(image: HTMLImageElement, copy: HTMLImageElement, { zoom, sharper }: Live): void {
  const { width, height } = getComputedStyle(image)
  Object.assign(copy.style, { width, height })
  copy.loading = 'eager'
  copy.sizes = `${parseFloat(width) * zoom}px`
  if (given.partsSharpen) takeSharper(image, copy, sharper)
}

/** Has a copy show the file that an attribute of a picture tells, once that is there. */
function takeSharper(image: HTMLImageElement, copy: HTMLImageElement, attribute: string): void {
  const better = new Image()
  better.src = image.getAttribute(attribute) ?? ''
  better.decode().then(
    () => {
      copy.removeAttribute('srcset')
      copy.src = better.src
    },
    () => undefined,
  )
}
