import { describe, expect, it } from 'vitest'
import { cubicBezier } from './cubic-bezier'
import { valueOnCurve } from './curve'
import { colourOnCurve, cssColour, mixColours, type Colour } from './colour'
import { parseEasing } from './easing'
import reference from './fixtures/easing.json'

describe('cubic-bezier()', () => {
  it.each(reference.cases.map(({ points, values }) => [points.join(', '), points, values] as const))(
    'gives the reference values for %s',
    (_, points, values) => {
      const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = points
      const ease = cubicBezier(x1, y1, x2, y2)
      values.forEach((value, i) => expect(Math.abs(ease(i / (values.length - 1)) - value)).toBeLessThan(reference.tolerance))
    },
  )

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
  it.each(['cubic-bezier(0.25, 0.1, 0.25)', 'cubic-bezier(2, 0, 0, 1)', 'cubic-bezier(a, b, c, d)', 'cubic-bezier(0,,0,1)', 'bounce', ''])(
    'that is none is refused: "%s"',
    (text) => {
      expect(parseEasing(text)).toBeUndefined()
    },
  )

  it('may be a keyword, in any case and with space around it', () => {
    expect(parseEasing(' Ease-In-Out ')?.(0.5)).toBeCloseTo(0.5, 9)
    expect(parseEasing('linear')?.(0.3)).toBe(0.3)
  })
})

describe('linear(...)', () => {
  const at = (text: string, ...inputs: number[]) => inputs.map((input) => Number(parseEasing(text)?.(input).toFixed(9)))

  it('goes straight between its points, which are spread evenly where no input is given', () => {
    expect(at('linear(0, 0.5 20%, 1)', 0, 0.1, 0.2, 0.6, 1)).toEqual([0, 0.25, 0.5, 0.75, 1])
    expect(at('linear(0, 1, 0, 1)', 1 / 3, 0.5, 2 / 3, 1)).toEqual([1, 0.5, 0, 1])
    expect(at('linear(0 10%, 0.2, 0.4, 1 70%)', 0.3, 0.5)).toEqual([0.2, 0.4])
  })

  it('may stand still between two inputs, step where they are equal, and goes on beyond its ends', () => {
    expect(at('linear(0, 0.5 20% 60%, 1)', 0.2, 0.4, 0.6, 0.8)).toEqual([0.5, 0.5, 0.5, 0.75])
    expect(at('linear(0, 0.2 50%, 0.8 50%, 1)', 0.499999999, 0.5)).toEqual([0.2, 0.8])
    expect(at('linear(0, 1)', -0.5, 1.5)).toEqual([-0.5, 1.5])
    // An input that falls behind the one before counts as equal to it.
    expect(at('linear(0, 0.5 60%, 0.8 30%, 1)', 0.6, 0.8)).toEqual([0.8, 0.9])
  })
})

describe('steps(...)', () => {
  it.each([
    ['steps(2)', [0, 0, 0.5, 0.5, 1]],
    ['steps(2, start)', [0.5, 0.5, 1, 1, 1]],
    ['steps(2, jump-both)', [1 / 3, 1 / 3, 2 / 3, 2 / 3, 1]],
    ['steps(2, jump-none)', [0, 0, 1, 1, 1]],
    ['step-start', [1, 1, 1, 1, 1]],
    ['step-end', [0, 0, 0, 0, 1]],
  ])('%s rises at the right moments', (text, values) => {
    expect([0, 0.3, 0.5, 0.8, 1].map((input) => parseEasing(text)?.(input))).toEqual(values)
  })

  it.each([
    'steps(0)',
    'steps(1, jump-none)',
    'steps(2.5)',
    'steps(3, both)',
    'linear(0)',
    'linear(0, a)',
    'linear(20% 0.5 30%, 1)',
    'linear(0, 1 10% 20% 30%)',
  ])('is refused where it says nothing: "%s"', (text) => {
    expect(parseEasing(text)).toBeUndefined()
  })
})

describe('a colour', () => {
  const red: Colour = { space: 'oklch', values: [0.6, 0.2, 20, 1] }
  const violet: Colour = { space: 'oklch', values: [0.4, 0.1, 310, 0.5] }

  it('goes round the hue by the shorter way, with its alpha premultiplied', () => {
    const { values } = mixColours(red, violet, 0.5)
    expect(values[2]).toBeCloseTo(345 - 360, 9)
    expect(values[0]).toBeCloseTo((0.6 * 1 + 0.4 * 0.5) / 1.5, 9)
    expect(values[3]).toBe(0.75)
  })

  it('is held at the ends of its stops, and is written as CSS writes it', () => {
    const curve = {
      colours: [
        { at: 0, value: red },
        { at: 1, value: violet },
      ],
    }
    expect(cssColour(colourOnCurve(curve, -3))).toBe('oklch(0.6 0.2 20)')
    expect(cssColour(colourOnCurve(curve, 9))).toBe('oklch(0.4 0.1 -50 / 0.5)')
  })
})

describe('a curve', () => {
  it('runs on along its outermost segments when asked, and in whole steps', () => {
    const stops = [
      { at: 0, value: 0 },
      { at: 1, value: 10, easing: 'ease' },
      { at: 2, value: 14 },
    ]
    expect(valueOnCurve({ stops, beyond: 'extend' }, -1)).toBe(-10)
    expect(valueOnCurve({ stops, beyond: 'extend' }, 4)).toBe(22)
    expect(valueOnCurve({ stops, step: 4 }, 0.55)).toBe(4)
  })

  const curve = {
    stops: [
      { at: -1, value: 10, easing: 'ease-in' },
      { at: 0, value: 20 },
      { at: 2, value: 0 },
    ],
  }

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
