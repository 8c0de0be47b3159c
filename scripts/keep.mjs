// Keeps a part of the studio running: it is started again whenever it ends by itself.
import { say, sentenceOf } from './say.mjs'

/** How long after a failed try it is started again, ms. */
const restartMs = 3000

/**
 * Starts a part by `startIt`, which is given `onSpawn` and `onExit`. `running` holds how to stop whatever runs, from the moment that
 * there is something to stop; once `isStopping` says so, nothing is started again. Gives what the first start gave, or throws what it threw.
 */
export async function keep(name, { running, isStopping }, startIt) {
  const start = async () => {
    let stop
    try {
      return await startIt({
        onSpawn: (stopIt) => {
          stop = stopIt
          running.add(stop)
        },
        onExit: () => {
          running.delete(stop)
          if (isStopping()) return
          say(`The ${name} stopped by itself. Starting it again; edits stay in the browser meanwhile.`)
          void startAgain()
        },
      })
    } catch (error) {
      running.delete(stop)
      throw error
    }
  }
  const startAgain = async () => {
    for (let last = ''; !isStopping();) {
      try {
        await start()
        return say(`The ${name} is back.`)
      } catch (error) {
        const words = sentenceOf(error) ?? error.message
        if (words !== last) say(`${words} It is tried again every ${restartMs / 1000} seconds.`)
        last = words
        await new Promise((resolve) => setTimeout(resolve, restartMs))
      }
    }
  }
  return start()
}
