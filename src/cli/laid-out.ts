// A page laid out, for checks at the command line: where Chromium is on the machine and the studio is built, effects are looked at in it.
import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import * as z from 'zod'
import { seenAskedBy } from '../core/check/asked'
import { seenSchema, type Seen } from '../core/check/seen'
import { compile } from '../core/compile/compile'
import type { Fragment } from '../core/compile/join'
import { needsScript } from '../core/compile/needs-script'
import { factsOf, type Dressed } from '../core/compile/tree-facts'
import { writesOf } from '../core/compile/writes'
import type { PlannedEffect } from '../core/export/plan'
import { layerOrder } from '../core/export/own-styles'
import { targetsOf, writeStylesheet } from '../core/export/stylesheet'
import { findIn } from '../core/page/tree'
import { overlapsOf } from '../core/rig/resolve'
import { chromiumArguments } from './chromium'

const built = (file: string) => new URL(`../../build/${file}`, import.meta.url)
const browser = () => ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => existsSync(path))

/** Whether pages can be laid out here. */
export const canLayOut = (): boolean => browser() !== undefined && existsSync(built('look.js')) && existsSync(built('fragments.json'))

/** What is seen of each of these effects on a page, in their order; null where none of its elements is there. Throws an Error with a sentence. */
export function seeLaidOut(html: string, dressed: Dressed, planned: readonly PlannedEffect[]): readonly (Seen | null)[] {
  const facts = factsOf(dressed, planned)
  const overlaps = overlapsOf(targetsOf(planned), (select) => findIn(dressed.tree, select))
  const fragments = JSON.parse(readFileSync(built('fragments.json'), 'utf8')) as readonly Fragment[]
  const script = planned.some(({ rig }) => needsScript(rig)) ? compile(planned, facts, fragments) : ''
  const given = JSON.stringify({ asked: planned.map(seenAskedBy), script, writes: writesOf(planned) }).replaceAll('<', '\\u003c')
  const text = (source: string) => source.replaceAll('</', '<\\/')
  const page = html
    .replace(/<head[^>]*>/i, (tag) => `${tag}<style>${layerOrder}</style>`)
    .replace(/<\/head>/i, () => `<style>${text(writeStylesheet(planned, overlaps, facts))}</style></head>`)
    .replace(
      /<\/body>/i,
      () =>
        `<script type="application/json" data-look>${given}</script><script>${text(readFileSync(built('look.js'), 'utf8'))}</script></body>`,
    )
  const folder = mkdtempSync(join(tmpdir(), 'glass-moth-check-'))
  try {
    const file = join(folder, 'page.html')
    writeFileSync(file, page)
    const { stdout } = spawnSync(
      browser() ?? '',
      [...flags, `--user-data-dir=${join(folder, 'profile')}`, '--dump-dom', `file://${file}`],
      { encoding: 'utf8', timeout: 60_000, maxBuffer: 2 ** 28 },
    )
    const found = /seen:([^:<]*):seen/.exec(stdout)?.[1]
    if (found === undefined) throw new Error('The browser on this machine did not lay the page out.')
    return z.array(seenSchema.nullable()).parse(JSON.parse(decodeURIComponent(found)))
  } finally {
    rmSync(folder, { recursive: true, force: true, maxRetries: 3 })
  }
}

const flags = ['--headless', ...chromiumArguments, '--hide-scrollbars', '--window-size=1280,720', '--virtual-time-budget=4000']
