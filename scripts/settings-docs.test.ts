// What the pages of the kinds say of their settings is what describes them.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { kinds } from '../src/core/effect/kinds'
import { settingsPages } from './settings-docs'

const root = new URL('..', import.meta.url).pathname

it('the tables in docs/effects tell every setting as it is; npm run build writes them', () => {
  const pages = settingsPages(root)
  expect(pages.size).toBe(kinds.length)
  for (const [name, text] of pages) {
    expect(text.match(/^\| setting \|/gm), name).toHaveLength(1)
    expect(readFileSync(join(root, 'docs/effects', name), 'utf8'), name).toBe(text)
  }
})

it('every kind has a page that the list of kinds leads to', () => {
  const list = readFileSync(join(root, 'docs/effects/README.md'), 'utf8')
  for (const { id } of kinds) if (id !== 'free') expect(list).toContain(`](${id}.md)`)
})
