// New sites: from a starter, from a template, from pages that were brought in, or as a copy of another.
import { nanoid } from 'nanoid'
import { plainPage } from '../core/page/plain-page'
import { blankStarter, blankTitle, starters } from '../core/page/starters'
import { cutText } from '../core/site/text'
import { siteFormat, type Bundle, type Page, type Site } from '../core/site/site'
import { Problem } from './problem'
import { addSite, keepSource, readSite } from './sites'
import { readTemplate } from './templates'

export type Beginning =
  | { readonly starter: string }
  | { readonly template: string }
  | { readonly copyOf: string }
  | { readonly pages: readonly Page[]; readonly bundle?: Bundle | undefined }

/** The names of a new site and its page in addresses. */
export interface NewSite {
  readonly siteId: string
  readonly pageId: string
}

/** Makes a site. Throws a Problem when there is no such starter or template (422) or site (404). */
export async function newSiteFrom(beginning: Beginning): Promise<NewSite> {
  const site = await siteFrom(beginning)
  return { siteId: await addSite(site), pageId: site.pages[0]?.id ?? '' }
}

async function siteFrom(beginning: Beginning): Promise<Site> {
  if ('copyOf' in beginning) {
    const { site } = await readSite(beginning.copyOf)
    return { ...site, name: `${cutText(site.name, 110)}, copy` }
  }
  if ('template' in beginning) return readTemplate(beginning.template)
  if ('pages' in beginning) {
    const { pages, bundle } = beginning
    return {
      format: siteFormat,
      name: cutText(pages[0]?.name ?? 'A site', 120),
      pages: [...pages],
      effects: [],
      ...(bundle ? { bundles: [bundle] } : {}),
    }
  }
  const starter = starters.find(({ id }) => id === beginning.starter)
  if (!starter && beginning.starter !== blankStarter) throw new Problem(422, 'No such starter', 'There is no starter of this name.')
  return {
    format: siteFormat,
    name: starter?.title ?? 'New site',
    pages: [{ id: nanoid(10), name: starter?.title ?? blankTitle, source: await keepSource(plainPage(starter)) }],
    effects: [],
  }
}
