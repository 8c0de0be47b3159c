// The connection to MariaDB: one pool for the whole server, found through GLASS_MOTH_DB.
import { createPool, type Pool, type PoolConnection } from 'mysql2/promise'
import * as z from 'zod'
import { databaseDown } from './problem'

const settingsSchema = z.object({ host: z.string(), port: z.number(), user: z.string(), password: z.string(), database: z.string() })

// Next bundles each route for itself, so the pool hangs on the process.
const shared = globalThis as typeof globalThis & { glassMothPool?: Pool }

/** The pool; made at the first use. Throws an Error when GLASS_MOTH_DB is missing or cannot be read. */
export function pool(): Pool {
  if (shared.glassMothPool) return shared.glassMothPool
  const text = process.env.GLASS_MOTH_DB
  if (!text) throw new Error('GLASS_MOTH_DB is not set; start the studio with npm start.')
  const settings = settingsSchema.parse(JSON.parse(text))
  shared.glassMothPool = createPool({ ...settings, connectionLimit: 8, connectTimeout: 2000, multipleStatements: false, charset: 'utf8mb4_bin' })
  return shared.glassMothPool
}

const lost = new Set(['ECONNREFUSED', 'ECONNRESET', 'ETIMEDOUT', 'EPIPE', 'PROTOCOL_CONNECTION_LOST', 'ER_SERVER_SHUTDOWN', 'ER_NORMAL_SHUTDOWN', 'ER_CONNECTION_KILLED'])

/** Whether an error says that the database cannot be reached. */
export function isLostConnection(error: unknown): boolean {
  return error instanceof Error && 'code' in error && (lost.has(String(error.code)) || ('fatal' in error && error.fatal === true))
}

/** Runs `work` with the pool; a database that does not answer becomes a 503 problem. */
export async function withDatabase<T>(work: (db: Pool) => Promise<T>): Promise<T> {
  try {
    return await work(pool())
  } catch (error) {
    throw isLostConnection(error) ? databaseDown() : error
  }
}

/** Runs `work` in one transaction: all of it is kept, or nothing. */
export async function inTransaction<T>(work: (db: PoolConnection) => Promise<T>): Promise<T> {
  return withDatabase(async (db) => {
    const connection = await db.getConnection()
    try {
      await connection.beginTransaction()
      const result = await work(connection)
      await connection.commit()
      return result
    } catch (error) {
      await connection.rollback().catch(() => undefined)
      throw error
    } finally {
      connection.release()
    }
  })
}
