import { describe, expect, it } from 'vitest'
import { compile } from '../../compile/compile'
import { plainFacts, worstFacts } from '../../compile/facts'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { expandWash } from './expand'
import { wash } from './index'
import { washDefaults, type WashSettings } from './settings'

const roles = { text: '.flower figcaption' }
const rigOf = (changes: Partial<WashSettings> = {}, filled: Readonly<Record<string, string>> = roles) =>
  expandWash({ ...washDefaults, ...changes }, '.flower', filled)
const sheetOf = (changes: Partial<WashSettings> = {}, filled = roles as Readonly<Record<string, string>>) =>
  writeStylesheet([{ number: 1, names: { title: 'a wash', name: 'flower' }, rig: rigOf(changes, filled), sentence: '' }], [], plainFacts)

describe('a wash', () => {
  it('is drawn by the stylesheet, in its times, and needs no script whatever the page may do', () => {
    const sheet = sheetOf({ washPercent: 40, comeMs: 90, goMs: 500 })
    expect(sheet).toContain('--flower-strength: 0.4;')
    expect(sheet).toMatch(/--flower-comes: 90ms ease;[^]*--flower-goes|--flower-goes: 500ms ease;[^]*--flower-comes: 90ms ease;/)
    expect(sheet).toMatch(
      /\.flower:is\(:hover, [^{]*::after \{\n\s+opacity: var\(--flower-strength\);\n\s+transition: opacity var\(--flower-comes\);/,
    )
    for (const facts of [plainFacts, worstFacts])
      expect(compile([{ rig: rigOf(), names: { title: '', name: 'flower' } }], facts, [])).toBe('')
  })

  it('mixes with the picture alone, lies under its text, and leaves elements where the page puts them', () => {
    const sheet = sheetOf({ blend: 'multiply', shadePercent: 30 })
    expect(sheet).toContain('mix-blend-mode: multiply;')
    expect(sheet).toMatch(/\.flower \{\n\s+isolation: isolate;/)
    expect(sheet).toMatch(/:where\(\.flower\) \{\n\s+position: relative;\n\s+\}/)
    expect(sheet).toMatch(/\.flower::before \{[^}]*rgb\(0 0 0 \/ var\(--flower-shade\)\)/)
    expect(sheet).toMatch(/\.flower figcaption \{\n\s+z-index: 2;/)
  })

  it('moves its text only where motion is welcome', () => {
    const [still = '', moving = ''] = sheetOf({ risePx: 12 }).split('(prefers-reduced-motion: no-preference)')
    expect(still).not.toMatch(/translate: /)
    expect(moving).toContain('translate: 0 var(--flower-rise);')
    expect(sheetOf({ risePx: 0 })).not.toContain('translate')
  })

  it.each([
    ['comes', ['0', '1']],
    ['goes', ['1', '0']],
    ['stays', []],
  ] as const)('has text that %s', (text, opacities) => {
    const states = rigOf({ text }).states?.filter(({ to }) => typeof to === 'object' && 'within' in to) ?? []
    expect(states.map(({ css }) => css.opacity)).toEqual(opacities)
  })

  it('lies in what holds a picture that can hold nothing, and does without text', () => {
    const settings = wash.onReplaced?.(washDefaults) ?? washDefaults
    const rig = expandWash(settings, 'img.plate')
    expect(rig.areas[0]?.select).toBe(':has(> img.plate)')
    expect(rig.states).toHaveLength(2)
    expect(() => readRig(rig)).not.toThrow()
  })

  it('shows words for what is in it, and refuses nonsense', () => {
    const ids = (changes: Partial<WashSettings>) => wash.controls({ ...washDefaults, ...changes }).map(({ id }) => id)
    expect(ids({ fill: 'tint', text: 'stays' })).not.toEqual(expect.arrayContaining(['gradient']))
    expect(ids({ fill: 'tint', text: 'stays' })).not.toContain('risePx')
    expect(ids({})).toEqual(expect.arrayContaining(['gradient', 'risePx']))
    expect(wash.settings.safeParse({ ...washDefaults, gradient: 'red; } body {' }).success).toBe(false)
    expect(wash.settings.safeParse({ ...washDefaults, washPercent: 140 }).success).toBe(false)
  })
})
