// A private MariaDB server: its own data folder, reached by a socket that only its owner can open, with an account of its own.
import { spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { chmodSync, copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join, resolve } from 'node:path'
import {
  dropRecord,
  endOrphan,
  endProgram,
  isRunning,
  otherSupervisor,
  processesWith,
  readRecord,
  recordOf,
  writeRecord,
} from './programs.mjs'
import { Obstacle, say } from './say.mjs'

const databaseName = 'glass_moth'
const account = 'glass_moth'
const systemTables = [
  'mysql_system_tables.sql',
  'mysql_performance_tables.sql',
  'mysql_system_tables_data.sql',
  'maria_add_gis_sp_bootstrap.sql',
]

/** A TCP port on loopback that nobody listens on at this moment. */
export function freePort() {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })
}

const asRoot = () => (process.getuid?.() === 0 ? ['--user=root'] : [])

function lastErrorLine(logFile) {
  if (!existsSync(logFile)) return 'it left no log'
  const lines = readFileSync(logFile, 'utf8').trim().split('\n')
  return (
    [...lines]
      .reverse()
      .find((line) => line.includes('[ERROR]'))
      ?.replace(/^.*\[ERROR\] /, '')
      .replace(/\.$/, '') ??
    lines.at(-1) ??
    'it left no log'
  )
}

/** Where the parts of a database folder are. */
const placesIn = (folder) => ({
  data: join(folder, 'data'),
  log: join(folder, 'mariadb.log'),
  password: join(folder, 'password'),
  accounts: join(folder, 'accounts.sql'),
  socket: join(folder, 'mariadb.sock'),
  /** What the system tables consist of, so that a missing file is found before the server trips over it. */
  systemFiles: join(folder, 'system-files.json'),
  /** Its temporary tables. A server that starts removes those of all others from the folder that they share. */
  temporary: join(folder, 'temporary'),
  /** A folder in which nothing is ever read or written by statements. */
  noFiles: join(folder, 'no-files'),
  running: join(folder, 'running.json'),
  /** Where a restore makes the data that are to take the place of those here, and what says that they are whole. */
  restoring: join(folder, 'restoring'),
  whole: join(folder, 'restoring', 'whole'),
  /** Says where a damaged data folder was moved to, until a backup is restored. */
  due: join(folder, 'restore-due.json'),
})

/** Where a restore makes its data. */
export const restoringFolder = (folder) => placesIn(resolve(folder)).restoring

/** Says that what a restore made is whole: from here on it is brought to its end, by the next start if need be. */
export const markRestored = (folder) => writeFileSync(placesIn(resolve(folder)).whole, '')

/** Says that a backup was restored in the place of a damaged data folder, or that there is none. */
export const restoreIsDone = (folder) => dropRecord(placesIn(resolve(folder)).due)

/** Throws an Obstacle while somebody else restores a backup into this folder. */
function refuseWhileRestoring(folder) {
  const other = otherSupervisor(placesIn(folder).restoring)
  if (other !== undefined) throw new Obstacle(`A backup is being restored (process ${other}). Wait until it is done.`)
}

/**
 * Brings a restore to its end where what it made is whole, and undoes it where it is not. Gives what came of it and where the data from
 * before are now; undefined where there was none. Throws an Obstacle while it is still under way.
 */
export function settleRestore(given) {
  const folder = resolve(given)
  const { data, systemFiles, restoring, whole, due } = placesIn(folder)
  if (!existsSync(restoring)) return undefined
  refuseWhileRestoring(folder)
  const isWhole = existsSync(whole)
  const made = placesIn(restoring)
  let aside
  if (isWhole && existsSync(made.data)) {
    aside = moveDataAside(folder)
    copyFileSync(made.systemFiles, systemFiles)
    renameSync(made.data, data)
    // Nothing is to be put over what was restored.
    dropRecord(due)
  }
  rmSync(restoring, { recursive: true, force: true })
  return { isWhole, aside }
}

/** Settles a restore that was interrupted, and says so. */
function settleInterrupted(folder) {
  const settled = settleRestore(folder)
  if (!settled) return
  if (!settled.isWhole) say('A restore was interrupted before it was whole. Nothing was changed by it; restore again.')
  else if (settled.aside === undefined) say('A restore was interrupted, and was brought to its end.')
  else say(`A restore was interrupted, and was brought to its end. What was there before is now in ${settled.aside}.`)
}

/** What a data folder lacks, as a path in it; undefined where it is whole. */
function missingIn(folder) {
  const { data, systemFiles } = placesIn(folder)
  const expected = readRecord(systemFiles) ?? ['mysql/global_priv.frm', 'mysql/global_priv.MAD', 'mysql/global_priv.MAI', 'ibdata1']
  return expected.find((file) => !existsSync(join(data, file)))
}

/**
 * Lays out the system tables of a new data folder. Does nothing where they exist; a damaged folder is moved aside, never
 * deleted. It is made under another name and renamed when it is whole, so that a start that was killed leaves none behind
 * that is half made. Gives where a damaged one was moved to.
 */
