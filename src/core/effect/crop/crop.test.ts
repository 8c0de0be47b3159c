import { describe, expect, it } from 'vitest'
import { compile } from '../../compile/compile'
import { plainFacts, worstFacts, type Facts } from '../../compile/facts'
import { askedBy } from '../../compile/page-facts'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { expandCrop } from './expand'
import { crop } from './index'
import { cropDefaults, cropSettings, type CropSettings } from './settings'

const rigOf = (changes: Partial<CropSettings> = {}, filled: Readonly<Record<string, string>> = { picture: '.shot img' }) =>
  expandCrop({ ...cropDefaults, ...changes }, '.shot', filled)
const sheetOf = (rig: ReturnType<typeof rigOf>, facts: Facts = plainFacts) =>
  writeStylesheet([{ number: 1, names: { title: 'a crop', name: 'shot' }, rig, sentence: '' }], [], facts)

describe('a crop', () => {
  it('needs no script, whatever the page may do', () => {
    for (const facts of [plainFacts, worstFacts])
      expect(compile([{ rig: rigOf(), names: { title: '', name: 'shot' } }], facts, [])).toBe('')
  })

  it('cuts the picture and never the frame, so that the frame stays under the pointer', () => {
    for (const lies of ['self', 'around'] as const)
      for (const { to } of rigOf({ lies }).states ?? []) expect(to).toEqual({ within: '.shot img' })
  })

  it('draws the frame in by the same length on each side, though the picture grows, with its corners', () => {
    const sheet = sheetOf(rigOf({ insetPx: 14, growPercent: 8, radiusPx: 20, comeMs: 300, goMs: 90 }))
    expect(sheet).toContain('--shot-inset: 14px;')
    expect(sheet).toContain('--shot-grows: 0.08;')
    expect(sheet).toContain('--shot-corners: 20px;')
    expect(sheet).toMatch(/--shot-comes: 300ms [^;]*;/)
    expect(sheet).toMatch(/--shot-goes: 90ms [^;]*;/)
    expect(sheet).toContain(
      'clip-path: inset(calc((var(--shot-inset) + 50% * var(--shot-grows)) / (1 + var(--shot-grows))) round calc(var(--shot-corners) / (1 + var(--shot-grows))));',
    )
    expect(sheet).toContain('clip-path: inset(0 round 0);')
    expect(sheet).toContain('scale: calc(1 + var(--shot-grows));')
  })

  it('says no more than it does', () => {
    const sheet = sheetOf(rigOf({ growPercent: 0 }))
    expect(sheet).toContain('clip-path: inset(var(--shot-inset));')
    expect(sheet).not.toMatch(/scale|grows|round|corners/)
    expect(sheetOf(rigOf({ by: '%', insetPercent: 9 }))).toContain('--shot-inset: 9%;')
  })

  it('moves only where motion is welcome', () => {
    const [still = '', moving = ''] = sheetOf(rigOf()).split('(prefers-reduced-motion: no-preference)')
    expect(still).not.toMatch(/^\s+(clip-path|scale): /m)
    expect(moving).toMatch(/clip-path: [^]*scale: /)
  })

  it('goes with what the page itself takes its time for', () => {
    const rule = { context: [], select: '.shot img', declarations: [['transition', 'opacity 0.6s']] } as const
    const sheet = sheetOf(rigOf(), { ...plainFacts, ownRules: [rule] })
    expect(sheet).toContain('.shot img { --own-transition: opacity 0.6s; }')
    expect(sheet).toContain(
      'transition: var(--own-transition, visibility 0s), clip-path var(--shot-goes), scale var(--shot-goes) !important;',
    )
    expect(sheet).not.toMatch(/^\s+transition: clip-path/m)
    expect(askedBy([{ rig: rigOf(), names: { title: '', name: 'shot' } }]).turned).toEqual(['.shot img'])
  })

  it('finds the picture in its frame by itself, and takes what holds a picture for its frame', () => {
    expect(rigOf({}, {}).states?.map(({ to }) => to)).toContainEqual({ within: 'img, video, canvas, svg' })
    const around = expandCrop(crop.onReplaced?.(cropDefaults) ?? cropDefaults, 'img.shot')
    expect(around.areas[0]?.select).toBe(':has(> img.shot)')
    expect(around.states?.map(({ to }) => to)).toContainEqual({ within: 'img.shot' })
    for (const rig of [rigOf(), around]) expect(() => readRig(rig)).not.toThrow()
  })

  it('keeps the corners that the page has, unless a recipe has its own', () => {
    expect(crop.onCorners?.(cropDefaults, 10)).toEqual({ ...cropDefaults, radiusPx: 10 })
    expect(crop.onCorners?.({ ...cropDefaults, radiusPx: 22 }, 10)).toEqual({ ...cropDefaults, radiusPx: 22 })
    expect(crop.onCorners?.(cropDefaults, 9999).radiusPx).toBe(400)
  })

  it('refuses what cannot be', () => {
    for (const changes of [{ insetPx: -1 }, { growPercent: NaN }, { radiusPx: Infinity }, { by: 'em' }])
      expect(cropSettings.safeParse({ ...cropDefaults, ...changes }).success).toBe(false)
  })
})
