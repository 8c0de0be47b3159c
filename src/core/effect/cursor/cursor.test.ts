import { describe, expect, it } from 'vitest'
import { plainFacts } from '../../compile/facts'
import { needsScript } from '../../compile/needs-script'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { evaluate, type Boxes } from '../../rig/evaluate'
import type { Rig } from '../../rig/rig'
import { expandCursor } from './expand'
import { cursor } from './index'
import { cursorDefaults, cursorSettings, overShape, type CursorSettings } from './settings'

const one = overShape('shape-1')
const asking = { 'shape-1': '.work', 'shape-2': '.key' }
const rigOf = (changes: Partial<CursorSettings> = {}, roles: Readonly<Record<string, string>> = asking, select = 'body') =>
  expandCursor({ ...cursorDefaults, ...changes }, select, roles)
const sheetOf = (changes: Partial<CursorSettings> = {}, roles = asking, select = 'body') =>
  writeStylesheet(
    [{ number: 1, names: { title: 'a cursor', name: 'cursor' }, rig: rigOf(changes, roles, select), sentence: '' }],
    [],
    plainFacts,
  )
const at = (t: number, x: number, y: number) => ({ t, x, y, buttons: 0, pointerType: 'mouse' as const, phase: 'move' as const })
const boxes = {
  window: { width: 1000, height: 700 },
  elements: { '.work': [{ x: 100, y: 100, width: 300, height: 200 }], '.key': [{ x: 150, y: 150, width: 80, height: 40 }] },
}

/** The boxes, with none where the system's own comes back. */
const boxesFor = ({ areas }: Rig): Boxes => ({
  ...boxes,
  elements: { ...boxes.elements, ...Object.fromEntries(areas.flatMap(({ except }) => (except === undefined ? [] : [[except, []]]))) },
})

describe('a cursor', () => {
  it('needs no script where a still picture is all that is wanted', () => {
    expect(needsScript(rigOf())).toBe(false)
    expect(needsScript(rigOf({ shape: 'ring', sizePx: 32 }))).toBe(false)
    expect(needsScript(rigOf({ shape: 'picture', picture: 'art/moth.svg' }))).toBe(true)
    expect(sheetOf({ shape: 'picture', picture: 'art/moth.svg', pictureSize: 'file' })).toContain(
      'cursor: url("art/moth.svg") 0 0, auto !important;',
    )
    for (const changes of [
      { lateMs: 40 },
      { sizePx: 90 },
      { pressPercent: 80 },
      { blend: 'difference' as const },
      { shapes: [one] },
      { colour: 'var(--ink)' },
    ])
      expect(needsScript(rigOf(changes)), JSON.stringify(changes)).toBe(true)
  })

  it('tells what it is over by the innermost that asks, and holds the last box', () => {
    const rig = readRig(rigOf({ shapes: [{ ...one, shape: 'outline' }, { ...overShape('shape-2') }] }))
    const { columns, moments } = evaluate(
      rig,
      [at(0, 50, 50), at(100, 380, 280), at(200, 180, 170), at(300, 700, 600)],
      boxesFor(rig),
      [50, 150, 250, 9000],
    )
    const valueOf = (name: string) => moments.map(({ values }) => values[columns.indexOf(`${name}[0]`)])
    expect(valueOf('over')).toEqual([0, 1, 2, 0])
    expect(valueOf('wide')).toEqual([0, 300, 300, 300])
    expect(valueOf('boxX')).toEqual([0, -130, 70, -450])
    expect(valueOf('stuck').at(-1)).toBe(0)
  })

  it('is on the pointer or so many ms behind it', () => {
    const rig = rigOf({ lateMs: 100 }, {})
    const steady = Array.from({ length: 201 }, (_, i) => at(i * 10, i * 4, 300))
    const { columns, moments } = evaluate(rig, steady, boxesFor(rig), [2000])
    // At 400 px/s that is 40 px; it is turned with each sample, every 10 ms.
    expect(Math.abs(800 - Number(moments[0]?.values[columns.indexOf('x[0]')]) - 40)).toBeLessThan(2.1)
  })

  it('hides the system’s own while it is at work, but not over what only that can tell of', () => {
    const sheet = sheetOf({ shapes: [one] })
    expect(sheet).toContain(':root[data-cursor] {\n    cursor: none !important;')
    expect(sheet).toContain(':root[data-cursor] :not(:is(input, textarea, select,')
    expect(sheetOf({ shapes: [one], system: 'stays' })).not.toContain('cursor: none')
    expect(sheetOf({ shapes: [one] }, asking, '.hero')).toContain('.hero[data-hero-cursor]'.replace('hero-cursor', 'cursor'))
  })

  it('becomes what elements ask for by the attribute of what it is over', () => {
    const sheet = sheetOf({ shapes: [one, { ...overShape('shape-2'), shape: 'none' }] })
    expect(sheet).toContain(':root[data-cursor-over="1"] .cursor-point > .cursor-shape {')
    expect(sheet).toContain('--cursor-shape-1-text: "Open";')
    expect(sheet).toMatch(/data-cursor-over="2"\] [^{]*\{\n\s+opacity: 0;/)
    // A shape that nothing asks for yet is not there.
    expect(rigOf({ shapes: [one] }, {}).states).toEqual([])
  })

  it('takes no text and no address that ends what it stands in', () => {
    const refused = (changes: object) => cursorSettings.safeParse({ ...cursorDefaults, ...changes }).success
    expect(refused({ shapes: [{ ...one, colour: 'red; }' }] })).toBe(false)
    expect(sheetOf({ shapes: [{ ...one, text: 'a"; } body { }' }] })).toContain('"a\\"; } body { }"')
    const faultOf = (picture: string) => {
      const control = cursor.controls({ ...cursorDefaults, shape: 'picture' }).find(({ id }) => id === 'picture')
      return control?.kind === 'text' ? control.faultOf(picture) : 'none'
    }
    expect(faultOf('art/moth.svg')).toBeUndefined()
    for (const address of ['javascript:alert(1)', 'a b', 'x"y', 'a)b']) expect(faultOf(address)).toBeDefined()
  })

  it('has as many shapes as are added, and loses those that are removed', () => {
    const more = cursor.moreRoles?.add(cursorDefaults) ?? cursorDefaults
    const two = cursor.moreRoles?.add(more) ?? more
    expect(cursor.roles(two).map(({ id }) => id)).toEqual(['ground', 'shape-1', 'shape-2'])
    expect(cursor.moreRoles?.remove(two, 'shape-1').shapes.map(({ id }) => id)).toEqual(['shape-2'])
    expect(cursor.onPage?.(two)).toBe('shape-1')
  })
})

describe('a cursor on a page that gives all things styles of their own', () => {
  it('becomes what elements ask for all the same: what a part is by number is held as it is by itself', () => {
    const sheet = writeStylesheet(
      [{ number: 1, names: { title: 'a cursor', name: 'cursor' }, rig: rigOf({ shapes: [one] }), sentence: '' }],
      [],
      { ...plainFacts, partStyles: ['box-sizing'], hasPartTransitions: true },
    )
    expect(sheet).toMatch(/:root\[data-cursor-over="1"\] \.cursor-point > \.cursor-shape \{\s+width: var\(--cursor-shape-1\) !important;/)
    expect(sheet).toMatch(/transition: width var\(--cursor-change\) ease[^;]* !important;/)
    // And for those who prefer less motion it is another one at once: in the same layer, since what is held there goes before all else.
    expect(sheet).toMatch(/reduced-motion: reduce\) \{[^]*@layer [^]*\.cursor-shape \{ transition: none !important; \}/)
  })
})
