// The versions of a site: listed, read, named, and the last readable one brought back.
import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise'
import { cutText } from '../core/site/text'
import type { Site } from '../core/site/site'
import { inTransaction, withDatabase } from './database'
import { Problem } from './problem'
import { noSuchPage, noSuchSite, readDocument, readSource, writeSite } from './sites'

const selectVersions =
  'SELECT revision, UNIX_TIMESTAMP(saved_at) * 1000 AS saved_at, done, name FROM site_revisions WHERE site_id = ? ORDER BY revision DESC'
const selectVersion = 'SELECT document FROM site_revisions WHERE site_id = ? AND revision = ?'
const updateName = 'UPDATE site_revisions SET name = ? WHERE site_id = ? AND revision = ?'
const selectRevision = 'SELECT revision FROM sites WHERE id = ? FOR UPDATE'
const selectDocuments = 'SELECT revision, document FROM site_revisions WHERE site_id = ? ORDER BY revision DESC'
const insertVersion =
  "INSERT INTO site_revisions (site_id, revision, document, done) VALUES (?, ?, ?, 'Restoring the last readable version')"

export interface ListedVersion {
  readonly revision: number
  /** ISO 8601. */
  readonly savedAt: string
  /** What was done, in words; and the name that it was given. */
  readonly done: string
  readonly name: string | null
}

const noSuchVersion = () => new Problem(404, 'No such version', 'This version is not kept any more.')

/** The versions of a site that are kept, newest first. */
export async function listVersions(id: string): Promise<readonly ListedVersion[]> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectVersions, [id]))
  return rows.map(({ revision, saved_at: at, done, name }) => ({
    revision: Number(revision),
    savedAt: new Date(Number(at)).toISOString(),
    done: String(done),
    name: name === null ? null : String(name),
  }))
}

/** One version. Throws a Problem: 404 when it is not kept any more, 409 when it cannot be read. */
export async function readVersion(id: string, revision: number): Promise<Site> {
  const [[row]] = await withDatabase((db) => db.query<RowDataPacket[]>(selectVersion, [id, revision]))
  if (!row) throw noSuchVersion()
  const read = readDocument(row.document)
  if ('reason' in read) throw new Problem(409, 'This version cannot be read', `This version cannot be read. ${read.reason}`)
  return read.site
}

/** Gives a version a name, by which it is kept for ever; an empty one takes it away. Throws a 404 Problem when it is not kept any more. */
export async function nameVersion(id: string, revision: number, name: string): Promise<void> {
  const cut = cutText(name.trim(), 120)
  const [{ affectedRows }] = await withDatabase((db) => db.query<ResultSetHeader>(updateName, [cut === '' ? null : cut, id, revision]))
  if (affectedRows === 0) throw noSuchVersion()
}

/** Puts the last version that can be read in the place of a document that cannot; the broken one stays among the versions. Throws a 409 Problem when none can. */
export async function restoreReadable(id: string): Promise<void> {
  await inTransaction(async (db) => {
    const [[row]] = await db.query<RowDataPacket[]>(selectRevision, [id])
    if (!row) throw noSuchSite()
    const [rows] = await db.query<RowDataPacket[]>(selectDocuments, [id])
    const site = rows.map(({ document }) => readDocument(document)).find((read) => 'site' in read)?.site
    if (!site) throw new Problem(409, 'No version can be read', 'None of its versions can be read either. Nothing was changed.')
    const revision = Math.max(Number(row.revision), Number(rows[0]?.revision ?? 0)) + 1
    await db.query(insertVersion, [id, revision, await writeSite(db, { id, revision, site })])
  })
}

/** A page as it was in a version of its site. Throws a 404 Problem where there is no such version, or no such page in it. */
export async function readPageOfVersion(siteId: string, pageId: string, revision: number) {
  const site = await readVersion(siteId, revision)
  const page = site.pages.find(({ id }) => id === pageId)
  if (!page) throw noSuchPage()
  return { site, page, html: await readSource(page.source) }
}
