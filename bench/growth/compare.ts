// npm run bench -- growth: how many times longer the readers of pages take for sixteen times as much, by a clock.
import type { Report } from '../comparisons'
import { readers, type Reader } from './readers'

/** The least time of some tries, ms. */
function leastMs(work: () => unknown): number {
  return Math.min(
    ...Array.from({ length: 3 }, () => {
      const began = performance.now()
      work()
      return performance.now() - began
    }),
  )
}

/** What is done in so little time cannot be compared, ms. */
const tooLittleMs = 60

/**
 * How many times longer sixteen times as much takes: 16 if it is linear, 256 if it is quadratic. The least of several rounds, since
 * whatever else the machine does only makes a round longer. 0 where it takes too little time to be compared.
 */
function growthOf({ size, make }: Reader): number {
  const [less, more] = [make(Math.ceil(size / 16)), make(size)]
  let least = Infinity
  for (let round = 0; round < 6 && least >= 80; round++) {
    const [small, large] = [leastMs(less), leastMs(more)]
    least = Math.min(least, large <= tooLittleMs ? 0 : large / small)
  }
  return least
}

export function compareGrowth(): Report {
  const found = readers.map((reader) => ({ of: reader.of, times: growthOf(reader) }))
  const worst = found.reduce((one, other) => (other.times > one.times ? other : one))
  return {
    title: 'What reads pages, given sixteen times as much',
    lines: [
      `Linear work takes 16 times as long, quadratic work 256 times. Of ${found.length} readers ${found.filter(({ times }) => times === 0).length} are too quick to be compared; the steepest is ${worst.of}.`,
    ],
    aims: [{ words: 'times as long at worst', measured: worst.times, most: 80 }],
  }
}
