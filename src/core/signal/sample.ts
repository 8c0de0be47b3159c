// What is known of the pointer at one instant.

/**
 * What brought a sample about: the pointer moved, went down or up, left the window, was taken away (cancel);
 * an element under (x, y) got or lost the focus; the page scrolled under the pointer.
 */
export const phases = ['move', 'down', 'up', 'leave', 'cancel', 'focus', 'blur', 'scroll'] as const
export type Phase = (typeof phases)[number]

export const pointerTypes = ['mouse', 'pen', 'touch'] as const
export type PointerType = (typeof pointerTypes)[number]

/** One sample of a trace. Time in ms on the trace's own clock, x and y in CSS px of the viewport. */
export interface Sample {
  t: number
  x: number
  y: number
  buttons: number
  pointerType: PointerType
  phase: Phase
}

/** Whether the pointer is anywhere on the page after this sample; a finger that is lifted is gone. */
export function isPresent({ phase, pointerType }: Sample): boolean {
  return phase !== 'leave' && phase !== 'cancel' && !(phase === 'up' && pointerType === 'touch')
}
