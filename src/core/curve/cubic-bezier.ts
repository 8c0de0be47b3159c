// The cubic Bezier easing function of CSS Easing Functions Level 2, section 2.2.

/** An easing function: progress in (usually 0..1), progress out. */
export type Easing = (progress: number) => number

/**
 * cubic-bezier(x1, y1, x2, y2). Throws a RangeError unless both x are within 0..1.
 * Outside 0..1 the curve goes on along its tangent at the end, as the specification says.
 */
export function cubicBezier(x1: number, y1: number, x2: number, y2: number): Easing {
  if (!(x1 >= 0 && x1 <= 1 && x2 >= 0 && x2 <= 1)) throw new RangeError('The x values of cubic-bezier() lie between 0 and 1.')
  const startSlope = tangent(x1, y1, x2, y2)
  const endSlope = tangent(1 - x2, 1 - y2, 1 - x1, 1 - y1)
  return (progress) => {
    if (progress <= 0) return startSlope * progress
    if (progress >= 1) return 1 + endSlope * (progress - 1)
    return polynomial(y1, y2, parameterAt(progress, x1, x2))
  }
}

/** The slope of the curve at its first end. */
function tangent(x1: number, y1: number, x2: number, y2: number): number {
  if (x1 > 0) return y1 / x1
  if (y1 === 0 && x2 > 0) return y2 / x2
  return y1 === 0 && y2 === 0 ? 1 : 0
}

/** One coordinate of the Bezier with end points 0 and 1 and control values a and b. */
function polynomial(a: number, b: number, s: number): number {
  const r = 1 - s
  return 3 * r * r * s * a + 3 * r * s * s * b + s * s * s
}

/** The curve parameter where x is `x`: Newton's method inside a shrinking bracket, to the last bit that counts. */
function parameterAt(x: number, x1: number, x2: number): number {
  let low = 0
  let high = 1
  let s = x
  for (let step = 0; step < 64; step++) {
    const error = polynomial(x1, x2, s) - x
    if (Math.abs(error) < 1e-14) break
    if (error > 0) high = s
    else low = s
    const slope = 3 * (1 - s) * (1 - s) * x1 + 6 * (1 - s) * s * (x2 - x1) + 3 * s * s * (1 - x2)
    const next = s - error / slope
    s = next > low && next < high ? next : (low + high) / 2
  }
  return s
}
