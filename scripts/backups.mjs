// The backups that the start command makes by itself: one a day, seven kept.
import { mkdirSync, readdirSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { say } from './say.mjs'
import { runBeside } from './serve.mjs'

const kept = 7
const hour = 3600 * 1000
const day = 24 * hour
/** How often it is looked whether a day is over, ms. */
const lookMs = 20 * 60 * 1000

/** The name of a backup made now; names sort by time. */
export const backupName = (why) => `${new Date().toISOString().replace(/[:.]/g, '-')}-${why}.glass-moth-backup`

const listed = (folder) => {
  try {
    return readdirSync(folder)
      .filter((name) => name.endsWith('.glass-moth-backup'))
      .sort()
  } catch {
    return []
  }
}

/** The newest backup of a folder, as a path; undefined where there is none. */
export function newestBackup(folder) {
  const last = listed(folder).at(-1)
  return last === undefined ? undefined : join(folder, last)
}

/** Makes a daily backup unless there is one, and lets go of those that are more than seven. Gives whether one was made; rejects when the signal ends it. */
export async function backUpOnce(folder, connection, signal) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  // What was killed while it was written is none; one that is written now is younger.
  for (const name of readdirSync(folder).filter((each) => each.endsWith('.making')))
    if (Date.now() - statSync(join(folder, name)).mtimeMs > hour) rmSync(join(folder, name), { force: true })
  const newest = listed(folder)
    .filter((name) => name.includes('-daily'))
    .at(-1)
  // Whichever way a clock has jumped, a day apart is a day apart.
  if (newest !== undefined && Math.abs(Date.now() - statSync(join(folder, newest)).mtimeMs) < day) return false
  const { status, output } = await runBeside('scripts/backup-from.ts', [join(folder, backupName('daily'))], connection, signal)
  if (status !== 0) {
    say(`The daily backup could not be made. ${output}`)
    return false
  }
  for (const why of ['-daily', '-before-update'])
    for (const name of listed(folder)
      .filter((each) => each.includes(why))
      .slice(0, -kept))
      rmSync(join(folder, name))
  return true
}

/** Keeps making daily backups beside the studio, which does not wait for them. Gives how to stop that. */
export function backUpDaily(folder, connection) {
  const ending = new AbortController()
  let underWay
  const look = () => {
    underWay ??= backUpOnce(folder, connection(), ending.signal)
      .catch((error) => ending.signal.aborted || say(`The daily backup could not be made. ${error.message}`))
      .finally(() => (underWay = undefined))
  }
  look()
  const looking = setInterval(look, lookMs).unref()
  return async () => {
    clearInterval(looking)
    ending.abort()
    await underWay
  }
}
