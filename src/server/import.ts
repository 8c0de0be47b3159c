// Pages in: what a designer drops, chooses or pastes becomes sources and files in the database, and is described for the site.
import sniffEncoding from 'html-encoding-sniffer'
import { nanoid } from 'nanoid'
import { elementsOf, readTree, textOf } from '../core/page/tree'
import type { Bundle, Page, SiteFile } from '../core/site/site'
import { cutText } from '../core/site/text'
import { hashOf, keepAsset, largestFile } from './assets'
import { nameOfType, typeOf } from './file-types'
import { Problem } from './problem'
import { keepSource } from './sites'
import { unzip, type Unpacked } from './unzip'

/** What may be brought at once. Stated in docs/bring-your-page.md. */
export const importLimits = { files: 3000, totalBytes: 60 * 1024 * 1024, fileBytes: largestFile, htmlBytes: 4 * 1024 * 1024, pages: 50, elements: 40_000 } as const

/** What came in: pages and the bundle of their files, ready to be put into a site. */
export interface Imported {
  readonly pages: readonly Page[]
  readonly bundle: Bundle | undefined
}

interface ReadPage {
  readonly path: string
  readonly name: string
  readonly html: string
  /** Whether the text gives back the very bytes that came. */
  readonly isExact: boolean
  readonly bytes: Uint8Array
}

/**
 * Takes files in: pages are read, everything else is kept beside them. Throws a Problem with one sentence when there is
 * no page, or something is too large, broken or not what it says; then nothing was kept.
 */
export async function importFiles(given: readonly Unpacked[]): Promise<Imported> {
  const files = withoutCommonFolder(given.flatMap(({ path, bytes }) => (typeOf(path, bytes) === 'application/zip' ? unzip(bytes, importLimits) : [{ path: path.replaceAll('\\', '/').replace(/^\/+/, ''), bytes }])))
  if (files.length > importLimits.files) throw new Problem(413, 'Too many files', `${files.length} files were brought; ${importLimits.files} are taken at once.`)
  const total = files.reduce((sum, { bytes }) => sum + bytes.length, 0)
  if (total > importLimits.totalBytes) throw new Problem(413, 'Too much at once', `What was brought has ${Math.round(total / 1024 / 1024)} MB; ${importLimits.totalBytes / 1024 / 1024} MB are taken at once.`)
  const large = files.find(({ bytes, path }) => bytes.length > (isPage(path) ? importLimits.htmlBytes : importLimits.fileBytes))
  if (large) throw new Problem(413, 'A file is too large', `"${short(large.path)}" has ${(large.bytes.length / 1024 / 1024).toFixed(1)} MB; ${isPage(large.path) ? `a page may have ${importLimits.htmlBytes / 1024 / 1024}` : `a file may have ${importLimits.fileBytes / 1024 / 1024}`}.`)
  const pages = files.filter(({ path }) => isPage(path)).map(readPage).sort(indexFirst)
  if (pages.length === 0) throw new Problem(422, 'No page', files.length === 0 ? 'There was nothing in what you brought.' : 'There is no HTML file in what you brought. Bring the page with its files, or paste its HTML.')
  if (pages.length > importLimits.pages) throw new Problem(413, 'Too many pages', `${pages.length} HTML files were brought; ${importLimits.pages} are taken at once.`)
  // All has been read and found good; only now is anything kept.
  const kept = await Promise.all(files.filter(({ path }) => !isPage(path)).map(keepFile))
  const originals = await Promise.all(pages.filter(({ isExact }) => !isExact).map(keepFile))
  const bundle = kept.length + originals.length > 0 ? { id: nanoid(10), files: [...kept, ...originals] } : undefined
  const described = await Promise.all(pages.map(async ({ path, name, html }): Promise<Page> => ({ id: nanoid(10), name, source: await keepSource(html), path, ...(bundle ? { bundle: bundle.id } : {}) })))
  return { pages: described, bundle }
}

async function keepFile({ path, bytes }: Unpacked): Promise<SiteFile> {
  const type = typeOf(path, bytes)
  return { path, type, size: bytes.length, hash: bytes.length > 0 ? await keepAsset(bytes, type) : hashOf(bytes) }
}

const isPage = (path: string) => /\.x?html?$/i.test(path)
const short = (path: string) => (path.length > 80 ? `…${path.slice(-79)}` : path)

/** Archives and folders often hold everything in one folder of their own. */
function withoutCommonFolder(files: readonly Unpacked[]): readonly Unpacked[] {
  const first = files[0]?.path.split('/')[0]
  if (first === undefined || !files.every(({ path }) => path.startsWith(`${first}/`))) return files
  return withoutCommonFolder(files.map(({ path, bytes }) => ({ path: path.slice(first.length + 1), bytes })))
}

/** A page's text, by the encoding that its bytes or its own words tell. */
function readPage({ path, bytes }: Unpacked): ReadPage {
  const type = typeOf(path, bytes)
  if (type !== 'text/html') throw new Problem(422, 'Not a page', `"${short(path)}" is called HTML, but is really ${nameOfType(type)}.`)
  if (bytes.length === 0) throw new Problem(422, 'Not a page', `"${short(path)}" is empty.`)
  const encoding = sniffEncoding(bytes, { defaultEncoding: 'utf-8' })
  const html = new TextDecoder(encoding.toLowerCase()).decode(bytes)
  if (html.includes('\0')) throw new Problem(422, 'Not a page', `"${short(path)}" is called HTML, but holds bytes that no text has.`)
  const tree = readTree(html)
  const elements = elementsOf(tree)
  if (elements.length > importLimits.elements) throw new Problem(413, 'The page is too large', `"${short(path)}" has ${elements.length} elements; a page may have ${importLimits.elements}.`)
  const title = elements.find(({ name }) => name === 'title')
  const name = ((title && textOf(title)) || path.split('/').at(-1)?.replace(/\.x?html?$/i, '') || 'Page').trim() || 'Page'
  return { path, bytes, html, name: cutText(name, 100), isExact: Buffer.from(html, 'utf8').equals(Buffer.from(bytes)) }
}

function indexFirst(one: ReadPage, other: ReadPage): number {
  const rank = ({ path }: ReadPage) => [path.split('/').length, /(^|\/)index\.x?html?$/i.test(path) ? 0 : 1, path] as const
  const [a, b] = [rank(one), rank(other)]
  return a[0] - b[0] || a[1] - b[1] || (a[2] < b[2] ? -1 : 1)
}
