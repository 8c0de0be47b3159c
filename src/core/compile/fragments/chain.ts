import type { Follower } from './types'

/** What link k of a chain of equal glides is missing after so many half-lives: e^-x * sum over j of x^j / j! * gap(k - j). */
export function missingOf({ gaps = [], halfLifeMs = 1, since }: Follower, k: number, t: number, sizeOf = (gap: number) => gap): number {
  const x = (Math.LN2 * Math.max(0, t - since)) / halfLifeMs
  let [sum, term] = [0, Math.exp(-x)]
  for (let j = 0; j <= k; j++) {
    sum += term * sizeOf(gaps[k - j] ?? 0)
    term *= x / (j + 1)
  }
  return sum
}

/** Whether link k moves: from when on every term falls, the sum of their sizes bounds what is still to come. */
export function linkMoves(chain: Follower, k: number, t: number): boolean {
  const bound = missingOf(chain, k, t, Math.abs)
  return bound > 0 && (bound > chain.band || (Math.LN2 * (t - chain.since)) / (chain.halfLifeMs ?? 1) < k)
}

export const linkAt = (chain: Follower, k: number, t: number) => chain.target + (linkMoves(chain, k, t) ? missingOf(chain, k, t) : 0)

/** Turns a chain to a new target: each link goes on from where it is. */
export function turnChain(chain: Follower, target: number, halfLifeMs: number, t: number): void {
  if (chain.target === target && chain.halfLifeMs === halfLifeMs) return
  const gaps = (chain.gaps ?? []).map((_, k) => linkAt(chain, k, t) - target)
  Object.assign(chain, { target, halfLifeMs, gaps, since: t })
}
