// A chain: equal glides in a row, each following the one before, in closed form.
import type { Glide } from './glide'

/** The state of a chain since its target last changed: what each link was missing then. Times in ms. */
export interface Chain {
  since: number
  target: number
  readonly gaps: number[]
  glide: Glide
  /** How near the target is rest. */
  band: number
}

/** A chain of `count` links, all at rest at `value`. */
export function chainAt(value: number, count: number, glide: Glide, band: number): Chain {
  return { since: 0, target: value, gaps: new Array<number>(count).fill(0), glide, band }
}

/**
 * What link `k` (0 is the first) is missing after `ms`:
 * `e^(-Lt) * sum over j of (Lt)^j / j! * d_(k-j)`, with L = ln 2 / half-life.
 */
export function gapOfLink({ gaps, glide }: Chain, k: number, ms: number): number {
  const x = (Math.LN2 * ms) / glide.halfLifeMs
  let sum = 0
  let term = Math.exp(-x)
  for (let j = 0; j <= k; j++) {
    sum += term * (gaps[k - j] ?? 0)
    term *= x / (j + 1)
  }
  return sum
}

/** The value of link `k` at `t`; from its rest on it is the target. */
export function valueOfLink(chain: Chain, k: number, t: number): number {
  const ms = Math.max(0, t - chain.since)
  return linkRests(chain, k, ms) ? chain.target : chain.target + gapOfLink(chain, k, ms)
}

/**
 * Whether link `k` rests after `ms`. From the instant at which every term of the sum falls (L t beyond k), the sum of their
 * sizes bounds what is still to come; rest begins where that bound is within the band, so it may come a little late, never early.
 */
export function linkRests({ gaps, glide, band }: Chain, k: number, ms: number): boolean {
  const x = (Math.LN2 * ms) / glide.halfLifeMs
  let bound = 0
  let term = Math.exp(-x)
  for (let j = 0; j <= k; j++) {
    bound += term * Math.abs(gaps[k - j] ?? 0)
    term *= x / (j + 1)
  }
  return bound === 0 ? x >= 0 : x >= k && bound <= band
}

/** Turns the chain to a new target at `t`: each link goes on from where it is. Does nothing while all is as before. */
export function turnChainTo(chain: Chain, target: number, glide: Glide, t: number): void {
  if (chain.target === target && chain.glide === glide) return
  for (let k = chain.gaps.length - 1; k >= 0; k--) chain.gaps[k] = valueOfLink(chain, k, t) - target
  chain.since = t
  chain.target = target
  chain.glide = glide
}

/** Puts all links at rest at `value`: only where nobody sees them. */
export function placeChain(chain: Chain, value: number): void {
  chain.target = value
  chain.gaps.fill(0)
}
