// What an effect is doing under the pointer's thread: away, coming, on, going.
import type { ThreadSample } from '../../stage/protocol'

export type Phase = 'away' | 'coming' | 'on' | 'going'

/** A stretch of the thread with one phase; times in ms, `until` is open for the last one. */
export interface Stretch {
  readonly phase: Phase
  readonly from: number
  readonly until: number
}

/** How long the effect takes to follow and to go back, ms (2 % band). */
export interface Times {
  readonly followMs: number
  readonly backMs: number
}

/**
 * The stretches of a thread up to `now`: coming for as long as the effect takes to follow after the pointer came inside,
 * then on; going for as long as it takes to go back, then away.
 */
export function phasesOf(samples: readonly ThreadSample[], now: number, { followMs, backMs }: Times): readonly Stretch[] {
  const stretches: Stretch[] = []
  const add = (phase: Phase, from: number, until: number) => {
    if (until > from) stretches.push({ phase, from, until })
  }
  let isInside: boolean | undefined
  let since = 0
  const close = (until: number) => {
    if (isInside === undefined) return
    const settled = Math.min(until, since + (isInside ? followMs : backMs))
    add(isInside ? 'coming' : 'going', since, settled)
    add(isInside ? 'on' : 'away', settled, until)
  }
  for (const { t, phase, place } of samples) {
    const inside = phase === 'here' && place !== undefined
    if (inside === isInside) continue
    close(t)
    // What the thread begins with was so before it began.
    since = isInside === undefined ? t - Math.max(followMs, backMs) : t
    isInside = inside
  }
  close(now)
  return stretches
}
