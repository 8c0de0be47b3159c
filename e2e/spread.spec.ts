// Spreads as they are exported: how panels grow, what is seen of them, and what plays.
import type { Page } from '@playwright/test'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'
import { throughTransitions } from './support/recorder'

const words = 'Sown in March, pricked out in pairs, planted where the evening is longest; it opens at eight and is over by two.'
const html = (css = '', count = 5) => `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Borders</title><style>
  body { margin: 20px; font: 16px/1.4 sans-serif } .row { display: flex; gap: 6px; width: 1000px; height: 300px }
  .panel { flex: 1; padding: 20px; background: #cfd8c0; min-width: 0 } ${css}
</style></head><body><div class="row">${Array.from({ length: count }, (_, i) => `<section class="panel"><h3>${i + 1}</h3><div class="words"><p>${words}</p><a href="#p${i}">More</a></div></section>`).join('')}</div></body></html>`

const roles = { content: { select: '.panel .words', noun: 'the words' } }
const spread = (changes: object = {}, count = 5) =>
  effectOf('spread', '.panel', settingsOf('spread', { comeMs: 0, goMs: 0, panels: count, besidePx: 40, ...changes }), { roles })

const widthsOf = (page: Page, side: 'width' | 'height' = 'width') =>
  page.evaluate((each) => {
    for (const animation of document.getAnimations()) animation.finish()
    return [...document.querySelectorAll('.panel')].map((panel) => Math.round(panel.getBoundingClientRect()[each] * 10) / 10)
  }, side)
const wordsOf = (page: Page, index: number) =>
  page
    .locator('.words')
    .nth(index)
    .evaluate((element) => {
      const { width, height } = element.getBoundingClientRect()
      return { width: Math.round(width * 10) / 10, height, opacity: getComputedStyle(element).opacity }
    })
/** The widths of five panels in 1000 px, with gaps of 6 px and paddings of 20, of which one is open. */
const expected = (open: number, grows = 2.4) =>
  Array.from({ length: 5 }, (_, i) => Math.round((40 + ((i === open ? grows : 1) * (1000 - 4 * 6 - 5 * 40)) / (4 + grows)) * 10) / 10)

test('the panel that is met grows by its factor, the others give way, and text keeps its lines all the while', async ({ page }, info) => {
  await openAlone(page, html(), [spread({ comeMs: 5000, goMs: 5000 })], info.outputPath('page.html'))
  expect(await page.locator('script').count()).toBe(0)
  const at = (await wordsOf(page, 3)).height
  expect(new Set(await widthsOf(page)).size).toBe(1)
  for (const open of [3, 0]) {
    await page.locator('.panel').nth(open).hover()
    const seen = await throughTransitions(
      page,
      (i) => {
        const element = document.querySelectorAll('.words')[i] as HTMLElement
        return [element.offsetWidth, element.offsetHeight, (element.closest('.panel') as HTMLElement).offsetWidth] as const
      },
      open,
    )
    await eventually(() => widthsOf(page)).toEqual(expected(open))
    // Its size is one on the whole way, which the panel goes step by step.
    expect(new Set(seen.map(([width, height]) => `${width} ${height}`)).size).toBe(1)
    expect(new Set(seen.map(([, , panel]) => panel)).size).toBeGreaterThan(3)
    expect(await widthsOf(page)).toEqual(expected(open))
    // It fits exactly into the open panel.
    expect((await wordsOf(page, open)).width).toBeCloseTo((expected(open)[open] ?? 0) - 40, 0)
    expect((await wordsOf(page, open)).opacity).toBe('1')
    expect((await wordsOf(page, 2)).opacity).toBe('0')
    expect((await wordsOf(page, 3)).height).toBe(at)
  }
  await page.mouse.move(500, 600)
  await eventually(async () => new Set(await widthsOf(page)).size).toBe(1)
})

