// Brings the database to the newest schema: numbered .sql files, each applied once, in order.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { RowDataPacket } from 'mysql2/promise'
import { pool } from './database'

const createLedger = 'CREATE TABLE IF NOT EXISTS schema_migrations (name VARCHAR(100) NOT NULL PRIMARY KEY, applied_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3))'
const selectApplied = 'SELECT name FROM schema_migrations'
const insertApplied = 'INSERT INTO schema_migrations (name) VALUES (?)'

/** Applies the migrations in `folder` that were not applied yet. Gives their names. */
export async function migrate(folder: string): Promise<readonly string[]> {
  const db = await pool().getConnection()
  try {
    await db.query(createLedger)
    const [rows] = await db.query<RowDataPacket[]>(selectApplied)
    const applied = new Set(rows.map(({ name }) => String(name)))
    const missing = readdirSync(folder).filter((file) => /^\d{3}_.*\.sql$/.test(file) && !applied.has(file)).sort()
    for (const file of missing) {
      const statements = readFileSync(join(folder, file), 'utf8').replace(/^--.*$/gm, '').split(/;\s*$/m)
      for (const statement of statements) if (statement.trim() !== '') await db.query(statement)
      await db.query(insertApplied, [file])
    }
    return missing
  } finally {
    db.release()
  }
}
