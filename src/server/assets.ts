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
const insertAssets = (count: number) =>
  `INSERT INTO assets (hash, type, size, bytes) VALUES ${Array(count).fill('(?, ?, ?, ?)').join(', ')} ON DUPLICATE KEY UPDATE kept_at = CURRENT_TIMESTAMP(3)`
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
    if (affectedRows === 0) await db.execute(insertAssets(1), [hash, type, bytes.length, bufferOf(bytes)])
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
/** So many files go in one statement: more of them make it no faster. */
const rowsAtOnce = 20
/** One reads and hands over while the other waits for the disk. */
const writersAtOnce = 2

/** The files in parts of which each goes in one transaction. */
function partsOf(files: readonly HashedFile[]): readonly (readonly HashedFile[])[] {
  const parts: HashedFile[][] = []
  let bytes = 0
  for (const file of files) {
    const last = parts.at(-1)
    bytes += file.bytes.length
    if (last && last.length < mostAtOnce.files && bytes <= mostAtOnce.bytes) last.push(file)
    else {
      parts.push([file])
      bytes = file.bytes.length
    }
  }
  return parts
}

/**
 * Keeps many files; `onKept` hears how many more are kept now, and ends it by what it throws. Those that are there already are not written
 * again.
 */
export async function keepAssets(files: readonly HashedFile[], onKept: (count: number) => void): Promise<void> {
  // Sorted, so that equal files stand in one part, and two parts do not wait for each other's rows.
  const left = [...partsOf(files.toSorted((one, other) => (one.hash < other.hash ? -1 : 1)))]
  const lane = async () => {
    for (let part = left.shift(); part; part = left.shift()) {
      await keepPart([...new Map(part.map((file) => [file.hash, file])).values()])
      onKept(part.length)
    }
  }
  const outcomes = await Promise.allSettled(
    Array.from({ length: writersAtOnce }, () =>
      lane().catch((error: unknown) => {
        left.length = 0
        throw error
      }),
    ),
  )
  // Only once both have ended, so that nothing is written after this.
  for (const outcome of outcomes) if (outcome.status === 'rejected') throw outcome.reason
}

const keepPart = (part: readonly HashedFile[]): Promise<void> =>
  inTransaction(async (db) => {
    const [rows] = await db.query<RowDataPacket[]>(selectKept, [part.map(({ hash }) => hash)])
    const kept = new Set(rows.map(({ hash }) => String(hash)))
    if (kept.size > 0) await db.query(touchAssets, [[...kept]])
    const fresh = part.filter(({ hash }) => !kept.has(hash))
    for (let at = 0; at < fresh.length; at += rowsAtOnce) {
      const some = fresh.slice(at, at + rowsAtOnce)
      await db.execute(
        insertAssets(some.length),
        some.flatMap(({ hash, type, bytes }) => [hash, type, bytes.length, bufferOf(bytes)]),
      )
    }
  })

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
