// How many steps some work takes: how often each block of code is entered, as the engine itself counts it. No clock is asked, so the
// number is the same on every machine. What the engine does within itself (a regular expression, a string that is joined) is one step.
import { Session } from 'node:inspector/promises'

/** Begins to count; only code that is loaded afterwards is counted block by block. */
export async function countSteps() {
  const session = new Session()
  session.connect()
  await session.post('Profiler.enable')
  await session.post('Profiler.startPreciseCoverage', { callCount: true, detailed: true })
  const taken = async () => {
    // Taking the counts begins them anew.
    const { result } = await session.post('Profiler.takePreciseCoverage')
    return result
      .filter(({ url }) => !url.startsWith('node:'))
      .flatMap(({ functions }) => functions.flatMap(({ ranges }) => ranges))
      .reduce((sum, { count }) => sum + count, 0)
  }
  return {
    /** The steps of this work. */
    stepsOf: async (work: () => unknown): Promise<number> => {
      await taken()
      work()
      return taken()
    },
    end: () => session.disconnect(),
  }
}
