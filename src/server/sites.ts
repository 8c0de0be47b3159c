// Sites in the database: listed, read, saved with their revisions; and the sources of their pages.
import { nanoid } from 'nanoid'
import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise'
import { binDays, describeIssues, siteSchema, type Page, type Site, type SiteFile } from '../core/site/site'
import { hashOf } from './assets'
import { inTransaction, withDatabase } from './database'
import { Problem } from './problem'

const selectSites = 'SELECT id, revision, document FROM sites WHERE removed_at IS NULL ORDER BY position, name, id'
const selectRemoved = 'SELECT id, name, removed_at FROM sites WHERE removed_at IS NOT NULL ORDER BY removed_at DESC'
const updateRemoved = 'UPDATE sites SET removed_at = ? WHERE id = ?'
const deleteRemoved = 'DELETE FROM sites WHERE removed_at < CURRENT_TIMESTAMP(3) - INTERVAL ? DAY'
const selectLastPosition = 'SELECT MAX(position) AS position FROM sites'
const selectSite = 'SELECT revision, document FROM sites WHERE id = ?'
const selectSiteForUpdate = 'SELECT revision, document FROM sites WHERE id = ? FOR UPDATE'
const updateSite = 'UPDATE sites SET name = ?, document = ?, revision = ?, saved_at = CURRENT_TIMESTAMP(3) WHERE id = ?'
const insertSite = 'INSERT INTO sites (id, name, position, revision, document) VALUES (?, ?, ?, 1, ?)'
const updateRevision = 'UPDATE site_revisions SET document = ? WHERE site_id = ? AND revision = 1'
const insertRevision = 'INSERT INTO site_revisions (site_id, revision, document) VALUES (?, ?, ?)'
const deleteOldRevisions = 'DELETE FROM site_revisions WHERE site_id = ? AND revision <= ?'
const insertSource = 'INSERT IGNORE INTO page_sources (hash, html) VALUES (?, ?)'
const selectSource = 'SELECT html FROM page_sources WHERE hash = ?'
const selectAssets = 'SELECT hash, bytes FROM assets WHERE hash IN (?)'
const selectRevision = 'SELECT document FROM site_revisions WHERE site_id = ? AND revision = ?'
const selectRevisions = 'SELECT revision, saved_at FROM site_revisions WHERE site_id = ? ORDER BY revision DESC'

/** How many revisions of a site are kept. */
const keptRevisions = 200

export interface StoredSite {
  readonly id: string
  readonly revision: number
  readonly site: Site
}

export const noSuchPage = () => new Problem(404, 'No such page', 'This page does not exist, or does not exist any more. Home lists those that do.')
const noSuchSite = () => new Problem(404, 'No such site', 'This site does not exist, or does not exist any more. Home lists those that do.')

/** The site without pages that were in the bin for longer than they are kept; `now` in ms since 1970. */
export function withoutOldBin(site: Site, now: number): Site {
  if (!site.bin) return site
  return { ...site, bin: site.bin.filter(({ removedAt }) => now - Date.parse(removedAt) < binDays * 24 * 3600 * 1000) }
}

function readRow(id: string, row: RowDataPacket): StoredSite {
  const document: unknown = typeof row.document === 'string' ? JSON.parse(row.document) : row.document
  return { id, revision: Number(row.revision), site: withoutOldBin(siteSchema.parse(document), Date.now()) }
}

/** All sites in the order of home. */
export async function listSites(): Promise<readonly StoredSite[]> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectSites))
  return rows.map((row) => readRow(String(row.id), row))
}

/** The sites that were removed and can be brought back, the last one first; times as ISO 8601. */
export async function listRemoved(): Promise<readonly { readonly id: string; readonly name: string; readonly removedAt: string }[]> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectRemoved))
  return rows.map(({ id, name, removed_at: at }) => ({ id: String(id), name: String(name), removedAt: new Date(at as string).toISOString() }))
}

/** Removes a site, or brings it back. Throws a 404 Problem when there is none with this id. */
export async function setRemoved(id: string, isRemoved: boolean): Promise<void> {
  const [result] = await withDatabase((db) => db.query<ResultSetHeader>(updateRemoved, [isRemoved ? new Date() : null, id]))
  if (result.affectedRows === 0) throw noSuchSite()
}

/** Drops the sites that were removed longer ago than they are kept. */
export async function dropRemoved(): Promise<void> {
  await withDatabase((db) => db.query(deleteRemoved, [binDays]))
}

/** Puts a new site behind the others, and gives its id. */
export async function addSite(site: Site): Promise<string> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectLastPosition))
  const id = nanoid(10)
  await createSite(id, Number(rows[0]?.position ?? 0) + 1, site)
  return id
}

/** One site. Throws a 404 Problem when there is none with this id. */
export async function readSite(id: string): Promise<StoredSite> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectSite, [id]))
  const row = rows[0]
  if (!row) throw noSuchSite()
  return readRow(id, row)
}

