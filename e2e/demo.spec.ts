// The demo as it leaves: the archive of the whole site, unpacked, opened from disk in windows of every width.
import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { unzipSync } from 'fflate'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pageFiles } from '../demo/vesper-hollow/house-style'
import { eventually, expect, test, type House } from './support/house'
import { inTurn, long } from './support/long'

const files = Object.values(pageFiles)
const windows = [
  { width: 390, height: 844 },
  { width: 820, height: 1180 },
  { width: 1280, height: 800 },
  { width: 1920, height: 1080 },
]

/** Unpacks the export of the whole demo. Gives its folder. */
async function unpacked(page: Page, house: House): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'glass-moth-demo-'))
  const archive = await page.request.get(`${new URL(house.address).origin}/export/vesper-hollow`)
  expect(archive.status(), archive.ok() ? '' : await archive.text()).toBe(200)
  for (const [path, bytes] of Object.entries(unzipSync(await archive.body()))) writeFileSync(join(folder, path), bytes)
  return folder
}

/** Notes what a page says, asks for beyond its folder, and how far things in it shift by themselves. */
async function listen(page: Page): Promise<() => Promise<{ said: string[]; shifts: number }>> {
  const said: string[] = []
  page.on('console', (message) => said.push(message.text()))
  page.on('pageerror', (error) => said.push(error.message))
  page.on('request', (request) => /^(file|data|blob):/.test(request.url()) || said.push(`asked for ${request.url()}`))
  await page.addInitScript(() => {
    const noted = Object.assign(window, { shifts: 0 })
    // The page is hidden for the time that its letters need, by the clock. Here it waits for them, however slow the machine is.
    const waits = new CSSStyleSheet()
    waits.replaceSync('html { animation-play-state: paused !important }')
    document.adoptedStyleSheets = [waits]
    const go = () => (document.adoptedStyleSheets = [])
    document.addEventListener('DOMContentLoaded', () => void Promise.all([...document.fonts].map((font) => font.load())).then(go))
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) noted.shifts += (entry as PerformanceEntry & { value: number }).value
    }).observe({ type: 'layout-shift', buffered: true })
  })
  return async () => ({ said, shifts: await page.evaluate(() => (window as unknown as { shifts: number }).shifts) })
}

test('the demo opens from disk at every width: nothing shifts, nothing is asked for, nothing is said, nothing is cut off', async ({
  page,
  house,
  browser,
}) => {
  const folder = await unpacked(page, house)
  for (const viewport of windows) {
    const context = await browser.newContext({ viewport, hasTouch: viewport.width < 1000, isMobile: viewport.width < 1000 })
    for (const file of inTurn(files, windows.indexOf(viewport), 1)) {
      const alone = await context.newPage()
      const heard = await listen(alone)
      await alone.goto(`file://${join(folder, file)}`)
      await eventually(() => alone.evaluate(() => document.fonts.status)).toBe('loaded')
      await alone.waitForTimeout(400)
      expect(await heard(), `${file} at ${viewport.width} px`).toEqual({ said: [], shifts: 0 })
      expect(await alone.evaluate(() => document.documentElement.scrollWidth), `${file} at ${viewport.width} px`).toBe(viewport.width)
      // The script comes after all that is to be seen.
      expect(
        await alone.evaluate(() => [...document.body.children].filter(({ localName }) => localName !== 'span').at(-1)?.localName),
      ).toBe('script')
      await alone.close()
    }
    await context.close()
  }
})

test('its pages lead to one another, and answer the pointer on each', long, async ({ page, house }) => {
  const folder = await unpacked(page, house)
  await page.goto(`file://${join(folder, 'index.html')}`)
  for (const [name, file] of Object.entries(pageFiles).toReversed()) {
    await page.getByRole('navigation').getByRole('link', { name }).click()
    await expect(page).toHaveURL(`file://${join(folder, file)}`)
    await expect(page.getByRole('link', { name, exact: true })).toHaveAttribute('aria-current', 'page')
    await page.mouse.move(700, 420, { steps: 4 })
    await eventually(async () => {
      const box = await page.locator('.cursor-shape').first().boundingBox()
      return box && Math.hypot(box.x + box.width / 2 - 700, box.y + box.height / 2 - 420) < 12
    }).toBe(true)
    // The sky goes with the pointer on every page.
    const near = () => page.locator('.sky-near').evaluate((sky) => new DOMMatrix(getComputedStyle(sky).transform).e)
    await page.mouse.move(60, 40, { steps: 4 })
    await eventually(async () => Math.abs(await near())).toBeGreaterThan(6)
  }
})

for (const [round, { width, height }] of windows.filter((each) => each.width !== 820 && each.width !== 1920).entries())
  test(`axe finds nothing in the demo as it leaves, at ${width} px`, round === 0 ? {} : long, async ({ page, house }) => {
    const folder = await unpacked(page, house)
    await page.setViewportSize({ width, height })
    for (const file of inTurn(files, round, 2)) {
      await page.goto(`file://${join(folder, file)}`)
      await page.waitForTimeout(400)
      const { violations } = await new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).analyze()
      expect(
        violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join(', ')}`),
        file,
      ).toEqual([])
    }
  })

test('without a script everything of the garden can be read, and on paper it is ink', async ({ page, house, browser }) => {
  const folder = await unpacked(page, house)
  const bare = await browser.newContext({ javaScriptEnabled: false, viewport: { width: 1280, height: 800 } })
  const garden = await bare.newPage()
  await garden.goto(`file://${join(folder, pageFiles['The garden'])}`)
  const tops = await garden.locator('.bed-words article').evaluateAll((all) => all.map((each) => each.getBoundingClientRect().top))
  expect(new Set(tops).size).toBe(5)
  await expect(garden.getByText('Hawk moths, in their second winter.')).toBeVisible()
  await bare.close()

  await page.goto(`file://${join(folder, pageFiles.Visit)}`)
  await page.emulateMedia({ media: 'print' })
  expect(
    await page
      .locator('.terms p')
      .first()
      .evaluate((words) => getComputedStyle(words).color),
  ).toBe('rgb(27, 27, 27)')
  expect(await page.locator('.closing').evaluate((words) => getComputedStyle(words).color)).toBe('rgb(27, 27, 27)')
})
