import { describe, expect, it } from 'vitest'
import { plainFacts } from '../../compile/facts'
import { writeStylesheet } from '../../export/stylesheet'
import { evaluate, type Boxes } from '../../rig/evaluate'
import { readRig } from '../../rig/check'
import type { Sample } from '../../signal/sample'
import { expandWipe } from './expand'
import { wipe } from './index'
import { wipeDefaults, wipeSettings, type WipeSettings } from './settings'

const roles = { back: '.night', rider: '.moth', ahead: '.leaf', behind: '.owl', ground: '.yard' }
const rigOf = (changes: Partial<WipeSettings> = {}, filled: Readonly<Record<string, string>> = roles) =>
  expandWipe({ ...wipeDefaults, ...changes }, '.day', filled)
const sheetOf = (changes: Partial<WipeSettings> = {}, filled?: Readonly<Record<string, string>>) =>
  writeStylesheet([{ number: 1, names: { title: 'a wipe', name: 'hours' }, rig: rigOf(changes, filled), sentence: '' }], [], plainFacts)

/** A ground of 400 x 200 at (100, 50), with elements of other sizes in it. */
const boxes: Boxes = {
  window: { width: 1000, height: 700 },
  elements: {
    '.yard': [{ x: 100, y: 50, width: 400, height: 200 }],
    '.day': [{ x: 100, y: 50, width: 400, height: 200 }],
    '.night': [{ x: 130, y: 60, width: 300, height: 180 }],
    '.moth': [{ x: 210, y: 90, width: 40, height: 40 }],
    '.leaf': [{ x: 110, y: 60, width: 80, height: 20 }],
    '.owl': [{ x: 300, y: 180, width: 150, height: 30 }],
  },
}
const move = (t: number, x: number, y: number): Sample => ({ t, x, y, buttons: 0, pointerType: 'mouse', phase: 'move' })

/** Where each element's own reading says that the line is, px of the window, across. */
function linesAt(changes: Partial<WipeSettings>, trace: readonly Sample[], times: readonly number[]) {
  const { columns, moments } = evaluate(rigOf(changes), trace, boxes, times)
  const middles = { front: 300, back: 280, rider: 230, ahead: 150, behind: 375 }
  return moments.map(({ values }) =>
    Object.entries(middles).map(([id, middle]) => middle + Number(values[columns.findIndex((name) => name.startsWith(`${id}-x`))])),
  )
}

