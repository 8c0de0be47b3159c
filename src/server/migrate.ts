// Brings the database to the newest schema: numbered .sql files, each applied once, in order. Every statement in them may be
// repeated, so one that was cut short is applied again from its beginning.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { RowDataPacket } from 'mysql2/promise'
import { pool } from './database'

export const ledger = 'schema_migrations'
const createLedger = `CREATE TABLE IF NOT EXISTS ${ledger} (name VARCHAR(100) NOT NULL PRIMARY KEY, applied_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3))`
const selectApplied = `SELECT name FROM ${ledger}`
const insertApplied = `INSERT INTO ${ledger} (name) VALUES (?)`
// One at a time: a second start waits for the first. A lock of a connection that is gone is free.
const lock = "SELECT GET_LOCK('glass_moth_migrations', 60) AS got"
const unlock = "DO RELEASE_LOCK('glass_moth_migrations')"

/** The migrations of a folder by name, in order. */
export const migrationsIn = (folder: string): readonly string[] =>
  readdirSync(folder)
    .filter((file) => /^\d{3}_.*\.sql$/.test(file))
    .sort()

/** The statements of a migration. */
export const statementsOf = (text: string): readonly string[] =>
  text
    .replace(/^--.*$/gm, '')
    .split(/;\s*$/m)
    .filter((statement) => statement.trim() !== '')

/**
 * Applies the migrations in `folder` that were not applied yet, and gives their names. `beforeFirst` runs before anything is
 * changed in a database that holds something. Throws an Error when another start holds the lock for a minute.
 */
export async function migrate(folder: string, beforeFirst?: () => Promise<void>): Promise<readonly string[]> {
  const db = await pool().getConnection()
  try {
    const [[held]] = await db.query<RowDataPacket[]>(lock)
    if (Number(held?.got) !== 1) throw new Error('Another start is changing the database; try again in a minute.')
    await db.query(createLedger)
    const [rows] = await db.query<RowDataPacket[]>(selectApplied)
    const applied = new Set(rows.map(({ name }) => String(name)))
    const missing = migrationsIn(folder).filter((file) => !applied.has(file))
    if (missing.length > 0 && applied.size > 0) await beforeFirst?.()
    for (const file of missing) {
      for (const statement of statementsOf(readFileSync(join(folder, file), 'utf8'))) await db.query(statement)
      await db.query(insertApplied, [file])
    }
    return missing
  } finally {
    await db.query(unlock).catch(() => undefined)
    db.release()
  }
}
