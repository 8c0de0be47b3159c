// What is known of a script when it is compiled. Where a fragment asks for one of these, the compiler puts the answer in its place,
// and what then can never happen is left out; tables are asked in the same way for what none of their entries has, or all have alike.
import type { Effect } from './types'

export const given = {
  /** The events that are heard. */
  heard: ['pointermove', 'pointerover', 'pointerout', 'pointerdown', 'pointerup', 'pointercancel', 'focusin', 'focusout', 'blur', 'scroll', 'resize'],
  /** Some effect responds to a finger. */
  hasTouch: true,
  /** Some effect asks for the focus, for taps, for the track of the pointer, or by which side it came and went. */
  hasFocus: true,
  hasTaps: true,
  hasTrack: true,
  hasPath: true,
  /** Some element may have borders, or round corners that count. */
  hasBorders: true,
  asksButtons: true,
  /** Some value asks how long the pointer has stood. */
  asksStood: true,
  /** Some values change between events; some effect has hover looks. */
  hasFlows: true,
  /** Some effect finds all its elements, or keeps their places. */
  hasFinds: true,
  hasLooks: true,
  /** Whether effects tell the page's own code what happens. */
  tells: true,
}

/** The effects of the page, in their order: the compiler writes them. */
export const effects: Effect[] = []
