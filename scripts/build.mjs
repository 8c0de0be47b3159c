// Builds the studio when its sources changed since the last build.
import { spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './install.mjs'
import { Obstacle, say } from './say.mjs'

const sources = ['src', 'scripts', 'package-lock.json', 'package.json', 'next.config.ts', 'tsconfig.json']

function* filesOf(path) {
  const full = join(root, path)
  if (!existsSync(full)) return
  let entries
  try {
    entries = readdirSync(full, { withFileTypes: true })
  } catch {
    yield path
    return
  }
  for (const entry of entries.sort((a, b) => (a.name < b.name ? -1 : 1))) {
    yield* entry.isDirectory() ? filesOf(join(path, entry.name)) : [join(path, entry.name)]
  }
}

function fingerprint() {
  const hash = createHash('sha256')
  for (const source of sources) for (const file of filesOf(source)) hash.update(file).update(readFileSync(join(root, file)))
  return hash.digest('hex')
}

/**
 * Runs the production build unless the present one was made from these very sources. The docs that the build writes are left alone
 * where they are to be tested. Throws an Obstacle when it fails.
 */
export async function buildWhenNeeded({ writesDocs = true } = {}) {
  const stamp = join(root, '.glass-moth', 'build')
  const print = fingerprint()
  if (existsSync(join(root, '.next', 'BUILD_ID')) && existsSync(stamp) && readFileSync(stamp, 'utf8') === print) return
  say('Building the studio (about a minute, once for every change of the code).')
  // A build that is killed leaves no stamp, so that it is not taken for a whole one.
  rmSync(stamp, { force: true })
  const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production', ...(writesDocs ? {} : { GLASS_MOTH_DOCS: 'keep' }) }
  const { status, said } = await new Promise((resolve) => {
    const child = spawn('npm', ['run', '--silent', 'build'], { cwd: root, env, stdio: ['ignore', 'pipe', 'pipe'] })
    let said = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (said += part))
    child.on('error', (error) => resolve({ status: 1, said: error.message }))
    child.on('close', (status) => resolve({ status, said }))
  })
  if (status !== 0) throw new Obstacle(`The build failed:\n${said}`)
  mkdirSync(join(root, '.glass-moth'), { recursive: true })
  writeFileSync(stamp, print)
}
