// Where windows lie on the plate: beside panels, at a zoom, moved by hand, several of them.
import { describe, expect, it } from 'vitest'
import { fitted, layOutPlate, narrowPanel, zoomAbout } from './layout'

const laptop = { width: 1280, height: 720 }
const small = { width: 1236, height: 564 }

describe('the windows on the plate', () => {
  it('leave room for a panel beside the page, and more of it where there is more', () => {
    const one = layOutPlate({ space: small, windows: [laptop] })
    expect(one.scale).toBeGreaterThan(0.7)
    expect((one.places[0]?.left ?? 0) + 1280 * one.scale + narrowPanel).toBeLessThanOrEqual(small.width)
    const large = layOutPlate({ space: { width: 1876, height: 844 }, windows: [laptop] })
    expect(large.scale).toBe(1)
    expect(large.beside).toBeGreaterThan(550)
    expect((large.places[0]?.left ?? 0) + 1280 + large.beside).toBeLessThanOrEqual(1876)
  })

  it('never make a page smaller than six tenths for a panel; what is too high for that is as large as fits', () => {
    expect(layOutPlate({ space: { width: 916, height: 564 }, windows: [laptop] }).scale).toBe(0.6)
    expect(layOutPlate({ space: { width: 916, height: 300 }, windows: [laptop] }).scale).toBeCloseTo(280 / 720, 9)
  })

  it('stand in the middle of what is free, on whole px', () => {
    const { places, scale, beside } = layOutPlate({ space: small, windows: [{ width: 390, height: 844 }] })
    expect(places[0]?.left).toBe(Math.round(10 + (1216 - beside - 390 * scale) / 2))
    expect(Number.isInteger(places[0]?.top)).toBe(true)
  })

  it('are one above the other where two are larger so beside their panel, and have all the width without one', () => {
    const two = [laptop, laptop]
    const stacked = layOutPlate({ space: small, windows: two, panel: 420 })
    expect(stacked.places[1]?.left).toBe(stacked.places[0]?.left)
    expect(stacked.places[1]?.top).toBeGreaterThan((stacked.places[0]?.top ?? 0) + 720 * stacked.scale)
    const side = layOutPlate({ space: small, windows: two })
    expect(side.places[1]?.top).toBe(side.places[0]?.top)
    expect(side.scale).toBeCloseTo((1216 - 14) / 2560, 9)
  })

  it('are zoomed about the point that is meant, within limits', () => {
    const at = { left: 400, top: 300 }
    const before = layOutPlate({ space: small, windows: [laptop] })
    const of = (layout: ReturnType<typeof layOutPlate>) => [
      (at.left - (layout.places[0]?.left ?? 0)) / layout.scale,
      (at.top - (layout.places[0]?.top ?? 0)) / layout.scale,
    ]
    let zoom = fitted
    for (const scale of [1, 2, 1.3]) {
      zoom = zoomAbout(small, [laptop], zoom, scale, at)
      const [x = NaN, y = NaN] = of(layOutPlate({ space: small, windows: [laptop], zoom }))
      expect(Math.abs(x - (of(before)[0] ?? NaN))).toBeLessThan(2)
      expect(Math.abs(y - (of(before)[1] ?? NaN))).toBeLessThan(2)
    }
    expect(zoomAbout(small, [laptop], zoom, 1000, at).scale).toBe(4)
    expect(zoomAbout(small, [laptop], zoom, 0.001, at).scale).toBe(0.1)
    expect(zoomAbout(small, [laptop], zoom, 0.5, at).scale).toBe(0.5)
  })

  it('are moved by hand, and never out of sight', () => {
    const { places, scale } = layOutPlate({ space: small, windows: [laptop], zoom: { scale: 2, x: -1e6, y: 1e6 } })
    expect((places[0]?.left ?? 0) + 1280 * scale).toBeGreaterThan(60)
    expect(places[0]?.top).toBeLessThan(small.height - 60)
  })
})
