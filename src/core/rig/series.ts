// Channels that are more than one follower. An exported script holds them only where a channel is a chain.
import { chains } from './chains'

export const series: { readonly chains?: typeof chains } = { chains }
