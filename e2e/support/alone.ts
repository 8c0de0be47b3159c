// Exported pages opened by themselves: the page's HTML with its effects, as a download has it, without a studio in between.
import type { Page as BrowserPage } from '@playwright/test'
import { writeFileSync } from 'node:fs'
import { findKind } from '../../src/core/effect/kinds'
import { tasks } from '../../src/server/reader/tasks'
import type { Effect, Page, Site } from '../../src/core/site/site'
import { siteSchema } from '../../src/core/site/site'

/** The export of a page with these effects. Throws where an effect would be refused. */
export function exportAlone(html: string, effects: readonly unknown[], script?: object): string {
  const page: Page = { id: 'page', name: 'A page', source: 'e'.repeat(64) }
  const site: Site = siteSchema.parse({ format: 'glass-moth/2', name: 'A site', pages: [page], effects, ...(script ? { script } : {}) })
  return tasks.export({ site, page, html, dressed: html, lacksSheets: false, hasScripts: html.includes('<script') })
}

/** Opens a page exported with these effects from a file; `changed` makes another text of it before. */
export async function openAlone(
  page: BrowserPage,
  html: string,
  effects: readonly unknown[],
  file: string,
  { script, changed = (text) => text }: { readonly script?: object; readonly changed?: (text: string) => string } = {},
): Promise<void> {
  writeFileSync(file, changed(exportAlone(html, effects, script)))
  await page.goto(`file://${file}`)
}

/** The settings of a kind as they are from the start, with changes. */
export const settingsOf = (kind: string, changes: object = {}): object => ({ ...(findKind(kind)?.defaults as object), ...changes })

/** An effect of a kind as it is from the start, with changes. */
export function effectOf(kind: string, select: string, settings: object, more: Partial<Effect> = {}): unknown {
  return { id: `${kind}-${select.replace(/\W/g, '')}`.slice(0, 40), kind, name: kind, select, noun: `the ${kind}`, settings, ...more }
}
