import type { Follower, Motion } from './types'

/**
 * What link k of a chain of equal glides is missing after so many half-lives: e^-x * sum over j of x^j / j! * gap(k - j). It is at rest where the
 * sizes of all of them come to less than what can be seen, once every one of them falls.
 */
function motionOf({ gaps = [], halfLifeMs = 1, since, band }: Follower, k: number, t: number): Pick<Motion, 'gap' | 'moves'> {
  const x = (Math.LN2 * Math.max(0, t - since)) / halfLifeMs
  let [gap, bound, term] = [0, 0, Math.exp(-x)]
  for (let j = 0; j <= k; j++) {
    const missing = term * (gaps[k - j] ?? 0)
    gap += missing
    bound += Math.abs(missing)
    term *= x / (j + 1)
  }
  return { gap, moves: bound > band || (bound > 0 && x < k) }
}

/** Whether link k moves. */
export const linkMoves = (chain: Follower, k: number, t: number): boolean => motionOf(chain, k, t).moves

/** Where link k is: at the target, once it is too near to be seen apart. */
export function linkAt(chain: Follower, k: number, t: number): number {
  const { gap, moves } = motionOf(chain, k, t)
  return moves ? chain.target + gap : chain.target
}

/** Turns a chain to a new target: each link goes on from where it is. */
export function turnChain(chain: Follower, target: number, halfLifeMs: number, t: number): void {
  if (chain.target === target && chain.halfLifeMs === halfLifeMs) return
  const gaps = (chain.gaps ?? []).map((_, k) => linkAt(chain, k, t) - target)
  Object.assign(chain, { target, halfLifeMs, gaps, since: t })
}
