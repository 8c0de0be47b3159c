import { describe, expect, it } from 'vitest'
import { answerOfFeel, lagOf, wayOf, withOvershoot, withSettleTime } from './answer'
import type { Feel } from './feel'
import { namedFeels, nameOfFeel } from './named'

const glide: Feel = { kind: 'glide', halfLifeMs: 100 }
const timed: Feel = { kind: 'timed', durationMs: 300, easing: 'linear', delayMs: 50 }

describe('the answer of a feel to a flick', () => {
  it('settles where its own law says: within 2 % from then on', () => {
    for (const feel of [glide, timed, ...namedFeels.map((named) => named.feel)]) {
      const { settleMs } = answerOfFeel(feel)
      for (const later of [0, 10, 100, 1000])
        expect(Math.abs(1 - wayOf(feel, settleMs + 0.01 + later)), feel.kind).toBeLessThanOrEqual(0.02001)
    }
  })

  it('is half way after a half-life, and even with a linear easing', () => {
    expect(wayOf(glide, 100)).toBeCloseTo(0.5, 9)
    expect(wayOf(timed, 200)).toBeCloseTo(0.5, 9)
    expect(wayOf({ kind: 'direct' }, 0)).toBe(1)
  })

  it('goes past the mark as far as it is said to', () => {
    const most = (feel: Feel) => Math.max(...Array.from({ length: 4000 }, (_, ms) => wayOf(feel, ms))) - 1
    for (const feel of [
      ...namedFeels.map((named) => named.feel),
      { kind: 'timed', durationMs: 400, easing: 'cubic-bezier(0.2, 1.5, 0.4, 1)', delayMs: 0 } as const,
    ])
      expect(answerOfFeel(feel).overshoot).toBeCloseTo(most(feel), 2)
  })

  it('lags behind a steady hand by what a ramp leaves in the end', () => {
    // The value that follows a ramp of 1000 px/s: steps of 1 px, each followed by the same law from its own time on.
    for (const feel of [glide, timed, { kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 } as const]) {
      const [until, step] = [4000, 1]
      let value = 0
      for (let t = 0; t < until; t += step) value += wayOf(feel, until - t - step / 2)
      expect(lagOf(feel, 1000)).toBeCloseTo(until - value, 0)
    }
  })

  it('is set by its time and by its way past the mark, each leaving the other as it is', () => {
    const slower = withSettleTime({ kind: 'spring', frequencyHz: 2.27, dampingRatio: 0.715 }, 900)
    expect(answerOfFeel(slower).settleMs).toBeCloseTo(900, 3)
    expect(answerOfFeel(withSettleTime(glide, 700)).settleMs).toBeCloseTo(700, 6)
    expect(answerOfFeel(withSettleTime(timed, 700)).settleMs).toBe(700)
    expect(answerOfFeel(withSettleTime({ kind: 'direct' }, 500))).toMatchObject({
      settleMs: expect.closeTo(500, 3) as number,
      overshoot: 0,
    })
    expect(answerOfFeel(withOvershoot(slower, 0.2))).toEqual({
      settleMs: expect.closeTo(900, 3) as number,
      overshoot: expect.closeTo(0.2, 6) as number,
    })
  })
})

describe('the five feels', () => {
  it('are told apart, and know themselves', () => {
    for (const named of namedFeels) expect(nameOfFeel({ ...named.feel })?.id).toBe(named.id)
    expect(nameOfFeel(glide)).toBeUndefined()
    expect(nameOfFeel({ kind: 'spring', frequencyHz: 3, dampingRatio: 1 })).toBeUndefined()
  })
})
