import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chainAt, linkRests, turnChainTo, valueOfLink } from './chain'
import type { Feel } from './feel'
import feelReference from './fixtures/feel.json'
import settleReference from './fixtures/settle.json'
import { followerAt, restBand, rests, turnTo, valueAt } from './follower'
import { springGap, springRests, springSpeed, type Spring } from './spring'
import { answerOf, springFor, springRest } from './spring-answer'

type ReferenceFeel = { kind: string; frequency?: number; dampingRatio?: number; halfLife?: number }

function readFeel({ kind, frequency = NaN, dampingRatio = NaN, halfLife = NaN }: ReferenceFeel): Feel {
  return kind === 'spring' ? { kind, frequencyHz: frequency, dampingRatio } : { kind: 'glide', halfLifeMs: halfLife }
}

const springs = fc.record({
  kind: fc.constant('spring' as const),
  frequencyHz: fc.double({ min: 0.2, max: 15, noNaN: true }),
  dampingRatio: fc.double({ min: 0.1, max: 4, noNaN: true }),
})
const gaps = fc.double({ min: -2, max: 2, noNaN: true }).filter((gap) => Math.abs(gap) > 1e-3)
const speeds = fc.double({ min: -80, max: 80, noNaN: true })

describe('a follower', () => {
  it.each(feelReference.cases.map((each) => [JSON.stringify(each.feel), each] as const))(
    'follows sampled targets like the reference: %s',
    (_, { feel, start, steps, probes }) => {
      expect(probes.length).toBeGreaterThan(5)
      for (const { t, value } of probes) {
        const follower = followerAt(start)
        const law = readFeel(feel)
        // A range of 1e-9 keeps the follower from resting early: the reference knows no rest.
        for (const [at = 0, target = 0] of steps) if (at <= t) turnTo(follower, target, law, 1e-9, at)
        expect(Math.abs(valueAt(follower, t) - value)).toBeLessThan(feelReference.tolerance)
      }
    },
  )

  it('takes the target exactly from its rest on, and lies within the band of rest by then', () => {
    const follower = followerAt(0)
    const spring: Spring = { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 }
    turnTo(follower, 1, spring, 2, 100)
    const restsAt = 100 + springRest(spring, -1, 0, restBand * 2)
    expect(rests(follower, restsAt + 1e-6)).toBe(true)
    expect(valueAt(follower, restsAt + 1e-6)).toBe(1)
    expect(rests(follower, restsAt - 1e-3)).toBe(false)
    expect(Math.abs(valueAt(follower, restsAt - 1e-3) - 1)).toBeLessThanOrEqual(restBand * 2 * 1.001)
    expect(Math.abs(valueAt(follower, restsAt - 1) - 1)).toBeGreaterThan(restBand * 2)
  })

  it('never jumps when it is turned round midway, whatever the feels before and after: not by more than the band of rest', () => {
    const timed = fc.record({
      kind: fc.constant('timed' as const),
      durationMs: fc.double({ min: 1, max: 900, noNaN: true }),
      easing: fc.constantFrom('linear', 'ease', 'cubic-bezier(0.2, 1.6, 0.3, 1)'),
      delayMs: fc.constantFrom(0, 40),
    })
    const glide = fc.record({ kind: fc.constant('glide' as const), halfLifeMs: fc.double({ min: 1, max: 500, noNaN: true }) })
    const feels = fc.oneof(springs, timed, glide)
    fc.assert(
      fc.property(feels, feels, fc.double({ min: 0, max: 900, noNaN: true }), (before, after, t) => {
        const follower = followerAt(0)
        turnTo(follower, 1, before, 1, 0)
        const there = valueAt(follower, t)
        turnTo(follower, 0, after, 1, t)
        expect(Math.abs(valueAt(follower, t) - there)).toBeLessThanOrEqual(restBand)
      }),
    )
  })

  it('waits for the delay of a timed feel, then goes along its easing', () => {
    const follower = followerAt(0)
    turnTo(follower, 10, { kind: 'timed', durationMs: 200, easing: 'linear', delayMs: 100 }, 10, 0)
    expect([0, 99, 150, 200, 299, 300].map((t) => valueAt(follower, t))).toEqual([0, 0, 2.5, 5, 9.95, 10])
  })
})

