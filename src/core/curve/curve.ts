// A curve: how a number becomes a value, by stops with easing between them.
import { easingFor } from './easing'

/** A point of a curve. `easing` shapes the way from this stop to the next one (CSS text; `linear` when left out). */
export interface Stop<Value = number> {
  readonly at: number
  readonly value: Value
  readonly easing?: string | undefined
}

/**
 * Stops in rising order of `at`, two at least. Outside them the end values hold, or with `extend` the outermost
 * segments go on as straight lines. `step` rounds the value to whole steps of that size.
 */
export interface Curve {
  readonly stops: readonly Stop[]
  readonly beyond?: 'clamp' | 'extend' | undefined
  readonly step?: number | undefined
}

/** The value of the curve at `x`. */
export function valueOnCurve({ stops, beyond, step }: Curve, x: number): number {
  let i = 1
  while (i < stops.length - 1 && x >= (stops[i]?.at ?? 0)) i++
  const from = stops[i - 1]
  const to = stops[i]
  if (!from || !to) return from?.value ?? x
  let progress = (x - from.at) / (to.at - from.at)
  if (progress > 0 && progress < 1) progress = easingFor(from.easing ?? 'linear')(progress)
  else if (beyond !== 'extend') progress = progress > 0 ? 1 : 0
  const value = from.value + (to.value - from.value) * progress
  return step ? Math.round(value / step) * step : value
}

/** The least and greatest value among the stops: the range that rest is judged by. */
export function rangeOfCurve(curve: Curve): readonly [number, number] {
  const values = curve.stops.map((stop) => stop.value)
  return [Math.min(...values), Math.max(...values)]
}