async function createDataFolder(program, folder, watch) {
  const { data, log, systemFiles, temporary, due } = placesIn(folder)
  for (const name of readdirSync(folder)) if (name.startsWith('data.making-')) rmSync(join(folder, name), { recursive: true, force: true })
  let movedTo
  if (existsSync(data) && readdirSync(data).length > 0) {
    const missing = missingIn(folder)
    if (missing === undefined) return undefined
    movedTo = moveDataAside(folder)
    writeRecord(due, { movedTo })
    say(`The database folder is damaged: ${missing} is missing. It was moved to ${movedTo}; nothing of it was deleted.`)
  }
  say('Making a private database folder.')
  const making = join(folder, `data.making-${process.pid}`)
  mkdirSync(making, { recursive: true, mode: 0o700 })
  const share = '/usr/share/mysql'
  const statements = [
    'CREATE DATABASE IF NOT EXISTS mysql;',
    'USE mysql;',
    'SET @auth_root_socket=NULL;',
    ...systemTables.map((file) => readFileSync(join(share, file), 'utf8')),
  ]
  const child = spawn(
    program,
    ['--no-defaults', '--bootstrap', `--datadir=${making}`, `--log-error=${log}`, `--tmpdir=${temporary}`, ...asRoot()],
    { stdio: ['pipe', 'ignore', 'ignore'], detached: true },
  )
  watch(child)
  const ended = new Promise((resolve) => {
    child.once('error', () => resolve(-1))
    child.once('exit', resolve)
  })
  // One that ends early does not take all that it is told.
  child.stdin.on('error', () => undefined)
  child.stdin.end(`${statements.join('\n')}\n`)
  if ((await ended) !== 0) {
    rmSync(making, { recursive: true, force: true })
    throw new Obstacle(`The database folder could not be made: ${lastErrorLine(log)}. The whole log is ${log}.`)
  }
  writeRecord(systemFiles, ['ibdata1', ...readdirSync(join(making, 'mysql')).map((file) => `mysql/${file}`)])
  rmSync(data, { recursive: true, force: true })
  renameSync(making, data)
  return movedTo
}

/** Gives the data folder another name, under which it stays. Gives its path; undefined where there is none. */
export function moveDataAside(folder) {
  const { data } = placesIn(folder)
  if (!existsSync(data)) return undefined
  const aside = join(folder, `data.aside-${new Date().toISOString().replace(/[:.]/g, '-')}`)
  renameSync(data, aside)
  return aside
}

/** The account's password: made once, readable by the owner only. */
function readPassword(folder) {
  const { password } = placesIn(folder)
  const known = existsSync(password) ? readFileSync(password, 'utf8') : ''
  // A start that was killed may have left an empty file.
  if (/^[0-9a-f]{48}$/.test(known)) return known
  const made = randomBytes(24).toString('hex')
  writeFileSync(`${password}.new`, made, { mode: 0o600 })
  renameSync(`${password}.new`, password)
  return made
}

/**
 * Statements that the server runs before it accepts connections; safe to repeat at every start. Two accounts are left: the
 * studio's, which sees its own database and no files, and root on the socket with a password.
 */
function writeAccounts(folder, password) {
  const { accounts } = placesIn(folder)
  const everywhere = ['localhost', '127.0.0.1']
  const statements = [
    `CREATE DATABASE IF NOT EXISTS ${databaseName} CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;`,
    `DELETE FROM mysql.global_priv WHERE NOT (User = 'root' AND Host = 'localhost') AND User NOT IN ('mariadb.sys', '${account}');`,
    'DELETE FROM mysql.db WHERE User NOT IN (SELECT User FROM mysql.global_priv);',
    'FLUSH PRIVILEGES;',
    `ALTER USER 'root'@'localhost' IDENTIFIED BY '${password}';`,
    ...everywhere.flatMap((host) => [
      `CREATE OR REPLACE USER '${account}'@'${host}' IDENTIFIED BY '${password}';`,
      `GRANT SELECT, INSERT, UPDATE, DELETE, CREATE, ALTER, DROP, INDEX, REFERENCES, LOCK TABLES ON ${databaseName}.* TO '${account}'@'${host}';`,
    ]),
  ]
  writeFileSync(accounts, `${statements.join('\n')}\n`, { mode: 0o600 })
  return accounts
}

/** As much of a path as a socket may have (`sun_path`), bytes. */
const longestSocket = 100

/** How the studio reaches the database of a folder: by its socket, or by loopback where the folder's path is too long for one. */
async function connectionFor(folder, port) {
  const { socket } = placesIn(folder)
  const rest = { user: account, password: readPassword(folder), database: databaseName }
  if (Buffer.byteLength(socket) <= longestSocket) return { socketPath: socket, ...rest }
  return { host: '127.0.0.1', port: port ?? (await freePort()), ...rest }
}

