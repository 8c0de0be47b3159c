// What a designer takes away: a page as one file, or with the files that came with it as an archive; or a whole site.
import { fileNameOf } from '../core/site/path'
import { filesOf, type Page, type Site, type SiteFile } from '../core/site/site'
import { readAsset } from './assets'
import { exportPage } from './export'
import { read } from './reader/reader'
import { readSource } from './sites'

interface Packed {
  readonly type: string
  readonly body: Uint8Array<ArrayBuffer>
  readonly extension: 'html' | 'zip'
}

/** A mark by which a browser reads the page as UTF-8, whatever its own words say of another encoding. */
const mark = '\ufeff'

/** Files by their paths, each with its bytes to itself, so that they can be handed over. */
type Entries = Record<string, Uint8Array<ArrayBuffer>>

const packAll = (entries: Entries) => read('pack', entries, { transfer: Object.values(entries).map(({ buffer }) => buffer) })

const pathOf = (page: Page) => page.path ?? 'index.html'
const textOf = (html: string, page: Page, files: readonly SiteFile[]) =>
  new Uint8Array(Buffer.from((files.some(({ path }) => path === pathOf(page)) && !html.startsWith(mark) ? mark : '') + html, 'utf8'))
/** The files that stand beside pages: not their own bytes, nor what is elsewhere. */
const besides = (files: readonly SiteFile[], pages: readonly Page[]) =>
  files.filter(({ path }) => !pages.some((page) => pathOf(page) === path) && !/^[a-z]+:/i.test(path))

/** The files of a bundle as entries of an archive, in a folder. */
async function entriesOf(files: readonly SiteFile[], folder: string): Promise<Entries> {
  const entries: Entries = {}
  for (const { path, hash, size } of files)
    entries[folder + path] = size > 0 ? new Uint8Array((await readAsset(hash)).bytes) : new Uint8Array()
  return entries
}

export async function packPage(html: string, page: Page, files: readonly SiteFile[]): Promise<Packed> {
  const text = textOf(html, page, files)
  const others = besides(files, [page])
  if (others.length === 0) return { type: 'text/html; charset=utf-8', body: text, extension: 'html' }
  return { type: 'application/zip', body: await packAll({ [pathOf(page)]: text, ...(await entriesOf(others, '')) }), extension: 'zip' }
}

/**
 * A whole site: every page with its effects, the files beside them, and the site's document. Pages that were brought together keep
 * their folder; where there are several such groups, each has one of its own.
 */
export async function packSite(site: Site): Promise<Packed> {
  const groupOf = ({ bundle, id }: Page) => bundle ?? `page ${id}`
  const groups = [...new Set(site.pages.map(groupOf))].map((group) => site.pages.filter((page) => groupOf(page) === group))
  const entries: Entries = {}
  for (const pages of groups) {
    const [first] = pages
    if (!first) continue
    const files = filesOf(site, first)
    const isAlone = groups.length === 1 || (files.length === 0 && first.path === undefined)
    const folder = isAlone ? '' : `${freeName(entries, fileNameOf(first.name), '/')}/`
    Object.assign(entries, await entriesOf(besides(files, pages), folder))
    for (const page of pages) {
      const wanted = page.path === undefined && groups.length > 1 ? `${fileNameOf(page.name)}.html` : pathOf(page)
      const html = await exportPage(site, page, await readSource(page.source))
      const path = wanted in entries ? `${freeName(entries, wanted.replace(/\.x?html?$/i, ''), '.html')}.html` : wanted
      entries[folder + path] = textOf(html, page, files)
    }
  }
  entries['glass-moth.json'] = new TextEncoder().encode(`${JSON.stringify(site, null, 2)}\n`)
  return { type: 'application/zip', body: await packAll(entries), extension: 'zip' }
}

/** A name that no entry has or begins with, with a number behind it where that is needed. */
function freeName(entries: Entries, name: string, end: string): string {
  const isTaken = (each: string) => Object.keys(entries).some((path) => path.startsWith(each + end))
  for (let n = 1; ; n++) {
    const each = n === 1 ? name : `${name}-${n}`
    if (!isTaken(each)) return each
  }
}
