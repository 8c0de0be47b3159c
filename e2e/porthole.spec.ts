// Portholes as they are exported: where they are open, what is seen and met there, and how they grow.
import type { Page } from '@playwright/test'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'
import { record } from './support/recorder'
import { colourAt } from './support/pixels'

/** Two layers in one place, not of one size. */
const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Layers</title><style>
  body { margin: 0; background: #fff }
  .yard { position: relative; margin: 40px 5%; height: 420px; overflow: clip }
  .day, .night { position: absolute; inset: 0 }
  .day { background: rgb(240 220 180) } .night { background: rgb(20 40 60); left: 24px; top: 10px }
  .night a { position: absolute; left: 300px; top: 180px; color: #fff } .day a { position: absolute; left: 30px; top: 30px }
</style></head><body><section class="yard"><div class="night"><a href="#night">At night</a></div><div class="day"><a href="#day">By day</a></div></section></body></html>`

const noun = (select: string) => ({ select, noun: select.slice(1) })
const roles = { back: noun('.night'), ground: noun('.yard') }
const atOnce = { follow: { kind: 'direct' }, comeMs: 0, goMs: 0 }
const porthole = (changes: object = {}) => effectOf('porthole', '.day', settingsOf('porthole', { ...atOnce, ...changes }), { roles })

const day = [240, 220, 180]
const night = [20, 40, 60]
const clipOf = (page: Page) => page.locator('.night').evaluate((element) => getComputedStyle(element).clipPath)
/** The radius and the middle of a circle, px of the window. */
const circleOf = (page: Page) =>
  page.locator('.night').evaluate((element) => {
    const [radius = 0, x = 0, y = 0] = (getComputedStyle(element).clipPath.match(/-?[\d.]+/g) ?? []).map(Number)
    const { left, top } = element.getBoundingClientRect()
    return [radius, left + x, top + y].map((each) => Math.round(each * 10) / 10)
  })
const hit = (page: Page, x: number, y: number) =>
  page.evaluate(([px, py]) => document.elementFromPoint(px, py)?.closest('.day, .night')?.className, [x, y] as const)

for (const width of [1280, 390])
  test(`what lies behind is seen and met in a circle round the pointer, and nowhere else, at a width of ${width}`, async ({
    page,
  }, info) => {
    await page.setViewportSize({ width, height: 600 })
    await openAlone(page, html, [porthole({ radiusPx: 80 })], info.outputPath('page.html'))
    expect(await clipOf(page)).toBe('none')
    expect(await colourAt(page, width / 2, 300)).toEqual(day)
    for (const [x, y] of [
      [width / 2, 250],
      [width - 110, 400],
    ] as const) {
      await page.mouse.move(x, y)
      await eventually(() => circleOf(page)).toEqual([80, x, y])
      expect(await colourAt(page, x - 78, y)).toEqual(night)
      expect(await colourAt(page, x - 83, y)).toEqual(day)
      expect(await colourAt(page, x, y - 78)).toEqual(night)
      expect([await hit(page, x - 70, y), await hit(page, x - 90, y)]).toEqual(['night', 'day'])
    }
    await page.mouse.move(5, 590)
    await eventually(async () => (await circleOf(page))[0]).toBe(0)
    expect(await colourAt(page, width / 2, 300)).toEqual(day)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(width)
  })

test('it opens and closes in its times, from where the pointer comes in to where it left', async ({ page }, info) => {
  await page.setViewportSize({ width: 1000, height: 600 })
  const settings = settingsOf('porthole', { comeMs: 2000, goMs: 700 })
  await openAlone(page, html, [effectOf('porthole', '.day', settings, { roles })], info.outputPath('page.html'))
  const { end } = await record(
    page,
    () => (getComputedStyle(document.querySelector('.night') as Element).clipPath.match(/-?[\d.]+/g) ?? []).map(Number),
    undefined,
  )
  await page.mouse.move(600, 300)
  await eventually(() => clipOf(page)).toMatch(/^circle\(120px /)
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))))
  const seen = (await end()).flatMap(({ value }) => (value.length > 0 ? [value] : []))
  const radii = seen.map(([radius = 0]) => radius)
  expect(radii).toEqual([...radii].sort((a, b) => a - b))
  expect(radii.filter((radius) => radius > 5 && radius < 115).length).toBeGreaterThan(3)
  // From the first it is where the pointer is: 26 px less than in the window, by the margin of 50 px and 24 px of its own.
  expect(seen.filter(([radius = 0]) => radius > 0).every(([, x = 0]) => Math.abs(x - (600 - 74)) < 0.5)).toBe(true)
  expect(radii.at(-1)).toBe(120)
  await page.mouse.move(600, 590)
  await eventually(async () => (await circleOf(page))[0]).toBe(0)
})

test('soft edges and outlines are drawn in a tile round the pointer, and met within it', async ({ page }, info) => {
  await page.setViewportSize({ width: 1000, height: 600 })
  await openAlone(page, html, [porthole({ radiusPx: 100, softPx: 60 })], info.outputPath('soft.html'))
  await page.mouse.move(500, 250)
  await eventually(() => circleOf(page)).toEqual([100, 500, 250])
  expect(await colourAt(page, 500, 250)).toEqual(night)
  expect(await colourAt(page, 500 - 38, 250)).toEqual(night)
  const [half = 0] = await colourAt(page, 500 - 70, 250)
  expect(Math.abs(half - (day[0] ?? 0) / 2 - (night[0] ?? 0) / 2)).toBeLessThan(8)
  expect(await colourAt(page, 500 - 102, 250)).toEqual(day)

  // The lower left half of a square.
  await openAlone(page, html, [porthole({ radiusPx: 100, shape: 'outline', outline: 'M0 0L100 100H0Z' })], info.outputPath('outline.html'))
  await page.mouse.move(500, 250)
  await eventually(() => colourAt(page, 500 - 50, 250 + 50)).toEqual(night)
  expect(await colourAt(page, 500 + 50, 250 - 50)).toEqual(day)
  expect(await colourAt(page, 500 - 98, 250 - 80)).toEqual(night)
  expect(await colourAt(page, 500 - 103, 250)).toEqual(day)
  expect(await hit(page, 380, 250)).toBe('day')
})

test('a box and an ellipse are as wide as they are told, grow while pressed, and in another look there is no second layer', async ({
  page,
}, info) => {
  await page.setViewportSize({ width: 1000, height: 600 })
  await openAlone(
    page,
    html,
    [porthole({ shape: 'box', radiusPx: 60, widePercent: 200, cornersPx: 0, pressPx: 30 })],
    info.outputPath('box.html'),
  )
  await page.mouse.move(500, 250)
  await eventually(() => colourAt(page, 500 - 118, 250 - 58)).toEqual(night)
  expect(await colourAt(page, 500 - 122, 250)).toEqual(day)
  await page.mouse.down()
  await eventually(() => colourAt(page, 500 - 176, 250 + 86)).toEqual(night)
  await page.mouse.up()
  await eventually(() => colourAt(page, 500 - 122, 250)).toEqual(day)

  await openAlone(
    page,
    html,
    [porthole({ shape: 'ellipse', radiusPx: 60, widePercent: 150, shows: 'picture', picture: 'rgb(1 2 3)' })],
    info.outputPath('picture.html'),
  )
  await page.mouse.move(500, 250)
  await eventually(() => colourAt(page, 500 - 87, 250)).toEqual([1, 2, 3])
  expect(await colourAt(page, 500, 250 - 63)).toEqual(day)

  const look = effectOf('porthole', '.yard', settingsOf('porthole', { ...atOnce, shows: 'look', radiusPx: 60 }))
  await openAlone(page, html, [look], info.outputPath('look.html'))
  await page.mouse.move(500, 250)
  await eventually(() => colourAt(page, 500 - 55, 250)).toEqual(day.map((each) => 255 - each))
  expect(await colourAt(page, 500 - 63, 250)).toEqual(day)
  await page.mouse.move(500, 590)
  await eventually(() => colourAt(page, 500, 250)).toEqual(day)
})

test('what lies behind comes in front for the focus, and without a script the front stands as it was', async ({ page, browser }, info) => {
  const file = info.outputPath('page.html')
  await openAlone(page, html, [porthole()], file)
  await page.mouse.move(300, 200)
  await eventually(() => clipOf(page)).toContain('circle(120px')
  await page.keyboard.press('Tab')
  expect(await page.evaluate(() => document.activeElement?.textContent)).toBe('At night')
  await eventually(() => clipOf(page)).toBe('none')
  const context = await browser.newContext({ javaScriptEnabled: false })
  const still = await context.newPage()
  await still.goto(`file://${file}`)
  await still.mouse.move(300, 200)
  expect(await colourAt(still, 300, 200)).toEqual(day)
  await context.close()
})
