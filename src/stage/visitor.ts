// Whose hand it is: a mouse, a finger that is there while it is pressed, or none at all.
import type { Sample } from '../core/signal/sample'
import type { Visitor } from './protocol'

/** A sample of a mouse as this visitor's hand makes it; undefined where it makes none. */
export function asVisitor(sample: Sample, visitor: Visitor): Sample | undefined {
  if (visitor === 'keyboard' || visitor === 'print') return undefined
  if (visitor !== 'finger') return sample
  const isTouch = sample.phase === 'down' || sample.phase === 'up' || sample.phase === 'cancel' || sample.buttons !== 0
  return isTouch ? { ...sample, pointerType: 'touch' } : undefined
}
