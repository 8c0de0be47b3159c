import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readSum } from './arithmetic'

describe('what is typed into a number', () => {
  it.each([
    ['12', 'deg', 12],
    ['12deg', 'deg', 12],
    ['12°', 'deg', 12],
    ['1/3', '', 1 / 3],
    ['0.25turn', 'deg', 90],
    ['3.14159265rad', 'deg', 180],
    ['0.2s + 40ms', 'ms', 240],
    ['2 * (3 + 4)', 'px', 14],
    ['-4px', 'px', -4],
    ['+5', 'px', 5],
    ['2 - +5', 'px', -3],
    ['−4', 'px', -4],
    ['1,5', 'px', 1.5],
    ['2*-3', 'px', -6],
    ['1e2', 'px', 100],
    ['rotateY(5deg)', 'deg', 5],
    ['calc(2 * 8px - 1px)', 'px', 15],
    ['1in', 'px', 96],
    ['10 - 2 - 3', 'px', 5],
    ['12/3/2', 'px', 2],
    ['50%', '%', 50],
    ['.5', '', 0.5],
  ] as const)('%j in %s is %d', (text, unit, value) => {
    expect(readSum(text, unit)).toBeCloseTo(value, 6)
  })

  it.each([
    ['12px', 'deg', 'unit'],
    ['4px * 2px', 'px', 'unit'],
    ['4 / 2px', 'px', 'unit'],
    ['3vw', 'px', 'unit'],
    ['5deg', '', 'unit'],
    ['', 'px', 'nonsense'],
    ['twelve', 'px', 'nonsense'],
    ['1/0', 'px', 'nonsense'],
    ['(1', 'px', 'nonsense'],
    ['1)', 'px', 'nonsense'],
    ['1 2', 'px', 'nonsense'],
    ['alert(1)', 'px', 'nonsense'],
    ['1;2', 'px', 'nonsense'],
    ['--', 'px', 'nonsense'],
  ] as const)('%j in %s is refused: %s', (text, unit, fault) => {
    expect(readSum(text, unit)).toBe(fault)
  })

  it('never comes to anything but a finite number or a reason', () => {
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...'0123456789.+-*/() epxdgs%'.split('')) }), (text) => {
        const value = readSum(text, 'px')
        expect(value === 'nonsense' || value === 'unit' || Number.isFinite(value)).toBe(true)
      }),
      { numRuns: 1000 },
    )
  })
})
