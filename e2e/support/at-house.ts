// What tests do with a studio that runs: add sites to it, and ask its database.
import { createHash } from 'node:crypto'
import { createConnection } from 'mysql2/promise'
import type { Database } from '../../scripts/database.mjs'

export interface House {
  readonly address: string
  /** Adds a site with a page of this HTML, effects, and more pages by their ids. Gives the address of the first page in the studio. */
  readonly addSite: (id: string, html: string, effects?: readonly unknown[], more?: Readonly<Record<string, string>>) => Promise<string>
  /** Removes the sites that were added, so that home is as it was. */
  readonly clear: () => Promise<void>
  readonly query: (sql: string, values?: readonly (string | number)[]) => Promise<Record<string, unknown>[]>
}

/** The studio at an address, whose database is reached by the connection that is in force when it is asked. */
export function houseAt(address: string, connectionNow: () => Database['connection']): House {
  /** One after another: a socket takes only so many connections at once. */
  let turn: Promise<unknown> = Promise.resolve()
  const ask: House['query'] = async (sql, values = []) => {
    const connection = await createConnection(connectionNow())
    try {
      const [rows] = await connection.query(sql, [...values])
      return rows as Record<string, unknown>[]
    } finally {
      await connection.end()
    }
  }
  const query: House['query'] = (sql, values) => {
    const asked = turn.then(() => ask(sql, values))
    turn = asked.catch(() => undefined)
    return asked
  }
  const added = new Set<string>()
  return {
    address,
    clear: async () => {
      for (const id of added) await query('DELETE FROM sites WHERE id = ?', [id])
      added.clear()
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
      const [taken] = added.has(id) ? [] : await query('SELECT id FROM sites WHERE id = ?', [id])
      if (taken) throw new Error(`Another test has the site "${id}": tests run side by side, so each needs ids of its own.`)
      added.add(id)
      for (const { source, text } of all) await query('INSERT IGNORE INTO page_sources (hash, html) VALUES (?, ?)', [source, text])
      await query('REPLACE INTO sites (id, name, position, revision, document) VALUES (?, ?, 9, 1, ?)', [id, `Site ${id}`, document])
      return `${address}/studio/${id}/page`
    },
  }
}
