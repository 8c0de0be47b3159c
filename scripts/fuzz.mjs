// npm run fuzz [-- ROUNDS]: the random tests with new seeds, again and again, until one finds something. What it finds becomes an
// example of its own in the test, by the seed and path that are printed.
// npm run fuzz -- pages [CASES]: so many random pages with random effects in Chromium, 500 where nothing is said.
// npm run fuzz -- ways [CASES]: so many natural ways through the studio, 2,000 where nothing is said.
import { spawnSync } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './install.mjs'

/** What is tried in Chromium: the test, and how many cases where nothing is said. */
const inChromium = { pages: ['fuzz', '500'], ways: ['ways', '2000'] }

const asked = inChromium[process.argv[2]]
if (asked) {
  const [name, usual] = asked
  const seed = Math.floor(Math.random() * 2 ** 31)
  const { status } = spawnSync(process.execPath, [join(root, 'node_modules/@playwright/test/cli.js'), 'test', name], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, GLASS_MOTH_CASES: process.argv[3] ?? usual, GLASS_MOTH_FUZZ: String(seed) },
  })
  process.exit(status ?? 1)
}

const rounds = Number(process.argv[2] ?? 20)
const tests = readdirSync(join(root, 'src'), { recursive: true })
  .map(String)
  .filter((file) => file.endsWith('.test.ts') && readFileSync(join(root, 'src', file), 'utf8').includes("'fast-check'"))

for (let round = 1; round <= rounds; round++) {
  const seed = Math.floor(Math.random() * 2 ** 31)
  console.log(`Round ${round} of ${rounds}, seed ${seed}`)
  const { status } = spawnSync(
    process.execPath,
    [join(root, 'node_modules/vitest/vitest.mjs'), 'run', '--project', 'unit', '--reporter=dot', ...tests],
    { cwd: root, stdio: 'inherit', env: { ...process.env, GLASS_MOTH_FUZZ: String(seed) } },
  )
  if (status !== 0) {
    console.log(`Something was found with seed ${seed}. Again: GLASS_MOTH_FUZZ=${seed} npm run unit`)
    process.exit(1)
  }
}
