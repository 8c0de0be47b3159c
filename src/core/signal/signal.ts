// Signals: numbers read from the pointer in the frame of reference of one box.
import type { Box } from '../geometry/box'

/** `centredX`, `centredY`: -1..1 across the box, 0 in its middle. `inside`: 0 or 1. */
export type SignalName = 'centredX' | 'centredY' | 'inside'

/**
 * The value of a signal for a pointer at (x, y) that is inside `box`. Centred signals are clamped at the edges;
 * an axis without length reads as the middle.
 */
export function readSignal(signal: SignalName, box: Box, x: number, y: number): number {
  switch (signal) {
    case 'centredX':
      return centred(x - box.x, box.width)
    case 'centredY':
      return centred(y - box.y, box.height)
    case 'inside':
      return 1
  }
}

/** The least and greatest value that a signal can take. */
export function rangeOf(signal: SignalName): readonly [number, number] {
  return signal === 'inside' ? [0, 1] : [-1, 1]
}

function centred(offset: number, length: number): number {
  if (!(length > 0)) return 0
  return Math.min(1, Math.max(-1, (2 * offset) / length - 1))
}
