// Exported pages opened by themselves: the page's HTML with its effects, as a download has it, without a studio in between.
import type { Page as BrowserPage } from '@playwright/test'
import { writeFileSync } from 'node:fs'
import { findKind } from '../../src/core/effect/kinds'
import { tasks } from '../../src/server/reader/tasks'
import type { Effect, Page, Site } from '../../src/core/site/site'
import { siteSchema } from '../../src/core/site/site'
import { isPlain } from './tab'

/** The export of a page with these effects. Throws where an effect would be refused. */
export function exportAlone(html: string, effects: readonly unknown[], script?: object): string {
  const page: Page = { id: 'page', name: 'A page', source: 'e'.repeat(64) }
  const site: Site = siteSchema.parse({ format: 'glass-moth/2', name: 'A site', pages: [page], effects, ...(script ? { script } : {}) })
  return tasks.export({ site, page, html, dressed: html, lacksSheets: false, hasScripts: html.includes('<script') })
}

/** Pages that have had a document put into them, whose scripts go on until they are left. */
const used = new WeakSet<BrowserPage>()

/** Opens a page exported with these effects by itself, and keeps it in a file; `changed` makes another text of it before. */
export async function openAlone(
  page: BrowserPage,
  html: string,
  effects: readonly unknown[],
  file: string,
  { script, changed = (text) => text }: { readonly script?: object; readonly changed?: (text: string) => string } = {},
): Promise<void> {
  const text = changed(exportAlone(html, effects, script))
  writeFileSync(file, text)
  if (!isPlain(page)) return void (await page.goto(`file://${file}`))
  // Put into a blank page, a document costs a tenth of what a navigation does; that a file opens from disk is tried in demo and lean.spec.ts.
  if (page.url() !== 'about:blank' || used.has(page)) await page.goto('about:blank')
  used.add(page)
  await page.setContent(text)
}

/** The settings of a kind as they are from the start, with changes. */
export const settingsOf = (kind: string, changes: object = {}): object => ({ ...(findKind(kind)?.defaults as object), ...changes })

/** An effect of a kind as it is from the start, with changes. */
export function effectOf(kind: string, select: string, settings: object, more: Partial<Effect> = {}): unknown {
  return { id: `${kind}-${select.replace(/\W/g, '')}`.slice(0, 40), kind, name: kind, select, noun: `the ${kind}`, settings, ...more }
}
