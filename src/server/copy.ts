// The studio's copy of a page, with the stylesheets that came with it.
import { randomBytes } from 'node:crypto'
import type { StudioCopy } from '../core/page/studio-copy'
import { filesOf, type Page, type Site } from '../core/site/site'
import { read } from './reader/reader'
import { readSheets } from './sites'

/** Stands for the nonce in a copy that is kept; nobody outside knows it. */
const standIn = randomBytes(18).toString('base64url')

/** Copies that were made last: a page is read and cleaned once, however often it is opened. */
const kept = new Map<string, StudioCopy>()
const most = 24
/** One that is longer is made afresh each time, characters. */
const longest = 4_000_000

/** Makes the copy. Without a nonce it is read as by a browser without script. Throws a 422 Problem where that takes more than it may. */
export async function copyPage(site: Site, page: Page, html: string, nonce: string | undefined): Promise<StudioCopy> {
  const files = filesOf(site, page)
  const key = JSON.stringify([
    page.source,
    page.path,
    page.shown,
    page.shownBy,
    nonce === undefined,
    files.map(({ path, hash }) => [path, hash]),
  ])
  const copy =
    kept.get(key) ??
    (await read('copy', {
      html,
      path: page.path ?? 'index.html',
      files,
      sheets: await readSheets(files),
      shown: page.shown ?? [],
      shownBy: page.shownBy ?? [],
      nonce: nonce === undefined ? undefined : standIn,
    }))
  // The one that was asked for last is forgotten last.
  kept.delete(key)
  kept.set(key, copy)
  if (copy.html.length > longest) kept.delete(key)
  for (const oldest of kept.keys()) if (kept.size > most) kept.delete(oldest)
  return nonce === undefined ? copy : { ...copy, html: copy.html.replaceAll(standIn, nonce) }
}
