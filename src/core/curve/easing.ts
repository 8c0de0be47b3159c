// Reads the easing functions that the document may name.
import { cubicBezier, type Easing } from './cubic-bezier'

const keywords: Readonly<Record<string, readonly [number, number, number, number]>> = {
  ease: [0.25, 0.1, 0.25, 1],
  'ease-in': [0.42, 0, 1, 1],
  'ease-out': [0, 0, 0.58, 1],
  'ease-in-out': [0.42, 0, 0.58, 1],
}

const known = new Map<string, Easing>()

/** As `parseEasing`, remembering what it has read: for code that runs on every frame. Anything unreadable is linear. */
export function easingFor(text: string): Easing {
  let easing = known.get(text)
  if (!easing) {
    easing = parseEasing(text) ?? linear
    known.set(text, easing)
  }
  return easing
}

const linear: Easing = (progress) => progress

/**
 * The easing function that a CSS text names: `linear`, the `ease` keywords of CSS Easing Functions Level 2
 * (section 2.2.1), or `cubic-bezier(x1, y1, x2, y2)`. Gives undefined for anything else.
 */
export function parseEasing(text: string): Easing | undefined {
  const source = text.trim().toLowerCase()
  if (source === 'linear') return linear
  const keyword = keywords[source]
  if (keyword) return cubicBezier(...keyword)
  const inner = /^cubic-bezier\(([^)]*)\)$/.exec(source)?.[1]
  if (inner === undefined) return undefined
  const parts = inner.split(',').map((part) => (part.trim() === '' ? NaN : Number(part)))
  const [x1, y1, x2, y2] = parts
  if (parts.length !== 4 || !parts.every(Number.isFinite)) return undefined
  if (x1 === undefined || y1 === undefined || x2 === undefined || y2 === undefined) return undefined
  if (x1 < 0 || x1 > 1 || x2 < 0 || x2 > 1) return undefined
  return cubicBezier(x1, y1, x2, y2)
}
