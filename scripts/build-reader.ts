// Builds the thread in which the server reads what is brought in (src/server/reader).
import { buildSync } from 'esbuild'
import { join } from 'node:path'

/** Writes `build/reader.mjs`. */
export function buildReader(root: string): void {
  buildSync({ entryPoints: [join(root, 'src/server/reader/thread.ts')], outfile: join(root, 'build', 'reader.mjs'), bundle: true, platform: 'node', target: 'node20', format: 'esm', packages: 'external', logLevel: 'warning' })
}
