// Sites in the database: listed, read, put in place; and the sources of their pages.
import { createHash } from 'node:crypto'
import { nanoid } from 'nanoid'
import type { PoolConnection, RowDataPacket, ResultSetHeader } from 'mysql2/promise'
import { describeIssues } from '../core/site/issues'
import { rememberChecked } from '../core/site/check-site'
import { siteSchema, type Page, type Site, type SiteFile } from '../core/site/site'
import { hashOf } from './assets'
import { inTransaction, withDatabase } from './database'
import { Problem } from './problem'

const selectSums = 'SELECT id, revision, MD5(document) AS sum FROM sites WHERE removed_at IS NULL ORDER BY position, name, id'
const selectDocuments = 'SELECT id, name, revision, document, MD5(document) AS sum FROM sites WHERE id IN (?)'
const selectRemoved =
  'SELECT id, name, UNIX_TIMESTAMP(removed_at) * 1000 AS removed_at FROM sites WHERE removed_at IS NOT NULL ORDER BY removed_at DESC'
const updateRemoved = 'UPDATE sites SET removed_at = IF(?, CURRENT_TIMESTAMP(3), NULL) WHERE id = ?'
const selectLastPosition = 'SELECT MAX(position) AS position FROM sites'
const selectSite = 'SELECT id, name, revision, document FROM sites WHERE id = ?'
const selectSumForUpdate = 'SELECT id, revision, MD5(document) AS sum FROM sites WHERE id = ? FOR UPDATE'
const updateSite = 'UPDATE sites SET name = ?, document = ?, revision = ?, saved_at = CURRENT_TIMESTAMP(3) WHERE id = ?'
const insertSite = 'INSERT INTO sites (id, name, position, revision, document) VALUES (?, ?, ?, 1, ?)'
const updateRevision = 'UPDATE site_revisions SET document = ?, saved_at = CURRENT_TIMESTAMP(3) WHERE site_id = ? AND revision = 1'
const insertRevision = "INSERT INTO site_revisions (site_id, revision, document, done) VALUES (?, 1, ?, 'Beginning')"
// What is kept again counts from now.
const insertSource = 'INSERT INTO page_sources (hash, html) VALUES (?, ?) ON DUPLICATE KEY UPDATE kept_at = CURRENT_TIMESTAMP(3)'
const selectSource = 'SELECT html FROM page_sources WHERE hash = ?'
const selectAssets = 'SELECT hash, bytes FROM assets WHERE hash IN (?)'

export interface StoredSite {
  readonly id: string
  readonly revision: number
  readonly site: Site
}

/** A site whose document cannot be read, with the reason. It stays as it is, and its versions too. */
export interface UnreadableSite {
  readonly id: string
  readonly revision: number
  readonly name: string
  readonly reason: string
}

export const noSuchPage = () =>
  new Problem(404, 'No such page', 'This page does not exist, or does not exist any more. Home lists those that do.')
export const noSuchSite = () =>
  new Problem(404, 'No such site', 'This site does not exist, or does not exist any more. Home lists those that do.')

/** A document from the database, checked; or why it cannot be read. */
export function readDocument(value: unknown): { readonly site: Site } | { readonly reason: string } {
  try {
    const checked = siteSchema.safeParse(typeof value === 'string' ? JSON.parse(value) : value)
    return checked.success ? { site: checked.data } : { reason: describeIssues(checked.error) }
  } catch {
    return { reason: 'It is no JSON.' }
  }
}

function readRow(row: RowDataPacket): StoredSite | UnreadableSite {
  const read = readDocument(row.document)
  const [id, revision] = [String(row.id), Number(row.revision)]
  return 'site' in read ? { id, revision, site: read.site } : { id, revision, name: String(row.name), reason: read.reason }
}

/** All sites in the order of home; one that cannot be read is among them, with the reason. */
export async function listSites(): Promise<readonly (StoredSite | UnreadableSite)[]> {
  return withDatabase(async (db) => {
    const [sums] = await db.query<RowDataPacket[]>(selectSums)
    const changed = sums.filter((row) => !knownAs(row))
    const [rows] = changed.length === 0 ? [[]] : await db.query<RowDataPacket[]>(selectDocuments, [changed.map(({ id }) => String(id))])
    const read = new Map(rows.map((row) => [String(row.id), row]))
    return sums.flatMap((sum) => {
      const row = read.get(String(sum.id))
      return knownAs(sum) ?? (row ? remember(readRow(row), String(row.sum)) : [])
    })
  })
}

/** The sites that were removed and can be brought back, the last one first; times as ISO 8601. */
export async function listRemoved(): Promise<readonly { readonly id: string; readonly name: string; readonly removedAt: string }[]> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectRemoved))
  return rows.map(({ id, name, removed_at: at }) => ({ id: String(id), name: String(name), removedAt: new Date(Number(at)).toISOString() }))
}

