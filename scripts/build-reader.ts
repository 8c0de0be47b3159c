// Builds the thread in which the server reads what is brought in (src/server/reader), and the player that it puts into exports.
import { buildSync } from 'esbuild'
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { readPlayerModules } from '../src/bundle/player-source'

/** Writes `build/reader.mjs` and `build/player.json`. */
export function buildReader(root: string): void {
  const out = join(root, 'build')
  mkdirSync(out, { recursive: true })
  writeFileSync(join(out, 'player.json'), JSON.stringify(readPlayerModules(root)))
  buildSync({ entryPoints: [join(root, 'src/server/reader/thread.ts')], outfile: join(out, 'reader.mjs'), bundle: true, platform: 'node', target: 'node20', format: 'esm', packages: 'external', logLevel: 'warning' })
}
