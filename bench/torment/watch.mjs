// Loaded into the studio's server by the torment: notes the longest block of its event loop and its greatest memory, from the
// moment that a file tells it to begin; and what it holds after a collection, whenever a file asks for that.
import { existsSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { monitorEventLoopDelay } from 'node:perf_hooks'
import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'

const folder = process.env.GLASS_MOTH_WATCH
if (folder && process.argv[1]?.endsWith('studio-server.mjs')) {
  const delay = monitorEventLoopDelay({ resolution: 2 })
  let count = 0
  let begun = false
  let baseMb = 0
  let greatestMb = 0
  const write = (name, what) => {
    writeFileSync(join(folder, `${name}.new`), JSON.stringify(what))
    renameSync(join(folder, `${name}.new`), join(folder, name))
  }
  setInterval(() => {
    if (existsSync(join(folder, 'collect'))) {
      rmSync(join(folder, 'collect'), { force: true })
      setFlagsFromString('--expose-gc')
      runInNewContext('gc')()
      write('heap', { pid: process.pid, liveMb: process.memoryUsage().heapUsed / 2 ** 20 })
    }
    if (!begun && existsSync(join(folder, 'begin'))) {
      begun = true
      baseMb = process.memoryUsage().rss / 2 ** 20
      delay.enable()
      delay.reset()
    }
    if (!begun) return
    greatestMb = Math.max(greatestMb, process.memoryUsage().rss / 2 ** 20)
    if (++count % 20 > 0) return
    write(`${process.pid}.json`, { longestBlockMs: delay.max / 1e6, baseMb, greatestMb })
  }, 20).unref()
}
