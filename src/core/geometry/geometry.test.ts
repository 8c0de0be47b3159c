import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { holdsPoint } from './box'
import { writeStillBox, type Matrix } from './still-box'

/** perspective(p) translateZ(z) rotateX(a) rotateY(b), in degrees and px, multiplied out. */
function leanMatrix(p: number, z: number, aDeg: number, bDeg: number): Matrix {
  const [a, b] = [(aDeg * Math.PI) / 180, (bDeg * Math.PI) / 180]
  const [ca, sa, cb, sb] = [Math.cos(a), Math.sin(a), Math.cos(b), Math.sin(b)]
  // Columns of Rx(a) Ry(b), with -1/p times the third row (z moved) in the fourth.
  const m13 = -ca * sb
  const m23 = sa
  return { m11: cb, m12: sa * sb, m14: -m13 / p, m21: 0, m22: ca, m24: -m23 / p, m41: 0, m42: 0, m44: 1 - z / p }
}

/** The hull of a box under a matrix about its middle, as a browser reports it. */
function hullOf(box: { x: number; y: number; width: number; height: number }, m: Matrix) {
  const corners = [[0, 0], [1, 0], [0, 1], [1, 1]].map(([u = 0, v = 0]) => {
    const x = (u - 0.5) * box.width
    const y = (v - 0.5) * box.height
    const w = m.m14 * x + m.m24 * y + m.m44
    return { x: box.x + box.width / 2 + (m.m11 * x + m.m21 * y + m.m41) / w, y: box.y + box.height / 2 + (m.m12 * x + m.m22 * y + m.m42) / w }
  })
  const xs = corners.map(({ x }) => x)
  const ys = corners.map(({ y }) => y)
  return { x: Math.min(...xs), y: Math.min(...ys), width: Math.max(...xs) - Math.min(...xs), height: Math.max(...ys) - Math.min(...ys) }
}

describe('the still box', () => {
  it('is where the element would lie, however it leans', () => {
    const sizes = fc.double({ min: 5, max: 900, noNaN: true })
    const turns = fc.double({ min: -45, max: 45, noNaN: true })
    fc.assert(
      fc.property(sizes, sizes, turns, turns, fc.double({ min: 1000, max: 3000, noNaN: true }), fc.double({ min: 0, max: 300, noNaN: true }), (width, height, a, b, eye, z) => {
        const box = { x: 120.5, y: -40.25, width, height }
        const matrix = leanMatrix(eye, z, a, b)
        const still = writeStillBox({ x: 0, y: 0, width: 0, height: 0 }, { hull: hullOf(box, matrix), width, height, matrix, originX: width / 2, originY: height / 2 })
        for (const key of ['x', 'y', 'width', 'height'] as const) expect(still[key]).toBeCloseTo(box[key], 6)
      }),
    )
  })

  it('is the hull itself where the size is not known or a corner lies behind the eye', () => {
    const hull = { x: 1, y: 2, width: 30, height: 40 }
    const out = { x: 0, y: 0, width: 0, height: 0 }
    expect(writeStillBox(out, { hull, width: NaN, height: NaN, matrix: leanMatrix(800, 0, 0, 0), originX: 0, originY: 0 })).toEqual(hull)
    expect(writeStillBox(out, { hull, width: 2000, height: 40, matrix: leanMatrix(200, 0, 0, 44), originX: 1000, originY: 20 })).toEqual(hull)
  })
})

describe('a box', () => {
  const box = { x: 10, y: 20, width: 100, height: 50 }

  it('holds its edges and corners, and nothing beyond them', () => {
    expect([[10, 20], [110, 70], [60, 45]].every(([x = 0, y = 0]) => holdsPoint(box, x, y))).toBe(true)
    expect([[9.9, 45], [110.1, 45], [60, 19.9], [60, 70.1], [NaN, 45], [60, Infinity]].some(([x = 0, y = 0]) => holdsPoint(box, x, y))).toBe(false)
  })

  it('without area holds no point', () => {
    expect(holdsPoint({ ...box, width: 0 }, 10, 45)).toBe(false)
    expect(holdsPoint({ ...box, height: NaN }, 60, 45)).toBe(false)
  })
})
