import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { holdsPoint, type Box } from './box'
import { distanceFromEdge, frameOf, holdsLocal, type Affine, type Four } from './frame'
import type { Insets } from './insets'
import { locate, project, type Matrix, type Plane } from './plane'

/** perspective(p) translateZ(z) rotateX(a) rotateY(b), in degrees and px, multiplied out. */
function leanMatrix(p: number, z: number, aDeg: number, bDeg: number): Matrix {
  const [a, b] = [(aDeg * Math.PI) / 180, (bDeg * Math.PI) / 180]
  const [ca, sa, cb, sb] = [Math.cos(a), Math.sin(a), Math.cos(b), Math.sin(b)]
  // Columns of Rx(a) Ry(b), with -1/p times the third row (z moved) in the fourth.
  const m13 = -ca * sb
  const m23 = sa
  return { m11: cb, m12: sa * sb, m14: -m13 / p, m21: 0, m22: ca, m24: -m23 / p, m41: 0, m42: 0, m44: 1 - z / p }
}

/** A plane that lies at (x, y) in the window, turned and scaled by the page. */
function planeAt(x: number, y: number, width: number, height: number, matrix: Matrix, turn: Partial<Affine> = {}): Plane {
  return { width, height, matrix, originX: width / 2, originY: height / 2, own: { a: 1, b: 0, c: 0, d: 1, e: x, f: y, ...turn } }
}

/** The hull of a plane as it is drawn: what a browser reports as its client rectangle. */
function drawnHull(plane: Plane): Box {
  const points = [
    [0, 0],
    [1, 0],
    [0, 1],
    [1, 1],
  ].map(([u = 0, v = 0]) => {
    const point = { x: 0, y: 0 }
    project(plane, u * plane.width, v * plane.height, point)
    return point
  })
  const xs = points.map(({ x }) => x)
  const ys = points.map(({ y }) => y)
  return { x: Math.min(...xs), y: Math.min(...ys), width: Math.max(...xs) - Math.min(...xs), height: Math.max(...ys) - Math.min(...ys) }
}

/** The plane with its place forgotten, found again from its hull. */
function found(plane: Plane): Plane {
  const lost = { ...plane, own: { ...plane.own, e: 0, f: 0 } }
  locate(lost, drawnHull(plane))
  return lost
}

describe('an element that we move', () => {
  const sizes = fc.double({ min: 5, max: 900, noNaN: true })
  const turns = fc.double({ min: -45, max: 45, noNaN: true })

  it('is read where it would lie, however it leans', () => {
    fc.assert(
      fc.property(
        sizes,
        sizes,
        turns,
        turns,
        fc.double({ min: 1000, max: 3000, noNaN: true }),
        fc.double({ min: 0, max: 300, noNaN: true }),
        (width, height, a, b, eye, z) => {
          const { own } = found(planeAt(120.5, -40.25, width, height, leanMatrix(eye, z, a, b)))
          expect(own.e).toBeCloseTo(120.5, 5)
          expect(own.f).toBeCloseTo(-40.25, 5)
        },
      ),
    )
  })

  it('is read where it would lie where the page turns and scales it, to the ten-thousandth of a px', () => {
    fc.assert(
      fc.property(
        sizes,
        sizes,
        turns,
        turns,
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: 0.4, max: 2, noNaN: true }),
        (width, height, a, b, turnDeg, scale) => {
          const [cos, sin] = [Math.cos((turnDeg * Math.PI) / 180) * scale, Math.sin((turnDeg * Math.PI) / 180) * scale]
          const plane = found(planeAt(300, 200, width, height, leanMatrix(1500, 0, a, b), { a: cos, b: sin, c: -sin, d: cos }))
          expect(plane.own.e).toBeCloseTo(300, 4)
          expect(plane.own.f).toBeCloseTo(200, 4)
        },
      ),
    )
  })

  it('lies nowhere where its size is not known', () => {
    const plane = planeAt(0, 0, NaN, NaN, leanMatrix(1500, 0, 3, 3))
    locate(plane, { x: 1, y: 2, width: 30, height: 40 })
    expect(plane.own.e).toBeNaN()
  })
})

describe('a frame of reference', () => {
  const frame = { ...frameOf({ x: 100, y: 50, width: 180, height: 80 }), border: [10, 10, 10, 10] as Four, radii: [30, 30, 30, 30] as Four }
  const insets = (value: number, unit: 'px' | '%'): Insets => ({
    top: { value, unit },
    right: { value, unit },
    bottom: { value, unit },
    left: { value, unit },
  })

  it('holds what is inside its border box less the insets, edges included', () => {
    expect(
      [
        [-10, -10],
        [190, 90],
        [90, 40],
      ].every(([x = 0, y = 0]) => holdsLocal(frame, undefined, { x, y })),
    ).toBe(true)
    expect(
      [
        [-10.1, 0],
        [190.1, 0],
        [0, 90.1],
        [NaN, 0],
        [0, Infinity],
      ].some(([x = 0, y = 0]) => holdsLocal(frame, undefined, { x, y })),
    ).toBe(false)
    expect(holdsLocal(frame, insets(20, 'px'), { x: 9, y: 40 })).toBe(false)
    expect(holdsLocal(frame, insets(20, 'px'), { x: 10, y: 40 })).toBe(true)
    expect(holdsLocal(frame, insets(-60, 'px'), { x: -69, y: 40 })).toBe(true)
    expect(holdsLocal(frame, insets(25, '%'), { x: 39, y: 40 })).toBe(false)
  })

  it('without area, or without end, holds no point', () => {
    expect(holdsLocal({ ...frame, width: -20 }, undefined, { x: 0, y: 0 })).toBe(false)
    expect(holdsLocal({ ...frame, height: NaN }, undefined, { x: 0, y: 0 })).toBe(false)
  })

  it('knows how far its edge is, round corners and borders included', () => {
    expect(distanceFromEdge(frame, { x: 90, y: 40 })).toBeCloseTo(-50, 9)
    expect(distanceFromEdge(frame, { x: 200, y: 40 })).toBeCloseTo(10, 9)
    // On the corner's diagonal: the rounding gives way by (sqrt 2 - 1) of the radius.
    expect(distanceFromEdge(frame, { x: -10, y: -10 })).toBeCloseTo(30 * (Math.SQRT2 - 1), 9)
  })
})

describe('a box', () => {
  const box = { x: 10, y: 20, width: 100, height: 50 }

  it('holds its edges and corners, and nothing beyond them', () => {
    expect(
      [
        [10, 20],
        [110, 70],
        [60, 45],
      ].every(([x = 0, y = 0]) => holdsPoint(box, x, y)),
    ).toBe(true)
    expect(
      [
        [9.9, 45],
        [110.1, 45],
        [60, 19.9],
        [60, 70.1],
        [NaN, 45],
        [60, Infinity],
      ].some(([x = 0, y = 0]) => holdsPoint(box, x, y)),
    ).toBe(false)
  })

  it('without area holds no point', () => {
    expect(holdsPoint({ ...box, width: 0 }, 10, 45)).toBe(false)
    expect(holdsPoint({ ...box, height: NaN }, 60, 45)).toBe(false)
  })
})
