// Changes of a curve by hand: stops moved, added and removed, spans shaped. The stops stay in rising order.
import { valueOnCurve, type Curve, type Stop } from './curve'

/** The least distance between two stops, as a share of the whole. */
const leastGap = 1e-3

/** The curve with a stop moved; it never passes its neighbours. */
export function moveStop(curve: Curve, index: number, to: Partial<Stop>): Curve {
  const { stops } = curve
  const gap = ((stops.at(-1)?.at ?? 1) - (stops[0]?.at ?? 0)) * leastGap || leastGap
  const stop = stops[index]
  if (!stop) return curve
  const least = (stops[index - 1]?.at ?? -Infinity) + gap
  const greatest = (stops[index + 1]?.at ?? Infinity) - gap
  const at = Math.min(greatest, Math.max(least, to.at ?? stop.at))
  return { ...curve, stops: stops.with(index, { ...stop, ...to, at }) }
}

/** The curve with one more stop at `x`, on the line as it is; and which one it is. */
export function addStop(curve: Curve, x: number): { readonly curve: Curve; readonly at: number } {
  const { stops } = curve
  const before = stops.findLastIndex(({ at }) => at <= x)
  if (stops[before]?.at === x) return { curve, at: before }
  const stop: Stop = { at: x, value: valueOnCurve(curve, x) }
  return { curve: { ...curve, stops: stops.toSpliced(before + 1, 0, stop) }, at: before + 1 }
}

/** The curve without a stop; two are always left. */
export function removeStop(curve: Curve, index: number): Curve {
  return curve.stops.length > 2 ? { ...curve, stops: curve.stops.toSpliced(index, 1) } : curve
}

/** The curve with another easing from a stop to the next. */
export function shapeSpan(curve: Curve, index: number, easing: string): Curve {
  const stop = curve.stops[index]
  return stop ? { ...curve, stops: curve.stops.with(index, { ...stop, easing: easing === 'linear' ? undefined : easing }) } : curve
}
