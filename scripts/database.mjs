// A private MariaDB server: its own data folder, on loopback, on a free port, with an account of its own.
import { spawn, spawnSync } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { endProgram } from './child.mjs'
import { Obstacle, say } from './say.mjs'

const databaseName = 'glass_moth'
const account = 'glass_moth'
const systemTables = ['mysql_system_tables.sql', 'mysql_performance_tables.sql', 'mysql_system_tables_data.sql', 'maria_add_gis_sp_bootstrap.sql']

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
  return [...lines].reverse().find((line) => line.includes('[ERROR]'))?.replace(/^.*\[ERROR\] /, '') ?? lines.at(-1) ?? 'it left no log'
}

/** Lays out the system tables of a new data folder. Does nothing where they exist. */
function createDataFolder(program, folder, logFile) {
  const data = join(folder, 'data')
  if (existsSync(join(data, 'mysql', 'global_priv.frm'))) return data
  say('Making a private database folder.')
  rmSync(data, { recursive: true, force: true })
  mkdirSync(data, { recursive: true, mode: 0o700 })
  const share = '/usr/share/mysql'
  const statements = ['CREATE DATABASE IF NOT EXISTS mysql;', 'USE mysql;', 'SET @auth_root_socket=NULL;', ...systemTables.map((file) => readFileSync(join(share, file), 'utf8'))]
  const made = spawnSync(program, ['--no-defaults', '--bootstrap', `--datadir=${data}`, `--log-error=${logFile}`, ...asRoot()], {
    input: `${statements.join('\n')}\n`,
    stdio: ['pipe', 'ignore', 'ignore'],
  })
  if (made.status !== 0) {
    rmSync(data, { recursive: true, force: true })
    throw new Obstacle(`The database folder could not be made: ${lastErrorLine(logFile)}. The whole log is ${logFile}.`)
  }
  return data
}

/** The account's password: made once, readable by the owner only. */
function readPassword(folder) {
  const file = join(folder, 'password')
  if (!existsSync(file)) writeFileSync(file, randomBytes(24).toString('hex'), { mode: 0o600 })
  return readFileSync(file, 'utf8')
}

/** Statements that the server runs before it accepts connections; safe to repeat at every start. */
function writeAccounts(folder, password) {
  const file = join(folder, 'accounts.sql')
  const statements = [
    `CREATE DATABASE IF NOT EXISTS ${databaseName} CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;`,
    `CREATE OR REPLACE USER '${account}'@'127.0.0.1' IDENTIFIED BY '${password}';`,
    `GRANT ALL ON ${databaseName}.* TO '${account}'@'127.0.0.1';`,
    `ALTER USER 'root'@'localhost' IDENTIFIED BY '${password}';`,
  ]
  writeFileSync(file, `${statements.join('\n')}\n`, { mode: 0o600 })
  return file
}

async function waitUntilItAnswers(connection, child, logFile) {
  const { createConnection } = await import('mysql2/promise')
  for (let attempt = 0; attempt < 150; attempt++) {
    if (child.exitCode !== null) break
    try {
      const probe = await createConnection(connection)
      await probe.end()
      return
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
  }
  throw new Obstacle(`The database will not start: ${lastErrorLine(logFile)}. The whole log is ${logFile}.`)
}

/**
 * Starts MariaDB for the data in `folder` (made when missing) and waits until it answers.
 * Gives the connection settings and `stop()`, which ends the server cleanly. `onExit` hears of an end that nobody asked for.
 */
export async function startDatabase({ program, folder, port, onExit }) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const logFile = join(folder, 'mariadb.log')
  const data = createDataFolder(program, folder, logFile)
  const password = readPassword(folder)
  const connection = { host: '127.0.0.1', port: port ?? (await freePort()), user: account, password, database: databaseName }
  const run = mkdtempSync(join(tmpdir(), 'glass-moth-'))
  const child = spawn(
    program,
    [
      '--no-defaults', `--datadir=${data}`, `--init-file=${writeAccounts(folder, password)}`, `--log-error=${logFile}`,
      `--socket=${join(run, 'mariadb.sock')}`, `--pid-file=${join(run, 'mariadb.pid')}`,
      '--bind-address=127.0.0.1', `--port=${connection.port}`, '--skip-name-resolve', '--skip-log-bin',
      '--max-allowed-packet=32M', '--innodb-buffer-pool-size=64M', ...asRoot(),
    ],
    // A process group of its own: Ctrl-C in the terminal reaches us, and we end the server in order.
    { stdio: 'ignore', detached: true },
  )
  let asked = false
  child.once('exit', (code) => {
    rmSync(run, { recursive: true, force: true })
    if (!asked) onExit?.(code)
  })
  const stop = () => {
    asked = true
    return endProgram(child)
  }
  try {
    await waitUntilItAnswers(connection, child, logFile)
  } catch (error) {
    await stop()
    throw error
  }
  return { connection, stop }
}

/** The environment variables by which the studio's server finds the database. */
export function databaseEnvironment({ host, port, user, password, database }) {
  return { GLASS_MOTH_DB: JSON.stringify({ host, port, user, password, database }) }
}
