import { describe, expect, it } from 'vitest'
import { plainFacts } from '../../compile/facts'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { evaluate } from '../../rig/evaluate'
import { expandZones } from './expand'
import { zones } from './index'
import { zonesDefaults, zonesSettings, type ZonesSettings } from './settings'

const roles = { linked: '.dot' }
const rigOf = (changes: Partial<ZonesSettings> = {}, filled: Readonly<Record<string, string>> = roles) =>
  expandZones({ ...zonesDefaults, ...changes }, '.bed', filled)
const sheetOf = (changes: Partial<ZonesSettings> = {}) =>
  writeStylesheet([{ number: 1, names: { title: 'zones', name: 'bed' }, rig: rigOf(changes), sentence: '' }], [], plainFacts)

describe('zones', () => {
  it.each<[Partial<ZonesSettings>, readonly (readonly [x: number, y: number, zone: number])[]]>([
    // In 1000 px less two margins of 100 px a column is 200 px wide; beyond them the outermost ones go on.
    [
      { marginXPx: 100 },
      [
        [90, 50, 0],
        [299, 50, 0],
        [301, 50, 1],
        [899, 50, 3],
        [999, 50, 3],
      ],
    ],
    [
      { cut: 'rows', rows: 5, marginYPx: 100 },
      [
        [500, 40, 0],
        [500, 221, 1],
        [500, 690, 4],
      ],
    ],
    [
      { cut: 'grid', columns: 2, rows: 2 },
      [
        [10, 10, 0],
        [900, 10, 1],
        [10, 600, 2],
        [900, 600, 3],
      ],
    ],
  ])('choose by where the pointer is: %o', (changes, places) => {
    const samples = places.map(([x, y], i) => ({ t: i * 20, x, y, buttons: 0, pointerType: 'mouse' as const, phase: 'move' as const }))
    const times = places.map((_, i) => i * 20 + 10)
    const { moments } = evaluate(rigOf(changes), samples, { window: { width: 1000, height: 700 }, elements: {} }, times)
    expect(moments.map(({ values }) => values[0])).toEqual(places.map(([, , zone]) => zone))
  })

  it('are chosen by the focus on one of them, until it goes or the pointer moves', () => {
    const boxes = {
      window: { width: 1000, height: 700 },
      elements: { '.bed': [0, 250, 500, 750].map((x) => ({ x, y: 0, width: 250, height: 90 })) },
    }
    const at = (t: number, x: number, phase: 'move' | 'focus' | 'blur') => ({
      t,
      x,
      y: 40,
      buttons: 0,
      pointerType: 'mouse' as const,
      phase,
    })
    const trace = [at(0, 100, 'move'), at(20, 800, 'focus'), at(40, 5, 'blur'), at(60, 300, 'move')]
    const read = (changes: Partial<ZonesSettings>) =>
      evaluate(rigOf(changes), trace, boxes, [10, 30, 50, 70]).moments.map(({ values }) => values[0])
    expect(read({})).toEqual([0, 3, 0, 1])
    expect(read({ cut: 'nearest' })).toEqual([0, 3, 0, 1])
    expect(read({ focus: 'none' })).toEqual([0, 0, 0, 1])
  })

  it('stay with the last one, go back to the first, or choose none when the pointer leaves', () => {
    const away = (changes: Partial<ZonesSettings>) => rigOf(changes).channels[0]?.away
    expect(away({ leaves: 'stays' })).toMatchObject({ kind: 'hold', pose: 0 })
    expect(away({ leaves: 'first', first: 3 })).toEqual({ kind: 'settle', pose: 2, byFinger: 'hold' })
    expect(away({ leaves: 'none' })).toEqual({ kind: 'settle', pose: -1, byFinger: 'hold' })
    expect(rigOf({ first: 0 }).channels[0]?.signal).not.toHaveProperty('first')
    expect(rigOf({ first: 2 }).channels[0]?.signal).toMatchObject({ first: 1 })
  })

  it('dim the others while one is chosen, show what is linked to that one alone, and say nothing without a script', () => {
    const sheet = sheetOf({ othersPercent: 30, growPercent: 110, chosenCss: 'color: #fff' })
    expect(sheet).toContain(':root:has(.bed[data-bed-chosen]) .bed:not([data-bed-chosen]) {')
    expect(sheet).toMatch(/\.bed\[data-bed-chosen\] \{\n\s+color: #fff;/)
    expect(sheet).toMatch(
      /:root:has\(\.dot\[data-bed-chosen\]\) \.dot:not\(\[data-bed-chosen\]\) \{\n\s+opacity: 0;\n\s+visibility: hidden;/,
    )
    expect(sheet.split('prefers-reduced-motion: no-preference')[1]).toContain('scale: var(--bed-grow);')
    expect(sheetOf({ linked: 'css', linkedCss: 'fill: #a50' })).toMatch(/\.dot\[data-bed-chosen\] \{\n\s+fill: #a50;/)
  })

  it('take as many zones as there are elements, as they lie', () => {
    const row = { count: 5, gapPx: 0, besidePx: 0, isFlex: false, isGrid: true }
    expect(zones.onRow?.(zonesDefaults, { ...row, along: 'across' })).toMatchObject({ cut: 'columns', columns: 5 })
    expect(zones.onRow?.(zonesDefaults, { ...row, along: 'down' })).toMatchObject({ cut: 'rows', rows: 5 })
    expect(zones.onRow?.({ ...zonesDefaults, cut: 'nearest' }, { ...row, along: 'down' })).toMatchObject({ cut: 'nearest' })
  })

  it('are read in an area that takes the focus and arrow keys, where one is', () => {
    const rig = rigOf({ where: 'area', columns: 5 }, { ground: '.plan' })
    expect(rig.areas[0]).toMatchObject({ of: 'each', select: '.plan', arrowKeys: 0.2 })
    expect(rig.states?.some(({ attributes }) => attributes?.tabindex === '0')).toBe(true)
    expect(rigOf({ where: 'area', keyboard: 'none' }).areas[0]?.arrowKeys).toBeUndefined()
    expect(() => readRig(rig)).not.toThrow()
    expect(zonesSettings.safeParse({ ...zonesDefaults, columns: 0 }).success).toBe(false)
  })
})
