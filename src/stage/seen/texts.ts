// Texts, what they stand on, and what an effect lays over and under them.
import type { Seen, TextLook } from '../../core/check/seen'
import { isClear } from '../colours'
import type { Numbers } from '../numbers'

/** Of how many texts at most it is told. */
const most = 24

export interface TextLooks {
  /** Notes how they look now, with these parts. */
  readonly look: (parts: readonly Element[]) => void
  readonly all: () => Seen['texts']
}

/** The texts in an element, as they look now and will look. */
export function textsIn(element: Element, numbers: Numbers): TextLooks {
  const found: { readonly element: Element; readonly number: number; readonly rest: TextLook; readonly looks: Map<string, TextLook> }[] = []
  const walker = element.ownerDocument.createTreeWalker(element, NodeFilter.SHOW_TEXT)
  const known = new Set<Element>()
  while (found.length < most && walker.nextNode()) {
    const parent = walker.currentNode.parentElement
    const number = parent ? numbers.of(parent) : undefined
    if (!parent || number === undefined || known.has(parent) || (walker.currentNode.nodeValue ?? '').trim() === '') continue
    known.add(parent)
    const { width, height } = parent.getBoundingClientRect()
    const rest = lookOf(parent, [])
    // What is not seen without the pointer has not been read before.
    if (width * height > 0 && rest.opacity > 0.2) found.push({ element: parent, number, rest, looks: new Map() })
  }
  return {
    look: (parts) => {
      for (const { element: each, looks } of found) {
        const now = lookOf(each, parts)
        looks.set(JSON.stringify(now), now)
      }
    },
    all: () =>
      found.map(({ element: each, number, rest, looks }) => {
        const { fontSize, fontWeight } = getComputedStyle(each)
        const size = parseFloat(fontSize)
        return {
          number,
          words: shortened(each.textContent),
          isLarge: size >= 24 || (size >= 18.66 && Number(fontWeight) >= 700),
          rest,
          looks: [...looks.values()],
        }
      }),
  }
}

const shortened = (text: string) => {
  const plain = text.replace(/\s+/g, ' ').trim()
  return plain.length > 40 ? `${plain.slice(0, 39)}…` : plain
}

/** The grounds under an element, the nearest first, down to the first solid one; none where a picture is among them. */
function groundsUnder(element: Element): string[] {
  const grounds: string[] = []
  for (let each: Element | null = element; each; each = each.parentElement) {
    const { backgroundColor, backgroundImage } = getComputedStyle(each)
    if (backgroundImage !== 'none') return []
    if (isClear(backgroundColor)) continue
    grounds.push(backgroundColor)
    if (!/(,|\/)\s*0?\.\d+\)$/.test(backgroundColor)) return grounds
  }
  return [...grounds, 'rgb(255, 255, 255)']
}

/** The solid ground of an element; null where it is none or a picture. */
export function groundOf(element: Element): string | null {
  const [only, ...more] = groundsUnder(element)
  return more.length === 0 ? (only ?? null) : null
}

const opacityOf = (element: Element, until: Element | null = null): number => {
  let opacity = 1
  for (let each: Element | null = element; each && each !== until; each = each.parentElement)
    opacity *= Number(getComputedStyle(each).opacity)
  return opacity
}

/** How a text looks now. Of light over it or under it what is strongest there counts: the pointer may be on any letter. */
function lookOf(element: Element, parts: readonly Element[]): TextLook {
  const { color } = getComputedStyle(element)
  const box = element.getBoundingClientRect()
  const layers = parts.flatMap((part) => {
    const lies = seenBoxOf(part)
    const meets = lies.left < box.right && lies.right > box.left && lies.top < box.bottom && lies.bottom > box.top
    const style = getComputedStyle(part)
    if (!meets || style.visibility === 'hidden' || style.mixBlendMode !== 'normal' || isMasked(part)) return []
    const colours = [...(isClear(style.backgroundColor) ? [] : [style.backgroundColor]), ...coloursIn(style.backgroundImage)]
    const opacity = opacityOf(part)
    const isOver = isAbove(part)
    return opacity < 0.01 ? [] : strongest(colours).map((colour) => ({ colour, opacity, isOver }))
  })
  return { colour: color, opacity: opacityOf(element), grounds: groundsUnder(element), layers }
}

/** Where of a part something is seen: within all parts around it that clip. */
function seenBoxOf(part: Element): Pick<DOMRect, 'left' | 'top' | 'right' | 'bottom'> {
  let { left, top, right, bottom } = part.getBoundingClientRect()
  for (let each = part.parentElement; each?.hasAttribute('data-part'); each = each.parentElement) {
    if (getComputedStyle(each).overflowX === 'visible') continue
    const around = each.getBoundingClientRect()
    left = Math.max(left, around.left)
    top = Math.max(top, around.top)
    right = Math.min(right, around.right)
    bottom = Math.min(bottom, around.bottom)
  }
  return { left, top, right, bottom }
}

/** Whether only some of a part is seen, such as a ring along the edge. */
function isMasked(part: Element): boolean {
  for (let each: Element | null = part; each?.hasAttribute('data-part'); each = each.parentElement)
    if (getComputedStyle(each).maskImage !== 'none') return true
  return false
}

/** Whether a part, or what it lies in, is drawn over the content of its element. */
function isAbove(part: Element): boolean {
  for (let each: Element | null = part; each?.hasAttribute('data-part'); each = each.parentElement)
    if (Number(getComputedStyle(each).zIndex) < 0) return false
  return true
}

/** The colours in a gradient, as a browser writes it. */
const coloursIn = (image: string): readonly string[] =>
  image.includes('gradient(') ? (image.match(/(?:rgba?|color|oklab|oklch|lab|lch|hsla?)\([^()]*\)/g) ?? []) : []

/** Of some colours the one that covers most. */
function strongest(colours: readonly string[]): readonly string[] {
  const alphaOf = (colour: string) => {
    const [, alpha] = /[,/]\s*([\d.]+)\)$/.exec(colour.startsWith('rgb(') && !colour.includes('/') ? '' : colour) ?? []
    return alpha === undefined ? 1 : Number(alpha)
  }
  const [first, ...rest] = colours
  if (first === undefined) return []
  return [rest.reduce((best, each) => (alphaOf(each) > alphaOf(best) ? each : best), first)]
}
