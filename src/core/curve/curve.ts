// A curve: how a signal becomes a value, by stops with easing between them.
import { easingFor } from './easing'

/** A point of a curve. `easing` shapes the way from this stop to the next one (CSS text; `linear` when left out). */
export interface Stop {
  readonly at: number
  readonly value: number
  readonly easing?: string | undefined
}

/** Stops in rising order of `at`, two at least. Outside the stops the end values hold. */
export interface Curve {
  readonly stops: readonly Stop[]
}

/** The value of the curve at `x`. */
export function valueOnCurve(curve: Curve, x: number): number {
  const { stops } = curve
  let from = stops[0]
  if (!from || x <= from.at) return from?.value ?? x
  for (let i = 1; i < stops.length; i++) {
    const to = stops[i]
    if (!to) break
    if (x < to.at) {
      const progress = (x - from.at) / (to.at - from.at)
      const eased = easingFor(from.easing ?? 'linear')(progress)
      return from.value + (to.value - from.value) * eased
    }
    from = to
  }
  return from.value
}

/** The least and greatest value among the stops: the range that rest is judged by. */
export function rangeOfCurve(curve: Curve): readonly [number, number] {
  const values = curve.stops.map((stop) => stop.value)
  return [Math.min(...values), Math.max(...values)]
}

/** The curve of a channel, as an exported script may leave it out. */
export const stops = { valueAt: valueOnCurve, range: rangeOfCurve }
