// Step easing of CSS Easing Functions Level 2, section 2.3.
import type { Easing } from './cubic-bezier'

/** At which ends of its intervals it jumps. */
export type Jump = 'start' | 'end' | 'none' | 'both'

/**
 * steps(count, jump-...): the progress rises in `count` equal intervals. `start` jumps at the beginning of each, `end` at its
 * end, `both` at either end of the whole (one level more), `none` at neither (one level less, so `count` is 2 or more there).
 */
export function steps(count: number, jump: Jump): Easing {
  const { jumps, early } = jumpsOf(count, jump)
  return (progress) => {
    const step = Math.floor(progress * count) + early
    if (progress >= 0 && step < 0) return 0
    return (progress <= 1 ? Math.min(step, jumps) : step) / jumps
  }
}

/** How many times the progress jumps, and how many of these jumps are made at once. */
export const jumpsOf = (count: number, jump: Jump): { readonly jumps: number; readonly early: 0 | 1 } => ({
  jumps: count + (jump === 'both' ? 1 : jump === 'none' ? -1 : 0),
  early: jump === 'start' || jump === 'both' ? 1 : 0,
})
