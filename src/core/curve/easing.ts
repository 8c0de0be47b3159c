// Easing functions by their CSS text, as CSS Easing Functions Level 2 writes them.
import { cubicBezier, type Easing } from './cubic-bezier'
import { linearPoints } from './linear-points'
import { readNumber } from './number'
import { steps } from './steps'

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
 * The easing function that a CSS text names: `linear`, `linear(...)`, the `ease` keywords, `cubic-bezier(...)`,
 * `step-start`, `step-end` or `steps(...)` (CSS Easing Functions Level 2, section 2). Gives undefined for anything else.
 */
export function parseEasing(text: string): Easing | undefined {
  const source = text.trim().toLowerCase()
  if (source === 'linear') return linear
  if (source === 'step-start') return steps(1, 'start')
  if (source === 'step-end') return steps(1, 'end')
  const keyword = keywords[source]
  if (keyword) return cubicBezier(...keyword)
  const [, name = '', inner = ''] = /^([a-z-]+)\(([^()]*)\)$/.exec(source) ?? []
  const parts = inner.split(',').map((part) => part.trim())
  if (name === 'cubic-bezier') return readBezier(parts)
  if (name === 'steps') return readSteps(parts)
  return name === 'linear' ? linearPoints(parts) : undefined
}

function readBezier(parts: readonly string[]): Easing | undefined {
  const [x1 = NaN, y1 = NaN, x2 = NaN, y2 = NaN] = parts.map(readNumber)
  if (parts.length !== 4 || !Number.isFinite(x1 + y1 + x2 + y2)) return undefined
  return x1 < 0 || x1 > 1 || x2 < 0 || x2 > 1 ? undefined : cubicBezier(x1, y1, x2, y2)
}

function readSteps([count = '', where = 'end', ...rest]: readonly string[]): Easing | undefined {
  const jump = /^(?:jump-)?(start|end|none|both)$/.exec(where)?.[1] as 'start' | 'end' | 'none' | 'both' | undefined
  // Without the prefix only `start` and `end` are words of the grammar.
  const isWord = jump !== undefined && (where.startsWith('jump-') || jump === 'start' || jump === 'end')
  const least = jump === 'none' ? 2 : 1
  if (!isWord || rest.length > 0 || !/^\d+$/.test(count) || Number(count) < least) return undefined
  return steps(Number(count), jump)
}
