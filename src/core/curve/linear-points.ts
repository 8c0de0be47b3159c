// Piecewise linear easing of CSS Easing Functions Level 2, section 2.1.
import type { Easing } from './cubic-bezier'
import { readNumber } from './number'

/** The points that the segments join, in their order: inputs, which never fall, and outputs. */
export interface LinearPoints {
  readonly inputs: readonly number[]
  readonly outputs: readonly number[]
}

/**
 * The points of linear(0, 0.3 20% 40%, 1) from its comma-separated parts: outputs with one or two inputs each. Missing inputs are
 * spread evenly between their neighbours. Undefined when unreadable.
 */
export function readLinearPoints(parts: readonly string[]): LinearPoints | undefined {
  const inputs: number[] = []
  const outputs: number[] = []
  let greatest = 0
  for (const part of parts) {
    const words = part.split(/\s+/)
    const numbers = words.filter((word) => !word.endsWith('%'))
    const places = words.filter((word) => word.endsWith('%')).map((word) => readNumber(word.slice(0, -1)) / 100)
    const output = readNumber(numbers[0] ?? '')
    const isTorn = places.length === 2 && words.indexOf(numbers[0] ?? '') === 1
    if (numbers.length !== 1 || places.length > 2 || isTorn || !Number.isFinite(output) || places.some(Number.isNaN)) return undefined
    for (const place of places.length > 0 ? places : [NaN]) {
      greatest = Math.max(greatest, Number.isNaN(place) ? greatest : place)
      inputs.push(Number.isNaN(place) ? NaN : greatest)
      outputs.push(output)
    }
  }
  if (parts.length < 2) return undefined
  if (Number.isNaN(inputs[0])) inputs[0] = 0
  if (Number.isNaN(inputs.at(-1))) inputs[inputs.length - 1] = Math.max(1, greatest)
  spreadEvenly(inputs)
  return { inputs, outputs }
}

/** The easing along the segments between points. Outside the ends the outermost segments go on. */
export const throughPoints =
  ({ inputs, outputs }: LinearPoints): Easing =>
  (progress) =>
    onSegments(inputs, outputs, progress)

/** Fills runs of NaN evenly between the numbers around them. */
function spreadEvenly(inputs: number[]): void {
  for (let i = 1; i < inputs.length; i++) {
    if (!Number.isNaN(inputs[i])) continue
    let end = i
    while (Number.isNaN(inputs[end])) end++
    const from = inputs[i - 1] ?? 0
    const step = ((inputs[end] ?? 1) - from) / (end - i + 1)
    for (let k = i; k < end; k++) inputs[k] = from + step * (k - i + 1)
  }
}

/** The output on the segment that holds `x`; where two inputs are equal the later output counts. */
function onSegments(inputs: readonly number[], outputs: readonly number[], x: number): number {
  let last = 0
  for (let i = 0; i < inputs.length; i++) if ((inputs[i] ?? 0) <= x) last = i
  const b = Math.min(inputs.length - 1, last + 1)
  const a = b - 1
  const [xa = 0, xb = 0, ya = 0, yb = 0] = [inputs[a], inputs[b], outputs[a], outputs[b]]
  if (xa === xb) return x < xa ? ya : yb
  return ya + ((yb - ya) * (x - xa)) / (xb - xa)
}
