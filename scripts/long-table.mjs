// The parts of the long tests, and what bench/LONG.md says of when each was run.
import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './install.mjs'

const node = (script, ...args) => ({ program: 'tsx/dist/cli.mjs', args: [script, ...args] })
const playwright = (...args) => ({
  program: '@playwright/test/cli.js',
  args: ['test', '--config', 'playwright.long.config.ts', '--project', ...args],
})

/**
 * The parts by name: what each tries, and the programs that it runs, one after another, which are told to try all of it. Those that
 * leave something to chance are given the seed of the run.
 */
export const longParts = {
  core: {
    tries: 'all unit tests with another seed: every fact of a page on and off, 400 random rigs played 5 ways each',
    runs: () => [{ program: 'vitest/vitest.mjs', args: ['run', '--project', 'unit'] }],
    isByChance: true,
  },
  pages: { tries: 'every kind on a page of every form, in each of three ways; pages of third parties', runs: () => [playwright('pages')] },
  random: {
    tries: '500 random pages with random effects, 60 random rigs in Chromium',
    runs: () => [playwright('random')],
    isByChance: true,
  },
  ways: { tries: '2,000 natural ways through the studio, on every starter', runs: () => [playwright('ways')], isByChance: true },
  studio: {
    tries: 'every view in both themes, every way to smuggle something in beside a page that nothing holds, kills of a browser',
    runs: () => [playwright('studio')],
  },
  walks: { tries: 'every walk through the studio, with its page of the cookbook', runs: () => [playwright('walks')] },
  depth: { tries: 'what single things of the studio do beyond whether they work at all', runs: () => [playwright('depth')] },
  torment: {
    tries: 'kills, hostile input, two writers',
    runs: (seed) => [node('bench/torment/run.ts', '--seed', String(seed))],
    isByChance: true,
  },
  slips: { tries: 'slips planted one at a time, and whether the nearest tests catch them', runs: () => [node('bench/slips/run.ts')] },
  bench: { tries: 'what it costs, beside baselines written by hand', runs: () => [playwright('costs'), node('bench/run.ts')] },
}

const file = join(root, 'bench/LONG.md')

/** What the table says of each part that was run. */
export function readLong() {
  const text = existsSync(file) ? readFileSync(file, 'utf8') : ''
  const rows = [...text.matchAll(/^\| (\w+) \| [^|]* \| (\w+) \| ([\d-]+) \| (\d*) \| ([^|]+) \| ([^|]+) \|$/gm)]
  return new Map(rows.map(([, name, commit, date, seed, took, outcome]) => [name, { commit, date, seed, took, outcome }]))
}

/** Writes the table with a part as it was run now. */
export function keepLong(name, row) {
  const rows = readLong().set(name, row)
  const known = Object.entries(longParts).flatMap(([part, { tries }]) => {
    const each = rows.get(part)
    return each ? [`| ${part} | ${tries} | ${each.commit} | ${each.date} | ${each.seed} | ${each.took} | ${each.outcome} |`] : []
  })
  const text = `# The long tests

Written by \`npm run test:long\`, a row as each part ends. It goes on with the parts that were not run on this commit; \`-- NAME ...\` runs
parts by name, \`-- --all\` all of them. Each takes under 40 minutes. \`npm test\` says how many commits ago each was run.

| part | what it tries | commit | date | seed | took | outcome |
|---|---|---|---|---:|---|---|
${known.join('\n')}
`
  writeFileSync(file, text)
}

const git = (...args) => execFileSync('git', args, { cwd: root, encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }).trim()

/** The commit that is checked out, shortened; undefined where there is no repository. */
export function commitNow() {
  try {
    return git('rev-parse', '--short', 'HEAD')
  } catch {
    return undefined
  }
}

/** How many commits lie between one and now; undefined where it is not known. */
export function commitsSince(commit) {
  try {
    return Number(git('rev-list', '--count', `${commit}..HEAD`))
  } catch {
    return undefined
  }
}
