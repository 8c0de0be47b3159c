// What effects have in common: one name, one follower; and what keeps them apart.
import { describe, expect, it } from 'vitest'
import { readFragments } from './fragments'
import { compile } from '../core/compile/compile'
import { plainFacts } from '../core/compile/facts'
import { writesOf } from '../core/compile/writes'
import { findKind } from '../core/effect/kinds'
import type { Effect } from '../core/site/site'
import { planEffects } from '../core/export/plan'
import { writeStylesheet } from '../core/export/stylesheet'

const fragments = readFragments(new URL('../..', import.meta.url).pathname)
const effectOf = (kind: string, changes: object = {}, select = '.card'): Effect => ({
  id: kind,
  kind,
  name: kind,
  select,
  noun: 'each card',
  settings: { ...(findKind(kind)?.defaults as object), ...changes },
  ...(kind === 'drift' ? { roles: { 'layer-1': { select: `${select} h2`, noun: 'the title' } } } : {}),
})
const feel = { follow: { kind: 'spring', frequencyHz: 2.5, dampingRatio: 0.7 } }
const plansOf = (...effects: Effect[]) => planEffects({ format: 'glass-moth/2', name: 'A site', pages: [], effects } as never)
const scriptOf = (...effects: Effect[]) => compile(plansOf(...effects), plainFacts, fragments)
const tilt = effectOf('tilt', feel)
const drift = effectOf('drift', { ...feel, back: null })

describe('effects that hear the pointer in the same elements', { timeout: 60_000 }, () => {
  it('are one effect of the script, and follow once what they follow alike', () => {
    const script = scriptOf(tilt, drift)
    expect(script.match(/property: '[^']*'/g)).toEqual(["property: '--card-tilt-x'", "property: '--card-tilt-y'"])
    expect(script).not.toContain('card-drift')
    expect(script).toContain('.card h2')
    // Both are told of in comments.
    expect(script).toContain('// Over each card')
    expect(script).toContain('// In each card')
    const both = scriptOf(tilt, effectOf('drift', { follow: { kind: 'glide', halfLifeMs: 80 }, back: null }))
    expect(both.match(/property: '[^']*'/g)).toEqual(
      ['--card-tilt-x', '--card-tilt-y', '--card-drift-x', '--card-drift-y'].map((name) => `property: '${name}'`),
    )
    expect(both.match(/new Map\(\)/g)).toHaveLength(2)
  })

  it('have stylesheets that go by the same name, registered once', () => {
    const css = writeStylesheet(plansOf(tilt, drift), [], plainFacts)
    expect(css.match(/@property [^ ]*/g)).toEqual(['@property --card-tilt-x', '@property --card-tilt-y'])
    expect(css).toContain('.card h2[data-card-tilt] {')
    expect(css).not.toMatch(/--card-drift-[xy]\b/)
    // What only one of them has is its own.
    expect(css).toContain('--card-drift-')
    expect(
      writesOf(plansOf(tilt, drift))
        .filter(({ select }) => select === '.card h2')
        .map(({ name }) => name),
    ).toEqual(expect.arrayContaining(['--card-tilt-x', 'data-card-tilt']))
  })

  it('go on by names of their own where they are alone, play at other times, or hear other elements', () => {
    expect(scriptOf(drift)).toContain("property: '--card-drift-x'")
    expect(scriptOf(tilt, effectOf('drift', feel, '.plate')).match(/select: '[^']*'/g)).toEqual(["select: '.card'", "select: '.plate'"])
    const narrow = effectOf('drift', { ...feel, back: null, windowWidth: 'narrow', toWidthPx: 700 })
    expect(scriptOf(tilt, narrow)).toContain("property: '--card-drift-x'")
    expect(scriptOf(tilt, narrow).match(/matchMedia\('.*'\)/g)).toEqual(["matchMedia('(max-width: 700px)')"])
    const [first, second] = plansOf(tilt, drift)
    expect([first?.names.shared, Object.values(second?.names.shared?.areas ?? {})]).toEqual([undefined, ['card-tilt']])
  })

  it('tell the page’s own code by all of their names', () => {
    expect(compile(plansOf(tilt, drift), { ...plainFacts, hasOwnCode: true }, fragments)).toMatch(
      /for \(const name of \[?'card-drift'|'card-drift'/,
    )
  })
})
