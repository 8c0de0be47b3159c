import type { RowDataPacket } from 'mysql2/promise'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { newSites } from '../../demo/sites'
import { tiltDefaults } from '../core/effect/tilt/settings'
import type { Site } from '../core/site/site'
import { inTransaction, pool } from './database'
import { migrate } from './migrate'
import { Problem } from './problem'
import { saveEdits } from './saving'
import { createSite, keepSource, listSites, readPage, readSite, setRemoved } from './sites'
import { restoreReadable } from './versions'

const html = '<!doctype html><p>Grüße \u{1F98B}</p>'
let site: Site

const named = (name: string): Site => ({ ...site, name })
const problemOf = async (work: Promise<unknown>): Promise<Problem> => {
  const error: unknown = await work.catch((caught: unknown) => caught)
  if (!(error instanceof Problem)) throw new Error(`Expected a problem, got ${String(error)}`)
  return error
}

beforeAll(async () => {
  await migrate(join(import.meta.dirname, 'migrations'))
  site = {
    format: 'glass-moth/2',
    name: 'A site',
    pages: [{ id: 'p', name: 'A page', source: await keepSource(html) }],
    effects: [{ id: 'e', kind: 'tilt', name: 'Lean', select: '.card', noun: 'each card', settings: tiltDefaults }],
  }
})

afterAll(() => pool().end())

describe('a site in the database', () => {
  it('is created once, with its first revision, and read as it was', async () => {
    expect(await createSite('once', 0, site)).toBe(true)
    expect(await createSite('once', 0, named('Other'))).toBe(false)
    expect(await readSite('once')).toEqual({ id: 'once', revision: 1, site })
  })

  it('that cannot be read stands for itself: the others are listed, nothing of it changes, and its last readable version comes back', async () => {
    await createSite('broken', 0, named('Whole'))
    await pool().query("UPDATE sites SET document = JSON_SET(document, '$.effects[0].kind', 'wobble'), revision = 2 WHERE id = 'broken'")
    const listed = await listSites()
    expect(listed.find(({ id }) => id === 'broken')).toEqual({
      id: 'broken',
      revision: 2,
      name: 'Whole',
      reason: 'At effects.0.kind: there is no kind of effect called "wobble".',
    })
    expect(listed.filter((each) => 'site' in each).length).toBeGreaterThan(0)
    expect(await problemOf(readSite('broken'))).toMatchObject({ status: 409, title: 'This site cannot be read' })
    await restoreReadable('broken')
    expect(await readSite('broken')).toMatchObject({ revision: 3, site: { name: 'Whole' } })
  })

  it('is told apart from one that does not exist', async () => {
    const problems = await Promise.all(
      [
        readSite('nobody'),
        saveEdits('nobody', { window: 'w', revision: 1, entries: [{ number: 1, words: '', gesture: '', patch: [] }] }),
        readPage('once', 'no-page'),
      ].map(problemOf),
    )
    expect(problems.map(({ status }) => status)).toEqual([404, 404, 404])
  })

  it('has pages whose HTML comes back to the letter, kept once for many', async () => {
    await createSite('pages', 0, site)
    expect((await readPage('pages', 'p')).html).toBe(html)
    expect(await keepSource(html)).toBe(site.pages[0]?.source)
    const [rows] = await pool().query<RowDataPacket[]>('SELECT COUNT(*) AS count FROM page_sources WHERE hash = ?', [site.pages[0]?.source])
    expect(Number(rows[0]?.count)).toBe(1)
  })

  it('is read for the list of home when it has changed, and by an index where it is looked for by order or by age', async () => {
    await createSite('read-once', 5, named('As it was'))
    const before = (await listSites()).find(({ id }) => id === 'read-once')
    expect((await listSites()).find(({ id }) => id === 'read-once')).toBe(before)
    await pool().query("UPDATE sites SET document = JSON_SET(document, '$.name', 'By hand') WHERE id = 'read-once'")
    expect((await listSites()).find(({ id }) => id === 'read-once')).toMatchObject({ site: { name: 'By hand' } })
    await setRemoved('read-once', true)
    expect((await listSites()).map(({ id }) => id)).not.toContain('read-once')
    for (const [sql, key] of [
      ['SELECT id FROM sites WHERE removed_at IS NULL ORDER BY position, name, id', 'sites_in_order'],
      ["SELECT hash FROM assets WHERE kept_at < '2000-01-01'", 'assets_by_age'],
      ["SELECT hash FROM page_sources WHERE kept_at < '2000-01-01'", 'page_sources_by_age'],
    ] as const) {
      const [[plan]] = await pool().query<RowDataPacket[]>(`EXPLAIN ${sql}`)
      expect(plan?.key, sql).toBe(key)
    }
  })

  it('is listed in the order of home', async () => {
    await createSite('first', -1, named('Zebra'))
    expect((await listSites())[0]?.id).toBe('first')
  })

  it('is left as it was when something fails halfway', async () => {
    await createSite('halfway', 0, site)
    await expect(
      inTransaction(async (db) => {
        await db.query("UPDATE sites SET name = 'Half' WHERE id = 'halfway'")
        throw new Error('halfway')
      }),
    ).rejects.toThrow('halfway')
    const [rows] = await pool().query<RowDataPacket[]>("SELECT name FROM sites WHERE id = 'halfway'")
    expect(rows[0]?.name).toBe('A site')
  })
})

describe('the sites that a new studio begins with', () => {
  it('are documents that pass, with pages that ask nobody for anything', async () => {
    for (const { id, name, pages, effects } of newSites()) {
      const kept = await Promise.all(pages.map(async (page) => ({ id: page.id, name: page.name, source: await keepSource(page.html) })))
      expect(await createSite(id, 0, { format: 'glass-moth/2', name, pages: kept, effects: [...effects] })).toBe(true)
      for (const page of pages) expect(page.html).not.toMatch(/(src|href)="(https?:)?\/\//)
    }
  })
})
