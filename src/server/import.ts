// Pages in: what a designer drops, chooses or pastes becomes sources and files in the database, and is described for the site.
import { nanoid } from 'nanoid'
import type { Bundle, Page, SiteFile } from '../core/site/site'
import { keepAsset } from './assets'
import { read } from './reader/reader'
import type { ReadFile } from './reader/tasks'
import { keepSource } from './sites'
import type { Unpacked } from './unzip'

/** What came in: pages and the bundle of their files, ready to be put into a site. */
export interface Imported {
  readonly pages: readonly Page[]
  readonly bundle: Bundle | undefined
}

/**
 * Takes files in: pages are read, everything else is kept beside them. The bytes are given away. Throws a Problem with one
 * sentence when there is no page, or something is too large, broken, takes too long or is not what it says; then nothing was kept.
 */
export async function importFiles(given: readonly Unpacked[]): Promise<Imported> {
  const buffers = new Set(given.map(({ bytes }) => bytes.buffer).filter((buffer) => buffer instanceof ArrayBuffer))
  const { pages, files } = await read('import', given, [...buffers])
  // All has been read and found good; only now is anything kept, a file at a time.
  const kept: SiteFile[] = []
  for (const file of files) kept.push(await keepFile(file))
  const bundle = kept.length > 0 ? { id: nanoid(10), files: kept } : undefined
  const described: Page[] = []
  for (const { path, name, html } of pages)
    described.push({ id: nanoid(10), name, source: await keepSource(html), path, ...(bundle ? { bundle: bundle.id } : {}) })
  return { pages: described, bundle }
}

async function keepFile({ path, type, hash, bytes }: ReadFile): Promise<SiteFile> {
  if (bytes.length > 0) await keepAsset(bytes, type, hash)
  return { path, type, size: bytes.length, hash }
}
