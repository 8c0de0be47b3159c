// What stands in docs/exported is what leaves.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { exportedScripts } from './exported'

const root = new URL('..', import.meta.url).pathname

it('the twenty-three scripts in docs/exported are those that leave; npm run build writes them', { timeout: 60_000 }, () => {
  const made = exportedScripts(root)
  expect(made.size).toBe(23)
  expect(readdirSync(join(root, 'docs/exported')).sort()).toEqual([...made.keys()].sort())
  for (const [name, text] of made) expect(readFileSync(join(root, 'docs/exported', name), 'utf8'), name).toBe(text)
})
