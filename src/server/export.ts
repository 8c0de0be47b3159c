// A page on its way out: the designer's source with the effects that apply to it.
import type { Page, Site } from '../core/site/site'
import { copyPage } from './copy'
import { read } from './reader/reader'
import type { ScriptCost, ScriptText, WrittenShape } from './reader/tasks'

/** What is known of how a page is dressed, beside its HTML: a copy with its sheets in it, and what could not be had. */
async function dressedPage(site: Site, page: Page, html: string) {
  // What is shown in the studio alone is none of its own styles.
  const { html: dressed, heldBack } = await copyPage(site, { ...page, shown: undefined, shownBy: undefined }, html, 'none')
  return {
    dressed,
    lacksSheets: heldBack.some(({ what }) => what === 'sheet'),
    hasScripts: heldBack.some(({ what }) => what === 'script' || what === 'handler'),
  }
}

/** The page's HTML with the stylesheet and the script of the effects that apply to it. Throws a 422 Problem where that takes more than it may. */
export const exportPage = async (site: Site, page: Page, html: string): Promise<string> =>
  read('export', { site, page, html, ...(await dressedPage(site, page, html)) })

/** The script of a page's effects, or of one of them alone, with what it weighs. Throws as `exportPage`. */
export const scriptOf = async (site: Site, page: Page, html: string, only?: string): Promise<ScriptText> =>
  read('script', { site, page, html, only, ...(await dressedPage(site, page, html)) })

/** What each thing that a script allows for weighs in it. Throws as `exportPage`. */
export const costsOf = async (site: Site, page: Page, html: string, only?: string): Promise<readonly ScriptCost[]> =>
  read('costs', { site, page, html, only, ...(await dressedPage(site, page, html)) })

/** The script of a page as the studio's own compiler would write it; null where nothing plays. Throws as `exportPage`. */
export const shapeOf = async (site: Site, page: Page, html: string): Promise<WrittenShape | null> =>
  read('shape', { site, page, html, ...(await dressedPage(site, page, html)) })
