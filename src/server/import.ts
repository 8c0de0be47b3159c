// Pages in: what a designer drops, chooses or pastes becomes sources and files in the database, and is described for the site.
import { nanoid } from 'nanoid'
import type { Bundle, Page, SiteFile } from '../core/site/site'
import { keepAssets } from './assets'
import { read } from './reader/reader'
import { keepSource } from './sites'
import type { Unpacked } from './unzip'

/** What came in: pages and the bundle of their files, ready to be put into a site. */
export interface Imported {
  readonly pages: readonly Page[]
  readonly bundle: Bundle | undefined
}

/** What goes on with an import: whether its sender went away, and how many of its files are kept already. */
export interface ImportWatch {
  readonly signal?: AbortSignal | undefined
  readonly onCount?: ((kept: number, of: number) => void) | undefined
}

/**
 * Takes files in: pages are read, everything else is kept beside them. The bytes are given away. Throws a Problem with one
 * sentence when there is no page, or something is too large, broken, takes too long or is not what it says; then nothing was kept. Throws
 * the signal's reason where that is given; what was kept by then is named by no site, and goes like all such files.
 */
export async function importFiles(given: readonly Unpacked[], { signal, onCount }: ImportWatch = {}): Promise<Imported> {
  const buffers = new Set(given.map(({ bytes }) => bytes.buffer).filter((buffer) => buffer instanceof ArrayBuffer))
  const { pages, files } = await read('import', given, { transfer: [...buffers], signal })
  // All has been read and found good; only now is anything kept.
  const full = files.filter(({ bytes }) => bytes.length > 0)
  let kept = 0
  await keepAssets(full, (count) => {
    signal?.throwIfAborted()
    kept += count
    onCount?.(kept, full.length)
  })
  const bundle =
    files.length > 0
      ? { id: nanoid(10), files: files.map(({ path, type, hash, bytes }): SiteFile => ({ path, type, size: bytes.length, hash })) }
      : undefined
  const described: Page[] = []
  for (const { path, name, html } of pages)
    described.push({ id: nanoid(10), name, source: await keepSource(html), path, ...(bundle ? { bundle: bundle.id } : {}) })
  return { pages: described, bundle }
}
