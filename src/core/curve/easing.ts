// Easing functions by their CSS text, as CSS Easing Functions Level 2 writes them.
import { cubicBezier, type Easing } from './cubic-bezier'
import { readLinearPoints, throughPoints, type LinearPoints } from './linear-points'
import { readNumber } from './number'
import { steps, type Jump } from './steps'

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

/** What an easing is made of, as its CSS text says it. */
export type EasingForm =
  | { readonly of: 'linear' }
  | { readonly of: 'bezier'; readonly points: readonly [number, number, number, number] }
  | { readonly of: 'steps'; readonly count: number; readonly jump: Jump }
  | { readonly of: 'points'; readonly points: LinearPoints }

/** The easing function that a CSS text names; undefined where it names none. */
export function parseEasing(text: string): Easing | undefined {
  const form = readEasing(text)
  switch (form?.of) {
    case undefined:
      return undefined
    case 'linear':
      return linear
    case 'bezier':
      return cubicBezier(...form.points)
    case 'steps':
      return steps(form.count, form.jump)
    case 'points':
      return throughPoints(form.points)
  }
}

/**
 * What a CSS text says of an easing: `linear`, `linear(...)`, the `ease` keywords, `cubic-bezier(...)`,
 * `step-start`, `step-end` or `steps(...)` (CSS Easing Functions Level 2, section 2). Gives undefined for anything else.
 */
export function readEasing(text: string): EasingForm | undefined {
  const source = text.trim().toLowerCase()
  if (source === 'linear') return { of: 'linear' }
  if (source === 'step-start') return { of: 'steps', count: 1, jump: 'start' }
  if (source === 'step-end') return { of: 'steps', count: 1, jump: 'end' }
  const keyword = keywords[source]
  if (keyword) return { of: 'bezier', points: keyword }
  const [, name = '', inner = ''] = /^([a-z-]+)\(([^()]*)\)$/.exec(source) ?? []
  const parts = inner.split(',').map((part) => part.trim())
  if (name === 'cubic-bezier') return readBezier(parts)
  if (name === 'steps') return readSteps(parts)
  const points = name === 'linear' ? readLinearPoints(parts) : undefined
  return points && { of: 'points', points }
}

function readBezier(parts: readonly string[]): EasingForm | undefined {
  const [x1 = NaN, y1 = NaN, x2 = NaN, y2 = NaN] = parts.map(readNumber)
  if (parts.length !== 4 || !Number.isFinite(x1 + y1 + x2 + y2)) return undefined
  return x1 < 0 || x1 > 1 || x2 < 0 || x2 > 1 ? undefined : { of: 'bezier', points: [x1, y1, x2, y2] }
}

function readSteps([count = '', where = 'end', ...rest]: readonly string[]): EasingForm | undefined {
  const jump = /^(?:jump-)?(start|end|none|both)$/.exec(where)?.[1] as Jump | undefined
  // Without the prefix only `start` and `end` are words of the grammar.
  const isWord = jump !== undefined && (where.startsWith('jump-') || jump === 'start' || jump === 'end')
  const least = jump === 'none' ? 2 : 1
  if (!isWord || rest.length > 0 || !/^\d+$/.test(count) || Number(count) < least) return undefined
  return { of: 'steps', count: Number(count), jump }
}
