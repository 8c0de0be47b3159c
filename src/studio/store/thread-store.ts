// The pointer's last seconds, outside React: written by the page, drawn by the thread on a canvas.
import type { ThreadSample } from '../../stage/protocol'

export const threadMs = 12_000

export interface ThreadStore {
  /** Samples of the last seconds, oldest first, with times on the studio's clock (ms). */
  readonly samples: ThreadSample[]
  readonly add: (samples: readonly ThreadSample[], clockOffsetMs: number) => void
  /** The thread as it stood when somebody took hold of it; null while it runs on. */
  readonly stood: () => { readonly samples: readonly ThreadSample[]; readonly at: number } | null
  /** Makes it stand as it is, or run on; one that stands is not moved on. Samples that come meanwhile are taken as ever. */
  readonly stand: (isOn: boolean) => void
  /** Which zone the selected effect tells, counted from 0; null for none. */
  readonly zone: () => number | null
  readonly tellZone: (zone: number | null) => void
  readonly watch: (listener: () => void) => () => void
}

export function makeThreadStore(): ThreadStore {
  const samples: ThreadSample[] = []
  const listeners = new Set<() => void>()
  let zone: number | null = null
  let stood: ReturnType<ThreadStore['stood']> = null
  const tell = () => {
    for (const listener of listeners) listener()
  }
  return {
    samples,
    add: (added, clockOffsetMs) => {
      for (const sample of added) samples.push({ ...sample, t: sample.t + clockOffsetMs })
      const newest = samples.at(-1)?.t ?? 0
      // One sample from before the window stays, since its value holds until the next.
      while (samples.length > 1 && (samples[1]?.t ?? Infinity) < newest - threadMs) samples.shift()
      tell()
    },
    stood: () => stood,
    stand: (isOn) => {
      stood = isOn ? (stood ?? { samples: [...samples], at: performance.now() }) : null
      tell()
    },
    zone: () => zone,
    tellZone: (told) => {
      zone = told
      tell()
    },
    watch: (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
  }
}
