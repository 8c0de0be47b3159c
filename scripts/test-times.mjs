// How long the parts of the tests took, and which files took the longest.
import { execFileSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { cpus, totalmem } from 'node:os'
import { join, relative } from 'node:path'
import { root } from './install.mjs'

const sum = (numbers) => numbers.reduce((all, each) => all + each, 0)

/** The files of a report of vitest, with how long their tests took, s. */
export const filesOfVitest = (report) =>
  report.testResults.map(({ name, assertionResults }) => ({
    file: relative(root, name),
    seconds: sum(assertionResults.map(({ duration }) => duration ?? 0)) / 1000,
  }))

/** The files of a report of Playwright, with how long their tests took, s. */
export function filesOfPlaywright(report) {
  const secondsOf = ({ suites = [], specs = [] }) =>
    sum(suites.map(secondsOf)) +
    sum(specs.flatMap(({ tests }) => tests.flatMap(({ results }) => results.map(({ duration }) => duration / 1000))))
  return report.suites.map((suite) => ({ file: `e2e/${suite.file}`, seconds: secondsOf(suite) }))
}

/** The ten files that took the longest. */
export const slowest = (files) => files.toSorted((one, other) => other.seconds - one.seconds).slice(0, 10)

const minutes = (seconds) => `${Math.floor(seconds / 60)}:${String(Math.round(seconds) % 60).padStart(2, '0')}`

/** What a person is told of the times. */
export const timesTable = ({ took, files, seconds }) =>
  [
    'How long it took, min:',
    ...[...took].map(([part, each]) => `  ${part}: ${minutes(each)}`),
    `  all of it: ${minutes(seconds)}`,
    '',
    'The ten slowest files, s (of one worker):',
    ...files.map(({ file, seconds: each }) => `  ${each.toFixed(1)}  ${file}`),
  ].join('\n')

/** This machine, in a line. */
export function machine() {
  let chromium = 'Chromium'
  try {
    chromium = execFileSync('/usr/bin/chromium', ['--version'], { encoding: 'utf8' }).trim().split(' built')[0]
  } catch {
    // It was not asked for.
  }
  return `${cpus().length} cores (${cpus()[0]?.model.trim() ?? 'unknown'}), ${Math.round(totalmem() / 2 ** 30)} GB, Node ${process.version}, ${chromium}`
}

const marks = ['<!-- last run -->', '<!-- end of last run -->']

/** Writes the times of this run into bench/TESTS.md. */
export function keepTimes({ took, files, seconds }) {
  const file = join(root, 'bench/TESTS.md')
  const text = readFileSync(file, 'utf8')
  const [before] = text.split(marks[0])
  const [, after] = text.split(marks[1])
  const rows = [...took, ['all of it', seconds]].map(([part, each]) => `| ${part} | ${minutes(each)} |`)
  const table = [
    marks[0],
    '',
    `${new Date().toISOString().slice(0, 10)}, ${machine()}.`,
    '',
    '| part | min |',
    '|---|---:|',
    ...rows,
    '',
    'Build, types, layout and lint run beside unit, database and browser.',
    '',
    '| the ten slowest files | s |',
    '|---|---:|',
    ...files.map(({ file: name, seconds: each }) => `| ${name} | ${each.toFixed(1)} |`),
    '',
    marks[1],
  ].join('\n')
  writeFileSync(file, `${before}${table}${after}`)
}
