// What a feel does to the gap between a value and its target, as time goes by.

/** Times in ms since the target last changed, speeds in gap per second. */
export interface Law<F> {
  /** The gap that is left after `ms`. */
  readonly gap: (feel: F, gap: number, speed: number, ms: number) => number
  /** How fast the gap changes after `ms`; left out by feels that carry no speed over a change of target. */
  readonly speed?: (feel: F, gap: number, speed: number, ms: number) => number
  /** Whether the gap stays within `band` from `ms` on, for ever. */
  readonly rests: (feel: F, gap: number, speed: number, ms: number, band: number) => boolean
}
