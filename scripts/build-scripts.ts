// Builds what the server hands out as text (the agent for the page's frame, the snippet that saves a page), the thread in
// which it reads, the scripts in docs/exported, and the tables in docs/effects.
import { buildSync } from 'esbuild'
import { join } from 'node:path'
import { buildReader } from './build-reader'
import { writeExported } from './exported'
import { writeSettingsPages } from './settings-docs'

const root = new URL('..', import.meta.url).pathname
const out = join(root, 'build')
buildReader(root)
buildSync({
  entryPoints: [join(root, 'src/stage/agent.ts')],
  outfile: join(out, 'stage.js'),
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  legalComments: 'none',
})
buildSync({
  entryPoints: [join(root, 'src/snippet/save-page.ts')],
  outfile: join(out, 'snippet.js'),
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  legalComments: 'none',
})
writeExported(root)
writeSettingsPages(root)
