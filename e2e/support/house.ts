// A studio of the tests' own: a database in a temporary folder and the built server in front of it.
import { expect, test as base, type Page } from '@playwright/test'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createConnection } from 'mysql2/promise'
import { createHash } from 'node:crypto'
import { freePort, startDatabase, type Database } from '../../scripts/database.mjs'
import { installMariaDb } from '../../scripts/install.mjs'
import { loadDemo, startStudio } from '../../scripts/serve.mjs'

export interface House {
  readonly address: string
  readonly stopDatabase: () => Promise<void>
  readonly startDatabase: () => Promise<void>
  readonly restartAll: () => Promise<void>
  /** A new site with one page of this HTML, and effects; gives the address of its studio. */
  /** Adds a site with a page, and with more pages by their ids. Gives the address of the first one in the studio. */
  readonly addSite: (id: string, html: string, effects?: readonly unknown[], more?: Readonly<Record<string, string>>) => Promise<string>
  readonly query: (sql: string, values?: readonly (string | number)[]) => Promise<Record<string, unknown>[]>
}

/** Serves the demo from this database; ends the database too when that cannot be done. */
async function loadAndServe(database: Database, port: number) {
  try {
    loadDemo(database.connection)
    return await startStudio({ port, connection: database.connection })
  } catch (error) {
    await database.stop()
    throw error
  }
}

export async function openHouse(): Promise<House & { close: () => Promise<void> }> {
  const folder = mkdtempSync(join(tmpdir(), 'glass-moth-e2e-'))
  const program = installMariaDb()
  let database: Database = await startDatabase({ program, folder })
  const port = await freePort()
  let studio = await loadAndServe(database, port)
  const start = async () => {
    database = await startDatabase({ program, folder, port: database.connection.port })
  }
  /** One after another: a socket takes only so many connections at once. */
  let turn: Promise<unknown> = Promise.resolve()
  const query: House['query'] = (sql, values) => {
    const asked = turn.then(() => ask(sql, values))
    turn = asked.catch(() => undefined)
    return asked
  }
  const ask: House['query'] = async (sql, values = []) => {
    const connection = await createConnection(database.connection)
    try {
      const [rows] = await connection.query(sql, [...values])
      return rows as Record<string, unknown>[]
    } finally {
      await connection.end()
    }
  }
  return {
    address: studio.address,
    stopDatabase: () => database.stop(),
    startDatabase: start,
    restartAll: async () => {
      await studio.stop()
      await database.stop()
      await start()
      studio = await startStudio({ port, connection: database.connection })
    },
    query,
    addSite: async (id, html, effects = [], more = {}) => {
      const all = Object.entries({ page: html, ...more }).map(([page, text]) => ({
        page,
        text,
        source: createHash('sha256').update(text).digest('hex'),
      }))
      const document = JSON.stringify({
        format: 'glass-moth/2',
        name: `Site ${id}`,
        pages: all.map(({ page, source }) => ({ id: page, name: page === 'page' ? 'A page' : `The page ${page}`, source })),
        effects,
      })
      for (const { source, text } of all) await query('INSERT IGNORE INTO page_sources (hash, html) VALUES (?, ?)', [source, text])
      await query('REPLACE INTO sites (id, name, position, revision, document) VALUES (?, ?, 9, 1, ?)', [id, `Site ${id}`, document])
      return `${studio.address}/studio/${id}/page`
    },
    close: async () => {
      await studio.stop()
      await database.stop()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

export const test = base.extend<{ quiet: undefined }, { house: House }>({
  house: [
    async ({}, use) => {
      const house = await openHouse()
      await use(house)
      await house.close()
    },
    { scope: 'worker', timeout: 240_000 },
  ],
  // No page of ours may throw, whatever a test does with it.
  quiet: [
    async ({ page }: { page: Page }, use: (value: undefined) => Promise<void>) => {
      const errors: string[] = []
      page.on('pageerror', (error) => errors.push(error.message))
      await use(undefined)
      if (errors.length > 0) throw new Error(`The page threw: ${errors.join('; ')}`)
    },
    { auto: true },
  ],
})

/** A document that is being left answers nothing: the one that follows is asked. */
async function pastLeaving<T>(ask: () => T | Promise<T>): Promise<T> {
  for (const end = Date.now() + 20_000; ;)
    try {
      return await ask()
    } catch (error) {
      if (!/context was destroyed|frame (was|got) detached/i.test(String(error)) || Date.now() > end) throw error
      await new Promise((resolve) => setTimeout(resolve, 40))
    }
}

/** Asks again and again, often, until what is expected holds. */
export const eventually = <T>(ask: () => T | Promise<T>) => expect.poll(() => pastLeaving(ask), { intervals: [40] })

export { expect }
