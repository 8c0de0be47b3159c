import type { Feel, Motion } from './types'

export const rest: Motion = { gap: 0, speed: 0, moves: false }

/** The value itself, at once. */
export const direct: Feel = () => rest
