// A page on its way out: the designer's source with the effects that apply to it.
import { needsOf } from '../core/export/needs'
import { planFigures, playedFigures } from '../core/export/plan'
import type { Page, Site } from '../core/site/site'
import { read } from './reader/reader'
import { playerFor } from './scripts'

/** The page's HTML with the stylesheet and the script of the effects that apply to it. Throws a 422 Problem where that takes more than it may. */
export function exportPage(site: Site, siteId: string, page: Page, html: string): Promise<string> {
  const player = playerFor(needsOf(playedFigures(planFigures(site, siteId, page.id)))).readable
  return read('export', { site, siteId, page, html, player })
}
