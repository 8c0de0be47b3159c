// The compiled script against evaluate(): random rigs over all that a rig can say, boxes, traces and frame times. In `npm test` as many
// as have each signal, feel, area and frame of reference twice; all of them in `npm run test:long`.
import fc from 'fast-check'
import { describe, expect, inject, it } from 'vitest'
import type { Rig } from '../core/rig/rig'
import { signalNames } from '../core/rig/schema'
import { covering } from './covering'
import { cases, differenceOf, most } from './differ'
import { readFragments } from './fragments'

const fragments = readFragments(new URL('../..', import.meta.url).pathname)
const isLong = inject('isLong')

/** What a rig has of what rigs can have. */
const featuresOf = ({ areas, channels }: Rig): readonly string[] => [
  ...areas.map(({ of, among }) => `area ${of} ${among}`),
  ...channels.flatMap(({ signal, feel, frame }) => [
    `signal ${signal.of}`,
    `feel ${feel.kind}`,
    `frame ${typeof frame === 'string' ? frame : Object.keys(frame).join('')}`,
  ]),
]

const all = fc.sample(cases(5), { numRuns: 400 })
const chosen = isLong ? all : covering(all, ([rig]) => featuresOf(rig), 2)

describe('the compiled script', () => {
  it('gives what evaluate() gives, within the band of rest, and sleeps at the end', () => {
    let worst = 0
    for (const [i, [rig, played]] of chosen.entries())
      for (const [n, each] of played.entries()) {
        const difference = differenceOf(rig, each, fragments)
        worst = Math.max(worst, difference.worst)
        const which = `played the way ${n}, rig ${i}: ${JSON.stringify(rig)}`
        if (difference.worst > most) throw new Error(`${difference.told}, ${which}`)
        if (!difference.isAsleep) throw new Error(`It asks for frames for ever, ${which}`)
      }
    console.log(`${chosen.length} of ${all.length} rigs, each played in 5 ways, at most ${worst.toExponential(1)} of the range apart`)
  }, 900_000)

  it('was tried with every signal, feel, area and frame of reference', () => {
    const had = new Map<string, number>()
    for (const [rig, played] of chosen) for (const feature of featuresOf(rig)) had.set(feature, (had.get(feature) ?? 0) + played.length)
    const rare = (names: readonly string[]) => names.filter((name) => (had.get(name) ?? 0) < 10)
    expect(rare(signalNames.map((name) => `signal ${name}`))).toEqual([])
    expect(rare(['direct', 'glide', 'spring', 'timed'].map((name) => `feel ${name}`))).toEqual([])
    expect(rare(['each one', 'each all', 'group one', 'group all', 'window one', 'window all'].map((name) => `area ${name}`))).toEqual([])
    expect(rare(['area', 'window', 'each', 'box'].map((name) => `frame ${name}`))).toEqual([])
  })
})
