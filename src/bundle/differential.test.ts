// The compiled script against evaluate(): random rigs over all that a rig can say, boxes, traces and frame times.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { signalNames } from '../core/rig/schema'
import { cases, differenceOf, most } from './differ'
import { readFragments } from './fragments'

const fragments = readFragments(new URL('../..', import.meta.url).pathname)

const seen = {
  signals: new Map<string, number>(),
  feels: new Map<string, number>(),
  areas: new Map<string, number>(),
  frames: new Map<string, number>(),
  cases: 0,
}
const count = (map: Map<string, number>, key: string) => map.set(key, (map.get(key) ?? 0) + 1)

describe('the compiled script', () => {
  it('gives what evaluate() gives, within the band of rest, and sleeps at the end: 2,000 cases', () => {
    let worst = 0
    fc.assert(
      fc.property(cases(5), ([rig, played]) => {
        for (const { of, among } of rig.areas) count(seen.areas, `${of} ${among}`)
        for (const { signal, feel, frame } of rig.channels) {
          count(seen.signals, signal.of)
          count(seen.feels, feel.kind)
          count(seen.frames, typeof frame === 'string' ? frame : Object.keys(frame).join(''))
        }
        for (const each of played) {
          seen.cases++
          const difference = differenceOf(rig, each, fragments)
          worst = Math.max(worst, difference.worst)
          if (difference.worst > most) throw new Error(difference.told)
          if (!difference.isAsleep) throw new Error('It asks for frames for ever.')
        }
      }),
      { numRuns: 400, endOnFailure: true },
    )
    console.log(`${seen.cases} cases, at most ${worst.toExponential(1)} of the range apart`)
    expect(seen.cases).toBeGreaterThanOrEqual(2000)
  }, 900_000)

  it('was tried with every signal, feel, area and frame of reference', () => {
    const often = (map: Map<string, number>, names: readonly string[]) => names.filter((name) => (map.get(name) ?? 0) < 10)
    expect(often(seen.signals, signalNames)).toEqual([])
    expect(often(seen.feels, ['direct', 'glide', 'spring', 'timed'])).toEqual([])
    expect(often(seen.areas, ['each one', 'each all', 'group one', 'group all', 'window one', 'window all'])).toEqual([])
    expect(often(seen.frames, ['area', 'window', 'each', 'box'])).toEqual([])
  })
})
