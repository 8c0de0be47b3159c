// Loaded into the studio's server by the torment: notes the longest block of its event loop and its greatest memory, from the
// moment that a file tells it to begin.
import { existsSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { monitorEventLoopDelay } from 'node:perf_hooks'

const folder = process.env.GLASS_MOTH_WATCH
if (folder && process.argv[1]?.endsWith('studio-server.mjs')) {
  const delay = monitorEventLoopDelay({ resolution: 2 })
  let count = 0
  let begun = false
  let baseMb = 0
  let greatestMb = 0
  setInterval(() => {
    if (!begun && existsSync(join(folder, 'begin'))) {
      begun = true
      baseMb = process.memoryUsage().rss / 2 ** 20
      delay.enable()
      delay.reset()
    }
    if (!begun) return
    greatestMb = Math.max(greatestMb, process.memoryUsage().rss / 2 ** 20)
    if (++count % 20 > 0) return
    const file = join(folder, `${process.pid}.json`)
    writeFileSync(`${file}.new`, JSON.stringify({ longestBlockMs: delay.max / 1e6, baseMb, greatestMb }))
    renameSync(`${file}.new`, file)
  }, 20).unref()
}
