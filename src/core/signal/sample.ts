// What is known of the pointer at one instant.

/**
 * What brought a sample about: the pointer moved, went down or up, left the window,
 * was taken away (cancel), or the page scrolled under it.
 */
export type Phase = 'move' | 'down' | 'up' | 'leave' | 'cancel' | 'scroll'

export type PointerType = 'mouse' | 'pen' | 'touch'

/** One sample of a trace. Time in ms on the trace's own clock, x and y in CSS px of the viewport. */
export interface Sample {
  t: number
  x: number
  y: number
  buttons: number
  pointerType: PointerType
  phase: Phase
}

/** Whether the pointer is anywhere on the page after this sample. */
export function isPresent(sample: Sample): boolean {
  return sample.phase !== 'leave' && sample.phase !== 'cancel'
}
