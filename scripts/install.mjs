// Installs what a fresh machine lacks: npm packages, and programs from Debian's packages when we may.
import { execFileSync, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { Obstacle, say } from './say.mjs'

export const root = new URL('..', import.meta.url).pathname

/** Throws an Obstacle on a Node that is too old for the studio. */
export function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19)) {
    throw new Obstacle(
      `Glass Moth needs Node 20.19 or newer; this is ${process.versions.node}. Install a newer Node and run the command again.`,
    )
  }
}

/**
 * Installs the packages of the lock file, unless those of this very file are already in place. `npm ci` is not used: it
 * refuses a lock file that leaves out optional packages of other platforms, which some registries do not serve.
 */
export function installPackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  const stamp = join(root, 'node_modules', '.glass-moth-lock')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  say('Installing npm packages (about a minute the first time).')
  const result = spawnSync('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
  })
  if (result.status !== 0)
    throw new Obstacle('The npm packages could not be installed. Check that the npm registry can be reached, then run the command again.')
  writeFileSync(stamp, lock)
}

/** The path of a program, or undefined. */
export function findProgram(names) {
  for (const name of names) if (existsSync(name)) return name
  return undefined
}

/**
 * Makes sure that one of `places` exists, by installing the Debian package `debianPackage` when we run as root.
 * Throws an Obstacle that names the command to run when we may not install.
 */
export function installProgram({ title, places, debianPackage }) {
  const found = findProgram(places)
  if (found) return found
  const command = `apt-get install -y --no-install-recommends ${debianPackage}`
  const isRoot = process.getuid?.() === 0
  if (!isRoot || !existsSync('/usr/bin/apt-get')) {
    throw new Obstacle(`${title} is missing and only an administrator may install it. Run: sudo ${command}`)
  }
  say(`Installing ${title} from Debian's packages.`)
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  try {
    execFileSync('apt-get', ['update', '-q'], { stdio: 'ignore', env })
    execFileSync('apt-get', command.split(' ').slice(1), { stdio: 'ignore', env })
  } catch {
    throw new Obstacle(`${title} could not be installed. Run this by hand to see why: ${command}`)
  }
  const installed = findProgram(places)
  if (!installed) throw new Obstacle(`${title} was installed but its program was not found at ${places.join(' or ')}.`)
  return installed
}

export const installMariaDb = () =>
  installProgram({ title: 'MariaDB', places: ['/usr/sbin/mariadbd', '/usr/local/sbin/mariadbd'], debianPackage: 'mariadb-server-core' })

export const installChromium = () => installProgram({ title: 'Chromium', places: ['/usr/bin/chromium'], debianPackage: 'chromium' })
