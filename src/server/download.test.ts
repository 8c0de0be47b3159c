import { unzipSync, strFromU8 } from 'fflate'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { siteSchema } from '../core/site/site'
import { keepAsset } from './assets'
import { pool } from './database'
import { packSite } from './download'
import { migrate } from './migrate'
import { keepSource } from './sites'

beforeAll(() => migrate(join(import.meta.dirname, 'migrations')))
afterAll(() => pool().end())

const page = async (id: string, more: object = {}) => ({
  id,
  name: `Page ${id}`,
  source: await keepSource(`<!doctype html><title>${id}</title><p class="card">${id}</p>`),
  ...more,
})
const file = async (path: string, text: string) => ({
  path,
  hash: await keepAsset(new TextEncoder().encode(text), 'text/css'),
  type: 'text/css',
  size: text.length,
})

describe('a whole site that is taken away', () => {
  it('has every page with its files where they were, each group in a folder of its own, and its document', async () => {
    const site = siteSchema.parse({
      format: 'glass-moth/2',
      name: 'Two groups',
      effects: [],
      pages: [
        await page('a', { bundle: 'one', path: 'index.html' }),
        await page('b', { bundle: 'one', path: 'sub/b.html' }),
        await page('c', { bundle: 'two', path: 'index.html' }),
        await page('d'),
        await page('e', { path: undefined }),
      ],
      bundles: [
        { id: 'one', files: [await file('css/a.css', 'a {}'), await file('index.html', '<p>as it came')] },
        { id: 'two', files: [await file('css/a.css', 'b {}')] },
      ],
    })
    const entries = unzipSync((await packSite(site)).body)
    expect(Object.keys(entries).sort()).toEqual([
      'glass-moth.json',
      'page-a/css/a.css',
      'page-a/index.html',
      'page-a/sub/b.html',
      'page-c/css/a.css',
      'page-c/index.html',
      'page-d.html',
      'page-e.html',
    ])
    const text = (path: string) => strFromU8(entries[path] ?? new Uint8Array())
    expect([text('page-a/css/a.css'), text('page-c/css/a.css')]).toEqual(['a {}', 'b {}'])
    expect(text('page-a/sub/b.html')).toContain('<p class="card">b</p>')
    expect(siteSchema.parse(JSON.parse(text('glass-moth.json')))).toEqual(site)
  })

  it('of one group stays as it was brought', async () => {
    const site = siteSchema.parse({
      format: 'glass-moth/2',
      name: 'One',
      effects: [],
      pages: [await page('a', { bundle: 'one', path: 'index.html' })],
      bundles: [{ id: 'one', files: [await file('css/a.css', 'a {}')] }],
    })
    expect(Object.keys(unzipSync((await packSite(site)).body)).sort()).toEqual(['css/a.css', 'glass-moth.json', 'index.html'])
  })
})
