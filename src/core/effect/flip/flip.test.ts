import { describe, expect, it } from 'vitest'
import { toldAskedBy } from '../../check/told'
import { compile } from '../../compile/compile'
import { plainFacts, worstFacts } from '../../compile/facts'
import { needsScript } from '../../compile/needs-script'
import { writeStylesheet } from '../../export/stylesheet'
import { readRig } from '../../rig/check'
import { expandFlip } from './expand'
import { flip } from './index'
import { flipDefaults, flipSettings, type FlipSettings } from './settings'

const roles = { front: '.packet > :nth-child(1)', back: '.packet > .note' }
const rigOf = (changes: Partial<FlipSettings> = {}, filled: Readonly<Record<string, string>> = roles) =>
  expandFlip({ ...flipDefaults, ...changes }, '.packet', filled)
const names = { title: 'a flip', name: 'packet' }
const sheetOf = (changes: Partial<FlipSettings> = {}, filled = roles as Readonly<Record<string, string>>) =>
  writeStylesheet([{ number: 1, names, rig: rigOf(changes, filled), sentence: '' }], [], plainFacts)
const faceOf = (changes: Partial<FlipSettings>, within: string, look: 'off' | 'on') =>
  rigOf(changes).states?.find(({ to, looks }) => typeof to === 'object' && 'within' in to && to.within === within && looks.includes(look))

describe('a flip', () => {
  it.each([
    ['right', 'y', '180deg', '360deg'],
    ['left', 'y', '-180deg', '0deg'],
    ['up', 'x', '180deg', '360deg'],
    ['down', 'x', '-180deg', '0deg'],
    ['side-x', 'y', 'calc(var(--flip-way) * 180deg)', 'calc(180deg + var(--flip-way) * 180deg)'],
    ['side-y', 'x', 'calc(var(--flip-way) * 180deg)', 'calc(180deg + var(--flip-way) * 180deg)'],
  ] as const)('turns %s by half a turn, each face from where it lies', (turns, axis, front, back) => {
    expect(() => readRig(rigOf({ turns }))).not.toThrow()
    expect(faceOf({ turns }, roles.front, 'off')?.css).toEqual({ rotate: `${axis} 0deg`, visibility: 'visible', 'z-index': '1' })
    expect(faceOf({ turns }, roles.back, 'off')?.css).toEqual({ rotate: `${axis} 180deg`, visibility: 'hidden', 'z-index': '0' })
    expect(faceOf({ turns }, roles.front, 'on')?.css).toMatchObject({ rotate: `${axis} ${front}`, visibility: 'hidden' })
    expect(faceOf({ turns }, roles.back, 'on')?.css).toMatchObject({ rotate: `${axis} ${back}`, visibility: 'visible' })
  })

  it('needs no script where the page lets the focus in and the way is one', () => {
    const rig = rigOf({ keys: 'page' })
    for (const facts of [plainFacts, worstFacts]) expect(compile([{ rig, names }], facts, [])).toBe('')
    expect(needsScript(rigOf({ keys: 'page', turns: 'side-x' }))).toBe(true)
    expect(needsScript(rigOf())).toBe(true)
  })

  it('is read from documents that had no display, and stands in a line where it is inline', () => {
    const { display, ...older } = flipDefaults
    expect(flip.settings.parse(older)).toEqual({ ...older, display })
    expect(sheetOf({ display: 'inline' })).toContain('display: inline-grid;')
  })

  it('says why there is a script', () => {
    const told = (changes: Partial<FlipSettings>) => flip.time({ ...flipDefaults, ...changes }).at(-1)
    expect(told({})).toContain('take the focus')
    expect(told({ turns: 'side-y' })).toContain('by which side')
    expect(told({ keys: 'page' })).toContain('CSS does all of it')
  })

  it('takes the focus on the card itself, and leaves what looks away inert', () => {
    const states = rigOf().states ?? []
    expect(states.filter(({ to }) => to === 'self').map(({ attributes }) => attributes)).toEqual([{ tabindex: '0' }])
    expect(faceOf({}, roles.front, 'on')?.attributes).toEqual({ inert: '' })
    expect(faceOf({}, roles.back, 'off')?.attributes).toEqual({ inert: '' })
    expect(faceOf({}, roles.back, 'on')?.attributes).toBeUndefined()
    expect(toldAskedBy(rigOf())).toMatchObject({ takesFocus: true, shut: [roles.back] })
    expect(toldAskedBy(rigOf({ keys: 'page' }))).toMatchObject({ takesFocus: false, shut: [roles.back] })
  })

  it('writes its times, its eye, and what lies where on top', () => {
    const sheet = sheetOf({ keys: 'page', perspectivePx: 700, turnMs: 300, returnMs: 90 })
    expect(sheet).toContain('--packet-perspective: 700px;')
    expect(sheet).toMatch(/--packet-turns: 300ms [^;]*;/)
    expect(sheet).toMatch(/--packet-returns: 90ms [^;]*;/)
    expect(sheet).toMatch(/\.packet \{\n\s+perspective: var\(--packet-perspective\);\n\s+display: grid;/)
    // Which of them lies on top changes at once.
    expect(sheet).toContain('transition: rotate var(--packet-turns), visibility var(--packet-turns);')
    expect(sheet).toMatch(/\.packet:is\(:hover, [^{]*\) > :nth-child\(1\) \{/)
    expect(sheet).toMatch(/\.packet:is\(:hover, [^{]*\) :is\(> \.note\)|\.packet:is\(:hover, [^{]*\) > \.note \{/)
  })

  it('turns only where motion is welcome; elsewhere the faces change places', () => {
    const [still = '', moving = ''] = sheetOf({ keys: 'page' }).split('(prefers-reduced-motion: no-preference)')
    expect(still).toContain('visibility: hidden;')
    expect(still).not.toMatch(/^\s+rotate:/m)
    expect(moving).toMatch(/^\s+rotate: y 180deg;/m)
  })

  it('leaves a card as it is whose faces are one', () => {
    const rig = rigOf({}, { front: '.packet > div', back: '.packet > div' })
    expect([rig.states, rig.rules, rig.knobs]).toEqual([undefined, [], []])
    expect(() => readRig(rig)).not.toThrow()
  })

  it('has its first two elements for faces, leaves them where the page has them if asked, and both there until its script is', () => {
    const rig = rigOf({ layers: 'page' }, {})
    expect(() => readRig(rig)).not.toThrow()
    expect(rig.rules.flatMap(({ css }) => Object.keys(css))).toEqual(['perspective', 'backface-visibility'])
    expect(rig.rules[1]?.select).toContain(':nth-child(2 of :not([data-part]))')
    expect(sheetOf()).toMatch(/\.packet\[data-packet\] \{\n\s+perspective: [^}]*display: grid;/)
  })

  it('refuses what cannot be', () => {
    for (const changes of [{ turns: 'round' }, { perspectivePx: 0 }, { turnMs: -1 }, { returnMs: NaN }])
      expect(flipSettings.safeParse({ ...flipDefaults, ...changes }).success).toBe(false)
  })
})
