// What a script is written from: shapes, with stand-ins for numbers, and what a designer asks for besides.
import { describe, expect, it } from 'vitest'
import { findKind } from '../effect/kinds'
import { allowing, factNames, plainFacts, worstFacts } from './facts'
import { needsScript } from './needs-script'
import { effectMembers, keyOf, planScript, valueMembers, withNumbers, withoutWords } from './plan'
import { writesOf } from './writes'

const sourceOf = (kind: string, changes: object = {}, select = '.card') => {
  const found = findKind(kind)
  if (!found) throw new Error(kind)
  return {
    rig: found.expand({ ...(found.defaults as object), ...changes }, select, {}),
    names: { title: kind, name: `card-${kind}` },
    sentence: `It leans by ${JSON.stringify(changes)}.`,
  }
}
const spring = (frequencyHz: number, dampingRatio = 0.7) => sourceOf('tilt', { follow: { kind: 'spring', frequencyHz, dampingRatio } })
const keyFor = (...sources: readonly ReturnType<typeof sourceOf>[]) => keyOf(planScript(withoutWords(sources), plainFacts).shape)

describe('the shape of a script', () => {
  it('hangs on no number that is only carried through, and on each that decides', () => {
    expect(keyFor(spring(2.4))).toBe(keyFor(spring(7.15)))
    expect(keyFor(spring(2.4, 0.4))).toBe(keyFor(spring(2.4, 0.85)))
    expect(keyFor(spring(2.4, 1))).not.toBe(keyFor(spring(2.4, 0.7)))
    expect(keyFor(sourceOf('tilt', { acrossDeg: 4 }))).toBe(keyFor(sourceOf('tilt', { acrossDeg: 21 })))
    expect(keyFor(sourceOf('tilt', { pose: { x: 0.5, y: 0 } }))).not.toBe(keyFor(sourceOf('tilt')))
    expect(keyFor(sourceOf('tilt'))).not.toBe(keyFor(sourceOf('tilt'), sourceOf('glow')))
  })

  it('gives its numbers back, each where it stood', () => {
    const { shape, numbers } = planScript(withoutWords([spring(7.15, 0.35)]), plainFacts)
    expect(shape.main).not.toContain('7.15')
    expect(withNumbers(shape.main, numbers)).toContain('2 * Math.PI * 7.15 * 0.35')
    expect(withNumbers('9876543000009', ['1', '2'])).toBe('19')
  })

  it('says each effect in a comment that nothing in its words can end', () => {
    const { shape } = planScript([{ ...spring(3), sentence: 'Over </script><script>a()</script>\u2028b()\n<!-- <script>' }], plainFacts)
    expect(shape.main).not.toMatch(/<\/|<!--|\u2028/)
    expect(shape.main).toContain('// Over < /script><script>a()< /script> b() < !-- <script>')
  })

  it('knows what a designer allows for, and what is asked of the script', () => {
    expect(factNames.filter((name) => allowing(plainFacts, { allows: ['hasTurns', 'hasOwnCode'] })[name])).toEqual([
      'hasTurns',
      'hasOwnCode',
    ])
    expect(factNames.every((name) => allowing(worstFacts, {})[name])).toBe(true)
    expect(planScript([spring(3)], plainFacts, { takesOff: true }).shape.main).toContain('handOut(takeOff)')
    expect(planScript([spring(3)], plainFacts, { isModule: true }).shape.isModule).toBe(true)
    expect(keyOf(planScript([spring(3)], plainFacts, { allows: ['hasTransitions'] }).shape)).not.toBe(
      keyOf(planScript([spring(3)], plainFacts).shape),
    )
  })

  it('is about effects that ask for a script alone', () => {
    const still = { ...spring(3), rig: { ...spring(3).rig, channels: [], outputs: [], parts: [] } }
    expect([needsScript(spring(3).rig), needsScript(still.rig), needsScript(sourceOf('glow').rig)]).toEqual([true, false, true])
    expect(planScript([still, spring(3)], plainFacts).shape).toEqual(planScript([spring(3)], plainFacts).shape)
  })

  it('asks for no member of effects by the name of one of values', () => {
    expect(effectMembers.filter((name) => (valueMembers as readonly string[]).includes(name))).toEqual([])
  })

  it('tells what the script writes, by which it can be taken off again', () => {
    expect(writesOf([sourceOf('tilt')])).toEqual(
      expect.arrayContaining([
        { name: 'data-card-tilt', select: '.card' },
        { name: '--card-tilt-x', select: '.card' },
        { name: '--own-transform', select: '.card' },
      ]),
    )
    const drift = {
      ...sourceOf('drift'),
      rig:
        findKind('drift')?.expand(findKind('drift')?.defaults, '.card', { 'layer-1': '.card .near', 'layer-2': '.card .far' }) ??
        sourceOf('drift').rig,
    }
    expect(
      writesOf([drift])
        .filter(({ select }) => select === '.card .near')
        .map(({ name }) => name),
    ).toContain('data-card-drift')
  })
})
