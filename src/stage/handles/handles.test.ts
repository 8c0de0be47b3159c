import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { distanceBetween } from '../distance'
import { gripOf, valueAt, type Ground } from './handles'
import { withHoverMarks } from '../../core/page/hover-marks'
import type { ShownHandle } from '../protocol'
import { zones } from './zones'

const ground: Ground = { box: { x: 100, y: 50, width: 400, height: 200 }, middle: { x: 220, y: 130 } }
const valued = { id: 'a', least: -1000, greatest: 1000, unit: 'px' }

describe('a handle on the page', () => {
  const handles: readonly ShownHandle[] = [
    ...(['top', 'right', 'bottom', 'left'] as const).flatMap((side): ShownHandle[] => [
      { on: 'inset', side, ...valued, value: 30 },
      { on: 'inset', side, ...valued, unit: '%', value: 20 },
    ]),
    { on: 'radius', ...valued, value: 90 },
    { on: 'softness', inner: 40, ...valued, value: 25 },
    { on: 'direction', ...valued, unit: 'deg', value: 60 },
    { on: 'direction', ...valued, unit: 'deg', value: 420 },
    { on: 'zones', along: 'columns', ...valued, least: 1, value: 5 },
    { on: 'zones', along: 'rows', ...valued, least: 1, value: 3 },
    { on: 'zones', along: 'columns', insetPx: 60, ...valued, least: 1, value: 4 },
    { on: 'factor', along: 'across', ...valued, unit: '', value: 2.4 },
    { on: 'factor', along: 'down', ...valued, unit: '', value: 3 },
    { on: 'point', axis: 'x', from: 0, to: 100, ...valued, unit: '%', value: 30 },
  ]

  it.each(handles)('has its number where its grip stands: $on $side $along $unit', (handle) => {
    expect(valueAt(handle, ground, gripOf(handle, [handle], ground))).toBe(handle.value)
  })

  it('stays in range wherever it is dragged', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...handles),
        fc.integer({ min: -5000, max: 5000 }),
        fc.integer({ min: -5000, max: 5000 }),
        (handle, x, y) => {
          const value = valueAt({ ...handle, least: 2, greatest: 50 }, ground, { x, y })
          expect(value).toBeGreaterThanOrEqual(2)
          expect(value).toBeLessThanOrEqual(50)
        },
      ),
    )
  })

  it('draws the limits of zones too, where the outermost ones go on beyond them', () => {
    const lines = (given: Partial<ShownHandle>) => {
      const handle = { on: 'zones', along: 'columns', ...valued, value: 4, ...given } as Extract<ShownHandle, { on: 'zones' }>
      return zones.draw(handle, ground, { x: 0, y: 0 }).map(({ style }) => style.left)
    }
    expect(lines({})).toEqual(['200px', '300px', '400px'])
    expect(lines({ insetPx: 40 })).toEqual(['140px', '220px', '300px', '380px', '460px'])
  })

  it('catches a point by the middle, and a direction by eighths of a turn', () => {
    const point: ShownHandle = { on: 'point', axis: 'y', from: -100, to: 100, ...valued, value: 40 }
    expect(valueAt(point, ground, { x: 0, y: 153 })).toBe(0)
    expect(valueAt({ on: 'direction', ...valued, value: 0 }, ground, { x: 400, y: 148 })).toBe(90)
  })
})

describe('the distance between two edges', () => {
  const upright = (at: number) => ({ isUpright: true, at, from: 0, to: 100 })
  it('is how far they are open, and negative where they overlap', () => {
    expect(distanceBetween(upright(100), upright(112), 'right')).toBe(12)
    expect(distanceBetween(upright(112), upright(100), 'left')).toBe(12)
    expect(distanceBetween(upright(100), upright(95), 'right')).toBe(-5)
    expect(distanceBetween(upright(100), { ...upright(95), isUpright: false }, 'right')).toBeNaN()
  })
})

describe('rules for states under the stand-in pointer', () => {
  it('follow a mark that weighs the same, and nothing else changes', () => {
    expect(withHoverMarks('.card:hover > a:active, li:not(:hover)')).toBe(
      '.card[data-glass-moth-hover] > a[data-glass-moth-active], li:not([data-glass-moth-hover])',
    )
    expect(withHoverMarks('.hover:focus-visible, a:hover-like')).toBe('.hover:focus-visible, a:hover-like')
  })
})
