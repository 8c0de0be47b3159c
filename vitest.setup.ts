// Random tests take a stated seed, so that a run of yesterday is the run of today; `npm run fuzz` takes new ones, many more times.
import fc from 'fast-check'
import { afterAll, vi } from 'vitest'

const stated = 20_261_127
const asked = process.env.GLASS_MOTH_FUZZ

fc.configureGlobal(asked === undefined ? { seed: stated } : { seed: Number(asked) })

// Files of tests share their process: the clock and what else one of them has put in the place of something is not left to the next one.
afterAll(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
})
