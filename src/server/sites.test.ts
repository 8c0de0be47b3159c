import type { RowDataPacket } from 'mysql2/promise'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { newSites } from '../../demo/sites'
import { tiltDefaults } from '../core/effect/tilt/settings'
import type { Site } from '../core/site/site'
import { inTransaction, pool } from './database'
import { migrate } from './migrate'
import { Problem } from './problem'
import { createSite, keepSource, listSites, readPage, readSite, saveSite } from './sites'

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
  site = { format: 'glass-moth/1', name: 'A site', pages: [{ id: 'p', name: 'A page', source: await keepSource(html) }], effects: [{ id: 'e', kind: 'tilt', name: 'Lean', select: '.card', noun: 'each card', settings: tiltDefaults }] }
})

afterAll(() => pool().end())

describe('migrations', () => {
  it('are applied once, each', async () => {
    expect(await migrate(join(import.meta.dirname, 'migrations'))).toEqual([])
    const [rows] = await pool().query<RowDataPacket[]>('SELECT name FROM schema_migrations')
    expect(rows.map(({ name }) => String(name))).toEqual(['001_sites.sql', '002_assets.sql', '003_removed_sites.sql', '004_presets.sql', '005_templates.sql'])
  })
})

describe('a site in the database', () => {
  it('is created once, with its first revision, and read as it was', async () => {
    expect(await createSite('once', 0, site)).toBe(true)
    expect(await createSite('once', 0, named('Other'))).toBe(false)
    expect(await readSite('once')).toEqual({ id: 'once', revision: 1, site })
  })

  it('is saved on top of the revision that it builds on, and every revision stays', async () => {
    await createSite('saved', 0, site)
    expect(await saveSite('saved', 1, named('Two'))).toBe(2)
    expect(await saveSite('saved', 2, named('Three'))).toBe(3)
    const [rows] = await pool().query<RowDataPacket[]>("SELECT revision, JSON_VALUE(document, '$.name') AS name FROM site_revisions WHERE site_id = 'saved' ORDER BY revision")
    expect(rows.map(({ revision, name }) => [revision, name] as unknown)).toEqual([[1, 'A site'], [2, 'Two'], [3, 'Three']])
  })

  it('refuses a stale revision, tells what is stored, and changes nothing', async () => {
    await createSite('stale', 0, site)
    await saveSite('stale', 1, named('Theirs'))
    const problem = await problemOf(saveSite('stale', 1, named('Ours')))
    expect([problem.status, problem.extra]).toEqual([412, { revision: 2, document: named('Theirs') }])
    expect((await readSite('stale')).site.name).toBe('Theirs')
  })

  it('lets one of two that save at once win, and tells the other', async () => {
    await createSite('race', 0, site)
    const results = await Promise.allSettled([saveSite('race', 1, named('A')), saveSite('race', 1, named('B'))])
    expect(results.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected'])
    expect((await readSite('race')).revision).toBe(2)
  })

  it('refuses a document that is none, with the place', async () => {
    await createSite('invalid', 0, site)
    const problem = await problemOf(saveSite('invalid', 1, { ...site, pages: [] }))
    expect([problem.status, problem.detail.startsWith('At pages: ')]).toEqual([422, true])
    expect((await problemOf(saveSite('invalid', 1, null))).status).toBe(422)
    expect((await readSite('invalid')).revision).toBe(1)
  })

  it('keeps the newest two hundred revisions', async () => {
    await createSite('many', 0, site)
    for (let revision = 1; revision <= 204; revision++) await saveSite('many', revision, named(`Revision ${revision + 1}`))
    const [rows] = await pool().query<RowDataPacket[]>("SELECT COUNT(*) AS count, MIN(revision) AS oldest FROM site_revisions WHERE site_id = 'many'")
    expect([Number(rows[0]?.count), rows[0]?.oldest]).toEqual([200, 6])
  })

  it('is told apart from one that does not exist', async () => {
    const problems = await Promise.all([readSite('nobody'), saveSite('nobody', 1, site), readPage('once', 'no-page')].map(problemOf))
    expect(problems.map(({ status }) => status)).toEqual([404, 404, 404])
  })

  it('has pages whose HTML comes back to the letter, kept once for many', async () => {
    await createSite('pages', 0, site)
    expect((await readPage('pages', 'p')).html).toBe(html)
    expect(await keepSource(html)).toBe(site.pages[0]?.source)
    const [rows] = await pool().query<RowDataPacket[]>('SELECT COUNT(*) AS count FROM page_sources WHERE hash = ?', [site.pages[0]?.source])
    expect(Number(rows[0]?.count)).toBe(1)
  })

  it('is listed in the order of home', async () => {
    await createSite('first', -1, named('Zebra'))
    expect((await listSites())[0]?.id).toBe('first')
  })

  it('is left as it was when something fails halfway', async () => {
    await createSite('halfway', 0, site)
    await expect(inTransaction(async (db) => {
      await db.query("UPDATE sites SET name = 'Half' WHERE id = 'halfway'")
      throw new Error('halfway')
    })).rejects.toThrow('halfway')
    const [rows] = await pool().query<RowDataPacket[]>("SELECT name FROM sites WHERE id = 'halfway'")
    expect(rows[0]?.name).toBe('A site')
  })
})

describe('the sites that a new studio begins with', () => {
  it('are documents that pass, with pages that ask nobody for anything', async () => {
    for (const { id, name, pages, effects } of newSites()) {
      const kept = await Promise.all(pages.map(async (page) => ({ id: page.id, name: page.name, source: await keepSource(page.html) })))
      expect(await createSite(id, 0, { format: 'glass-moth/1', name, pages: kept, effects: [...effects] })).toBe(true)
      for (const page of pages) expect(page.html).not.toMatch(/(src|href)="(https?:)?\/\//)
    }
  })
})
