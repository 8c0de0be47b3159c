// What reads pages takes steps in proportion to what it is given, not to its square. Time is compared by `npm run bench -- growth`.
import { afterAll, describe, expect, it } from 'vitest'
import { countSteps } from './steps'

const { stepsOf, end } = await countSteps()
const { readers } = await import('./readers')
afterAll(end)

/** How many times more sixteen times as much is allowed to take: 16 if it is linear, 256 if it is quadratic. */
const most = 24

describe('steps', () => {
  it('are counted for loops of ours, and the same each time', async () => {
    const loop = (n: number) => () => {
      let sum = 0
      for (let i = 0; i < n; i++) for (let k = 0; k < n; k++) sum += k
      return sum
    }
    const [small, large] = [await stepsOf(loop(100)), await stepsOf(loop(1600))]
    expect(large / small).toBeGreaterThan(100)
    // The counting itself takes some.
    expect((await stepsOf(loop(1600))) / large).toBeCloseTo(1, 3)
  })
})

describe('what reads pages', () => {
  it.each(readers)('takes for $of no more steps than in proportion to that', async ({ size, make }) => {
    const more = Math.min(size, 16_000)
    // What is done once alone is done before.
    make(8)()
    const [few, many] = [await stepsOf(make(more / 16)), await stepsOf(make(more))]
    expect(many / few).toBeLessThan(most)
  })
})
