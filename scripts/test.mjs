// npm test: installs what the tests need, then runs everything, and ends in one line of sums.
import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { buildWhenNeeded } from './build.mjs'
import { checkNode, installChromium, installMariaDb, installPackages, root } from './install.mjs'
import { runCommand, say } from './say.mjs'

const results = join(root, 'test-results')
const sums = { passed: 0, failed: 0 }

/** Runs a program of node_modules in the project's folder, its output in sight; gives whether it succeeded. */
function run(program, args) {
  const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' }
  return spawnSync(process.execPath, [join(root, 'node_modules', program), ...args], { cwd: root, env, stdio: ['ignore', 'inherit', 'inherit'] }).status === 0
}

/** A step that passes or fails as one. */
function check(title, work) {
  console.log(`\n${title}`)
  const passed = work()
  sums[passed ? 'passed' : 'failed'] += 1
  return passed
}

/** A runner that leaves its counts in a JSON file; one that fails without naming a failed test counts as one failure. */
function count(title, work, file, read) {
  console.log(`\n${title}`)
  const path = join(results, file)
  rmSync(path, { force: true })
  const succeeded = work(path)
  const { passed, failed } = existsSync(path) ? read(JSON.parse(readFileSync(path, 'utf8'))) : { passed: 0, failed: 0 }
  sums.passed += passed
  sums.failed += succeeded ? failed : Math.max(1, failed)
}

const vitest = (project) =>
  count(`Tests: ${project}`, (path) => run('vitest/vitest.mjs', ['run', '--project', project, '--reporter=default', '--reporter=json', `--outputFile.json=${path}`]), `${project}.json`, (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numPendingTests,
  }))

await runCommand(async () => {
  console.log('Glass Moth: all tests')
  checkNode()
  installPackages()
  installMariaDb()
  installChromium()
  mkdirSync(results, { recursive: true })

  check('Types', () => run('typescript/bin/tsc', ['--noEmit']))
  check('Lint', () => run('eslint/bin/eslint.js', ['.', '--max-warnings=0']))
  vitest('unit')
  vitest('database')
  const built = check('Build', () => {
    try {
      buildWhenNeeded()
      return true
    } catch (error) {
      say(error.message)
      return false
    }
  })
  if (built) {
    count('Tests: browser', () => run('@playwright/test/cli.js', ['test']), 'e2e.json', ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky + stats.skipped }))
  }
  if (sums.failed > 0) process.exitCode = 1
  console.log(`\n${sums.passed} passed, ${sums.failed} failed`)
})
