// The demo as it leaves, loading from disk: first paint, largest paint, shifts and blocking time, beside the same pages without their script.
import type { Browser } from '@playwright/test'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { newSites } from '../demo/sites'
import type { House } from '../e2e/support/house'
import { median, nameHelper } from './browser'
import type { Report } from './comparisons'

/** What a page's loading came to, in its first 1.5 seconds. */
interface Loading {
  /** When anything was painted first, and the largest thing in sight, ms since it was asked for. */
  readonly first: number
  readonly largest: number
  /** How far things shifted by themselves, as the browser scores it. */
  readonly shifts: number
  /** By how much tasks were longer than 50 ms, summed, ms. */
  readonly blocked: number
}

/** Loads a file once. */
async function load(browser: Browser, file: string): Promise<Loading> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.addInitScript(nameHelper)
  await page.addInitScript(() => {
    const noted = Object.assign(window, { loading: { first: 0, largest: 0, shifts: 0, blocked: 0 } }).loading
    const watch = (type: string, hear: (entry: PerformanceEntry & { value: number }) => void) =>
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) hear(entry as PerformanceEntry & { value: number })
      }).observe({ type, buffered: true })
    watch('paint', ({ name, startTime }) => name === 'first-contentful-paint' && (noted.first = startTime))
    watch('largest-contentful-paint', ({ startTime }) => (noted.largest = startTime))
    watch('layout-shift', ({ value }) => (noted.shifts += value))
    watch('longtask', ({ duration }) => (noted.blocked += Math.max(0, duration - 50)))
  })
  await page.goto(`file://${file}`)
  await page.waitForTimeout(1500)
  const loading = await page.evaluate(() => (window as unknown as { loading: Loading }).loading)
  await page.close()
  if (loading.first === 0) throw new Error(`Nothing of ${file} was painted.`)
  return loading
}

const medianOf = (all: readonly Loading[]): Loading => ({
  first: median(all.map(({ first }) => first)),
  largest: median(all.map(({ largest }) => largest)),
  shifts: Math.max(...all.map(({ shifts }) => shifts)),
  blocked: median(all.map(({ blocked }) => blocked)),
})

/** The page with the last of its scripts taken out. */
function withoutScript(html: string): string {
  const [from, to] = [html.lastIndexOf('<script>'), html.lastIndexOf('</script>')]
  if (from < 0 || to < from) throw new Error('The page has no script.')
  return html.slice(0, from) + html.slice(to + '</script>'.length)
}

/** Every page of the demo, with its script and without, by turns. */
export async function compareLoading(browser: Browser, house: House, rounds = 9): Promise<Report> {
  const demo = newSites().find(({ id }) => id === 'vesper-hollow')
  if (!demo) throw new Error('There is no demo.')
  const folder = mkdtempSync(join(tmpdir(), 'glass-moth-loading-'))
  try {
    const rows: { name: string; ours: Loading; bare: Loading }[] = []
    for (const { id, name } of demo.pages) {
      const [ours, bare] = [join(folder, `${id}.html`), join(folder, `${id}-bare.html`)]
      const html = await (await fetch(`${new URL(house.address).origin}/export/${demo.id}/${id}`)).text()
      writeFileSync(ours, html)
      writeFileSync(bare, withoutScript(html))
      const measured: { ours: Loading; bare: Loading }[] = []
      for (let round = -1; round < rounds; round++) {
        const both = { ours: await load(browser, ours), bare: await load(browser, bare) }
        if (round >= 0) measured.push(both)
      }
      rows.push({ name, ours: medianOf(measured.map((each) => each.ours)), bare: medianOf(measured.map((each) => each.bare)) })
    }
    const ratio = (of: (each: Loading) => number) => median(rows.map(({ ours, bare }) => of(ours) / of(bare)))
    const ms = (value: number) => `${Math.round(value)} ms`
    return {
      title: 'The demo as it leaves, loading from disk, beside its pages without their script',
      lines: [
        '| page | first paint | without | largest paint | without | shifts | blocking time | without |',
        '|---|---|---|---|---|---|---|---|',
        ...rows.map(
          ({ name, ours, bare }) =>
            `| ${[name, ms(ours.first), ms(bare.first), ms(ours.largest), ms(bare.largest), ours.shifts.toFixed(4), ms(ours.blocked), ms(bare.blocked)].join(' | ')} |`,
        ),
      ],
      aims: [
        { words: 'how far anything shifts', measured: Math.max(...rows.map(({ ours }) => ours.shifts)), most: 0 },
        { words: 'first paint, against the page without its script', measured: ratio(({ first }) => first), most: 1.1 },
        { words: 'largest paint, against the page without its script', measured: ratio(({ largest }) => largest), most: 1.15 },
      ],
    }
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}
