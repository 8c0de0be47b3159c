// npm test: installs what the tests need, then runs everything, and ends in one line of sums.
// npm test -- --keep: writes how long each part took into bench/TESTS.md too.
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildWhenNeeded } from './build.mjs'
import { checkNode, installChromium, installMariaDb, installPackages, root } from './install.mjs'
import { longParts, readLong, commitsSince } from './long-table.mjs'
import { runProgram, vitestArguments } from './run-program.mjs'
import { runCommand, say } from './say.mjs'
import { failuresOfPlaywright, failuresOfVitest, failuresTold } from './test-failures.mjs'
import { filesOfPlaywright, filesOfVitest, keepTimes, slowest, timesTable } from './test-times.mjs'

const results = join(root, 'test-results')
const sums = { passed: 0, failed: 0 }
/** How long each part took, s, in the order in which they end. */
const took = new Map()
/** How long each file of tests took, s. */
const files = []
/** What failed, in the order in which it was heard of. */
const failures = []

/** What a part is called, what it came to and how long it took, all at once: several run side by side. */
function tell(title, outcome, seconds, said) {
  took.set(title, seconds)
  console.log(`\n${title}: ${outcome}, ${Math.round(seconds)} s${said === '' ? '' : `\n${said.trimEnd()}`}`)
}

/** The work, and how long it took, s. */
async function timed(work) {
  const began = performance.now()
  const result = await work()
  return { ...result, seconds: (performance.now() - began) / 1000 }
}

/** A part that passes or fails as one. */
async function check(title, work) {
  const { succeeded, said, seconds } = await timed(work)
  tell(title, succeeded ? 'passed' : 'failed', seconds, said)
  sums[succeeded ? 'passed' : 'failed'] += 1
  if (!succeeded) failures.push({ test: title, reason: said.trim().split('\n').at(-1) })
  return succeeded
}

/** A runner that leaves its counts in a JSON file; one that fails without naming a failed test counts as one failure. */
async function count(title, work, file, read) {
  const path = join(results, file)
  rmSync(path, { force: true })
  const { succeeded, said, seconds } = await timed(() => work(path))
  const report = existsSync(path) ? read(JSON.parse(readFileSync(path, 'utf8'))) : { passed: 0, failed: 0, files: [], failures: [] }
  const failed = succeeded ? report.failed : Math.max(1, report.failed)
  failures.push(...report.failures)
  if (failed > 0 && report.failures.length === 0) failures.push({ test: title, reason: 'It failed, and named no test.' })
  sums.passed += report.passed
  sums.failed += failed
  files.push(...report.files)
  tell(title, `${report.passed} passed, ${failed} failed`, seconds, said)
}

const vitest = (title, project) =>
  count(
    title,
    (path) => runProgram('vitest/vitest.mjs', vitestArguments(project, path)),
    `${project}.json`,
    (report) => ({
      passed: report.numPassedTests,
      failed: report.numFailedTests + report.numPendingTests,
      files: filesOfVitest(report),
      failures: failuresOfVitest(report),
    }),
  )

const browser = () =>
  count(
    'browser',
    () => runProgram('@playwright/test/cli.js', ['test'], { isLive: true }),
    'e2e.json',
    (report) => ({
      passed: report.stats.expected,
      failed: report.stats.unexpected + report.stats.flaky + report.stats.skipped,
      files: filesOfPlaywright(report),
      failures: failuresOfPlaywright(report),
    }),
  )

async function build() {
  try {
    await buildWhenNeeded({ writesDocs: false })
    return { succeeded: true, said: '' }
  } catch (error) {
    return { succeeded: false, said: error.message }
  }
}

/** How long ago each part of the long tests was run, which `npm test` leaves out. */
function tellLong() {
  const before = readLong()
  console.log('\nThe long tests (npm run test:long), by the commits since each part was run:')
  for (const name of Object.keys(longParts)) {
    const row = before.get(name)
    const since = row && commitsSince(row.commit)
    console.log(
      `  ${name}: ${!row ? 'never' : since === undefined ? `at ${row.commit}, which is not known here` : since}${row ? `, ${row.outcome}` : ''}`,
    )
  }
}

/** A folder for all that the tests make in the temporary folder, which goes with the run, however it ends. */
function temporaryFolder() {
  const folder = mkdtempSync(join(tmpdir(), 'gm-'))
  process.env.TMPDIR = folder
  const remove = () => rmSync(folder, { recursive: true, force: true, maxRetries: 5 })
  process.on('exit', remove)
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => process.exit(1))
}

await runCommand(async () => {
  console.log('Glass Moth: all tests')
  checkNode()
  installPackages()
  installMariaDb()
  installChromium()
  mkdirSync(results, { recursive: true })
  temporaryFolder()
  const began = performance.now()

  say('Build, types, layout and lint run beside the other tests; each is told when it is over.')
  const built = check('build', build)
  const checked = built.then(async () => {
    await check('types', () => runProgram('typescript/bin/tsc', ['--noEmit']))
    await check('layout', () => runProgram('prettier/bin/prettier.cjs', ['--check', '.', '--log-level', 'warn']))
    await check('lint', () => runProgram('eslint/bin/eslint.js', ['.', '--max-warnings=0']))
  })
  await vitest('unit', 'unit')
  await vitest('database', 'database')
  if (await built) {
    console.log('\nbrowser')
    await browser()
  }
  await checked
  const times = { took, files: slowest(files), seconds: (performance.now() - began) / 1000 }
  console.log(`\n${timesTable(times)}`)
  if (process.argv.includes('--keep')) keepTimes(times)
  tellLong()
  if (sums.failed > 0) {
    process.exitCode = 1
    console.log(`\n${failuresTold(failures)}`)
  }
  console.log(`\n${sums.passed} passed, ${sums.failed} failed`)
})
