// A page on its way out: the designer's source with the effects that apply to it.
import { writePage } from '../bundle/page'
import { needsOf } from '../core/export/needs'
import { planFigures, playedFigures } from '../core/export/plan'
import { writeScript } from '../core/export/script'
import { targetsOf, writeStylesheet } from '../core/export/stylesheet'
import { overlapsOf } from '../core/page/overlaps'
import { findIn, readTree } from '../core/page/tree'
import type { Page, Site } from '../core/site/site'
import { playerFor } from './scripts'

/** The page's HTML with the stylesheet and the script of the effects that apply to it. */
export function exportPage(site: Site, siteId: string, page: Page, html: string): string {
  const figures = planFigures(site, siteId, page.id)
  const played = playedFigures(figures)
  const tree = readTree(html)
  const overlaps = overlapsOf(targetsOf(figures), (select) => findIn(tree, select))
  return writePage(html, writeStylesheet(figures, overlaps), writeScript(playerFor(needsOf(played)).readable, played))
}
