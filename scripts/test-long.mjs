// npm run test:long [-- NAME ... | --all]: what npm test tries by a choice, whole. Goes on where it was stopped.
import { buildWhenNeeded } from './build.mjs'
import { checkNode, installChromium, installMariaDb, installPackages } from './install.mjs'
import { commitNow, keepLong, longParts, readLong } from './long-table.mjs'
import { runProgram } from './run-program.mjs'
import { Obstacle, runCommand, say } from './say.mjs'

const asked = process.argv.slice(2)

/** The parts that are to be run. */
function chosen() {
  const names = Object.keys(longParts)
  const unknown = asked.find((name) => name !== '--all' && !names.includes(name))
  if (unknown !== undefined) throw new Obstacle(`There is no part "${unknown}"; parts are ${names.join(', ')}.`)
  if (asked.includes('--all')) return names
  if (asked.length > 0) return asked
  const before = readLong()
  return names.filter((name) => {
    const row = before.get(name)
    return row?.commit !== commitNow() || row.outcome !== 'passed'
  })
}

/** Runs a part, and writes its row. Gives whether it passed. */
async function runPart(name) {
  const { tries, runs, isByChance = false } = longParts[name]
  const seed = Math.floor(Math.random() * 2 ** 31)
  say(`${name}: ${tries}${isByChance ? `, seed ${seed}` : ''}`)
  const began = performance.now()
  let outcome = 'passed'
  const environment = { GLASS_MOTH_LONG: '1', ...(isByChance ? { GLASS_MOTH_FUZZ: String(seed) } : {}) }
  for (const { program, args } of runs(seed)) {
    const { succeeded } = await runProgram(program, args, { isLive: true, environment })
    if (!succeeded) outcome = 'failed'
  }
  const minutes = (performance.now() - began) / 60_000
  const date = new Date().toISOString().slice(0, 10)
  keepLong(name, { commit: commitNow() ?? 'unknown', date, seed: isByChance ? seed : '', took: `${minutes.toFixed(1)} min`, outcome })
  say(`${name}: ${outcome} after ${minutes.toFixed(1)} minutes.`)
  return outcome === 'passed'
}

await runCommand(async () => {
  console.log('Glass Moth: the long tests')
  checkNode()
  installPackages()
  installMariaDb()
  installChromium()
  await buildWhenNeeded()
  const failed = []
  for (const name of chosen()) if (!(await runPart(name))) failed.push(name)
  console.log(failed.length === 0 ? '\nAll parts passed.' : `\nFailed: ${failed.join(', ')}.`)
  if (failed.length > 0) process.exitCode = 1
})
