// What the effects of a site find on a page, for the screen that opens: asked of the thread that reads, and remembered.
import type { Page, Site } from '../core/site/site'
import { log } from './log'
import { read } from './reader/reader'
import { readSource } from './sites'

/** How many answers are remembered. */
const most = 200
const known = new Map<string, Readonly<Record<string, number | null>>>()

/** How many elements of the page each effect's selector matches, by the selector; empty where the page cannot be read now. */
export async function countsOn({ effects }: Site, { source }: Page): Promise<Readonly<Record<string, number | null>>> {
  const selects = [...new Set(effects.map(({ select }) => select))]
  if (selects.length === 0) return {}
  const key = JSON.stringify([source, selects])
  const before = known.get(key)
  if (before) return before
  try {
    const counts = await read('counts', { html: await readSource(source), selects })
    const [oldest] = known.keys()
    if (known.size >= most && oldest !== undefined) known.delete(oldest)
    known.set(key, counts)
    return counts
  } catch (error) {
    // The studio counts for itself, a moment later.
    log.warn({ error }, 'The matches of a page could not be counted.')
    return {}
  }
}
