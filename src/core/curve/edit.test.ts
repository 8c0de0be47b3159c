import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { valueOnCurve, type Curve } from './curve'
import { addStop, moveStop, removeStop, shapeSpan } from './edit-curve'
import { addGradientStop, changeGradientStop, readGradient, removeGradientStop, writeGradient } from './gradient'

const curve: Curve = {
  stops: [
    { at: 0, value: 0, easing: 'ease-in' },
    { at: 0.5, value: 2 },
    { at: 1, value: 1 },
  ],
}

describe('a curve changed by hand', () => {
  it('keeps its stops in rising order, wherever one is dragged', () => {
    fc.assert(
      fc.property(
        fc.nat(2),
        fc.double({ min: -5, max: 5, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        (index, at, value) => {
          const { stops } = moveStop(curve, index, { at, value })
          expect(stops[index]?.value).toBe(value)
          stops.forEach((stop, i) => expect(stop.at).toBeGreaterThan(stops[i - 1]?.at ?? -Infinity))
        },
      ),
    )
  })

  it('is the same line with one more stop on a straight span', () => {
    const { curve: more, at } = addStop(curve, 0.75)
    expect([at, more.stops.length]).toEqual([2, 4])
    for (const x of [0, 0.3, 0.6, 0.9, 1]) expect(valueOnCurve(more, x)).toBeCloseTo(valueOnCurve(curve, x), 9)
    expect(addStop(curve, 0.5)).toEqual({ curve, at: 1 })
  })

  it('always has two stops, and takes another easing for a span', () => {
    const two = removeStop(curve, 1)
    expect(two.stops.map(({ at }) => at)).toEqual([0, 1])
    expect(removeStop(two, 0)).toBe(two)
    expect(shapeSpan(curve, 0, 'linear').stops[0]?.easing).toBeUndefined()
    expect(shapeSpan(curve, 1, 'steps(3)').stops[1]?.easing).toBe('steps(3)')
  })
})

describe('a gradient', () => {
  it.each([
    ['linear-gradient(135deg, #fff 0%, rgb(0 0 0 / 0.4) 60%, red 100%)', '135deg', [0, 60, 100]],
    ['linear-gradient(red, blue)', '', [0, 100]],
    ['radial-gradient(circle at 20% 30%, hsl(20, 50%, 40%) 10%, transparent)', 'circle at 20% 30%', [10, 100]],
    ['linear-gradient(to right in oklch, red, blue, green)', 'to right in oklch', [0, 50, 100]],
    ['conic-gradient(from 90deg, red 0deg, blue 180deg, red 360deg)', 'from 90deg', [0, 50, 100]],
  ])('is read: %s', (text, shape, places) => {
    const read = readGradient(text)
    expect([read?.shape, read?.stops.map(({ at }) => at)]).toEqual([shape, places])
    expect(read && readGradient(writeGradient(read))).toEqual(read)
  })

  it.each([
    'red',
    'linear-gradient(red)',
    'linear-gradient(red, 30%, blue)',
    'repeating-linear-gradient(red, blue)',
    'linear-gradient(red 10px, blue)',
    'linear-gradient(red 10% 20%, blue)',
  ])('is left as it is written: %s', (text) => {
    expect(readGradient(text)).toBeUndefined()
  })

  it('has its stops moved between their neighbours, added and removed', () => {
    const read = readGradient('linear-gradient(red 0%, green 50%, blue 100%)')
    if (!read) throw new Error('It should be read.')
    expect(changeGradientStop(read, 1, { at: 140 }).stops[1]?.at).toBe(100)
    expect(changeGradientStop(read, 1, { colour: 'gold' }).stops[1]).toEqual({ colour: 'gold', at: 50 })
    const added = addGradientStop(read, 70)
    expect([added.at, added.gradient.stops[2]]).toEqual([2, { colour: 'green', at: 70 }])
    const two = removeGradientStop(read, 1)
    expect(removeGradientStop(two, 0)).toBe(two)
  })
})
