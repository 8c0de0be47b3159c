import { describe, expect, it } from 'vitest'
import { cubicBezier } from './cubic-bezier'
import { valueOnCurve } from './curve'
import { parseEasing } from './easing'
import reference from './fixtures/easing.json'

describe('cubic-bezier()', () => {
  it.each(reference.cases.map(({ points, values }) => [points.join(', '), points, values] as const))('gives the reference values for %s', (_, points, values) => {
    const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = points
    const ease = cubicBezier(x1, y1, x2, y2)
    values.forEach((value, i) => expect(Math.abs(ease(i / (values.length - 1)) - value)).toBeLessThan(reference.tolerance))
  })

  it('goes on along its tangents outside 0..1', () => {
    const ease = cubicBezier(0.25, 0.5, 0.75, 0.25)
    expect(ease(-0.1)).toBeCloseTo(-0.2, 12)
    expect(ease(1.1)).toBeCloseTo(1.3, 12)
  })

  it('refuses an x outside 0..1', () => {
    expect(() => cubicBezier(-0.1, 0, 1, 1)).toThrow(RangeError)
    expect(() => cubicBezier(NaN, 0, 1, 1)).toThrow(RangeError)
  })
})

describe('an easing text', () => {
  it.each(['cubic-bezier(0.25, 0.1, 0.25)', 'cubic-bezier(2, 0, 0, 1)', 'cubic-bezier(a, b, c, d)', 'cubic-bezier(0,,0,1)', 'bounce', ''])('that is none is refused: "%s"', (text) => {
    expect(parseEasing(text)).toBeUndefined()
  })

  it('may be a keyword, in any case and with space around it', () => {
    expect(parseEasing(' Ease-In-Out ')?.(0.5)).toBeCloseTo(0.5, 9)
    expect(parseEasing('linear')?.(0.3)).toBe(0.3)
  })
})

describe('a curve', () => {
  const curve = { stops: [{ at: -1, value: 10, easing: 'ease-in' }, { at: 0, value: 20 }, { at: 2, value: 0 }] }

  it('holds its end values outside its stops', () => {
    expect(valueOnCurve(curve, -5)).toBe(10)
    expect(valueOnCurve(curve, 7)).toBe(0)
  })

  it('goes straight between stops, or along the easing of the stop before', () => {
    expect(valueOnCurve(curve, 1)).toBe(10)
    expect(valueOnCurve(curve, -0.5)).toBeCloseTo(10 + 10 * (parseEasing('ease-in')?.(0.5) ?? NaN), 12)
    expect(valueOnCurve(curve, -0.5)).toBeLessThan(15)
  })
})
