// A page on its way out: the designer's source with the effects that apply to it.
import type { Page, Site } from '../core/site/site'
import { read } from './reader/reader'

/** The page's HTML with the stylesheet and the script of the effects that apply to it. Throws a 422 Problem where that takes more than it may. */
export const exportPage = (site: Site, siteId: string, page: Page, html: string): Promise<string> => read('export', { site, siteId, page, html })
