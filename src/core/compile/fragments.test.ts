// Fragments by themselves: the numbers that they give are those of the core.
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { colourOnCurve, cssColour } from '../curve/colour'
import { cubicBezier } from '../curve/cubic-bezier'
import { valueOnCurve } from '../curve/curve'
import { parseEasing } from '../curve/easing'
import { steps as coreSteps } from '../curve/steps'
import { chainAt, turnChainTo, valueOfLink } from '../feel/chain'
import { decayOf, moveSpring, splitOf } from '../feel/spring'
import { between } from '../rig/arbitrary'
import { linkAt, turnChain } from './fragments/chain'
import { colourAt } from './fragments/colour'
import { critical } from './fragments/critical'
import { onCurve } from './fragments/curve'
import { bezier } from './fragments/easing'
import { glide } from './fragments/glide'
import { linearPoints } from './fragments/linear-points'
import { overdamped } from './fragments/overdamped'
import { rest } from './fragments/rest'
import { steps } from './fragments/steps'
import { timed } from './fragments/timed'
import { turn, valueAt } from './fragments/turn'
import { underdamped } from './fragments/underdamped'
import type { Feel, Follower } from './fragments/types'

const follower = (gap: number, speed: number, more: Partial<Follower> = {}): Follower => ({
  target: 0,
  since: 0,
  gap,
  speed,
  feel: () => rest,
  band: 1e-9,
  ...more,
})

describe('springs', () => {
  it.each([
    ['underdamped', 0.4],
    ['critical', 1],
    ['overdamped', 2.2],
  ] as const)('%s go as the core says', (_, dampingRatio) => {
    fc.assert(
      fc.property(between(0.4, 8), between(-2, 2), between(-20, 20), between(0, 900), (frequencyHz, gap, speed, t) => {
        const spring = { kind: 'spring' as const, frequencyHz, dampingRatio }
        const expected = { gap: 0, speed: 0 }
        moveSpring(spring, { gap, speed }, t, expected)
        const [decay, split] = [decayOf(spring), splitOf(spring)]
        const given =
          dampingRatio < 1
            ? underdamped(follower(gap, speed), t, decay, split)
            : dampingRatio > 1
              ? overdamped(follower(gap, speed), t, decay, split)
              : critical(follower(gap, speed), t, decay)
        expect(given.gap).toBeCloseTo(expected.gap, 8)
        expect(given.speed).toBeCloseTo(expected.speed, 5)
      }),
    )
  })

  it('rest once what is left is within the band, for ever', () => {
    const near = follower(0.5e-4, 0, { band: 1e-4 })
    expect(underdamped(near, 0, 10, 12).moves).toBe(false)
    expect(underdamped(follower(0, 1, { band: 1e-4 }), 0, 10, 12).moves).toBe(true)
  })
})

describe('other feels', () => {
  it('a glide halves what is missing, and rests', () => {
    expect(glide(follower(8, 0), 300, 100).gap).toBeCloseTo(1, 12)
    expect(glide(follower(1, 0, { band: 0.01 }), 700, 100).moves).toBe(false)
  })

  it('what is timed waits, goes and is there', () => {
    const ease = (share: number) => share
    expect(timed(follower(2, 0), 50, 100, ease, 60).gap).toBe(2)
    expect(timed(follower(2, 0), 110, 100, ease, 60).gap).toBeCloseTo(1, 12)
    expect(timed(follower(2, 0), 160, 100, ease, 60)).toBe(rest)
  })

  it('a value goes on from where it is, and as fast as it is, when it is turned', () => {
    const feel: Feel = (each, t) => underdamped(each, t, 10, 14)
    const value = follower(1, 0, { target: 1, feel })
    const [before, speed] = [valueAt(value, 80), feel(value, 80).speed]
    turn(value, 3, feel, 80)
    expect(valueAt(value, 80)).toBeCloseTo(before, 12)
    expect(feel(value, 80).speed).toBeCloseTo(speed, 9)
    const { since } = value
    turn(value, 3, feel, 120)
    expect(value.since).toBe(since)
  })

  it('the links of a chain go as the core says', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(between(1, 200), between(-5, 5)), { minLength: 1, maxLength: 6 }),
        between(5, 300),
        (turns, halfLifeMs) => {
          const core = chainAt(0, 5, { kind: 'glide', halfLifeMs }, 1e-4)
          const ours = follower(0, 0, { gaps: [0, 0, 0, 0, 0], halfLifeMs, band: 1e-4 })
          let t = 0
          for (const [ms, target] of turns) {
            t += ms
            turnChainTo(core, target, core.glide, t)
            turnChain(ours, target, halfLifeMs, t)
          }
          for (const k of [0, 2, 4]) expect(linkAt(ours, k, t + 90)).toBeCloseTo(valueOfLink(core, k, t + 90), 9)
        },
      ),
    )
  })
})

describe('easings and curves', () => {
  it.each([
    [0.2, 0.7, 0.2, 1],
    [0.42, 0, 0.58, 1],
    [0.2, 1.5, 0.4, 1],
    [0, 0, 1, 1],
  ] as const)('bezier(%s, %s, %s, %s) is that of CSS', (x1, y1, x2, y2) => {
    for (let share = 0; share <= 1; share += 0.05) expect(bezier(x1, y1, x2, y2)(share)).toBeCloseTo(cubicBezier(x1, y1, x2, y2)(share), 9)
  })

  it('steps and linear points are those of CSS', () => {
    for (const share of [0, 0.1, 0.25, 0.5, 0.74, 0.99]) {
      expect(steps(4, 5, 1)(share)).toBeCloseTo(coreSteps(4, 'both')(share), 12)
      expect(steps(4, 3, 0)(share)).toBeCloseTo(coreSteps(4, 'none')(share), 12)
      expect(linearPoints([0, 0], [0.3, 0.7], [0.6, 0.4], [1, 1])(share)).toBeCloseTo(
        parseEasing('linear(0, 0.7 30%, 0.4 60%, 1)')?.(share) ?? NaN,
        12,
      )
    }
  })

  it.each([[false], [true]])('a curve goes through its stops as the core has it (goes on: %s)', (goesOn) => {
    const curve = {
      stops: [
        { at: -1, value: 4, easing: 'ease-in' },
        { at: 0.5, value: -2 },
        { at: 3, value: 7 },
      ],
      beyond: goesOn ? ('extend' as const) : ('clamp' as const),
    }
    const ease = bezier(0.42, 0, 1, 1)
    for (let x = -3; x < 5; x += 0.17)
      expect(
        onCurve(
          [
            [-1, 4, 0.5, -2, ease],
            [0.5, -2, 3, 7],
          ],
          x,
          goesOn,
        ),
      ).toBeCloseTo(valueOnCurve(curve, x), 8)
  })

  it('colours are mixed as CSS mixes them', () => {
    const [one, other] = [
      [0.4, 0.2, 340, 1],
      [0.8, 0.1, 20, 0.5],
    ] as const
    for (const space of ['oklab', 'oklch'] as const)
      for (const x of [-1, 0.25, 0.7, 2]) {
        const core = cssColour(
          colourOnCurve(
            {
              colours: [
                { at: 0, value: { space, values: one } },
                { at: 1, value: { space, values: other } },
              ],
            },
            x,
          ),
        )
        const numbers = (text: string) => (text.match(/-?[\d.]+/g) ?? []).map(Number)
        const [ours, wanted] = [numbers(colourAt(space, [[0, one, 1, other]], x)), numbers(core)]
        wanted.forEach((each, i) => expect(ours[i]).toBeCloseTo(each, 4))
      }
  })
})
