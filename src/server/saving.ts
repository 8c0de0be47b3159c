// Saving: the edits of a window, each once and in order, on what the site is by then; and the versions that come of it.
import type { PoolConnection, RowDataPacket } from 'mysql2/promise'
import * as z from 'zod'
import { diff, isSame } from '../core/site/patch'
import { editsRefused, entrySchema, takeEntries, type Taken } from '../core/site/journal'
import { checkSite } from '../core/site/check-site'
import { describeIssues } from '../core/site/issues'
import type { Site } from '../core/site/site'
import { goesOn, tellDone, versionsToDrop } from '../core/site/versions'
import { inTransaction, withDatabase } from './database'
import { tellNews } from './news'
import { Problem } from './problem'
import { holdSite, siteOfRow, writeSite, type StoredSite } from './sites'

const selectLast = 'SELECT last_number FROM site_windows WHERE site_id = ? AND window_id = ? FOR UPDATE'
const replaceLast =
  'INSERT INTO site_windows (site_id, window_id, last_number) VALUES (?, ?, ?) ON DUPLICATE KEY UPDATE last_number = VALUES(last_number), saved_at = CURRENT_TIMESTAMP(3)'
const selectNewest =
  'SELECT revision, UNIX_TIMESTAMP(began_at) * 1000 AS began_at, UNIX_TIMESTAMP(saved_at) * 1000 AS saved_at, window_id, name, done, UNIX_TIMESTAMP(CURRENT_TIMESTAMP(3)) * 1000 AS now FROM site_revisions WHERE site_id = ? ORDER BY revision DESC LIMIT 1'
const updateVersion =
  'UPDATE site_revisions SET revision = ?, document = ?, done = ?, saved_at = CURRENT_TIMESTAMP(3) WHERE site_id = ? AND revision = ?'
const insertVersion = 'INSERT INTO site_revisions (site_id, revision, document, window_id, done) VALUES (?, ?, ?, ?, ?)'
const selectAges = 'SELECT revision, UNIX_TIMESTAMP(saved_at) * 1000 AS saved_at, name FROM site_revisions WHERE site_id = ?'
const deleteVersions = 'DELETE FROM site_revisions WHERE site_id = ? AND revision IN (?)'
const selectState =
  'SELECT s.id, s.name, s.revision, s.document, w.window_id, w.last_number FROM sites s LEFT JOIN site_windows w ON w.site_id = s.id AND w.window_id IN (?) WHERE s.id = ?'

const windowSchema = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/)
const editsSchema = z.object({ window: windowSchema, revision: z.number().int().min(0), entries: z.array(entrySchema).min(1).max(200) })

export interface Saved extends Omit<Taken, 'site' | 'done' | 'isAsSent'> {
  readonly revision: number
  /** The site as it is now, where it is more than what the window knew with its own edits on top. */
  readonly site: Site | undefined
}

/** Statuses of problems that are the same however often these very edits are sent. */
const final = [400, 413, 422]

/** Does what saves edits; a problem that will always be the same says so by its type. */
export async function orRefused<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work()
  } catch (error) {
    if (!(error instanceof Problem) || !final.includes(error.status)) throw error
    throw new Problem(error.status, error.title, error.detail, { ...error.extra, type: editsRefused })
  }
}

/**
 * Saves the edits of a window, which it says as JSON: those that are saved already are passed over. Throws a Problem: 404 when
 * the site is gone, 422 when what was sent is no list of edits; an edit that leaves no valid site is left out, and told.
 */
