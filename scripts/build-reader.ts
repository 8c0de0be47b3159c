// Builds the thread in which the server reads what is brought in (src/server/reader), and what it makes scripts from.
import { buildSync } from 'esbuild'
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { readFragments } from '../src/bundle/fragments'

/** Writes `build/reader.mjs` and `build/fragments.json`. */
export function buildReader(root: string): void {
  const out = join(root, 'build')
  mkdirSync(out, { recursive: true })
  writeFileSync(join(out, 'fragments.json'), JSON.stringify(readFragments(root)))
  buildSync({
    entryPoints: [join(root, 'src/server/reader/thread.ts')],
    outfile: join(out, 'reader.mjs'),
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    packages: 'external',
    logLevel: 'warning',
  })
}
