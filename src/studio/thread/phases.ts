// What an effect is doing under the pointer's thread: away, coming, on, still, waiting to go, going.
import type { Feels } from '../../core/effect/kind'
import { answerOfFeel } from '../../core/feel/answer'
import type { Area } from '../../core/rig/rig'
import type { ThreadSample } from '../../stage/protocol'

export type Phase = 'away' | 'coming' | 'on' | 'still' | 'waiting to go' | 'going'

/** A stretch of the thread with one phase; times in ms, `until` is open for the last one. */
export interface Stretch {
  readonly phase: Phase
  readonly from: number
  readonly until: number
}

/**
 * How long the effect takes to follow and to go back, ms (2 % band); for one with looks, how long it stays on after the
 * pointer has gone, and after standing for how long it is still.
 */
export interface Times {
  readonly followMs: number
  readonly backMs: number
  readonly waitMs?: number | undefined
  readonly stillMs?: number | undefined
}

/** The times of an effect, by its feels and the looks of its areas. */
export function timesOf({ follow, back }: Feels, areas: readonly Area[]): Times {
  const looks = areas.flatMap((area) => area.looks ?? [])
  const still = looks.flatMap(({ stillMs }) => stillMs ?? [])
  return {
    followMs: answerOfFeel(follow).settleMs,
    backMs: answerOfFeel(back).settleMs,
    waitMs: Math.max(0, ...looks.map(({ goDelayMs }) => goDelayMs)),
    stillMs: still.length > 0 ? Math.min(...still) : undefined,
  }
}

/** How far the pointer may go in all and still be standing, px. */
const standingPx = 3

/**
 * The stretches of a thread up to `now`: coming for as long as the effect takes to follow after the pointer came inside,
 * then on, or still while the pointer stands; waiting to go for as long as it stays on afterwards; going for as long as it
 * takes to go back, then away.
 */
export function phasesOf(
  samples: readonly ThreadSample[],
  now: number,
  { followMs, backMs, waitMs = 0, stillMs }: Times,
): readonly Stretch[] {
  const stretches: Stretch[] = []
  const add = (phase: Phase, from: number, until: number) => {
    if (until > from) stretches.push({ phase, from, until })
  }
  let isInside: boolean | undefined
  let since = 0
  /** Since when the pointer has been standing, and where. */
  let stands = { from: 0, x: 0, y: 0 }
  /** Until when the time inside has been told. */
  let told = 0
  const tellComing = (until: number) => {
    const come = Math.min(until, since + followMs)
    add('coming', told, come)
    told = Math.max(told, come)
  }
  const closeStill = (until: number) => {
    if (stillMs === undefined || !isInside) return
    const still = Math.max(stands.from + stillMs, since + followMs, told)
    if (still >= until) return
    tellComing(until)
    add('on', told, still)
    add('still', still, until)
    told = until
  }
  const close = (until: number) => {
    if (isInside === undefined) return
    if (isInside) {
      closeStill(until)
      tellComing(until)
      return add('on', told, until)
    }
    const waited = Math.min(until, since + waitMs)
    const settled = Math.min(until, waited + backMs)
    add('waiting to go', since, waited)
    add('going', waited, settled)
    add('away', settled, until)
  }
  for (const { t, x, y, phase, place } of samples) {
    const inside = phase === 'here' && place !== undefined
    if (inside && isInside && Math.hypot(x - stands.x, y - stands.y) >= standingPx) {
      closeStill(t)
      stands = { from: t, x, y }
    }
    if (inside === isInside) continue
    close(t)
    // What the thread begins with was so before it began.
    since = isInside === undefined ? t - Math.max(followMs, waitMs + backMs) : t
    isInside = inside
    told = since
    stands = { from: t, x, y }
  }
  close(now)
  return stretches
}