/**
 * Saves a site on top of `revision` and gives the new revision. Throws a Problem: 404 when the site is gone,
 * 412 with the stored document when it was saved elsewhere since, 422 when the document is not valid.
 */
export async function saveSite(id: string, revision: number, document: unknown): Promise<number> {
  const checked = siteSchema.safeParse(document)
  if (!checked.success) throw new Problem(422, 'The document is not valid', describeIssues(checked.error))
  return inTransaction(async (db) => {
    const [rows] = await db.query<RowDataPacket[]>(selectSiteForUpdate, [id])
    const row = rows[0]
    if (!row) throw noSuchSite()
    const stored = readRow(id, row)
    if (stored.revision !== revision) {
      throw new Problem(412, 'Saved elsewhere since', 'This site was saved from another window since you opened it. Nothing of yours was dropped; choose which version goes on.', {
        revision: stored.revision,
        document: stored.site,
      })
    }
    const next = revision + 1
    const text = JSON.stringify(checked.data)
    await db.query(updateSite, [checked.data.name, text, next, id])
    await db.query(insertRevision, [id, next, text])
    await db.query(deleteOldRevisions, [id, next - keptRevisions])
    return next
  })
}

/** Renews a site that nobody has changed since it was put in place; does nothing to any other. */
export async function renewSite(id: string, site: Site): Promise<void> {
  await inTransaction(async (db) => {
    const [[row]] = await db.query<RowDataPacket[]>(selectSiteForUpdate, [id])
    if (Number(row?.revision) !== 1) return
    const text = JSON.stringify(siteSchema.parse(site))
    await db.query(updateSite, [site.name, text, 1, id])
    await db.query(updateRevision, [text, id])
  })
}

/** Puts a new site in place; does nothing where its id is taken. Gives whether it was new. */
export async function createSite(id: string, position: number, site: Site): Promise<boolean> {
  return inTransaction(async (db) => {
    const [taken] = await db.query<RowDataPacket[]>(selectSiteForUpdate, [id])
    if (taken.length > 0) return false
    const text = JSON.stringify(siteSchema.parse(site))
    await db.query<ResultSetHeader>(insertSite, [id, site.name, position, text])
    await db.query(insertRevision, [id, 1, text])
    return true
  })
}

/** Keeps a page's HTML and gives the hash by which documents name it. */
export async function keepSource(html: string): Promise<string> {
  const hash = hashOf(html)
  await withDatabase((db) => db.query(insertSource, [hash, html]))
  return hash
}

/** The HTML that was kept under a hash. Throws a 404 Problem when there is none. */
export async function readSource(hash: string): Promise<string> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectSource, [hash]))
  const html: unknown = rows[0]?.html
  if (typeof html !== 'string') throw new Problem(404, 'The page has no source', 'The HTML of this page is missing in the database.')
  return html
}

/** The texts of a page's stylesheets, by hash. */
export async function readSheets(files: readonly SiteFile[]): Promise<ReadonlyMap<string, string>> {
  const hashes = files.filter(({ type, size }) => type === 'text/css' && size > 0).map(({ hash }) => hash)
  if (hashes.length === 0) return new Map()
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectAssets, [hashes]))
  return new Map(rows.map(({ hash, bytes }) => [String(hash), decodeSheet(bytes as Buffer)]))
}

/** A stylesheet's text: by its mark or its `@charset`, else UTF-8. */
function decodeSheet(bytes: Buffer): string {
  const named = /^@charset "([\w-]+)";/.exec(bytes.subarray(0, 100).toString('latin1'))?.[1]
  try {
    return new TextDecoder(named ?? 'utf-8').decode(bytes)
  } catch {
    return new TextDecoder().decode(bytes)
  }
}

/** One earlier state of a site. Throws a 404 Problem when it is not kept any more. */
export async function readRevision(id: string, revision: number): Promise<Site> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectRevision, [id, revision]))
  const row = rows[0]
  if (!row) throw new Problem(404, 'No such revision', 'This revision is not kept any more.')
  return readRow(id, { ...row, revision } as unknown as RowDataPacket).site
}

/** The revisions of a site that are kept, newest first, with when they were saved (ISO 8601). */
export async function listRevisions(id: string): Promise<readonly { readonly revision: number; readonly savedAt: string }[]> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectRevisions, [id]))
  return rows.map(({ revision, saved_at: at }) => ({ revision: Number(revision), savedAt: new Date(at as string).toISOString() }))
}

/** A page of a site with its HTML. Throws a 404 Problem when the site or the page does not exist. */
export async function readPage(siteId: string, pageId: string): Promise<StoredSite & { readonly html: string; readonly page: Page }> {
  const stored = await readSite(siteId)
  const page = stored.site.pages.find(({ id }) => id === pageId)
  if (!page) throw noSuchPage()
  return { ...stored, html: await readSource(page.source), page }
}
