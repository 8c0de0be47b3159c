// Step easing of CSS Easing Functions Level 2, section 2.3.
import type { Easing } from './cubic-bezier'

/**
 * steps(count, jump-...): the progress rises in `count` equal intervals. `start` jumps at the beginning of each, `end` at its
 * end, `both` at either end of the whole (one level more), `none` at neither (one level less, so `count` is 2 or more there).
 */
export function steps(count: number, jump: 'start' | 'end' | 'none' | 'both'): Easing {
  const jumps = count + (jump === 'both' ? 1 : jump === 'none' ? -1 : 0)
  const early = jump === 'start' || jump === 'both' ? 1 : 0
  return (progress) => {
    const step = Math.floor(progress * count) + early
    if (progress >= 0 && step < 0) return 0
    return (progress <= 1 ? Math.min(step, jumps) : step) / jumps
  }
}
