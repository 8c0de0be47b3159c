// The schema: applied once, resumed where it was cut short, and reached from every earlier one; no account is open.
import type { RowDataPacket } from 'mysql2/promise'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterAll, beforeEach, describe, expect, it } from 'vitest'
import { readAsset } from './assets'
import { pool } from './database'
import { migrate, migrationsIn, statementsOf } from './migrate'
import { listRemoved, readPage } from './sites'
import { listVersions } from './versions'

const folder = join(import.meta.dirname, 'migrations')
const dumps = join(folder, 'dumps')

const clear = async () => {
  const db = await pool().getConnection()
  await db.query('SET SESSION FOREIGN_KEY_CHECKS = 0')
  const [tables] = await db.query<RowDataPacket[]>('SHOW TABLES')
  for (const row of tables) await db.query('DROP TABLE ??', [Object.values(row)[0]])
  db.destroy()
}
const load = async (sql: string) => {
  const db = await pool().getConnection()
  for (const statement of sql.replace(/^--.*$/gm, '').split(/;\n/)) if (statement.trim() !== '') await db.query(statement)
  db.destroy()
}
const shape = async () => {
  const [columns] = await pool().query<RowDataPacket[]>(
    'SELECT table_name, column_name, column_type, is_nullable FROM information_schema.columns WHERE table_schema = DATABASE() ORDER BY 1, 2',
  )
  return columns.map((column) => Object.values(column).join(' '))
}

beforeEach(clear)
afterAll(async () => {
  await clear()
  await pool().end()
})

describe('migrations', () => {
  it('are applied once, each', async () => {
    const all = migrationsIn(folder)
    expect(await migrate(folder)).toEqual(all)
    expect(await migrate(folder)).toEqual([])
  })

  it('reach the same schema when any of them was cut short after any statement', async () => {
    await migrate(folder)
    const whole = await shape()
    for (const cut of migrationsIn(folder)) {
      const statements = statementsOf(readFileSync(join(folder, cut), 'utf8'))
      for (let done = 1; done <= statements.length; done++) {
        await clear()
        for (const file of migrationsIn(folder).filter((name) => name < cut))
          for (const statement of statementsOf(readFileSync(join(folder, file), 'utf8'))) await pool().query(statement)
        for (const statement of statements.slice(0, done)) await pool().query(statement)
        await migrate(folder)
        expect(await shape()).toEqual(whole)
      }
    }
  })

  it('wait for each other: of two starts at once one does the work', async () => {
    const done = await Promise.all([migrate(folder), migrate(folder)])
    expect(done.map(({ length }) => length).sort()).toEqual([0, migrationsIn(folder).length])
  })

  it.each(readdirSync(dumps).map((file) => [file]))(
    'bring a database of an earlier time (%s) to now, with all that it held',
    async (file) => {
      await load(readFileSync(join(dumps, file), 'utf8'))
      let backups = 0
      await migrate(folder, () => Promise.resolve(void (backups += 1)))
      expect(backups).toBe(1)
      const { site, html } = await readPage('kept', 'page')
      expect([site.name, site.effects[0]?.kind, html.includes('A card')]).toEqual(['Kept site', 'tilt', true])
      expect((await listVersions('kept')).map(({ revision }) => revision)).toEqual([2, 1])
      if (file >= 'after-002')
        expect((await readAsset('9a4487ccbedf68e53bfd4feff149a0fb4e7c47af7ebcdd80db1984dc5cf5abdf')).bytes.toString()).toBe('a {}')
      if (file >= 'after-003') expect((await listRemoved()).map(({ name }) => name)).toEqual(['Removed site'])
    },
  )
})
