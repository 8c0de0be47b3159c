// What is told of tests that failed, from the reports of both runners.
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { failuresOfPlaywright, failuresOfVitest, failuresTold } from './test-failures.mjs'

const root = join(import.meta.dirname, '..')

it('is each test that did not pass, with the first line of why, and each file that could not be loaded', () => {
  const report = {
    testResults: [
      {
        name: join(root, 'src/a.test.ts'),
        status: 'failed',
        assertionResults: [
          { status: 'passed', fullName: 'a good one' },
          { status: 'failed', fullName: 'a bad one', failureMessages: ['\n\u001b[31mError: 3 is not 4\u001b[39m\n  at there'] },
          { status: 'skipped', fullName: 'one that was left out' },
        ],
      },
      { name: join(root, 'src/b.test.ts'), status: 'failed', message: 'No such module', assertionResults: [] },
      { name: join(root, 'src/c.test.ts'), status: 'passed', assertionResults: [] },
    ],
  }
  expect(failuresOfVitest(report)).toEqual([
    { test: 'src/a.test.ts › a bad one', reason: 'Error: 3 is not 4' },
    { test: 'src/a.test.ts › one that was left out', reason: 'skipped' },
    { test: 'src/b.test.ts', reason: 'No such module' },
  ])
})

it('has browser tests of groups of groups, and what ended the browser', () => {
  const spec = (title: string, status: string, message?: string) => ({
    title,
    tests: [{ status, results: [{}, ...(message === undefined ? [] : [{ error: { message } }])] }],
  })
  const report = {
    suites: [
      {
        file: 'tilt.spec.ts',
        suites: [{ suites: [{ specs: [spec('it leans', 'unexpected', 'It lay flat.')] }] }],
        specs: [spec('ok', 'expected')],
      },
    ],
    errors: [{ message: 'The house would not start.' }],
  }
  const failures = failuresOfPlaywright(report)
  expect(failuresTold(failures)).toBe(
    ['What failed:', '  e2e/tilt.spec.ts › it leans', '    It lay flat.', '  browser', '    The house would not start.'].join('\n'),
  )
})
