// Sites in the database: listed, read, saved with their revisions; and the sources of their pages.
import { createHash } from 'node:crypto'
import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise'
import { describeIssues, siteSchema, type Site } from '../core/site/site'
import { inTransaction, withDatabase } from './database'
import { Problem } from './problem'

const selectSites = 'SELECT id, revision, document FROM sites ORDER BY position, name, id'
const selectSite = 'SELECT revision, document FROM sites WHERE id = ?'
const selectSiteForUpdate = 'SELECT revision, document FROM sites WHERE id = ? FOR UPDATE'
const updateSite = 'UPDATE sites SET name = ?, document = ?, revision = ?, saved_at = CURRENT_TIMESTAMP(3) WHERE id = ?'
const insertSite = 'INSERT INTO sites (id, name, position, revision, document) VALUES (?, ?, ?, 1, ?)'
const insertRevision = 'INSERT INTO site_revisions (site_id, revision, document) VALUES (?, ?, ?)'
const deleteOldRevisions = 'DELETE FROM site_revisions WHERE site_id = ? AND revision <= ?'
const insertSource = 'INSERT IGNORE INTO page_sources (hash, html) VALUES (?, ?)'
const selectSource = 'SELECT html FROM page_sources WHERE hash = ?'

/** How many revisions of a site are kept. */
const keptRevisions = 200

export interface StoredSite {
  readonly id: string
  readonly revision: number
  readonly site: Site
}

const noSuchSite = () => new Problem(404, 'No such site', 'This site does not exist, or does not exist any more. Home lists those that do.')

function readRow(id: string, row: RowDataPacket): StoredSite {
  const document: unknown = typeof row.document === 'string' ? JSON.parse(row.document) : row.document
  return { id, revision: Number(row.revision), site: siteSchema.parse(document) }
}

/** All sites in the order of home. */
export async function listSites(): Promise<readonly StoredSite[]> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectSites))
  return rows.map((row) => readRow(String(row.id), row))
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
  const hash = createHash('sha256').update(html).digest('hex')
  await withDatabase((db) => db.query(insertSource, [hash, html]))
  return hash
}

/** A page of a site with its HTML. Throws a 404 Problem when the site or the page does not exist. */
export async function readPage(siteId: string, pageId: string): Promise<StoredSite & { readonly html: string; readonly name: string }> {
  const stored = await readSite(siteId)
  const page = stored.site.pages.find(({ id }) => id === pageId)
  if (!page) throw new Problem(404, 'No such page', 'This page does not exist, or does not exist any more. Home lists those that do.')
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectSource, [page.source]))
  const html = rows[0]?.html
  if (typeof html !== 'string') throw new Problem(404, 'The page has no source', 'The HTML of this page is missing in the database.')
  return { ...stored, html, name: page.name }
}