/** Removes a site, or brings it back. Throws a 404 Problem when there is none with this id. */
export async function setRemoved(id: string, isRemoved: boolean): Promise<void> {
  const [result] = await withDatabase((db) => db.query<ResultSetHeader>(updateRemoved, [isRemoved, id]))
  if (result.affectedRows === 0) throw noSuchSite()
}

/** Puts a new site behind the others, and gives its id. */
export async function addSite(site: Site): Promise<string> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectLastPosition))
  const id = nanoid(10)
  await createSite(id, Number(rows[0]?.position ?? 0) + 1, site)
  return id
}

/** The site of a row of `sites` (id, name, revision, document). Throws a Problem: 404 where there is none, 409 when it cannot be read. */
export const siteOfRow = (row: RowDataPacket | undefined): StoredSite => {
  if (!row) throw noSuchSite()
  const stored = readRow(row)
  if ('site' in stored) return stored
  throw new Problem(
    409,
    'This site cannot be read',
    `The document of “${stored.name}” cannot be read. ${stored.reason} Nothing of it was changed or deleted; home can bring back its last readable version.`,
  )
}

/** One site. Throws a Problem: 404 when there is none with this id, 409 when it cannot be read. */
export async function readSite(id: string): Promise<StoredSite> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectSite, [id]))
  return siteOfRow(rows[0])
}

/** Sites as they were read or saved last: what is the same by its revision and the sum of its text need not be read again, so that nobody else's writing is missed. */
const recent = new Map<string, { readonly sum: string; readonly stored: StoredSite | UnreadableSite }>()
const mostRecent = 400

/** The site of a row (id, revision, sum) as it is known. */
function knownAs({ id, revision, sum }: RowDataPacket): StoredSite | UnreadableSite | undefined {
  const known = recent.get(String(id))
  return known && known.sum === String(sum) && known.stored.revision === Number(revision) ? known.stored : undefined
}

function remember<Stored extends StoredSite | UnreadableSite>(stored: Stored, sum: string): Stored {
  if ('site' in stored) rememberChecked(stored.site)
  recent.delete(stored.id)
  recent.set(stored.id, { sum, stored })
  for (const oldest of recent.keys()) if (recent.size > mostRecent) recent.delete(oldest)
  return stored
}

/** One site, held until the end of the transaction. Throws as `readSite` does. */
export async function holdSite(db: PoolConnection, id: string): Promise<StoredSite> {
  const [[held]] = await db.query<RowDataPacket[]>(selectSumForUpdate, [id])
  if (!held) throw noSuchSite()
  const known = knownAs(held)
  if (known && 'site' in known) return known
  const [rows] = await db.query<RowDataPacket[]>(selectSite, [id])
  return remember(siteOfRow(rows[0]), String(held.sum))
}

/** Writes a site down under a new revision, within a transaction. Gives the document's text. */
export async function writeSite(db: PoolConnection, { id, revision, site }: StoredSite): Promise<string> {
  const text = JSON.stringify(site)
  await db.query(updateSite, [site.name, text, revision, id])
  remember({ id, revision, site }, createHash('md5').update(text).digest('hex'))
  return text
}

/** Renews a site that nobody has changed since it was put in place; does nothing to any other. */
export async function renewSite(id: string, site: Site): Promise<void> {
  await inTransaction(async (db) => {
    const [[row]] = await db.query<RowDataPacket[]>(selectSumForUpdate, [id])
    if (Number(row?.revision) !== 1) return
    const checked = siteSchema.parse(site)
    await db.query(updateRevision, [await writeSite(db, { id, revision: 1, site: checked }), id])
  })
}

/** Puts a new site in place; does nothing where its id is taken. Gives whether it was new. */
export async function createSite(id: string, position: number, site: Site): Promise<boolean> {
  return inTransaction(async (db) => {
    const [taken] = await db.query<RowDataPacket[]>(selectSumForUpdate, [id])
    if (taken.length > 0) return false
    const text = JSON.stringify(siteSchema.parse(site))
    await db.query<ResultSetHeader>(insertSite, [id, site.name, position, text])
    await db.query(insertRevision, [id, text])
    return true
  })
}

/** Keeps a page's HTML and gives the hash by which documents name it. */
export async function keepSource(html: string): Promise<string> {
  const hash = hashOf(html)
  await withDatabase((db) => db.execute(insertSource, [hash, html]))
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

/** A page of a site with its HTML. Throws a 404 Problem when the site or the page does not exist. */
export async function readPage(siteId: string, pageId: string): Promise<StoredSite & { readonly html: string; readonly page: Page }> {
  const stored = await readSite(siteId)
  const page = stored.site.pages.find(({ id }) => id === pageId)
  if (!page) throw noSuchPage()
  return { ...stored, html: await readSource(page.source), page }
}
