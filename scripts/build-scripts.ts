// Builds what the server hands out as text (the agent for the page's frame, the snippet that saves a page), what looks at pages for the
// command line, the thread in which the server reads, the scripts in docs/exported, and the tables in docs/effects.
import { buildSync } from 'esbuild'
import { join } from 'node:path'
import { buildReader } from './build-reader'
import { writeExported } from './exported'
import { writeSettingsPages } from './settings-docs'

const root = new URL('..', import.meta.url).pathname
const out = join(root, 'build')
buildReader(root)
for (const [source, file] of [
  ['src/stage/agent.ts', 'stage.js'],
  ['src/stage/seen/by-itself.ts', 'look.js'],
  ['src/snippet/save-page.ts', 'snippet.js'],
] as const)
  buildSync({
    entryPoints: [join(root, source)],
    outfile: join(out, file),
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    legalComments: 'none',
  })
if (process.env.GLASS_MOTH_DOCS !== 'keep') {
  writeExported(root)
  writeSettingsPages(root)
}
