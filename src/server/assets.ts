// Files that come with pages, in the database by the SHA-256 of their bytes; and the pages' sources beside them.
import { createHash } from 'node:crypto'
import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise'
import { inTransaction, withDatabase } from './database'
import { largestFile } from './import-limits'
import { Problem } from './problem'

// What is kept again counts from now; its bytes are there already.
const touchAsset = 'UPDATE assets SET kept_at = CURRENT_TIMESTAMP(3) WHERE hash = ?'
const touchAssets = 'UPDATE assets SET kept_at = CURRENT_TIMESTAMP(3) WHERE hash IN (?)'
const selectKept = 'SELECT hash FROM assets WHERE hash IN (?)'
const insertAsset =
  'INSERT INTO assets (hash, type, size, bytes) VALUES (?, ?, ?, ?) ON DUPLICATE KEY UPDATE kept_at = CURRENT_TIMESTAMP(3)'
const selectAsset = 'SELECT type, bytes FROM assets WHERE hash = ?'
const selectUnread = 'SELECT site_id, revision FROM site_revisions WHERE files_read_at IS NULL OR files_read_at <> saved_at'
const selectVersionForUpdate = 'SELECT document FROM site_revisions WHERE site_id = ? AND revision = ? FOR UPDATE'
const deleteNamed = 'DELETE FROM revision_files WHERE site_id = ? AND revision = ?'
const insertNamed = 'INSERT INTO revision_files (site_id, revision, hash) VALUES ?'
const updateRead = 'UPDATE site_revisions SET files_read_at = saved_at WHERE site_id = ? AND revision = ?'
const selectDocuments = 'SELECT document FROM sites UNION ALL SELECT document FROM templates UNION ALL SELECT document FROM presets'
const selectOldAssets = 'SELECT hash FROM assets a WHERE kept_at < ? AND NOT EXISTS (SELECT 1 FROM revision_files f WHERE f.hash = a.hash)'
const selectOldSources =
  'SELECT hash FROM page_sources p WHERE kept_at < ? AND NOT EXISTS (SELECT 1 FROM revision_files f WHERE f.hash = p.hash)'
const deleteAsset = 'DELETE FROM assets WHERE hash IN (?)'
const deleteSource = 'DELETE FROM page_sources WHERE hash IN (?)'

export interface Asset {
  readonly type: string
  readonly bytes: Buffer
}

const bufferOf = (bytes: Uint8Array) => Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length)

export const hashOf = (bytes: Uint8Array | string) => createHash('sha256').update(bytes).digest('hex')

/** Keeps a file and gives the hash by which documents name it. Throws a 413 Problem for one that is too large. */
export async function keepAsset(bytes: Uint8Array, type: string): Promise<string> {
  if (bytes.length > largestFile)
    throw new Problem(
      413,
      'The file is too large',
      `A file may have ${largestFile / 1024 / 1024} MB at most; this one has ${(bytes.length / 1024 / 1024).toFixed(1)}.`,
    )
  const hash = hashOf(bytes)
  await withDatabase(async (db) => {
    const [{ affectedRows }] = await db.query<ResultSetHeader>(touchAsset, [hash])
    // Sent as bytes, not as text of a statement.
    if (affectedRows === 0) await db.execute(insertAsset, [hash, type, bytes.length, bufferOf(bytes)])
  })
  return hash
}

/** A file that was read, with its hash. */
export interface HashedFile {
  readonly type: string
  readonly hash: string
  readonly bytes: Uint8Array
}

/** What is written in one transaction at most: each waits for the disk once. */
const mostAtOnce = { files: 200, bytes: 8 * 1024 * 1024 }

/** Keeps many files; `onKept` hears how many more are kept now. Those that are there already are not written again. */
export async function keepAssets(files: readonly HashedFile[], onKept: (count: number) => void): Promise<void> {
  for (let from = 0; from < files.length;) {
    let to = from
    for (let bytes = 0; to < files.length && to - from < mostAtOnce.files; to++) {
      bytes += files[to]?.bytes.length ?? 0
      if (to > from && bytes > mostAtOnce.bytes) break
    }
    const batch = new Map(files.slice(from, to).map((file) => [file.hash, file]))
    await inTransaction(async (db) => {
      const [rows] = await db.query<RowDataPacket[]>(selectKept, [[...batch.keys()]])
      const kept = new Set(rows.map(({ hash }) => String(hash)))
      if (kept.size > 0) await db.query(touchAssets, [[...kept]])
      for (const { hash, type, bytes } of batch.values())
        if (!kept.has(hash)) await db.execute(insertAsset, [hash, type, bytes.length, bufferOf(bytes)])
    })
    onKept(to - from)
    from = to
  }
}

/** A kept file. Throws a 404 Problem when there is none with this hash. */
export async function readAsset(hash: string): Promise<Asset> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectAsset, [hash]))
  const row = rows[0]
  if (!row) throw new Problem(404, 'No such file', 'This file is not kept here.')
  return { type: String(row.type), bytes: row.bytes as Buffer }
}

const hashesIn = (document: unknown) =>
  new Set((typeof document === 'string' ? document : JSON.stringify(document)).match(/[0-9a-f]{64}/g) ?? [])

/** Writes down which files and sources the versions name that were saved since this was done last. Gives how many these were. */
export async function noteNamedFiles(): Promise<number> {
  const [unread] = await withDatabase((db) => db.query<RowDataPacket[]>(selectUnread))
  for (const { site_id: id, revision } of unread) {
    await inTransaction(async (db) => {
      const [[version]] = await db.query<RowDataPacket[]>(selectVersionForUpdate, [id, revision])
      if (!version) return
      const named = [...hashesIn(version.document)].map((hash) => [String(id), Number(revision), hash])
      await db.query(deleteNamed, [id, revision])
      if (named.length > 0) await db.query(insertNamed, [named])
      await db.query(updateRead, [id, revision])
    })
  }
  return unread.length
}

/** Drops files and sources that no site, no version and no preset names and that were kept last before a day (YYYY-MM-DD): what was brought and never used. */
export async function dropOrphans(before: string): Promise<number> {
  await noteNamedFiles()
  return withDatabase(async (db) => {
    const [documents] = await db.query<RowDataPacket[]>(selectDocuments)
    const named = new Set(documents.flatMap(({ document }) => [...hashesIn(document)]))
    let dropped = 0
    for (const [select, remove] of [
      [selectOldAssets, deleteAsset],
      [selectOldSources, deleteSource],
    ] as const) {
      const [rows] = await db.query<RowDataPacket[]>(select, [before])
      const orphans = rows.map(({ hash }) => String(hash)).filter((hash) => !named.has(hash))
      if (orphans.length > 0) await db.query(remove, [orphans])
      dropped += orphans.length
    }
    return dropped
    // All sites are read as they are now; that may take its time.
  }, 120_000)
}
