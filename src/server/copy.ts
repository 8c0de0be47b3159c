// The studio's copy of a page, with the stylesheets that came with it.
import { copyForStudio, type StudioCopy } from '../core/page/studio-copy'
import { filesOf, type Page, type Site } from '../core/site/site'
import { readSheets } from './sites'

/** Makes the copy. Without a nonce it is read as by a browser without script. */
export async function copyPage(site: Site, page: Page, html: string, nonce: string | undefined): Promise<StudioCopy> {
  const files = filesOf(site, page)
  const sheets = await readSheets(files)
  return copyForStudio(html, { path: page.path ?? 'index.html', files: new Map(files.map((file) => [file.path, file])), sheetText: (hash) => sheets.get(hash), shown: page.shown ?? [], nonce })
}
