// Programs that the commands start: written down as soon as they run, so that what was left behind by a killed start is recognised and ended.
import { execFileSync } from 'node:child_process'
import { existsSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/** How long a program may take to end by itself, ms; then it is killed. */
const patienceMs = 30_000

/** Asks a program to end, and resolves when it has; at once when it already did. */
export function endProgram(child) {
  return new Promise((resolve) => {
    if (child.pid === undefined || child.exitCode !== null || child.signalCode !== null) return resolve()
    const last = setTimeout(() => child.kill('SIGKILL'), patienceMs)
    child.once('exit', () => {
      clearTimeout(last)
      resolve()
    })
    child.kill('SIGTERM')
  })
}

/** What tells a process from a later one of the same number: when it began. Undefined where there is no such process. */
function beginningOf(pid) {
  try {
    if (existsSync('/proc/self/stat')) {
      const fields = readFileSync(`/proc/${pid}/stat`, 'utf8')
        .replace(/^.*\) /s, '')
        .split(' ')
      // A zombie has ended; it only waits for its parent to hear of it.
      return fields[0] === 'Z' ? undefined : fields[19]
    }
    return execFileSync('ps', ['-o', 'lstart=', '-p', String(pid)], { encoding: 'utf8' }).trim() || undefined
  } catch {
    return undefined
  }
}

/** A process as it is written down. */
export const recordOf = (pid) => ({ pid, began: beginningOf(pid) })

/** Whether a process that was written down still runs, and is no other one of its number. */
export const isRunning = (record) => Number.isInteger(record?.pid) && record.began !== undefined && beginningOf(record.pid) === record.began

/** Reads what was written down; undefined where there is nothing or it cannot be read. */
export function readRecord(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return undefined
  }
}

/** Writes it down whole or not at all. */
export function writeRecord(file, record) {
  writeFileSync(`${file}.new`, JSON.stringify(record), { mode: 0o600 })
  renameSync(`${file}.new`, file)
}

export const dropRecord = (file) => rmSync(file, { force: true })

/** The processes whose command line has an argument that begins so; none where the system does not tell. */
export function processesWith(argument) {
  if (!existsSync('/proc/self/cmdline')) return []
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name) && Number(name) !== process.pid)
    .flatMap((name) => {
      try {
        return readFileSync(`/proc/${name}/cmdline`, 'utf8')
          .split('\0')
          .some((each) => each.startsWith(argument))
          ? [recordOf(Number(name))]
          : []
      } catch {
        return []
      }
    })
    .filter(isRunning)
}

/** Ends a process of an earlier run: asked first, killed when it does not hear. */
export async function endOrphan(record) {
  const signal = (name) => {
    try {
      process.kill(record.pid, name)
    } catch {
      // It ended meanwhile.
    }
  }
  signal('SIGTERM')
  // A stopped process does not hear until it goes on.
  signal('SIGCONT')
  for (let waited = 0; isRunning(record) && waited < patienceMs; waited += 50) await new Promise((resolve) => setTimeout(resolve, 50))
  if (isRunning(record)) signal('SIGKILL')
  while (isRunning(record)) await new Promise((resolve) => setTimeout(resolve, 20))
}

/** The process that started `folder`'s programs and still runs, unless it is this one. */
export function otherSupervisor(folder) {
  const supervisor = readRecord(join(folder, 'running.json'))?.supervisor
  return isRunning(supervisor) && supervisor.pid !== process.pid ? supervisor.pid : undefined
}