test('a grid and a column are laid out by the effect; a row in a narrow window stacks', async ({ page }, info) => {
  const grid = html('.row { display: grid; grid-template-columns: repeat(5, 1fr) }')
  await openAlone(page, grid, [spread({ lays: 'effect' })], info.outputPath('laid.html'))
  await page.locator('.panel').nth(1).hover()
  expect(await widthsOf(page)).toEqual(expected(1))
  // Or by its own tracks, which have the paddings in them.
  await openAlone(page, grid, [spread({ lays: 'grid', comeMs: 400 })], info.outputPath('grid.html'))
  expect(await page.locator('script').count()).toBe(0)
  await page.mouse.move(500, 600)
  const words = await wordsOf(page, 1)
  await page.locator('.panel').nth(1).hover()
  const onWay = await page
    .locator('.panel')
    .nth(1)
    .evaluate((element) => element.getBoundingClientRect().width)
  const tracks = [1, 2.4, 1, 1, 1].map((share) => Math.round((share * (1000 - 4 * 6) * 10) / 6.4) / 10)
  await eventually(() => widthsOf(page)).toEqual(tracks)
  expect(onWay).toBeLessThan(tracks[1] ?? 0)
  expect(await wordsOf(page, 1)).toEqual({ ...words, opacity: '1' })
  expect(words.width).toBeCloseTo((tracks[1] ?? 0) - 40, 0)
  await openAlone(
    page,
    html('.row { display: block; height: 600px }'),
    [spread({ lays: 'effect', along: 'down', growsTimes: 3 })],
    info.outputPath('column.html'),
  )
  await page.locator('.panel').nth(2).hover()
  await eventually(async () => {
    const [first = 0, , open = 0] = await widthsOf(page, 'height')
    // Within their paddings.
    return Math.round(((open - 40) / (first - 40)) * 10) / 10
  }).toBe(3)
  await page.setViewportSize({ width: 600, height: 800 })
  await openAlone(
    page,
    html('@media (max-width: 639px) { .row { display: block; width: auto; height: auto } }'),
    [spread()],
    info.outputPath('narrow.html'),
  )
  await page.locator('.panel').nth(2).hover()
  const widths = await widthsOf(page)
  expect(new Set(widths).size).toBe(1)
  expect((await wordsOf(page, 0)).opacity).toBe('1')
})

test('one is open from the start, the last one stays, by focus and by tap too', async ({ browser }, info) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1100, height: 500 } })
  const page = await context.newPage()
  await openAlone(page, html(), [spread({ first: 2, stays: true })], info.outputPath('page.html'))
  await eventually(() => widthsOf(page)).toEqual(expected(1))
  await page.mouse.move(40, 100)
  await eventually(() => widthsOf(page)).toEqual(expected(0))
  await page.mouse.move(500, 480)
  await eventually(() => widthsOf(page)).toEqual(expected(0))
  await page.keyboard.press('Tab')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Tab')
  await eventually(() => widthsOf(page)).toEqual(expected(2))
  await page.touchscreen.tap(980, 290)
  await eventually(() => widthsOf(page)).toEqual(expected(4))
  await context.close()
})

test('what moves plays while its panel is open, pauses in its place or starts again; a refused one harms nothing', async ({
  page,
}, info) => {
  const film = html().replaceAll('<h3>', '<video muted></video><h3>')
  const told = () =>
    page.evaluate(() => (window as unknown as { told: string[] }).told.splice(0).filter((each, i, all) => each !== all[i - 1]))
  const faults: string[] = []
  page.on('pageerror', (error) => faults.push(error.message))
  await page.addInitScript(() => {
    const told: string[] = []
    Object.assign(window, { told })
    const note = (what: string) =>
      function (this: HTMLMediaElement) {
        const index = [...document.querySelectorAll('video')].indexOf(this as HTMLVideoElement)
        told.push(`${what} ${index}${what === 'play' ? ` at ${this.currentTime}` : ''}`)
        return Promise.reject(new DOMException('It may not.', 'NotAllowedError'))
      }
    HTMLMediaElement.prototype.play = note('play')
    HTMLMediaElement.prototype.pause = function (this: HTMLMediaElement) {
      void note('pause')
        .call(this)
        .catch(() => undefined)
    }
    let time = 4
    Object.defineProperty(HTMLMediaElement.prototype, 'currentTime', { get: () => time, set: (next: number) => (time = next) })
  })
  await openAlone(page, film, [spread({ plays: 'open' })], info.outputPath('place.html'))
  await page.mouse.move(40, 100)
  await eventually(async () => (await told()).filter((each) => each.startsWith('play'))).toEqual(['play 0 at 4'])
  await page.mouse.move(500, 480)
  await eventually(async () => (await told()).includes('pause 0')).toBe(true)
  await openAlone(page, film, [spread({ plays: 'open', resumes: 'start' })], info.outputPath('start.html'))
  await page.mouse.move(40, 100)
  await eventually(async () => (await told()).filter((each) => each.startsWith('play'))).toEqual(['play 0 at 0'])
  expect(faults).toEqual([])
})
