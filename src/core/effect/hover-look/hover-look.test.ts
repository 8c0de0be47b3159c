import { describe, expect, it } from 'vitest'
import { compile } from '../../compile/compile'
import { plainFacts, worstFacts } from '../../compile/facts'
import { needsScript } from '../../compile/needs-script'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { expandHoverLook, reasonOf } from './expand'
import { hoverLook } from './index'
import { hoverLookTime } from './words'
import { hoverLookDefaults, hoverLookSettings, type HoverLookSettings } from './settings'

type Roles = Readonly<Record<string, string>>
const rigOf = (changes: Partial<HoverLookSettings> = {}, roles: Roles = {}) =>
  expandHoverLook({ ...hoverLookDefaults, ...changes }, '.key', roles)
const sheetOf = (changes: Partial<HoverLookSettings> = {}, roles: Roles = {}) =>
  writeStylesheet([{ number: 1, names: { title: 'a look', name: 'key' }, rig: rigOf(changes, roles), sentence: '' }], [], plainFacts)

describe('a hover look', () => {
  it('is told by CSS alone, whatever the page may do, with a time for each way', () => {
    const sheet = sheetOf({ growPercent: 104, comeMs: 180, goMs: 420, pressMs: 60 })
    expect(sheet).toContain('--key-comes: 180ms')
    expect(sheet).toContain('--key-goes: 420ms')
    expect(sheet).toContain('--key-pressed: 60ms')
    expect(sheet).toMatch(/\.key:hover:active \{\n\s+translate: [^\n]+\n\s+scale: var\(--key-press\);/)
    for (const facts of [plainFacts, worstFacts]) expect(compile([{ rig: rigOf(), names: { title: '', name: 'key' } }], facts, [])).toBe('')
  })

  it('keeps the pointer where it rises from, until it is told not to', () => {
    expect(sheetOf({ risePx: 6 })).toMatch(/\.key:hover::after \{[^}]*inset: 0 0 calc\(var\(--key-rise\) \* -1\);/)
    expect(sheetOf({ risePx: -6, hold: 'before' })).toMatch(/\.key:hover::before \{[^}]*inset: var\(--key-rise\) 0 0;/)
    expect(sheetOf({ risePx: 6, hold: 'none' })).not.toContain('::after')
    expect(sheetOf({ risePx: 0 })).not.toContain('::after')
  })

  it('moves only where motion is welcome', () => {
    const [still = '', moving = ''] = sheetOf({ growPercent: 110, shadowPx: 8 }).split('(prefers-reduced-motion: no-preference)')
    expect(still).not.toMatch(/\n\s+(translate|scale): /)
    expect(still).toContain('box-shadow: 0 ')
    expect(moving).toContain('scale: var(--key-grow);')
  })

  it('takes any CSS in each look', () => {
    const changes = { onCss: 'letter-spacing: 0.02em; --mine: url("a;b")', pressedCss: 'opacity: 0.6', focusCss: 'outline-offset: 6px' }
    const sheet = sheetOf({ ...changes, keys: 'own' })
    expect(sheet).toMatch(/\.key:hover:not\(:hover:active\) \{\n\s+letter-spacing: 0\.02em;\n\s+--mine: url\("a;b"\);/)
    expect(sheet).toMatch(/\.key:hover:active \{\n\s+letter-spacing: 0\.02em;\n\s+--mine: url\("a;b"\);\n\s+opacity: 0\.6;/)
    expect(sheet).toMatch(/\.key:focus-visible \{\n\s+outline-offset: 6px;/)
    // What goes takes its time for all that any look gives.
    expect(sheet).toMatch(/\.key:not\(:hover\) \{\n\s+transition: translate [^;]*letter-spacing [^;]*opacity var\(--key-goes\);/)
  })

  it('refuses what ends its rule, is important or is no CSS', () => {
    for (const css of ['color: red; } body {', 'color', 'color: red !important', 'color: rgb(1 2', ': red', 'color: {x}'])
      expect(hoverLookSettings.safeParse({ ...hoverLookDefaults, onCss: css }).success, css).toBe(false)
    expect(hoverLookSettings.safeParse({ ...hoverLookDefaults, onCss: ' color: red ;; ' }).success).toBe(true)
    expect(hoverLookSettings.safeParse({ ...hoverLookDefaults, growPercent: 900 }).success).toBe(false)
  })

  it('dims the others while one shows anything, without a :has() in a :has()', () => {
    expect(sheetOf({ others: 'dim' })).toContain(
      ':root:has(.key:is(:hover, :focus-visible), .key :focus-visible) .key:not(:hover, :focus-visible, :has(:focus-visible)) {',
    )
  })

  it('has pieces that set out by their order in CSS, and by the way from the pointer with a script', () => {
    const roles = { pieces: '.key > *' }
    const sheet = sheetOf({ pieces: 3 }, roles)
    expect(sheet).toMatch(/:nth-child\(2 of \.key > \*\) \{\n\s+--piece-order: 1;/)
    expect(sheet).toMatch(/:nth-child\(n \+ 3 of \.key > \*\) \{\n\s+--piece-order: 2;/)
    expect(sheet).toContain('transition-delay: calc(var(--piece-order, 0) * var(--key-stagger));')
    expect(needsScript(rigOf({ pieces: 3 }, roles))).toBe(false)
    const far = rigOf({ staggerBy: 'pointer' }, roles)
    expect(needsScript(far)).toBe(true)
    expect(far.channels[0]).toMatchObject({ signal: { of: 'distance', from: 'centre' }, frame: { each: '.key > *' } })
    expect(needsScript(rigOf({ staggerBy: 'pointer' }))).toBe(false)
  })

  it.each<[Partial<HoverLookSettings>, Roles, RegExp]>([
    [{ stillCss: 'opacity: 0.5' }, {}, /stands still/],
    [{ release: 'own' }, {}, /what was before/],
    [{ staggerBy: 'pointer' }, { pieces: 'i' }, /how far/],
    [{}, { linked: '.side' }, /linked/],
  ])('says why there is a script with %o', (changes, roles, reason) => {
    expect(reasonOf({ ...hoverLookDefaults, ...changes }, roles)).toMatch(reason)
    expect(hoverLookTime({ ...hoverLookDefaults, ...changes }, roles).at(-1)).toMatch(reason)
    expect(needsScript(rigOf(changes, roles))).toBe(true)
    expect(() => readRig(rigOf(changes, roles))).not.toThrow()
  })

  it('is another on the way from a press than on the way from off', () => {
    expect(sheetOf({ release: 'own', releaseMs: 700 })).toMatch(
      /\[data-key="still"\]\)\[data-key-from="pressed"\] \{\n\s+transition: [^;]*var\(--key-released\);/,
    )
  })

  it('comes by a spring in CSS', () => {
    expect(sheetOf({ way: 'spring', comeMs: 400, overshootPercent: 20 })).toMatch(
      /\/\* how it comes \*\/\n\s+--key-comes: \d+ms linear\(0, [^)]*1\.2 [^)]*\);/,
    )
  })

  it('shows words for what is in it, and turns', () => {
    const ids = (changes: Partial<HoverLookSettings>) => hoverLook.controls({ ...hoverLookDefaults, ...changes }).map(({ id }) => id)
    expect(ids({})).not.toEqual(expect.arrayContaining(['groundColour']))
    expect(ids({ ground: 'own', others: 'dim', way: 'spring', release: 'own', stillCss: 'opacity: 0' })).toEqual(
      expect.arrayContaining(['groundColour', 'othersPercent', 'overshootPercent', 'releaseMs', 'stillMs']),
    )
    expect(hoverLook.turned(hoverLookDefaults).risePx).toBe(-hoverLookDefaults.risePx)
  })
})