describe('a chain', () => {
  /** Each link as a follower of its own, its target moved along the one before in small steps. */
  function stepped(halfLifeMs: number, count: number, targets: readonly (readonly [number, number])[], until: number): number[] {
    const values = new Array<number>(count).fill(0)
    const stepMs = 0.01
    const share = 1 - 2 ** (-stepMs / halfLifeMs)
    for (let t = 0; t < until; t += stepMs) {
      const target = targets.findLast(([at]) => at <= t)?.[1] ?? 0
      let ahead = target
      for (let k = 0; k < count; k++) {
        const before = values[k] ?? 0
        values[k] = before + (ahead - before) * share
        ahead = before
      }
    }
    return values
  }

  it('is what its links are one after the other, through changes of target', () => {
    const glide = { kind: 'glide', halfLifeMs: 40 } as const
    const chain = chainAt(0, 5, glide, 1e-9)
    const targets = [
      [0, 1],
      [60, -0.5],
      [90, 2],
    ] as const
    for (const [t, target] of targets) turnChainTo(chain, target, glide, t)
    const expected = stepped(40, 5, targets, 150)
    expected.forEach((value, k) => expect(Math.abs(valueOfLink(chain, k, 150) - value)).toBeLessThan(2e-3))
  })

  it('of one link is a glide, and every link comes to rest at the target, later the further back', () => {
    const glide = { kind: 'glide', halfLifeMs: 30 } as const
    const chain = chainAt(0, 4, glide, 1e-4)
    const follower = followerAt(0)
    turnChainTo(chain, 1, glide, 0)
    turnTo(follower, 1, glide, 1, 0)
    for (const t of [0, 5, 44, 200, 1000]) expect(valueOfLink(chain, 0, t)).toBeCloseTo(valueAt(follower, t), 12)
    const restsAt = [0, 1, 2, 3].map((k) => Array.from({ length: 2000 }, (_, t) => t).find((t) => linkRests(chain, k, t)) ?? NaN)
    expect(restsAt.every((at, k) => k === 0 || at > (restsAt[k - 1] ?? Infinity))).toBe(true)
    expect(valueOfLink(chain, 3, 2000)).toBe(1)
  })
})

describe('a spring', () => {
  it.each(settleReference.cases)(
    'of $frequency Hz and ratio $dampingRatio settles and overshoots like the reference',
    ({ frequency, dampingRatio, settle2pctMs, overshoot }) => {
      const answer = answerOf({ kind: 'spring', frequencyHz: frequency, dampingRatio })
      expect(Math.abs(answer.settleMs - settle2pctMs)).toBeLessThan(settleReference.toleranceMs)
      expect(Math.abs(answer.overshoot - overshoot)).toBeLessThan(settleReference.toleranceOvershoot)
    },
  )

  it('rests at the last crossing of the band: outside it just before, inside it ever after', () => {
    fc.assert(
      fc.property(springs, gaps, speeds, fc.constantFrom(1e-4, 0.02), (spring, gap, speed, band) => {
        const rest = springRest(spring, gap, speed, band)
        const period = 1000 / spring.frequencyHz
        const after = Array.from({ length: 400 }, (_, i) => Math.abs(springGap(spring, gap, speed, rest + 1e-6 + (i * period) / 97)))
        expect(Math.max(...after)).toBeLessThanOrEqual(band * (1 + 1e-6))
        if (rest > 0.01) expect(Math.abs(springGap(spring, gap, speed, rest - 1e-3 * Math.min(1, rest)))).toBeGreaterThan(band * (1 - 1e-3))
        // The question asked on every frame has the same answer.
        const restsAfter = (ms: number) =>
          springRests(spring, { gap: springGap(spring, gap, speed, ms), speed: springSpeed(spring, gap, speed, ms) }, band)
        expect(restsAfter(rest * (1 + 1e-6) + 1e-6)).toBe(true)
        if (rest > 0.01) expect(restsAfter(rest * (1 - 1e-6) - 1e-6)).toBe(false)
      }),
      { numRuns: 400 },
    )
  })

  it('has the speed that its positions say', () => {
    fc.assert(
      fc.property(springs, gaps, speeds, fc.double({ min: 1, max: 400, noNaN: true }), (spring, gap, speed, ms) => {
        const step = 1e-3
        const measured = (springGap(spring, gap, speed, ms + step) - springGap(spring, gap, speed, ms - step)) / (2e-3 * step)
        const scale = Math.abs(speed) + Math.abs(gap) * 2 * Math.PI * spring.frequencyHz + 1
        expect(Math.abs(springSpeed(spring, gap, speed, ms) - measured) / scale).toBeLessThan(1e-4)
      }),
    )
  })

  it('is found again from its settling time and overshoot', () => {
    fc.assert(
      fc.property(fc.double({ min: 60, max: 4000, noNaN: true }), fc.double({ min: 0, max: 0.6, noNaN: true }), (settleMs, overshoot) => {
        const answer = answerOf(springFor({ settleMs, overshoot }))
        expect(answer.settleMs).toBeCloseTo(settleMs, 3)
        expect(answer.overshoot).toBeCloseTo(overshoot, 9)
      }),
    )
  })

  it('settles in 416 ms and 4 % past the mark as tilt has it from the start', () => {
    const tiltSpring: Spring = { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 }
    const { settleMs, overshoot } = answerOf(tiltSpring)
    expect(Math.round(settleMs)).toBe(416)
    expect(Math.round(overshoot * 100)).toBe(4)
  })
})
