// What is old goes: removed sites and pages after 30 days, files that nobody names after one. The calendar alone decides nothing:
// a clock that jumps ahead would take everything. So the days on which a studio ran are written down, and several of them
// must lie past a date before what waits for it goes.
import type { RowDataPacket } from 'mysql2/promise'
import { binDays, type Site } from '../core/site/site'
import { withDatabase } from './database'
import { dropOrphans } from './assets'
import { changeSite } from './saving'
import { listSites } from './sites'

const deleteFuture = 'DELETE FROM run_days WHERE day > CURRENT_DATE'
const insertToday = 'INSERT IGNORE INTO run_days (day) VALUES (CURRENT_DATE)'
const selectDays = "SELECT DATE_FORMAT(day, '%Y-%m-%d') AS day FROM run_days ORDER BY day DESC LIMIT ?"
const selectRemoved = 'SELECT id FROM sites WHERE removed_at < ?'
const deleteSites = 'DELETE FROM sites WHERE id IN (?)'

/** On how many days the studio must have run since something was due. */
const agreeingDays = 3

/** Writes today down. Gives the day before which things are past doubt, as YYYY-MM-DD; undefined while too few days are known. */
export async function markToday(): Promise<string | undefined> {
  return withDatabase(async (db) => {
    // Days that are yet to come were written down while the clock was wrong.
    await db.query(deleteFuture)
    await db.query(insertToday)
    const [rows] = await db.query<RowDataPacket[]>(selectDays, [agreeingDays])
    return rows.length < agreeingDays ? undefined : String(rows[agreeingDays - 1]?.day)
  })
}

const daysBefore = (day: string, days: number) =>
  new Date(Date.parse(`${day}T00:00:00Z`) - days * 24 * 3600 * 1000).toISOString().slice(0, 10)

/** The site without pages that were put into the bin before a day (YYYY-MM-DD). */
export function withoutOldBin(site: Site, before: string): Site {
  if (!site.bin) return site
  return { ...site, bin: site.bin.filter(({ removedAt }) => removedAt.slice(0, 10) >= before) }
}

/** Drops what is past its time. Gives how much that was. */
export async function keepHouse(): Promise<{ readonly sites: number; readonly pages: number; readonly files: number }> {
  const certain = await markToday()
  if (certain === undefined) return { sites: 0, pages: 0, files: 0 }
  const due = daysBefore(certain, binDays)
  const removed = await withDatabase(async (db) => {
    const [rows] = await db.query<RowDataPacket[]>(selectRemoved, [due])
    const ids = rows.map(({ id }) => String(id))
    if (ids.length > 0) await db.query(deleteSites, [ids])
    return ids.length
  })
  let pages = 0
  for (const stored of await listSites()) {
    if (!('site' in stored) || !stored.site.bin?.some(({ removedAt }) => removedAt.slice(0, 10) < due)) continue
    pages += stored.site.bin.length - (withoutOldBin(stored.site, due).bin?.length ?? 0)
    await changeSite(stored.id, 'Emptying the bin', (site) => withoutOldBin(site, due))
  }
  return { sites: removed, pages, files: await dropOrphans(daysBefore(certain, 1)) }
}
