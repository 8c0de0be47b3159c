import { expect, it } from 'vitest'
import { turnedPx, zoomBy } from './wheel'

it('is px, or lines of 18', () => {
  expect([turnedPx({ deltaY: 40, deltaMode: 0 }), turnedPx({ deltaY: -3, deltaMode: 1 })]).toEqual([40, -54])
})

it('makes larger upward, back again by the same turn, and never by more than half', () => {
  const [larger, smaller] = [zoomBy({ deltaY: -100, deltaMode: 0 }), zoomBy({ deltaY: 100, deltaMode: 0 })]
  expect(larger).toBeGreaterThan(1.3)
  expect(larger * smaller).toBeCloseTo(1, 12)
  expect(zoomBy({ deltaY: -1e9, deltaMode: 0 })).toBeLessThan(1.5)
})
