import { newSites } from '../../demo/sites'
import { others, readOther } from './others'
import { settingsOf } from './alone'

/** The stylesheets of the demo's pages and of pages of other makers. */
export function realSheets(): readonly string[] {
  const pages = [
    ...newSites().flatMap((site) => site.pages.map(({ html }) => html)),
    ...others(settingsOf).map((other) => readOther(other)),
  ]
  return pages
    .flatMap((html) => [...html.matchAll(/<style[^>]*>([\s\S]*?)<\/style>/g)].map(([, css = '']) => css))
    .filter((css) => css.length > 200)
}
