import { describe, expect, it } from 'vitest'
import { compile } from '../../compile/compile'
import { plainFacts } from '../../compile/facts'
import { needsScript } from '../../compile/needs-script'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { findKind } from '../kinds'
import { expandPan } from './expand'
import { pan } from './index'
import { panDefaults, panSettings, type PanSettings } from './settings'

const rigOf = (changes: Partial<PanSettings> = {}, filled: Readonly<Record<string, string>> = { picture: '.shot img' }) =>
  expandPan({ ...panDefaults, ...changes }, '.shot', filled)
const names = { title: 'a pan', name: 'shot' }
const sheetOf = (changes: Partial<PanSettings> = {}) =>
  writeStylesheet([{ number: 1, names, rig: rigOf(changes), sentence: '' }], [], plainFacts)
const all = (['pace', 'time', 'pointer'] as const).flatMap((by) =>
  (['bottom', 'right', 'left'] as const).flatMap((toward) => (['css', 'script'] as const).map((room) => ({ by, toward, room }))),
)

describe('a pan', () => {
  it.each(all)('is a rig that can be: $by to the $toward end, its way known to $room', (changes) => {
    expect(() => readRig(rigOf(changes))).not.toThrow()
    expect(() => readRig(rigOf(changes, {}))).not.toThrow()
    expect(needsScript(rigOf(changes))).toBe(!(changes.by === 'time' && changes.room === 'css'))
  })

  it('takes as long as its way is long at its pace', () => {
    const sheet = sheetOf({ goPxS: 90, backPxS: 500 })
    expect(sheet).toContain('--shot-pace: 90;')
    expect(sheet).toContain('--shot-pace-back: 500;')
    expect(sheet).toMatch(/:is\(:hover[^{]*img \{\n\s+transition: translate calc\(var\(--pan-way\) \/ var\(--shot-pace\) \* 1s\) linear;/)
    expect(sheet).toMatch(
      /:not\(:hover[^{]*img \{\n\s+transition: translate calc\(var\(--pan-way\) \/ var\(--shot-pace-back\) \* 1s\) linear;/,
    )
    expect(sheet).toContain('translate: 0 calc(var(--pan-way) * -1px);')
    // The frame may get its height from wherever the page has it.
    expect(sheet).not.toContain('container-type')
  })

  it('is done by CSS in one time, in a frame that is a container of its size', () => {
    const sheet = sheetOf({ by: 'time' })
    expect(sheet).toMatch(/\.shot \{\n\s+overflow: clip;\n\s+container-type: size;/)
    expect(sheet).toContain('translate: 0 min(0px, 100cqh - 100%);')
    expect(sheetOf({ by: 'time', toward: 'right' })).toMatch(/container-type: inline-size;[^]*translate: min\(0px, 100cqw - 100%\) 0;/)
    expect(sheetOf({ by: 'time', toward: 'left' })).toContain('translate: max(0px, 100% - 100cqw) 0;')
    expect(compile([{ rig: rigOf({ by: 'time' }), names }], plainFacts, [])).toBe('')
  })

  it('lies in what holds a picture itself, where that is told by what is further out as well', () => {
    const frameOf = (select: string) => expandPan({ ...panDefaults, lies: 'around' }, select).rules[0]?.select
    expect(frameOf('.shot')).toBe(':has(> .shot)')
    expect(frameOf('.shot > img')).toBe(':has(> :is(.shot > img))')
    expect(frameOf('.shots img')).toBe(':has(> :is(.shots img))')
  })

  it('goes the same way with the pointer, from the beginning while that is away', () => {
    for (const [toward, pose] of [
      ['bottom', 0],
      ['right', 0],
      ['left', 1],
    ] as const) {
      const { channels, areas } = rigOf({ by: 'pointer', toward })
      expect(channels[0]).toMatchObject({ signal: { of: toward === 'bottom' ? 'y' : 'x' }, away: { kind: 'settle', pose } })
      expect(areas[0]).toMatchObject({ touch: toward === 'bottom' ? 'drag-y' : 'drag-x', arrowKeys: 0.1 })
    }
    expect(sheetOf({ by: 'pointer' })).toContain('translate: 0 calc(min(0px, 100cqh - 100%) * var(--pan-along));')
    expect(sheetOf({ by: 'pointer', toward: 'left', room: 'script' })).toContain(
      'translate: calc(var(--pan-way) * 1px * (1 - var(--pan-along))) 0;',
    )
  })

  it('says why there is a script, and has the words that matter alone', () => {
    const told = (by: PanSettings['by']) =>
      pan.time({ ...panDefaults, by }).map((piece) => (typeof piece === 'string' ? piece : 'control' in piece ? piece.control : ''))
    expect(told('pace').join(' ')).toContain('a script measures')
    expect(told('time').join(' ')).toContain('CSS does all of it')
    for (const by of ['pace', 'time', 'pointer'] as const) {
      const ids =
        findKind('pan')
          ?.controls({ ...panDefaults, by })
          .map(({ id }) => id) ?? []
      for (const id of told(by).filter((each) => /^[a-zA-Z]+$/.test(each))) expect(ids).toContain(id)
      expect(ids.includes('goPxS')).toBe(by === 'pace')
      expect(ids.includes('comeMs')).toBe(by === 'time')
    }
  })

  it('refuses what cannot be', () => {
    for (const changes of [{ goPxS: 0 }, { backPxS: Infinity }, { comeMs: -1 }, { toward: 'top' }, { by: 'hand' }])
      expect(panSettings.safeParse({ ...panDefaults, ...changes }).success).toBe(false)
  })
})
