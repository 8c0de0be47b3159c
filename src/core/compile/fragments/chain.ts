import type { Follower } from './types'

/**
 * What link k of a chain of equal glides is missing after so many half-lives: e^-x * sum over j of x^j / j! * gap(k - j). It is at rest where the
 * sizes of all of them come to less than what can be seen, once every one of them falls.
 */
function missingOf({ gaps = [], halfLifeMs = 1, since, band }: Follower, k: number, t: number): number {
  const x = (Math.LN2 * Math.max(0, t - since)) / halfLifeMs
  let [sum, bound, term] = [0, 0, Math.exp(-x)]
  for (let j = 0; j <= k; j++) {
    const missing = term * (gaps[k - j] ?? 0)
    sum += missing
    bound += Math.abs(missing)
    term *= x / (j + 1)
  }
  // As long as it moves it is not 0.
  return bound > band || (bound > 0 && x < k) ? sum || Number.MIN_VALUE : 0
}

/** Whether link k moves. */
export const linkMoves = (chain: Follower, k: number, t: number): boolean => missingOf(chain, k, t) !== 0

export const linkAt = (chain: Follower, k: number, t: number) => chain.target + missingOf(chain, k, t)

/** Turns a chain to a new target: each link goes on from where it is. */
export function turnChain(chain: Follower, target: number, halfLifeMs: number, t: number): void {
  if (chain.target === target && chain.halfLifeMs === halfLifeMs) return
  const gaps = (chain.gaps ?? []).map((_, k) => linkAt(chain, k, t) - target)
  Object.assign(chain, { target, halfLifeMs, gaps, since: t })
}
