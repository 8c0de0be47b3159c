// The docs: every file that is linked is there, and every test that is named.
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { describe, expect, it } from 'vitest'

const root = new URL('..', import.meta.url).pathname
const pagesIn = (folder: string): string[] =>
  readdirSync(join(root, folder), { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name)
    return entry.isDirectory() ? pagesIn(path) : path.endsWith('.md') ? [path] : []
  })
const pages = ['README.md', 'CONTRIBUTING.md', ...pagesIn('docs')]

describe('the docs', () => {
  it.each(pages)('%s links to what is there', (page) => {
    const text = readFileSync(join(root, page), 'utf8').replace(/```[^]*?```/g, '')
    const linked = [...text.matchAll(/\]\(([^)#\s]+)[^)]*\)|src="([^"]+)"/g)].map(([, link, picture]) => link ?? picture ?? '')
    const missing = linked.filter((link) => !/^[a-z]+:/.test(link) && !existsSync(join(root, dirname(page), link)))
    expect(missing).toEqual([])
  })

  it('name tests that are there', () => {
    const text = readFileSync(join(root, 'docs/by-hand.md'), 'utf8')
    const named = [...text.matchAll(/^`([^`]+)`: “([^”]+)”/gm)]
    expect(named.length).toBe([...text.matchAll(/^## /gm)].length)
    for (const [, file = '', title = ''] of named) expect(readFileSync(join(root, file), 'utf8'), file).toContain(title)
  })
})
