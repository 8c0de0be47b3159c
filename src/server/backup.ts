// Backups: everything that the database holds, as gzipped lines of JSON with a check sum, written while the studio runs.
import { createHash } from 'node:crypto'
import { createReadStream, createWriteStream } from 'node:fs'
import { open, rename, rm } from 'node:fs/promises'
import { createInterface } from 'node:readline'
import { Readable, Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { createConnection, type Connection } from 'mysql2'
import type { Connection as PromiseConnection, RowDataPacket } from 'mysql2/promise'
import * as z from 'zod'
import { connectionSettings, pool } from './database'
import { ledger, migrationsIn } from './migrate'

export const backupFormat = 'glass-moth-backup/1'

const headSchema = z.object({
  format: z.literal(backupFormat),
  madeAt: z.string(),
  schema: z.array(z.string()),
  tables: z.record(z.string(), z.array(z.string())),
})
const cellSchema = z.union([z.string(), z.number(), z.null(), z.object({ base64: z.string() }).strict()])
const rowSchema = z.tuple([z.string(), z.array(cellSchema)])
const footSchema = z.object({ rows: z.number().int(), sha256: z.string() })

/** A backup that cannot be taken; the message is one sentence for the person at the terminal. */
export class BackupError extends Error {}

const tableNames = async (db: PromiseConnection): Promise<readonly string[]> => {
  const [rows] = await db.query<RowDataPacket[]>('SHOW TABLES')
  return rows.map((row) => String(Object.values(row)[0])).filter((name) => name !== ledger)
}

/** The lines of a backup, of one moment: whatever is saved meanwhile is not in it. */
async function* linesOf(connection: Connection): AsyncGenerator<string> {
  const db = connection.promise()
  const hash = createHash('sha256')
  const line = (value: unknown) => {
    const text = `${JSON.stringify(value)}\n`
    hash.update(text)
    return text
  }
  await db.query('SET SESSION TRANSACTION ISOLATION LEVEL REPEATABLE READ')
  await db.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY')
  const [applied] = await db.query<RowDataPacket[]>(`SELECT name FROM ${ledger} ORDER BY name`)
  const tables: Record<string, string[]> = {}
  for (const name of await tableNames(db)) {
    const [columns] = await db.query<RowDataPacket[]>('SHOW COLUMNS FROM ??', [name])
    tables[name] = columns.map(({ Field }) => String(Field))
  }
  yield line({ format: backupFormat, madeAt: new Date().toISOString(), schema: applied.map(({ name }) => String(name)), tables })
  let rows = 0
  for (const [name, columns] of Object.entries(tables)) {
    // A row at a time, so that a large database needs no more memory than a small one.
    const stream = connection.query({ sql: 'SELECT ?? FROM ??', values: [columns, name], rowsAsArray: true }).stream({ highWaterMark: 4 })
    for await (const row of stream as AsyncIterable<readonly unknown[]>) {
      rows += 1
      yield line([name, row.map((cell) => (Buffer.isBuffer(cell) ? { base64: cell.toString('base64') } : cell))])
    }
  }
  await db.query('COMMIT')
  yield `${JSON.stringify({ rows, sha256: hash.digest('hex') })}\n`
}

/** Writes a backup of all that the database holds; the file is there when it is whole, or not at all. */
export async function writeBackup(file: string): Promise<void> {
  const db = createConnection({ ...connectionSettings(), dateStrings: true, jsonStrings: true })
  const making = `${file}.making`
  try {
    await pipeline(Readable.from(linesOf(db)), createGzip(), createWriteStream(making, { mode: 0o600 }))
    const made = await open(making, 'r')
    await made.sync()
    await made.close()
    await rename(making, file)
  } catch (error) {
    await rm(making, { force: true })
    throw error
  } finally {
    db.destroy()
  }
}

/** A longer line than this is no row of ours, bytes: the database takes 32 MB at once. */
const longestLine = 100_000_000

/** Hands on what it is given, up to a line that does not end. */
function upToLongestLine(): Transform {
  let length = 0
  return new Transform({
    transform(chunk: Buffer, _, done) {
      const end = chunk.lastIndexOf('\n')
      length = end < 0 ? length + chunk.length : chunk.length - end - 1
      if (length > longestLine) done(new Error('A line is too long.'))
      else done(null, chunk)
    },
  })
}

async function* readLines(file: string): AsyncGenerator<string> {
  const [bytes, text, lines] = [createReadStream(file), createGunzip(), upToLongestLine()]
  bytes.on('error', (error) => text.destroy(error))
  text.on('error', (error) => lines.destroy(error))
  yield* createInterface({ input: bytes.pipe(text).pipe(lines), crlfDelay: Infinity })
}

/** Checks a backup by its own sum. Gives its head. Throws a BackupError for one that is broken, cut off or no backup. */
export async function checkBackup(file: string): Promise<z.infer<typeof headSchema>> {
  const hash = createHash('sha256')
  let head: z.infer<typeof headSchema> | undefined
  let last: string | undefined
  let lines = 0
  try {
    for await (const line of readLines(file)) {
      if (last !== undefined) hash.update(`${last}\n`)
      head ??= headSchema.parse(JSON.parse(line))
      last = line
      lines += 1
    }
  } catch (error) {
    if (error instanceof Error && 'code' in error && error.code === 'ENOENT') throw new BackupError(`There is no file ${file}.`)
    throw new BackupError(`${file} is no backup of Glass Moth, or a damaged one. Nothing was changed.`)
  }
  let foot
  try {
    foot = footSchema.safeParse(JSON.parse(last ?? ''))
  } catch {
    foot = undefined
  }
  if (!head || !foot?.success) throw new BackupError(`${file} is cut off: its end is missing. Nothing was changed.`)
  if (foot.data.rows !== lines - 2 || foot.data.sha256 !== hash.digest('hex'))
    throw new BackupError(`${file} is damaged: its check sum does not match. Nothing was changed.`)
  return head
}

/** More revisions than a site gets between two backups. */
const beyond = 1_000_000

/**
 * Puts a backup in the place of all that the database holds, in one transaction. Throws a BackupError, with nothing changed,
 * for a file that is damaged or was made by a newer version.
 */
export async function restoreBackup(file: string, migrationsFolder: string): Promise<{ readonly madeAt: string; readonly rows: number }> {
  const head = await checkBackup(file)
  const known = new Set(migrationsIn(migrationsFolder))
  if (head.schema.some((name) => !known.has(name)))
    throw new BackupError(`${file} was made by a newer version of Glass Moth. Update first, then restore it. Nothing was changed.`)
  const db = await pool().getConnection()
  try {
    await db.query('SET SESSION FOREIGN_KEY_CHECKS = 0')
    await db.beginTransaction()
    const present = await tableNames(db)
    for (const name of present) await db.query('DELETE FROM ??', [name])
    let rows = 0
    for await (const line of readLines(file)) {
      const row = rowSchema.safeParse(JSON.parse(line))
      if (!row.success) continue
      const [name, cells] = row.data
      const columns = head.tables[name]
      if (!columns || !present.includes(name)) continue
      await db.query('INSERT INTO ?? (??) VALUES (?)', [
        name,
        columns,
        cells.map((cell) => (typeof cell === 'object' && cell !== null ? Buffer.from(cell.base64, 'base64') : cell)),
      ])
      rows += 1
    }
    // Windows that are still open know later revisions; what was restored is newer than all of them.
    await db.query('UPDATE sites SET revision = revision + ?', [beyond])
    await db.commit()
    return { madeAt: head.madeAt, rows }
  } catch (error) {
    await db.rollback().catch(() => undefined)
    throw error
  } finally {
    db.destroy()
  }
}
