// Channels that are chains.
import { chainAt, placeChain, turnChainTo, valueOfLink, type Chain } from '../feel/chain'
import type { Feel } from '../feel/feel'
import type { Glide } from '../feel/glide'

/** A chain follows by a glide; the schema lets nothing else through. */
const gliding = (feel: Feel): Glide => (feel.kind === 'glide' ? feel : { kind: 'glide', halfLifeMs: 1 })

export const chains = {
  begin: (value: number, count: number, feel: Feel, band: number): Chain => chainAt(value, count, gliding(feel), band),
  turn: (chain: Chain, target: number, feel: Feel, t: number) => turnChainTo(chain, target, gliding(feel), t),
  place: placeChain,
  value: valueOfLink,
}
