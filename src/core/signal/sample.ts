// What is known of the pointer at one instant.

/**
 * What brought a sample about: the pointer moved, went down or up, left the window, was taken away (cancel);
 * an element under (x, y) got or lost the focus; the page scrolled under the pointer; a wheel turned, or two fingers pinched, where
 * the pointer is; a key went down.
 */
export const phases = ['move', 'down', 'up', 'leave', 'cancel', 'focus', 'blur', 'scroll', 'wheel', 'pinch', 'key'] as const
export type Phase = (typeof phases)[number]

/** What browsers call the event that a phase is heard by. */
export const eventTypes: Readonly<Record<Phase, string>> = {
  move: 'pointermove',
  down: 'pointerdown',
  up: 'pointerup',
  leave: 'pointerout',
  cancel: 'pointercancel',
  focus: 'focusin',
  blur: 'focusout',
  scroll: 'scroll',
  wheel: 'wheel',
  pinch: 'wheel',
  key: 'keydown',
}

/** The keys that are heard: by these names in browsers too. */
export const keys = ['Escape', 'ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown', 'Home', 'End', '+', '-'] as const
export type Key = (typeof keys)[number]

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
  /** How far a wheel turned, px, down being positive; how many times as large two fingers made it. */
  by?: number | undefined
  /** Which key went down. */
  key?: Key | undefined
}

/** Whether a sample tells where the pointer is: what the focus and keys do has nothing to do with that. */
export const isOfPointer = ({ phase }: Pick<Sample, 'phase'>): boolean => phase !== 'focus' && phase !== 'blur' && phase !== 'key'

/** Whether the pointer is anywhere on the page after this sample; a finger that is lifted is gone. */
export function isPresent({ phase, pointerType }: Sample): boolean {
  return phase !== 'leave' && phase !== 'cancel' && !(phase === 'up' && pointerType === 'touch')
}
