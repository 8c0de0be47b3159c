// Files that come with pages, in the database by the SHA-256 of their bytes; and the pages' sources beside them.
import { createHash } from 'node:crypto'
import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise'
import { withDatabase } from './database'
import { largestFile } from './import-limits'
import { Problem } from './problem'

// What is kept again counts from now; its bytes are there already.
const touchAsset = 'UPDATE assets SET kept_at = CURRENT_TIMESTAMP(3) WHERE hash = ?'
const insertAsset = 'INSERT INTO assets (hash, type, size, bytes) VALUES (?, ?, ?, ?) ON DUPLICATE KEY UPDATE kept_at = CURRENT_TIMESTAMP(3)'
const selectAsset = 'SELECT type, bytes FROM assets WHERE hash = ?'
const selectDocuments = 'SELECT document FROM sites UNION ALL SELECT document FROM site_revisions UNION ALL SELECT document FROM templates'
const selectOldAssets = 'SELECT hash FROM assets WHERE kept_at < ?'
const selectOldSources = 'SELECT hash FROM page_sources WHERE kept_at < ?'
const deleteAsset = 'DELETE FROM assets WHERE hash IN (?)'
const deleteSource = 'DELETE FROM page_sources WHERE hash IN (?)'

export interface Asset {
  readonly type: string
  readonly bytes: Buffer
}

export const hashOf = (bytes: Uint8Array | string) => createHash('sha256').update(bytes).digest('hex')

/** Keeps a file and gives the hash by which documents name it; `known` where that was worked out already. Throws a 413 Problem for one that is too large. */
export async function keepAsset(bytes: Uint8Array, type: string, known?: string): Promise<string> {
  if (bytes.length > largestFile) throw new Problem(413, 'The file is too large', `A file may have ${largestFile / 1024 / 1024} MB at most; this one has ${(bytes.length / 1024 / 1024).toFixed(1)}.`)
  const hash = known ?? hashOf(bytes)
  await withDatabase(async (db) => {
    const [{ affectedRows }] = await db.query<ResultSetHeader>(touchAsset, [hash])
    // Sent as bytes, not as text of a statement.
    if (affectedRows === 0) await db.execute(insertAsset, [hash, type, bytes.length, Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length)])
  })
  return hash
}

/** A kept file. Throws a 404 Problem when there is none with this hash. */
export async function readAsset(hash: string): Promise<Asset> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectAsset, [hash]))
  const row = rows[0]
  if (!row) throw new Problem(404, 'No such file', 'This file is not kept here.')
  return { type: String(row.type), bytes: row.bytes as Buffer }
}

/** Drops files and sources that no site and no version names and that were kept last before a day (YYYY-MM-DD): what was brought and never used. */
export async function dropOrphans(before: string): Promise<number> {
  return withDatabase(async (db) => {
    const [documents] = await db.query<RowDataPacket[]>(selectDocuments)
    const named = new Set(documents.flatMap(({ document }) => (typeof document === 'string' ? document : JSON.stringify(document)).match(/[0-9a-f]{64}/g) ?? []))
    let dropped = 0
    for (const [select, remove] of [[selectOldAssets, deleteAsset], [selectOldSources, deleteSource]] as const) {
      const [rows] = await db.query<RowDataPacket[]>(select, [before])
      const orphans = rows.map(({ hash }) => String(hash)).filter((hash) => !named.has(hash))
      if (orphans.length > 0) await db.query(remove, [orphans])
      dropped += orphans.length
    }
    return dropped
    // All that is kept is read; that may take its time.
  }, 120_000)
}
