// What comes and goes by the stylesheet: which channels, on which pages, and what leaves of them.
import { describe, expect, it } from 'vitest'
import { readFragments } from './fragments'
import { compile } from '../core/compile/compile'
import { plainFacts, type Facts } from '../core/compile/facts'
import { findKind } from '../core/effect/kinds'
import type { PlannedEffect } from '../core/export/plan'
import { writeStylesheet } from '../core/export/stylesheet'
import { comingsOf } from '../core/rig/comings'
import { evaluate } from '../core/rig/evaluate'
import type { Channel, Rig } from '../core/rig/rig'

const fragments = readFragments(new URL('../..', import.meta.url).pathname)
const rigOf = (kind: string, changes: object = {}, select = '.card'): Rig => {
  const found = findKind(kind)
  if (!found) throw new Error(kind)
  return found.expand({ ...(found.defaults as object), ...changes }, select, {})
}
const plannedOf = (rig: Rig, name = 'card-tilt', number = 1): PlannedEffect => ({
  number,
  names: { title: name, name },
  rig,
  sentence: 'What it does.',
})
const lifted = rigOf('tilt', { liftPx: 18, comeMs: 180, goMs: 320 })
const idsOf = (rigs: readonly Rig[], facts: Facts = plainFacts) =>
  comingsOf(
    rigs.map((rig) => ({ rig })),
    facts,
  ).map((each) => each.map(({ id }) => id))
const changed = (change: Partial<Channel>): Rig => ({
  ...lifted,
  channels: lifted.channels.map((channel) => (channel.id === 'here' ? { ...channel, ...change } : channel)),
})

describe('coming and going', { timeout: 60_000 }, () => {
  it('is the stylesheet’s where nothing but time lies between there and not there', () => {
    expect(idsOf([lifted])).toEqual([['here']])
    const others: Partial<Channel>[] = [
      { away: { kind: 'hold', pose: 0 } },
      { away: { kind: 'settle', pose: 0.5 } },
      { signal: { of: 'pressed' } },
      { frame: 'window' },
      { feel: { kind: 'spring', frequencyHz: 2, dampingRatio: 0.7 } },
      { going: { kind: 'glide', halfLifeMs: 80 } },
      {
        curve: {
          stops: [
            { at: 0, value: 0 },
            { at: 1, value: 2 },
          ],
        },
      },
    ]
    for (const change of others) expect(idsOf([changed(change)]), JSON.stringify(change)).toEqual([[]])
    const stepped = {
      stops: [
        { at: 0, value: 0 },
        { at: 0.5, value: 3 },
        { at: 1, value: 4 },
      ],
    }
    expect(
      idsOf([{ ...lifted, outputs: lifted.outputs.map((output) => (output.channel === 'here' ? { ...output, curve: stepped } : output)) }]),
    ).toEqual([[]])
  })

  it('is the script’s where the page may have transitions of its own on the elements; on parts nothing is in the way', () => {
    const glow = rigOf('glow')
    expect(idsOf([lifted, glow], { ...plainFacts, hasTransitions: true })).toEqual([[], ['here']])
    const script = (facts: Facts) => compile([plannedOf(lifted)], facts, fragments)
    expect(script(plainFacts)).not.toContain('bezier')
    expect(script({ ...plainFacts, hasTransitions: true })).toContain('bezier')
  })

  it('is of one effect where several are on the same elements, since these have one list of transitions', () => {
    expect(idsOf([lifted, rigOf('drift', { scalePercent: 4 })])[0]).toEqual(['here'])
    const apart: Facts = { ...plainFacts, liesIn: (inner, outer) => inner === outer }
    expect(idsOf([lifted, lifted], apart)).toEqual([['here'], []])
    expect(idsOf([lifted, rigOf('tilt', { liftPx: 18 }, '.plate')], apart)).toEqual([['here'], ['here']])
  })

  it('leaves as a transition with its times on top, from nothing where a part has just been added', () => {
    const css = writeStylesheet([plannedOf(lifted)], [], plainFacts)
    expect(css).toContain('--card-tilt-comes: 180ms cubic-bezier(0.2, 0.7, 0.2, 1);')
    expect(css).toContain('--card-tilt-goes: 320ms cubic-bezier(0.2, 0.7, 0.2, 1);')
    expect(css).toContain('transition: --card-tilt-here var(--card-tilt-way, var(--card-tilt-goes));')
    expect(css).toMatch(/\.card\[data-card-tilt="on"\] \{\s+--card-tilt-way: var\(--card-tilt-comes\);\s+--card-tilt-here: 1;/)
    expect(css.replaceAll(/\s+/g, ' ')).toContain('The script writes --card-tilt-x and --card-tilt-y. */')
    expect(css).not.toContain('@starting-style')
    const glow = writeStylesheet([plannedOf(rigOf('glow'), 'card-glow')], [], plainFacts)
    expect(glow).toMatch(
      /\.card\[data-card-glow="on"\] > \.card-glow-edge > \.card-glow-edge-pool \{\s+--card-glow-here: 1;\s+@starting-style \{\s+--card-glow-here: 0;/,
    )
    // On a page of which nothing is known the script has it.
    expect(writeStylesheet([plannedOf(lifted)])).not.toContain('transition')
  })

  it('begins with a frame where frames are given, and turns back in as much of its time as it has gone', () => {
    const boxes = { window: { width: 800, height: 600 }, elements: { '.card': [{ x: 100, y: 100, width: 200, height: 100 }] } }
    const at = (t: number, x: number) => ({ t, x, y: 150, buttons: 0, pointerType: 'mouse' as const, phase: 'move' as const })
    const linear = (durationMs: number) => ({ kind: 'timed' as const, durationMs, easing: 'linear', delayMs: 0 })
    const rig = changed({ feel: linear(100), going: linear(200) })
    const here = (times: readonly number[], byCss?: readonly string[]) => {
      const { columns, moments } = evaluate(rig, [at(10, 150), at(72, 700)], boxes, times, byCss)
      return moments.map(({ values }) => Number(values[columns.indexOf('here[0]')]))
    }
    // By its own time: 62 % of the way in 62 ms, and back in 62 % of 200 ms.
    expect(here([10, 72, 134, 196]).map((value) => Number(value.toFixed(6)))).toEqual([0, 0.62, 0.31, 0])
    // By frames: from the one at 20 to the one at 80.
    expect(here([20, 50, 80, 140, 200], ['here']).map((value) => Number(value.toFixed(6)))).toEqual([0, 0.3, 0.6, 0.3, 0])
  })
})
