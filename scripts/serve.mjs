// Brings the built studio up on loopback in front of a running database, with the demo loaded.
import { spawn, spawnSync } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { once } from 'node:events'
import { mkdirSync, openSync, readdirSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { databaseEnvironment, freePort } from './database.mjs'
import { root } from './install.mjs'
import { dropRecord, endOrphan, endProgram, isRunning, readRecord, recordOf, writeRecord } from './programs.mjs'
import { Obstacle, say } from './say.mjs'

const home = join(root, '.glass-moth')
const recordFile = (port) => join(home, `studio-${port}.json`)

/** Ends studios whose start command was killed; those of others that still run are left alone. */
export async function endLeftStudios() {
  mkdirSync(home, { recursive: true })
  for (const name of readdirSync(home).filter((each) => /^studio-\d+\.json$/.test(each))) {
    const record = readRecord(join(home, name))
    if (isRunning(record?.supervisor)) continue
    if (isRunning(record?.studio)) {
      say('A studio of an earlier run was left behind. Ending it.')
      await endOrphan(record.studio)
    }
    dropRecord(join(home, name))
  }
}

/** The status with which the studio's server ends where its port is taken. */
export const portIsTaken = 98

const listens = (server, port) =>
  new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, '127.0.0.1', resolve)
  })
const closed = (server) => new Promise((resolve) => server.close(resolve))

/** Whether nobody listens on a port. */
async function isFree(port) {
  const probe = createServer()
  try {
    await listens(probe, port)
  } catch {
    return false
  }
  await closed(probe)
  return true
}

/** What is said of a port that is taken, with one that was tried: free, and so is the one behind it, for previews. */
async function takenPort(port) {
  let other = port + 2
  while (other < port + 200 && !((await isFree(other)) && (await isFree(other + 1)))) other += 2
  const free = other < port + 200 ? other : await freePort()
  return new Obstacle(`Port ${port} is taken, perhaps by a studio that already runs. This one is free: PORT=${free} npm start`)
}

/** Takes a port, so that nobody else does while the rest is prepared. Gives how to let go of it. Throws an Obstacle where it is taken. */
export async function takePort(port) {
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Obstacle(`PORT must be a whole number from 1 to 65535, and is "${process.env.PORT}".`)
  const held = createServer((socket) => socket.destroy())
  try {
    await listens(held, port)
  } catch {
    throw await takenPort(port)
  }
  // A start that fails ends by itself.
  held.unref()
  return () => closed(held)
}

const commandOf = (script, args, connection) => [
  process.execPath,
  [join(root, 'node_modules/tsx/dist/cli.mjs'), join(root, script), ...args],
  { cwd: root, env: { ...process.env, ...databaseEnvironment(connection) } },
]

/** Runs one of our TypeScript commands with the database of `connection`. Gives its exit code and what it said. */
export function runWithDatabase(script, args, connection) {
  const [program, all, options] = commandOf(script, args, connection)
  const { status, stdout, stderr } = spawnSync(program, all, { ...options, encoding: 'utf8', maxBuffer: 1 << 26 })
  return { status, output: `${stdout}${stderr}`.trim() }
}

/** Does the same beside everything else, which goes on meanwhile. Rejects when the signal ends it. */
export async function runBeside(script, args, connection, signal) {
  const [program, all, options] = commandOf(script, args, connection)
  const child = spawn(program, all, { ...options, stdio: ['ignore', 'pipe', 'pipe'], signal })
  let output = ''
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (output += part))
  const [status] = await once(child, 'close')
  return { status, output: output.trim() }
}

/** Applies the migrations and puts the starters and the demo site where they are missing. */
export function loadDemo(connection, backups) {
  const { status, output } = runWithDatabase('scripts/load-demo.ts', backups === undefined ? [] : [backups], connection)
  if (status !== 0) throw new Obstacle(`The database could not be prepared:\n${output}`)
}

/** Starts the studio's server and waits until it answers. Gives its address and `stop()`; `onSpawn` has `stop` at once. */
export async function startStudio({ port, connection, isLan = false, onExit, onSpawn }) {
  mkdirSync(home, { recursive: true })
  const log = openSync(join(home, 'studio.log'), 'a')
  // By this it is known from another studio that answers on the same port.
  const identity = randomBytes(12).toString('base64url')
  const env = {
    ...process.env,
    ...databaseEnvironment(connection),
    NEXT_TELEMETRY_DISABLED: '1',
    NODE_ENV: 'production',
    GLASS_MOTH_PORT: String(port),
    GLASS_MOTH_IDENTITY: identity,
    ...(isLan ? { GLASS_MOTH_LAN: '1' } : {}),
  }
  const child = spawn(process.execPath, [join(root, 'scripts/studio-server.mjs')], {
    cwd: root,
    env,
    stdio: ['ignore', log, log],
    detached: true,
  })
  // The record of one that runs on this port stays: it is ours that has to go.
  const isFirst = !isRunning(readRecord(recordFile(port))?.studio)
  if (child.pid !== undefined && isFirst) writeRecord(recordFile(port), { supervisor: recordOf(process.pid), studio: recordOf(child.pid) })
  let asked = false
  let answers = false
  child.once('exit', (code) => answers && !asked && onExit?.(code))
  const address = `http://127.0.0.1:${port}`
  const stop = async () => {
    asked = true
    await endProgram(child)
    if (isFirst) dropRecord(recordFile(port))
  }
  onSpawn?.(stop)
  for (let attempt = 0; attempt < 600; attempt++) {
    if (child.exitCode !== null || child.signalCode !== null || asked) break
    try {
      const health = await fetch(`${address}/api/health`, { signal: AbortSignal.timeout(5000) })
      if (health.headers.get('glass-moth-identity') !== identity) break
      if (health.ok) {
        answers = true
        return { address, stop }
      }
    } catch {
      // Not listening yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  // What answers may be another studio, while ours finds that its port is taken.
  if (!asked && child.exitCode === null) await Promise.race([once(child, 'exit'), new Promise((resolve) => setTimeout(resolve, 5000))])
  const isTaken = child.exitCode === portIsTaken
  await stop()
  if (isTaken) throw await takenPort(port)
  throw new Obstacle(`The studio did not answer on ${address}; .glass-moth/studio.log says why.`)
}
