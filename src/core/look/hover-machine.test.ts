import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { evaluate } from '../rig/evaluate'
import { beginTold, commands, hoverRig, options, wayMs, type Told } from './hover-model'
import { lookNames } from './look'

/** Plays what was told, and gives what each element showed, and how far it was on, at these times. */
function played({ options: own, samples, boxes }: Told, times: readonly number[]) {
  const { columns, moments } = evaluate(hoverRig(own), samples, boxes, times)
  const of = (channel: string) => columns.flatMap((name, i) => (name.startsWith(`${channel}[`) ? [i] : []))
  const [shown, way] = [of('shown'), of('way')]
  return moments.map(({ t, values }) => ({
    t,
    shown: shown.map((i) => lookNames[Number(values[i])]),
    way: way.map((i) => Number(values[i])),
  }))
}

/** So often the ways are looked at, ms. */
const stepMs = 10

describe('the hover machine, by a model of it', () => {
  it('shows what a visitor, the keys, a finger and the page make of it, in any order', () => {
    fc.assert(
      fc.property(options, fc.commands(commands, { maxCommands: 40, size: 'max' }), (own, given) => {
        const told = beginTold(own)
        fc.modelRun(() => ({ model: told, real: told }), given)
        const last = told.t
        // Everything goes, and there is time enough.
        const end = last + 600
        const ending: Told = {
          ...told,
          samples: [
            ...told.samples,
            { t: last + 1, x: 0, y: 0, buttons: 0, pointerType: 'mouse', phase: 'leave' },
            { t: last + 2, x: 5, y: 5, buttons: 0, pointerType: 'mouse', phase: 'blur' },
            { t: last + 3, x: 5, y: 5, buttons: 0, pointerType: 'mouse', phase: 'key', key: 'Escape' },
          ],
        }
        const seen = played(
          ending,
          told.expected.map(({ t }) => t),
        )
        expect(seen.map(({ shown }) => shown)).toEqual(told.expected.map(({ shown }) => shown))
        if (own.atMostOne) for (const { shown } of seen) expect(shown.filter((each) => each !== 'off').length).toBeLessThanOrEqual(1)

        const grid = Array.from({ length: Math.floor(end / stepMs) }, (_, i) => i * stepMs)
        const ways = played(ending, grid)
        // Nothing jumps: it goes there and back no faster than its time allows.
        const steps = ways.slice(1).flatMap(({ way }, i) => way.map((now, n) => Math.abs(now - (ways[i]?.way[n] ?? 0))))
        expect(Math.max(...steps)).toBeLessThanOrEqual(stepMs / wayMs + 1e-4)
        // Nothing is stuck: it is off, and exactly at rest.
        expect(ways.at(-1)).toMatchObject({ shown: ['off', 'off', 'off'], way: [0, 0, 0] })
      }),
      { numRuns: 2000 },
    )
  }, 120_000)
})
