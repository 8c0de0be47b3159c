// Exported pages opened by themselves: the page's HTML with its effects, as a download has it, without a studio in between.
import { exportPage } from '../../src/server/export'
import type { Effect, Page, Site } from '../../src/core/site/site'
import { siteSchema } from '../../src/core/site/site'

/** The export of a page with these effects. Throws where an effect would be refused. */
export function exportAlone(html: string, effects: readonly unknown[]): string {
  const page: Page = { id: 'page', name: 'A page', source: 'e'.repeat(64) }
  const site: Site = siteSchema.parse({ format: 'glass-moth/1', name: 'A site', pages: [page], effects })
  return exportPage(site, 'alone', page, html)
}

/** An effect of a kind as it is from the start, with changes. */
export function effectOf(kind: string, select: string, settings: object, more: Partial<Effect> = {}): unknown {
  return { id: `${kind}-${select.replace(/\W/g, '')}`.slice(0, 40), kind, name: kind, select, noun: `the ${kind}`, settings, ...more }
}
