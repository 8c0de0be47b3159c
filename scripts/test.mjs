// npm test: installs what the tests need, then runs everything, and ends in one line of sums.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { buildWhenNeeded } from './build.mjs'
import { checkNode, installChromium, installMariaDb, installPackages, root } from './install.mjs'
import { runCommand, say } from './say.mjs'

const results = join(root, 'test-results')
const sums = { passed: 0, failed: 0 }

/** Runs a program of node_modules in the project's folder; gives whether it succeeded, and what it said: at once where that is to be seen as it goes. */
function run(program, args, { isLive = false } = {}) {
  const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', FORCE_COLOR: process.stdout.isTTY ? '1' : '0' }
  const child = spawn(process.execPath, [join(root, 'node_modules', program), ...args], {
    cwd: root,
    env,
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (isLive ? process.stdout.write(part) : (said += part)))
  return new Promise((resolve) => {
    child.on('error', (error) => resolve({ succeeded: false, said: `${said}${error.message}\n` }))
    child.on('close', (code) => resolve({ succeeded: code === 0, said }))
  })
}

/** Says what a step came to, all at once: several run side by side. */
const tell = (title, said) => console.log(`\n${title}${said === '' ? '' : `\n${said.trimEnd()}`}`)

/** A step that passes or fails as one. */
async function check(title, work) {
  const { succeeded, said } = await work()
  tell(`${title}: ${succeeded ? 'passed' : 'failed'}`, said)
  sums[succeeded ? 'passed' : 'failed'] += 1
  return succeeded
}

/** A runner that leaves its counts in a JSON file; one that fails without naming a failed test counts as one failure. */
async function count(title, work, file, read) {
  const path = join(results, file)
  rmSync(path, { force: true })
  const { succeeded, said } = await work(path)
  tell(title, said)
  const { passed, failed } = existsSync(path) ? read(JSON.parse(readFileSync(path, 'utf8'))) : { passed: 0, failed: 0 }
  sums.passed += passed
  sums.failed += succeeded ? failed : Math.max(1, failed)
}

const vitest = (project) =>
  count(
    `Tests: ${project}`,
    (path) => run('vitest/vitest.mjs', ['run', '--project', project, '--reporter=default', '--reporter=json', `--outputFile.json=${path}`]),
    `${project}.json`,
    (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests + report.numPendingTests }),
  )

await runCommand(async () => {
  console.log('Glass Moth: all tests')
  checkNode()
  installPackages()
  installMariaDb()
  installChromium()
  mkdirSync(results, { recursive: true })

  say('Types, layout and lint run beside the tests that need no browser; each is told when it is over.')
  const inTurn = async () => {
    await check('Types', () => run('typescript/bin/tsc', ['--noEmit']))
    await check('Layout', () => run('prettier/bin/prettier.cjs', ['--check', '.', '--log-level', 'warn']))
    await check('Lint', () => run('eslint/bin/eslint.js', ['.', '--max-warnings=0']))
  }
  await Promise.all([inTurn(), vitest('unit').then(() => vitest('database'))])
  const built = await check('Build', async () => {
    try {
      buildWhenNeeded()
      return { succeeded: true, said: '' }
    } catch (error) {
      return { succeeded: false, said: error.message }
    }
  })
  if (built) {
    const title = 'Tests: browser'
    console.log(`\n${title}`)
    await count(
      `${title}, all of them`,
      () => run('@playwright/test/cli.js', ['test'], { isLive: true }),
      'e2e.json',
      ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky + stats.skipped }),
    )
  }
  if (sums.failed > 0) process.exitCode = 1
  console.log(`\n${sums.passed} passed, ${sums.failed} failed`)
})
