// Magnifier: what its settings make of the rig, and how its values follow a pointer, a finger and keys.
import { describe, expect, it } from 'vitest'
import { evaluate } from '../../rig/evaluate'
import { readRig } from '../../rig/check'
import type { Sample } from '../../signal/sample'
import { expandMagnifier } from './expand'
import { magnifierDefaults, type MagnifierSettings } from './settings'

const rigOf = (changes: Partial<MagnifierSettings> = {}) => expandMagnifier({ ...magnifierDefaults, ...changes }, '.plate')
const sample = (t: number, x: number, y: number, more: Partial<Sample> = {}): Sample => ({
  t,
  x,
  y,
  buttons: 0,
  pointerType: 'mouse',
  phase: 'move',
  ...more,
})
const boxes = { window: { width: 1000, height: 700 }, elements: { '.plate': [{ x: 100, y: 50, width: 400, height: 300 }] } }

/** What each channel is at the end of a trace, by its id. */
function endOf(trace: readonly Sample[], changes: Partial<MagnifierSettings> = {}): Readonly<Record<string, number>> {
  const { columns, moments } = evaluate(rigOf(changes), trace, boxes, [9000])
  return Object.fromEntries(columns.map((column, i) => [column.replace('[0]', ''), Number(moments[0]?.values[i])]))
}

describe('a magnifier', () => {
  it.each<Partial<MagnifierSettings>>([
    {},
    { shape: 'strip', widePercent: 400 },
    { rimPx: 0, highlightPercent: 0, shadowPx: 0 },
    { zooms: 'page', finger: 'scroll', keyboard: 'no', arrow: 'stays' },
    { sharper: 'data-large', zoom: 8, mostZoom: 2 },
  ])('is a rig with %j', (changes) => {
    expect(() => readRig(rigOf(changes))).not.toThrow()
  })

  it('is where the pointer is, from the middle of what is looked at, and stays where it was left', () => {
    expect(endOf([sample(0, 150, 90)])).toMatchObject({ here: 1, x: -150, y: -110, pinch: 1, finger: 0 })
    expect(endOf([sample(0, 150, 90), sample(100, 600, 90)])).toMatchObject({ here: 0, x: -150, y: -110 })
  })

  it('lies above a finger, and below it where there is no room above', () => {
    const touch = { pointerType: 'touch', buttons: 1 } as const
    expect(endOf([sample(0, 300, 340, { ...touch, phase: 'down' })]).finger).toBe(-1)
    expect(endOf([sample(0, 300, 90, { ...touch, phase: 'down' })]).finger).toBe(1)
    expect(endOf([sample(0, 300, 90, touch)], { finger: 'scroll' })).toMatchObject({ here: 0 })
  })

  it('shows things as many times as large as fingers and keys have it, within its limits', () => {
    const pinch = (t: number, by: number) => sample(t, 300, 200, { phase: 'pinch', by })
    expect(endOf([sample(0, 300, 200), pinch(10, 1.5)]).pinch).toBeCloseTo(1.5)
    expect(endOf([sample(0, 300, 200), pinch(10, 99)], { mostZoom: 5 }).pinch).toBeCloseTo(2)
    const key = (t: number, name: Sample['key']) => sample(t, 0, 0, { phase: 'key', key: name })
    const focus = sample(0, 300, 200, { phase: 'focus' })
    expect(endOf([focus, key(10, '+')])).toMatchObject({ here: 1, x: 0, y: 0, pinch: 1.25 })
    expect(endOf([focus, key(10, 'ArrowRight'), key(20, '-'), key(30, '-')])).toMatchObject({ x: 8, pinch: 0.8 ** 2 })
    expect(endOf([focus, key(10, '+'), key(20, 'Escape')])).toMatchObject({ here: 0 })
  })

  it('is the effect of one on what it is put on: it leaves links and fields as they are', () => {
    const [, state] = rigOf().states ?? []
    expect(state?.attributes).toEqual({ tabindex: '0', role: 'group', 'aria-label': magnifierDefaults.name })
    expect(state?.unless).toContain('a[href]')
    expect(rigOf({ keyboard: 'no' }).states).toHaveLength(1)
  })
})
