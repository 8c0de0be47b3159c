// Builds the studio when its sources changed since the last build.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
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

/** Runs the production build unless the present one was made from these very sources. Throws an Obstacle when it fails. */
export function buildWhenNeeded() {
  const stamp = join(root, '.glass-moth', 'build')
  const print = fingerprint()
  if (existsSync(join(root, '.next', 'BUILD_ID')) && existsSync(stamp) && readFileSync(stamp, 'utf8') === print) return
  say('Building the studio (about a minute, once for every change of the code).')
  const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' }
  const result = spawnSync('npm', ['run', '--silent', 'build'], { cwd: root, env, encoding: 'utf8' })
  if (result.status !== 0) throw new Obstacle(`The build failed:\n${result.stdout}\n${result.stderr}`)
  mkdirSync(join(root, '.glass-moth'), { recursive: true })
  writeFileSync(stamp, print)
}
