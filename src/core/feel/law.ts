// What a feel does to the gap between a value and its target, as time goes by.

/** Times in ms since the target last changed, speeds in gap per second. */
export interface Law<F> {
  /** The gap that is left after `ms`. */
  readonly gap: (feel: F, gap: number, speed: number, ms: number) => number
  /** How fast the gap changes after `ms`; left out by feels that carry no speed over a change of target. */
  readonly speed?: (feel: F, gap: number, speed: number, ms: number) => number
  /** The first instant after which the gap stays within `band` for ever. */
  readonly rest: (feel: F, gap: number, speed: number, band: number) => number
}
