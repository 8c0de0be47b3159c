// Brings the built studio up on loopback in front of a running database, with the demo loaded.
import { spawn, spawnSync } from 'node:child_process'
import { mkdirSync, openSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { endProgram } from './child.mjs'
import { databaseEnvironment } from './database.mjs'
import { root } from './install.mjs'
import { Obstacle, say } from './say.mjs'

/** Throws an Obstacle where somebody already listens on this port. */
export async function checkPort(port) {
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Obstacle(`PORT must be a whole number from 1 to 65535, and is "${process.env.PORT}".`)
  await new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', () => reject(new Obstacle(`Port ${port} is taken, perhaps by a studio that already runs. Choose another: PORT=${port === 65535 ? port - 1 : port + 1} npm start`)))
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve()))
  })
}

/** Applies the migrations and puts the starters and the demo site where they are missing. */
export function loadDemo(connection) {
  const env = { ...process.env, ...databaseEnvironment(connection) }
  const result = spawnSync(process.execPath, [join(root, 'node_modules/tsx/dist/cli.mjs'), join(root, 'scripts/load-demo.ts')], { cwd: root, env, encoding: 'utf8' })
  if (result.status !== 0) throw new Obstacle(`The database could not be prepared:\n${result.stdout}${result.stderr}`)
}

/** Starts the studio's server and waits until it answers. Gives its address and `stop()`. */
export async function startStudio({ port, connection, onExit }) {
  mkdirSync(join(root, '.glass-moth'), { recursive: true })
  const log = openSync(join(root, '.glass-moth', 'studio.log'), 'a')
  const env = { ...process.env, ...databaseEnvironment(connection), NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production', GLASS_MOTH_PORT: String(port) }
  const child = spawn(process.execPath, [join(root, 'node_modules/next/dist/bin/next'), 'start', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: root,
    env,
    stdio: ['ignore', log, log],
    detached: true,
  })
  let asked = false
  child.once('exit', (code) => !asked && onExit?.(code))
  const address = `http://127.0.0.1:${port}`
  const stop = () => {
    asked = true
    return endProgram(child)
  }
  for (let attempt = 0; attempt < 300; attempt++) {
    if (child.exitCode !== null) break
    try {
      const health = await fetch(`${address}/api/health`)
      if (health.ok) return { address, stop }
    } catch {
      // Not listening yet.
    }
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  await stop()
  throw new Obstacle(`The studio did not answer on ${address}; .glass-moth/studio.log says why.`)
}
