// Builds what the server hands out as text: the player for exports, and the agent for the page's frame.
import { buildSync } from 'esbuild'
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { readPlayerModules } from '../src/bundle/player-source'

const root = new URL('..', import.meta.url).pathname
const out = join(root, 'build')
mkdirSync(out, { recursive: true })
writeFileSync(join(out, 'player.json'), JSON.stringify(readPlayerModules(root)))
buildSync({ entryPoints: [join(root, 'src/stage/agent.ts')], outfile: join(out, 'stage.js'), bundle: true, minify: true, format: 'iife', target: 'es2022', legalComments: 'none' })
