// The connection to MariaDB: one pool for the whole server, found through GLASS_MOTH_DB. Nothing waits for it without end.
import { statfsSync } from 'node:fs'
import { dirname } from 'node:path'
import { createPool, type Pool, type PoolConnection } from 'mysql2/promise'
import * as z from 'zod'
import { databaseDown, databaseLocked, diskFull, diskReadOnly } from './problem'

const settingsSchema = z.object({
  socketPath: z.string().optional(),
  host: z.string().optional(),
  port: z.number().optional(),
  user: z.string(),
  password: z.string(),
  database: z.string(),
})

// Next bundles each route for itself, so the pool hangs on the process.
const shared = globalThis as typeof globalThis & { glassMothPool?: Pool }

/** How long some work with the database may take, ms. One that hangs says so by then. */
const patienceMs = 8000

/** How often work is begun again that another transaction stood in the way of. */
const mostTries = 4

/** How the database is reached. Throws an Error when GLASS_MOTH_DB is missing or cannot be read. */
export function connectionSettings() {
  const text = process.env.GLASS_MOTH_DB
  if (!text) throw new Error('GLASS_MOTH_DB is not set; start the studio with npm start.')
  return { ...settingsSchema.parse(JSON.parse(text)), connectTimeout: patienceMs, charset: 'utf8mb4_bin' }
}

/** The pool; made at the first use. Throws an Error when GLASS_MOTH_DB is missing or cannot be read. */
export function pool(): Pool {
  if (shared.glassMothPool) return shared.glassMothPool
  shared.glassMothPool = createPool({ ...connectionSettings(), connectionLimit: 8, multipleStatements: false })
  return shared.glassMothPool
}

const lost = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ETIMEDOUT',
  'EPIPE',
  'ENOENT',
  'PROTOCOL_CONNECTION_LOST',
  'ER_SERVER_SHUTDOWN',
  'ER_NORMAL_SHUTDOWN',
  'ER_CONNECTION_KILLED',
])
const inTheWay = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD'])
const full = new Set(['ER_DISK_FULL', 'ER_RECORD_FILE_FULL', 'ER_TEMP_FILE_WRITE_FAILURE'])
const unwritable = new Set(['ER_OPEN_AS_READONLY', 'ER_CANT_CREATE_FILE', 'ER_READ_ONLY_MODE', 'ER_OPTION_PREVENTS_STATEMENT'])

const codeOf = (error: unknown) => (error instanceof Error && 'code' in error ? String(error.code) : '')
/** What the system said below the database, as its messages quote it: "errno: 28 "No space left on device"". */
const systemSays = (error: unknown, errno: number) =>
  error instanceof Error && new RegExp(`(errno:?|Errcode:|error) ${errno}\\b`, 'i').test(error.message)

/** With less the database stops, bytes. */
const leastRoom = 4 * 1024 * 1024

/** Whether the disk of a database that is reached by its socket has no room left, which is why it is gone. */
function isDiskFull(): boolean {
  const { socketPath } = connectionSettings()
  if (socketPath === undefined) return false
  try {
    const { bavail, bsize } = statfsSync(dirname(socketPath))
    return bavail * bsize < leastRoom
  } catch {
    return false
  }
}

/** An error of the database as the Problem that it is for the designer; anything else as it was. */
export function toldProblem(error: unknown): unknown {
  const code = codeOf(error)
  if (full.has(code) || systemSays(error, 28)) return diskFull()
  if (unwritable.has(code) || systemSays(error, 30) || systemSays(error, 13)) return diskReadOnly()
  if (inTheWay.has(code)) return databaseLocked()
  if (error === late || lost.has(code) || (error instanceof Error && 'fatal' in error && error.fatal === true))
    return isDiskFull() ? diskFull() : databaseDown()
  return error
}

/** Stands for an answer that did not come in time. */
const late = new Error('The database did not answer in time.')

/** The result of some work; throws `late` after so many ms, and does `giveUp` then. */
function withPatience<T>(work: Promise<T>, giveUp: () => void, mostMs = patienceMs): Promise<T> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => {
      giveUp()
      reject(late)
    }, mostMs)
    work.then(resolve, reject).finally(() => clearTimeout(timer))
  })
}

/** Runs `work` with a connection, for so many ms at most; a database that does not answer, and one that cannot write, become problems. */
export async function withDatabase<T>(work: (db: PoolConnection) => Promise<T>, mostMs = patienceMs): Promise<T> {
  try {
    const waiting = pool().getConnection()
    let isLate = false
    // One that comes too late goes back at once.
    const db = await withPatience(waiting, () => (isLate = true)).catch((error: unknown) => {
      if (isLate)
        void waiting.then(
          (each) => each.release(),
          () => undefined,
        )
      throw error
    })
    let isHanging = false
    try {
      return await withPatience(work(db), () => (isHanging = true), mostMs)
    } finally {
      if (isHanging) db.destroy()
      else db.release()
    }
  } catch (error) {
    throw toldProblem(error)
  }
}

/** Runs `work` in one transaction: all of it is kept, or nothing. It is begun again where another one stood in its way. */
export async function inTransaction<T>(work: (db: PoolConnection) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    const outcome = await withDatabase(async (db) => {
      try {
        await db.beginTransaction()
        const result = await work(db)
        await db.commit()
        return { result }
      } catch (error) {
        await db.rollback().catch(() => undefined)
        if (inTheWay.has(codeOf(error)) && tries < mostTries) return undefined
        throw error
      }
    })
    if (outcome) return outcome.result
  }
}
