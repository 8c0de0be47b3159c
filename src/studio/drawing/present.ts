// The present moment, for drawings on which it rides: outside React, since it changes as the pointer moves.
import { useEffect, useRef } from 'react'
import { useStudio } from '../context'
import type { ThreadSample } from '../../stage/protocol'

/** How the pointer stands: its last sample, when the effect last came on or went off, and since when it has rested (ms). */
export interface Present {
  readonly now: number
  readonly sample: ThreadSample | undefined
  readonly isOn: boolean
  readonly changedAt: number
  readonly restedAt: number
}

/** A movement shorter than this is resting, px. */
const restPx = 3

/** The present moment of a thread. */
export function presentOf(samples: readonly ThreadSample[], now: number): Present {
  const sample = samples.at(-1)
  const isIn = ({ phase, place }: ThreadSample) => phase === 'here' && place !== undefined
  const isOn = sample !== undefined && isIn(sample)
  let changedAt = sample?.t ?? now
  let restedAt = changedAt
  for (let i = samples.length - 1; i >= 0; i--) {
    const each = samples[i]
    if (!each || isIn(each) !== isOn) break
    changedAt = each.t
  }
  for (let i = samples.length - 1; i >= 0 && sample; i--) {
    const each = samples[i]
    if (!each || each.phase !== sample.phase || Math.hypot(each.x - sample.x, each.y - sample.y) >= restPx) break
    restedAt = each.t
  }
  return { now, sample, isOn, changedAt, restedAt }
}

/** Calls `draw` whenever the pointer moves, and on every frame for as long as it says that something goes on. */
export function usePresent(draw: (present: Present) => boolean): void {
  const { thread } = useStudio()
  const latest = useRef(draw)
  useEffect(() => {
    latest.current = draw
  })
  useEffect(() => {
    let handle = 0
    const frame = () => {
      handle = 0
      if (latest.current(presentOf(thread.samples, performance.now()))) wake()
    }
    const wake = () => {
      handle ||= requestAnimationFrame(frame)
    }
    const stop = thread.watch(wake)
    wake()
    return () => {
      stop()
      cancelAnimationFrame(handle)
    }
  }, [thread])
}