// A socket of a short name stands in the data folder, where the server is at home.
const listening = ({ socketPath, port }) =>
  socketPath === undefined
    ? ['--bind-address=127.0.0.1', `--port=${port}`, '--socket=mariadb.sock']
    : ['--skip-networking', `--socket=${socketPath}`]

async function waitUntilItAnswers(connection, child, logFile) {
  const { createConnection } = await import('mysql2/promise')
  const began = Date.now()
  let isTold = false
  while (child.exitCode === null && child.signalCode === null && Date.now() - began < 120_000) {
    try {
      const probe = await createConnection({ ...connection, connectTimeout: 2000 })
      await probe.end()
      return
    } catch {
      if (!isTold && Date.now() - began > 6000) {
        say('The database is taking its time; it may be recovering from a hard stop.')
        isTold = true
      }
      await new Promise((resolve) => setTimeout(resolve, 60))
    }
  }
  throw new Obstacle(
    `The database will not start: ${lastErrorLine(logFile)}. The whole log is ${logFile}. To go back to a backup, run: npm run restore -- FILE (the folder as it is now is moved aside, not deleted)`,
  )
}

/** Ends what an earlier run left behind in a database folder. Throws an Obstacle where that run still goes on. */
async function endLeftovers(folder) {
  const { running } = placesIn(folder)
  const other = otherSupervisor(folder)
  if (other !== undefined)
    throw new Obstacle(`A studio already runs with this data (process ${other}). Stop it first; two cannot share one database.`)
  const left = [...processesWith(`--datadir=${folder}/`), readRecord(running)?.database].filter(isRunning)
  if (left.length > 0) say('A database of an earlier run was left behind. Ending it.')
  for (const orphan of left) await endOrphan(orphan)
  dropRecord(running)
}

/**
 * Starts MariaDB for the data in `folder` (made when missing) and waits until it answers.
 * Gives the connection settings, where a damaged data folder was moved to, and `stop()`, which ends the server cleanly.
 * `onExit` hears of an end that nobody asked for; `onSpawn` is given `stop` as soon as there is something to stop.
 */
export async function startDatabase({ program, folder: given, port, onExit, onSpawn }) {
  const folder = resolve(given)
  const { data, log, running, temporary, noFiles, due } = placesIn(folder)
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  chmodSync(folder, 0o700)
  mkdirSync(temporary, { recursive: true, mode: 0o700 })
  const connection = await connectionFor(folder, port)
  let asked = false
  let current
  const stop = async () => {
    asked = true
    if (current) await endProgram(current)
    if (readRecord(running)?.supervisor?.pid === process.pid) dropRecord(running)
  }
  // Written down before it answers: whoever comes next finds it.
  const watch = (child) => {
    current = child
    if (child.pid !== undefined)
      writeRecord(running, { supervisor: recordOf(process.pid), database: recordOf(child.pid), port: connection.port })
  }
  const orStopped = () => {
    if (asked) throw new Obstacle('Stopped before the database was there.')
  }
  refuseWhileRestoring(folder)
  await endLeftovers(folder)
  settleInterrupted(folder)
  writeRecord(running, { supervisor: recordOf(process.pid) })
  onSpawn?.(stop)
  orStopped()
  const movedTo = (await createDataFolder(program, folder, watch)) ?? readRecord(due)?.movedTo
  orStopped()
  mkdirSync(noFiles, { recursive: true, mode: 0o700 })
  const child = spawn(
    program,
    [
      '--no-defaults',
      `--datadir=${data}`,
      `--init-file=${writeAccounts(folder, connection.password)}`,
      `--log-error=${log}`,
      `--tmpdir=${temporary}`,
      `--pid-file=${join(data, 'mariadb.pid')}`,
      ...listening(connection),
      '--skip-name-resolve',
      '--skip-log-bin',
      `--secure-file-priv=${noFiles}`,
      '--local-infile=0',
      '--max-allowed-packet=32M',
      '--innodb-buffer-pool-size=256M',
      ...asRoot(),
    ],
    // A process group of its own: Ctrl-C in the terminal reaches us, and we end the server in order.
    { stdio: 'ignore', detached: true },
  )
  watch(child)
  let answers = false
  child.once('exit', (code) => answers && !asked && onExit?.(code))
  try {
    await new Promise((resolve, reject) => {
      child.once('error', () => reject(new Obstacle(`The database's program ${program} cannot be run.`)))
      waitUntilItAnswers(connection, child, log).then(resolve, reject)
    })
    orStopped()
    answers = true
  } catch (error) {
    await stop()
    throw error
  }
  return { connection, stop, movedTo }
}

/** The connection of a database that a studio runs in this folder now; undefined where none does. */
export async function runningDatabase(folder) {
  return otherSupervisor(folder) === undefined ? undefined : connectionFor(resolve(folder), readRecord(placesIn(folder).running).port)
}

/** The environment variables by which the studio's server finds the database. */
export function databaseEnvironment({ socketPath, host, port, user, password, database }) {
  return { GLASS_MOTH_DB: JSON.stringify({ socketPath, host, port, user, password, database }) }
}
