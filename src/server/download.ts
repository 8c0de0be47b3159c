// What a designer takes away of a page: one file, or an archive of the page with the files that came with it.
import { zipSync, type Zippable } from 'fflate'
import type { Page, SiteFile } from '../core/site/site'
import { readAsset } from './assets'

interface Packed {
  readonly type: string
  readonly body: Uint8Array<ArrayBuffer>
  readonly extension: 'html' | 'zip'
}

/** A name that every file system takes. */
export function fileNameOf(name: string): string {
  return name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '').slice(0, 60) || 'page'
}

/** A mark by which a browser reads the page as UTF-8, whatever its own words say of another encoding. */
const mark = '\ufeff'

export async function packPage(html: string, page: Page, files: readonly SiteFile[]): Promise<Packed> {
  const path = page.path ?? 'index.html'
  const wasOtherwise = files.some((file) => file.path === path)
  const text = Buffer.from((wasOtherwise && !html.startsWith(mark) ? mark : '') + html, 'utf8')
  const others = files.filter((file) => file.path !== path && !/^[a-z]+:/i.test(file.path))
  if (others.length === 0) return { type: 'text/html; charset=utf-8', body: new Uint8Array(text), extension: 'html' }
  const entries: Zippable = { [path]: text }
  for (const { path: name, hash, size } of others) entries[name] = size > 0 ? (await readAsset(hash)).bytes : new Uint8Array()
  return { type: 'application/zip', body: new Uint8Array(zipSync(entries, { level: 6, mtime: '2020-01-01' })), extension: 'zip' }
}
