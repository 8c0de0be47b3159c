// What a feel does to the gap between a value and its target, as time goes by.

/** What is missing (value - target), and how fast that changes, per second. */
export interface Motion {
  gap: number
  speed: number
}

/** A motion as it begins: what goes back before it has come takes a share of its time, 0 to 1. */
export interface Beginning extends Motion {
  share: number
}

/** Times in ms since the target last changed. */
export interface Law<F> {
  /** Writes into `out` what is left of the motion after `ms`; a feel that carries no speed over a change of target leaves it 0. */
  readonly move: (feel: F, from: Readonly<Beginning>, ms: number, out: Motion) => void
  /** Whether a gap that has come to `now` after `ms` stays within `band` for ever. */
  readonly rests: (feel: F, now: Readonly<Motion>, ms: number, band: number, share: number) => boolean
}
