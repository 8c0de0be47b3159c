// Backup and restore as a designer runs them, with the data folder destroyed in between.
import { spawn, spawnSync } from 'node:child_process'
import { copyFileSync, cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { createConnection, type RowDataPacket } from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { backUpDaily, backUpOnce, newestBackup } from './backups.mjs'
import { moveDataAside, startDatabase, type Connection } from './database.mjs'
import { installMariaDb } from './install.mjs'
import { loadDemo } from './serve.mjs'

const place = mkdtempSync(join(tmpdir(), 'glass-moth-data-'))
const folder = join(place, 'database')
const file = join(place, 'all.glass-moth-backup')
const run = (script: string, ...args: string[]) => {
  const { status, stdout, stderr } = spawnSync(process.execPath, [join(import.meta.dirname, script), ...args], {
    encoding: 'utf8',
    env: { ...process.env, GLASS_MOTH_DATA: folder },
  })
  return { status, output: stdout + stderr }
}
const ask = async (connection: Connection, sql: string) => {
  const db = await createConnection(connection)
  const [rows] = await db.query<RowDataPacket[]>(sql)
  await db.end()
  return rows
}

beforeAll(async () => {
  const database = await startDatabase({ program: installMariaDb(), folder })
  loadDemo(database.connection)
  await ask(database.connection, "UPDATE sites SET name = 'Kept in a backup' WHERE id = 'starters'")
  await database.stop()
})
afterAll(() => rmSync(place, { recursive: true, force: true }))

describe('a backup', () => {
  it('is made into a file, and replaces none', () => {
    expect(run('backup.mjs', file)).toMatchObject({ status: 0 })
    expect(existsSync(file)).toBe(true)
    expect(run('backup.mjs', file).output).toContain('is there already; it was not replaced')
    expect(run('backup.mjs').output).toContain('Say where to: npm run backup -- FILE')
  })

  it('brings everything back after the data folder was destroyed', async () => {
    rmSync(join(folder, 'data'), { recursive: true })
    const { status, output } = run('restore.mjs', file)
    expect([status, output]).toEqual([0, expect.stringMatching(/Restored \d+ rows as they were at/)])
    const database = await startDatabase({ program: installMariaDb(), folder })
    expect(await ask(database.connection, "SELECT name FROM sites WHERE id = 'starters'")).toEqual([{ name: 'Kept in a backup' }])
    expect((await ask(database.connection, 'SELECT COUNT(*) AS pages FROM page_sources'))[0]?.pages).toBeGreaterThan(3)
    await database.stop()
  })

  it('that is damaged moves nothing; a good one moves what was there aside', () => {
    const broken = join(place, 'broken')
    writeFileSync(broken, 'not a backup')
    expect(run('restore.mjs', broken)).toMatchObject({ status: 1, output: expect.stringContaining('is no backup of Glass Moth') as string })
    const endless = join(place, 'endless')
    writeFileSync(endless, gzipSync(Buffer.alloc(130_000_000, 'x'), { level: 1 }))
    const { status, output } = run('restore.mjs', endless)
    expect([status, output.trim()]).toEqual([1, `${endless} is no backup of Glass Moth, or a damaged one. Nothing was changed.`])
    expect(readdirSync(folder).filter((name) => name.startsWith('data.aside-'))).toEqual([])
    expect(run('restore.mjs', file).output).toContain('What was there before is now in')
    expect(readdirSync(folder).filter((name) => name.startsWith('data.aside-'))).toHaveLength(1)
  })

  it('of which the restore is killed changes nothing, or is brought to its end by the next start', async () => {
    const names = async () => {
      const database = await startDatabase({ program: installMariaDb(), folder })
      const rows = await ask(database.connection, "SELECT name FROM sites WHERE id = 'starters'")
      await database.stop()
      return rows
    }
    const asides = () => readdirSync(folder).filter((name) => name.startsWith('data.aside-')).length
    const before = asides()
    const restoring = join(folder, 'restoring')
    const child = spawn(process.execPath, [join(import.meta.dirname, 'restore.mjs'), file], {
      stdio: 'ignore',
      env: { ...process.env, GLASS_MOTH_DATA: folder },
    })
    await vi.waitFor(() => expect(existsSync(join(restoring, 'data'))).toBe(true), { timeout: 40_000, interval: 20 })
    await expect(startDatabase({ program: installMariaDb(), folder })).rejects.toThrow('A backup is being restored')
    child.kill('SIGKILL')
    await new Promise((resolve) => child.once('exit', resolve))
    expect(await names()).toEqual([{ name: 'Kept in a backup' }])
    expect([existsSync(restoring), asides()]).toEqual([false, before])
    // One that was whole, and had not changed over yet; or had moved away what was there before, and nothing else.
    for (const isMoved of [false, true]) {
      mkdirSync(restoring)
      cpSync(join(folder, 'data'), join(restoring, 'data'), { recursive: true })
      copyFileSync(join(folder, 'system-files.json'), join(restoring, 'system-files.json'))
      writeFileSync(join(restoring, 'whole'), '')
      if (isMoved) moveDataAside(folder)
      expect(await names()).toEqual([{ name: 'Kept in a backup' }])
      expect(existsSync(restoring)).toBe(false)
    }
    expect(asides()).toBe(before + 2)
  }, 240_000)

  it('is made once a day by itself, and seven are kept', async () => {
    const backups = join(place, 'daily')
    const database = await startDatabase({ program: installMariaDb(), folder })
    expect(run('restore.mjs', file).output).toContain('The studio runs with this data now. Stop it first')
    const ofDaysAgo = (days: number, from: string, name: string) => {
      const at = new Date(Date.now() - days * 25 * 3600_000)
      copyFileSync(from, join(backups, name))
      utimesSync(join(backups, name), at, at)
    }
    expect(await backUpOnce(backups, database.connection)).toBe(true)
    const first = newestBackup(backups) ?? ''
    expect(await backUpOnce(backups, database.connection)).toBe(false)
    // Nine days go by, with a backup on each.
    const names = Array.from({ length: 9 }, (_, i) => `2026-01-0${i + 1}T00-00-00-000Z-daily.glass-moth-backup`)
    for (const [i, name] of names.entries()) ofDaysAgo(9 - i, first, name)
    ofDaysAgo(1, first, 'killed-daily.glass-moth-backup.making')
    rmSync(first)
    expect(await backUpOnce(backups, database.connection)).toBe(true)
    expect(readdirSync(backups).sort().slice(0, 6)).toEqual(names.slice(3))
    expect(readdirSync(backups)).toHaveLength(7)
    // It is made beside the studio, and ends with it, without a word and without a half of one.
    const others = join(place, 'ended')
    const said = vi.spyOn(console, 'log')
    await backUpDaily(others, () => database.connection)()
    expect([readdirSync(others).filter((name) => name.endsWith('backup')), said.mock.calls]).toEqual([[], []])
    await database.stop()
  }, 120_000)
})
