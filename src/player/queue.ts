// Samples that wait for the next frame, in a store that is used again: nothing is made per move.
import type { Sample } from '../core/signal/sample'

/** A waiting sample and the element that was hit; `undefined` when nobody told. */
export interface Waiting {
  readonly sample: Sample
  hit: Element | null | undefined
}

export interface Queue {
  readonly store: Waiting[]
  count: number
}

/** Adds a copy of the sample. */
export function enqueue(queue: Queue, sample: Sample, hit: Element | null | undefined): void {
  const waiting = queue.store[queue.count]
  if (waiting) {
    Object.assign(waiting.sample, sample)
    waiting.hit = hit
  } else {
    queue.store.push({ sample: { ...sample }, hit })
  }
  queue.count++
}
