// What we read of a stylesheet beside what Chromium keeps of it: slips that browsers forgive, and real sheets with bytes dropped, doubled
// and swapped.
import { readSheet, readStyle, type CssItem } from '../src/core/page/css-rules'
import { seededRandom } from '../demo/vesper-hollow/random'
import { forgiven, spoil } from '../bench/torment/forgiven'
import { expect, test } from './support/house'
import { isLong, seedOr } from './support/long'
import { realSheets } from './support/sheets'

/** What was read, written so that nothing of it has to be forgiven. */
const written = (items: readonly CssItem[]): string =>
  items
    .map((item) => {
      if (item.kind === 'declaration') return `${item.property}: ${item.value}${item.isImportant ? ' !important' : ''};`
      if (item.kind === 'rule') return `${item.select} {\n${written(item.contents)}\n}`
      const head = `@${item.name} ${item.prelude}`
      return item.contents === undefined ? `${head};` : `${head} {\n${written(item.contents)}\n}`
    })
    .join('\n')

test('of a sheet we read what a browser keeps of it, whatever is wrong with it', async ({ page }) => {
  const random = seededRandom(seedOr(20_261_201))
  const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T
  const sheets = realSheets()
  const all = [...forgiven, ...Array.from({ length: isLong ? 5000 : 300 }, () => spoil(pick(sheets), random))]
  await page.setContent('<!doctype html><title>Sheets</title>')
  const pairs = all.map((css) => [css, written(readSheet(css).items)] as const)
  const differing = await page.evaluate((list) => {
    const kept = (css: string) => {
      const style = document.createElement('style')
      style.media = 'not all'
      style.textContent = css
      document.head.append(style)
      // Values that are read later are written as they stand: open where the sheet ends in them, and with all of their white space.
      const text = [...(style.sheet?.cssRules ?? [])]
        .map((rule) => rule.cssText.replace(/\s+/g, ' ').replace(/[\s"')\]]*; }/g, '; }'))
        .join('\n')
      style.remove()
      return text
    }
    return list.flatMap(([css, read]) => (kept(css) === kept(read) ? [] : [{ css, read, kept: kept(css), keptOfRead: kept(read) }]))
  }, pairs)
  expect(differing.slice(0, 3)).toEqual([])
})

test('of a style attribute we read what a browser keeps of it', async ({ page }) => {
  const styles = [
    'color: red; } background: blue',
    'color: red; ; background: blue;;',
    'color red; background: blue',
    'color: red; {background: blue} opacity: .5',
    'color: red !important; background: url("a;b")',
    '/* color: red; */ background: blue; --x: {a: b}; opacity: .5',
    'a { color: red } background: blue',
    '@media print { color: red } background: blue',
    'color: (red; background: blue',
    'color: red } ; background: blue',
    'color: red; } background: blue; opacity: .5',
    'color: "red',
    'color:; background: blue; --x:',
  ]
  await page.setContent('<!doctype html><title>Styles</title>')
  const kept = (each: string) =>
    page.evaluate((css) => {
      const element = document.createElement('p')
      element.setAttribute('style', css)
      return element.style.cssText
    }, each)
  for (const css of styles) expect([css, await kept(written(readStyle(css)))]).toEqual([css, await kept(css)])
})
