// npm run torment [-- --short] [-- --seed N]: kills, hostile input and two writers against a studio of its own, counted, into
// bench/TORMENT.md. Bounded, and the same for the same seed as far as chance in the machine allows.
import { writeFileSync } from 'node:fs'
import { cpus, totalmem } from 'node:os'
import { exportMutations, hostileImports, openOrdinary, nonsenseRequests, openSmuggling } from './border'
import { seededRandom } from '../../demo/vesper-hollow/random'
import { openTormentHouse } from './house'
import { killBrowsers, killStarts, killUnderEdits, sum } from './kills'
import { killBuilds, killRestores, manyCookies, sheetsWithSlips, takenPorts, wrongShapes } from './obstacles'
import { twoWriters } from './writers'

const isShort = process.argv.includes('--short')
const seedAt = process.argv.indexOf('--seed')
const seed = seedAt < 0 ? 20_261_127 : Number(process.argv[seedAt + 1])
const random = seededRandom(seed)
const scale = (whole: number, short: number) => (isShort ? short : whole)
const many = <T>(count: number, value: T): T[] => Array.from({ length: count }, () => value)

const say = (words: string) => console.log(`  ${words}`)
console.log(`Torment, seed ${seed}${isShort ? ', short' : ''}`)
const house = await openTormentHouse()
const rows: (readonly [string, string, string])[] = []
let missed = 0
const row = (what: string, measured: number, aim: number, unit = '') => {
  const isMissed = measured > aim
  if (isMissed) missed += 1
  rows.push([
    what,
    `${Number.isInteger(measured) ? measured : measured.toFixed(1)}${unit}${isMissed ? ' (missed)' : ''}`,
    aim === 0 ? '0' : `at most ${aim}${unit}`,
  ])
  say(`${what}: ${measured.toFixed(unit === '' ? 0 : 1)}${unit}${isMissed ? ', missed' : ''}`)
}

try {
  if (!(await house.start())) throw new Error('The studio does not start.')
  // Each route once, so that what is loaded at its first use is there.
  await openOrdinary(house)
  house.beginWatch()
  say('Hostile imports ...')
  const imports = await hostileImports(house, scale(1000, 40), random, 'http://smuggled.example.test/x')
  say('Nonsense requests ...')
  const requests = await nonsenseRequests(house, scale(800, 80), random)
  const watched = house.watched()
  say('Smuggling pages in a browser ...')
  const smuggling = await openSmuggling(house, scale(120, 8), random)
  say('Mutations of documents ...')
  const mutations = exportMutations(scale(2000, 200), random)
  say('Two writers ...')
  const writers = await twoWriters(house, scale(500, 60), random)
  say('Cookies, slips in stylesheets, edits of wrong shape ...')
  const cookies = await manyCookies(house, isShort ? [20, 1100] : [4, 20, 100, 500, 1100, 4000])
  const slips = await sheetsWithSlips(house, scale(300, 8), random)
  const shapes = await wrongShapes(house, scale(1000, 60), random)
  say('Kills under edits ...')
  let kills = await killUnderEdits(
    house,
    [
      ...many(scale(45, 1), ['server'] as const),
      ...many(scale(45, 1), ['database'] as const),
      ...many(scale(8, 1), ['server', 'database'] as const),
      ...many(scale(16, 1), ['start'] as const),
      ...many(scale(6, 0), ['start', 'database'] as const),
      ...many(scale(6, 0), ['start', 'server'] as const),
    ],
    random,
  )
  say('Kills of browsers ...')
  kills = sum(kills, await killBrowsers(house, scale(22, 1), random, false))
  kills = sum(kills, await killBrowsers(house, scale(6, 0), random, true))
  say('Kills of starts ...')
  kills = sum(kills, await killStarts(scale(14, 1), 'bootstrap', random))
  kills = sum(kills, await killStarts(scale(10, 1), 'migrations', random))
  await house.stop()
  say('Ports ...')
  const ports = await takenPorts(scale(5, 1))
  say('Kills of restores and builds ...')
  const restores = await killRestores(scale(20, 2), random)
  const builds = await killBuilds(scale(6, 0), random)
  const obstacles = { cookies, slips, shapes, ports, restores, builds }

  say('')
  row('Edits lost', kills.lost + writers.lost, 0)
  row('Edits reverted', kills.reverted + writers.reverted, 0)
  row('Not come back', kills.notComeBack, 0)
  row('Failed starts', kills.failedStarts, 0)
  row('Scripts run', smuggling.scriptsRun, 0)
  row('Requests that left', smuggling.requests, 0)
  row('Names looked up', smuggling.lookups, 0)
  row('Injections into exports', mutations.injections.length, 0)
  row('Imports and copies that failed', imports.failed.length, 0)
  row('Requests answered wrongly', requests.wrong.length, 0)
  row('Edits not kept for cookies', cookies.wrong.length, 0)
  row('Sheets with slips that keep a page from its export', slips.wrong.length, 0)
  row('Edits of wrong shape answered wrongly', shapes.wrong.length, 0)
  row('Taken ports not told', ports.wrong.length, 0)
  row('Killed restores that left neither the old nor the new', restores.wrong.length, 0)
  row('Killed builds taken for whole ones', builds.wrong.length, 0)
  row('Longest block of the event loop', watched.longestBlockMs, 100, ' ms')
  row('Memory beside that of the idle server', watched.greatestMb - watched.baseMb, 400, ' MB')
  row('Leftovers', house.leftovers().length, 0)
  const allWrong = Object.values(obstacles).flatMap(({ wrong }) => wrong)
  for (const wrong of [...imports.failed, ...requests.wrong, ...mutations.injections, ...house.leftovers(), ...allWrong].slice(0, 40))
    say(wrong)

  const text = `# Torment

Written by \`npm run torment\`; the short form runs in \`npm test\`. Seed ${seed}. ${cpus()[0]?.model ?? 'A machine'}, ${cpus().length} cores, ${Math.round(totalmem() / 2 ** 30)} GB, Node ${process.versions.node}; absolute figures are this machine's.

| what | measured | aim |
|---|---|---|
${rows.map((cells) => `| ${cells.join(' | ')} |`).join('\n')}

* ${kills.kills} processes were killed by SIGKILL (server, database, start command, browser and pairs of them, while edits were made, saved and met; while the database was laid out and its schema changed), under ${kills.edits} edits. Edits younger than 50 ms may be lost with a browser.
* Two writers made ${writers.edits} edits in one site and undid ${writers.undone}.
* ${imports.imports} hostile imports, of which ${imports.taken} were taken; the slowest, ${imports.slowest}, was answered after ${(imports.slowestMs / 1000).toFixed(1)} s. ${requests.requests} nonsense requests.
* ${smuggling.pages} smuggling pages were opened in a browser whose network was written down.
* ${cookies.tries} sizes of cookies, up to 4 MB; ${slips.tries} stylesheets with slips; ${shapes.tries} edits of wrong shape; ${ports.tries} starts on a port that was taken; ${restores.tries} restores and ${builds.tries} builds were killed.
* ${mutations.mutations} mutations of a document, of which ${mutations.accepted} were accepted and exported.
`
  if (!isShort) writeFileSync(new URL('../TORMENT.md', import.meta.url), text)
} finally {
  await house.close()
}
console.log(missed === 0 ? 'Nothing was lost, and nothing let in.' : `${missed} aims were missed.`)
process.exit(missed === 0 ? 0 : 1)
