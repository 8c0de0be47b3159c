// What failed, each in two lines: told at the end of a run, where it is looked for.
import { relative } from 'node:path'
import { stripVTControlCharacters } from 'node:util'
import { root } from './install.mjs'

/** The first line that says something of an error. */
function firstLine(message) {
  const lines = stripVTControlCharacters(message ?? '').split('\n')
  return (lines.find((line) => line.trim() !== '') ?? 'It gave no reason.').trim().slice(0, 300)
}

/** The tests of a report of vitest that did not pass, those that were skipped among them, and the files that could not be loaded. */
export const failuresOfVitest = (report) =>
  report.testResults.flatMap(({ name, status, message, assertionResults }) => {
    const file = relative(root, name)
    const failed = assertionResults
      .filter((test) => test.status !== 'passed')
      .map((test) => ({ test: `${file} › ${test.fullName}`, reason: firstLine(test.failureMessages?.[0] ?? message ?? test.status) }))
    return status === 'failed' && failed.length === 0 ? [{ test: file, reason: firstLine(message) }] : failed
  })

/** The tests of a report of Playwright that did not pass the first time, and what kept it from running them. */
export function failuresOfPlaywright(report) {
  const ofSuite = ({ suites = [], specs = [] }, file) => [
    ...specs.flatMap(({ title, tests }) =>
      tests
        .filter((test) => test.status !== 'expected')
        .map((test) => ({
          test: `${file} › ${title}`,
          reason: firstLine(test.results.find(({ error }) => error !== undefined)?.error.message ?? test.status),
        })),
    ),
    ...suites.flatMap((suite) => ofSuite(suite, file)),
  ]
  return [
    ...report.suites.flatMap((suite) => ofSuite(suite, `e2e/${suite.file}`)),
    ...report.errors.map(({ message }) => ({ test: 'browser', reason: firstLine(message) })),
  ]
}

/** What a person is told of them. */
export const failuresTold = (failures) =>
  ['What failed:', ...failures.flatMap(({ test, reason }) => [`  ${test}`, `    ${reason}`])].join('\n')