describe('a wipe', () => {
  it('waits at its share of the ground for elements of every size, and has them all at the pointer, at every instant', () => {
    const [before, ...after] = linesAt({}, [move(0, 400, 100)], [-1, 20, 60, 400])
    for (const line of before ?? []) expect(line).toBeCloseTo(100 + 0.08 * 400, 6)
    for (const lines of after) for (const line of lines) expect(line).toBeCloseTo(lines[0] ?? 0, 6)
    for (const line of after.at(-1) ?? []) expect(line).toBeCloseTo(400, 1)
  })

  it('begins at its share where it stays as it was left, and goes back where it waits', () => {
    const leave: Sample = { ...move(500, 700, 600), phase: 'leave' }
    const held = linesAt({ away: 'holds', waitsPercent: 30 }, [move(0, 400, 100), leave], [-1, 1500])
    for (const [lines, at] of [[held[0], 220], [held[1], 400]] as const) for (const line of lines ?? []) expect(line).toBeCloseTo(at, 1) // prettier-ignore
    const [back] = linesAt({}, [move(0, 400, 100), leave], [1500])
    for (const line of back ?? []) expect(line).toBeCloseTo(132, 1)
  })

  it('follows a key from where its slider is', () => {
    const at = (t: number, more: Partial<Sample>): Sample => ({ ...move(t, 300, 150), ...more })
    const [lines] = linesAt({}, [at(0, { phase: 'focus' }), at(10, { phase: 'key', key: 'ArrowRight' })], [900])
    for (const line of lines ?? []) expect(line).toBeCloseTo(100 + 0.13 * 400, 1)
    // Up goes on as well, and to the ends.
    const [up, home] = linesAt(
      {},
      [at(0, { phase: 'focus' }), at(10, { phase: 'key', key: 'ArrowUp' }), at(1000, { phase: 'key', key: 'End' })],
      [900, 2000],
    )
    for (const [each, share] of [[up, 0.13], [home, 1]] as const) for (const line of each ?? []) expect(line).toBeCloseTo(100 + share * 400, 1) // prettier-ignore
  })

  it.each([
    [90, 'inset(-200vmax calc(50% - var(--hours-front-x)) -200vmax -200vmax)'],
    [270, 'inset(-200vmax -200vmax -200vmax calc(50% + var(--hours-front-x)))'],
    [180, 'inset(-200vmax -200vmax calc(50% - var(--hours-front-y)) -200vmax)'],
    [0, 'inset(calc(50% + var(--hours-front-y)) -200vmax -200vmax -200vmax)'],
  ])('toward %s° leaves what lies before the line of the front', (directionDeg, clip) => {
    expect(sheetOf({ directionDeg })).toContain(`clip-path: ${clip};`)
  })

  it('at a slant cuts along a line through the point, and has a mask where its edge is soft', () => {
    const sheet = sheetOf({ directionDeg: 120, softPx: 40 })
    // tan 30° of 100vmax on either side of where it crosses the middle.
    expect(sheet).toMatch(/polygon\(calc\(50% \+ .* \+ 57\.735vmax\) calc\(50% - 100vmax\), calc\(50% \+ .* - 57\.735vmax\)/)
    expect(sheet).toContain('linear-gradient(120deg, #000 calc(50% + ')
    expect(sheet).toMatch(/--hours-soft: 40px;/)
    expect(sheetOf({ directionDeg: 120 })).not.toContain('mask')
  })

  it('cuts the front alone where it covers the back, lays neighbours over each other, and does with what there is', () => {
    expect(sheetOf({ cuts: 'front' })).not.toContain('.night[data-hours]')
    const laid = sheetOf({ layers: 'over' }, { back: '.night' })
    expect(laid).toContain('display: grid;')
    expect(laid).toMatch(/grid-area: 1 \/ 1;/)
    const alone = rigOf({ layers: 'over' }, {})
    expect(alone.rules).toEqual([])
    expect(() => readRig(alone)).not.toThrow()
    expect(alone.areas[0]?.select).toBe(':has(> .day)')
  })

  it('has a slider that arrow keys move, named by both layers', () => {
    const rig = readRig(rigOf())
    expect(rig.areas[0]?.arrowKeys).toBe(0.05)
    expect(rig.parts).toMatchObject([{ id: 'line', reached: { role: 'slider', value: 'at', namedBy: ['.day', '.night'] } }])
    expect(() => readRig({ ...rig, areas: rig.areas.map((area) => ({ ...area, arrowKeys: undefined })) })).toThrow(/arrow keys/)
    const channels = rig.channels.map((channel) => (channel.id === 'at' ? { ...channel, frame: { each: '.day' } } : channel))
    expect(() => readRig({ ...rig, channels })).toThrow(/tells a share of the same area/)
  })

  it('takes every recipe, turns round, and refuses nonsense', () => {
    for (const { settings } of wipe.recipes) expect(() => readRig(expandWipe(settings, '.day', roles))).not.toThrow()
    expect(wipe.turned({ ...wipeDefaults, directionDeg: 300 }).directionDeg).toBe(120)
    for (const nonsense of [{ directionDeg: 400 }, { softPx: -1 }, { waitsPercent: 130 }, { cuts: 'none' }])
      expect(wipeSettings.safeParse({ ...wipeDefaults, ...nonsense }).success).toBe(false)
    const ids = (away: WipeSettings['away']) => wipe.controls({ ...wipeDefaults, away }).map(({ id }) => id)
    expect(ids('waits')).toContain('waitsPercent')
    expect(ids('holds')).not.toContain('waitsPercent')
  })

  it('is nowhere in boxes of no size', () => {
    const flat: Boxes = {
      ...boxes,
      elements: Object.fromEntries(Object.keys(boxes.elements).map((select) => [select, [{ x: 0, y: 0, width: 0, height: 0 }]])),
    }
    const { moments } = evaluate(rigOf(), [move(0, 0, 0)], flat, [100])
    for (const value of moments[0]?.values ?? []) expect(value).not.toBeNaN()
  })
})
