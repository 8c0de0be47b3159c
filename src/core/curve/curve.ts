// A curve: how a number becomes a value, by stops with easing between them.
import type { Described } from '../described'
import type { curveSchema } from '../rig/schema'
import { easingFor } from './easing'

/** Stops in rising order of `at`, two at least. */
export type Curve = Described<typeof curveSchema>
export type Stop = Curve['stops'][number]

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
