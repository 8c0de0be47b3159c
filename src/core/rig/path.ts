// Where the pointer was at several times, each so much earlier again: exact at every instant, and since it came.
import { toFrame, type Frame, type Point } from '../geometry/frame'
import type { Pointer } from '../signal/pointer'
import type { Signal } from '../signal/signal'
import { pastOf } from '../signal/track'

type Past = Extract<Signal, { of: 'past' }>

export interface Path {
  readonly signal: Past
  readonly count: number
  readonly frame: Frame
  /** The pointer, undefined before it first came; when it came, and when it went, ms. */
  pointer: Pointer | undefined
  arrivedAt: number
  leftAt: number
}

/** The path of a channel that tells one; undefined for others. */
export const pathOf = (signal: Signal, count: number | undefined, frame: Frame): Path | undefined =>
  signal.of === 'past' && count !== undefined ? { signal, count, frame, pointer: undefined, arrivedAt: 0, leftAt: Infinity } : undefined

/** The pointer has come at `t` (ms): nothing is told of where it was before. */
export function beginPath(path: Path, pointer: Pointer, t: number): void {
  path.pointer = pointer
  path.arrivedAt = t
  path.leftAt = Infinity
}

/** The pointer has gone at `t` (ms): where it is afterwards is not told. */
export function endPath(path: Path, t: number): void {
  path.leftAt = Math.min(path.leftAt, t)
}

const then: Point = { x: 0, y: 0 }

/** Where the pointer was `k + 1` lags before `t`, px of the frame along the axis; undefined before it came. */
export function onPath({ signal: { axis, lagMs }, frame, pointer, arrivedAt, leftAt }: Path, k: number, t: number): number | undefined {
  if (!pointer) return undefined
  const at = Math.min(Math.max(t - lagMs * (k + 1), arrivedAt), leftAt)
  toFrame(frame, pastOf(pointer, 0, at), pastOf(pointer, 1, at), then)
  return then[axis]
}