export async function saveEdits(id: string, sent: unknown): Promise<Saved> {
  const checked = editsSchema.safeParse(sent)
  if (!checked.success) throw new Problem(422, 'These are no edits', `What was sent is no list of edits. ${describeIssues(checked.error)}`)
  const { window, revision: known, entries } = checked.data
  const { saved, clashes } = await inTransaction(async (db) => {
    const stored = await holdSite(db, id)
    const [[row]] = await db.query<RowDataPacket[]>(selectLast, [id, window])
    const taken = takeEntries(stored.site, Number(row?.last_number ?? 0), entries)
    const isChanged = !isSame(taken.site, stored.site)
    const next: StoredSite = { id, revision: stored.revision + (isChanged ? 1 : 0), site: taken.site }
    if (isChanged) {
      await keepVersion(db, next, await writeSite(db, next), { window, done: taken.done, isApart: taken.clashes.length > 0 })
    }
    if (taken.last > Number(row?.last_number ?? 0)) await db.query(replaceLast, [id, window, taken.last])
    const isAsExpected = stored.revision === known && taken.isAsSent && taken.clashes.length === 0 && taken.done.length === entries.length
    return {
      saved: {
        revision: next.revision,
        last: taken.last,
        site: isAsExpected ? undefined : next.site,
        clashes: taken.clashes,
        refusals: taken.refusals,
      },
      clashes: taken.clashes,
    }
  })
  tellNews({ site: id, revision: saved.revision, window, last: saved.last, clashes })
  return saved
}

/** Changes a site from outside of its windows, as home does. Throws a Problem: 404 when it is gone, 422 when it would be none. */
export async function changeSite(id: string, words: string, change: (site: Site) => Site): Promise<void> {
  const revision = await inTransaction(async (db) => {
    const stored = await holdSite(db, id)
    const checked = checkSite(change(stored.site))
    if ('reason' in checked) throw new Problem(422, 'This cannot be saved', checked.reason)
    if (diff(stored.site, checked.site).length === 0) return stored.revision
    const next = { id, revision: stored.revision + 1, site: checked.site }
    await keepVersion(db, next, await writeSite(db, next), { window: '', done: [words], isApart: false })
    return next.revision
  })
  tellNews({ site: id, revision, window: '', last: 0, clashes: [] })
}

interface Work {
  readonly window: string
  readonly done: readonly string[]
  /** Whether it must not be taken together with what was there before, since that would be lost. */
  readonly isApart: boolean
}

/** Writes a version down, by the document's text: the last one goes on while the same window works without a pause. */
async function keepVersion(db: PoolConnection, { id, revision }: StoredSite, text: string, { window, done, isApart }: Work): Promise<void> {
  const [[last]] = await db.query<RowDataPacket[]>(selectNewest, [id])
  const now = Number(last?.now ?? 0)
  if (
    last &&
    !isApart &&
    goesOn(
      {
        beganAt: Number(last.began_at),
        savedAt: Number(last.saved_at),
        window: last.window_id === null ? null : String(last.window_id),
        name: last.name === null ? null : String(last.name),
      },
      window,
      now,
    )
  ) {
    await db.query(updateVersion, [revision, text, tellDone(String(last.done), done), id, last.revision])
    return
  }
  await db.query(insertVersion, [id, revision, text, window, tellDone('', done)])
  const [ages] = await db.query<RowDataPacket[]>(selectAges, [id])
  const old = versionsToDrop(
    ages.map((each) => ({
      revision: Number(each.revision),
      savedAt: Number(each.saved_at),
      name: each.name === null ? null : String(each.name),
    })),
    now,
  )
  if (old.length > 0) await db.query(deleteVersions, [id, old])
}

/** A site with the last number that is saved of each of these windows, all of one moment. Throws a Problem: 404 when there is none, 409 when it cannot be read. */
export async function readState(
  id: string,
  windows: readonly string[],
): Promise<{ readonly revision: number; readonly site: Site; readonly lasts: Readonly<Record<string, number>> }> {
  const [rows] = await withDatabase((db) => db.query<RowDataPacket[]>(selectState, [windows.length > 0 ? windows : [''], id]))
  const { revision, site } = siteOfRow(rows[0])
  return {
    revision,
    site,
    lasts: Object.fromEntries(
      rows.flatMap(({ window_id: window, last_number: last }) => (window === null ? [] : [[String(window), Number(last)]])),
    ),
  }
}
