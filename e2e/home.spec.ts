// Home: where sites begin, are sought, named, copied, removed and brought back.
import { mkdirSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { handWritten, zipOf } from './support/made-pages'
import { cardsPage, stageOf } from './support/stage'

test('a site begins with a starter, is named, copied, removed and brought back, and found by its name', async ({ page, house }) => {
  await page.goto(house.address)
  await page.goto(house.address)
  await page.getByRole('button', { name: /^New site/ }).click()
  await page.getByRole('menuitem', { name: /^Card grid/i }).click()
  await expect(page).toHaveURL(/\/studio\/[\w-]+\/[\w-]+$/)
  const stage = await stageOf(page)
  expect(await stage.locator('.grid-card').count()).toBe(6)

  await page.goto(house.address)
  await page.getByLabel('Name of the site Card grid').fill('Ferry timetable')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'Ferry timetable' })).toBeVisible()
  await page.getByRole('button', { name: 'Copy Ferry timetable' }).click()
  await expect(page.getByRole('region', { name: 'Ferry timetable, copy' })).toBeVisible()
  await page.getByRole('button', { name: 'Remove Ferry timetable, copy' }).click()
  await expect(page.getByRole('region', { name: 'Ferry timetable, copy' })).toHaveCount(0)
  const removed = page.getByRole('region', { name: 'Removed sites' })
  await expect(removed.getByText('Ferry timetable, copy')).toBeVisible()
  await removed.getByRole('button', { name: 'Bring back' }).first().click()
  await expect(page.getByRole('region', { name: 'Ferry timetable, copy' })).toBeVisible()

  await page.getByLabel('Search sites and pages').fill('ferry')
  await expect(page.getByRole('region', { name: 'Vesper Hollow' })).toHaveCount(0)
  await expect(page.getByRole('region', { name: /^Ferry timetable/ })).toHaveCount(2)
  await page.getByLabel('Search sites and pages').fill('nothing of the sort')
  await expect(page.getByText('No site and no page is called that.')).toBeVisible()
})

test('a site begins from the demo, as it was at first', async ({ page, ownHouse: house }) => {
  await page.goto(house.address)
  await page.goto(house.address)
  await page.getByRole('button', { name: /^New site/ }).click()
  await page.getByRole('menuitem', { name: /^the demo, Vesper Hollow/i }).click()
  await expect(page).toHaveURL(/\/studio\/[\w-]{10}\/tonight$/)
  const stage = await stageOf(page)
  expect(await stage.locator('.lantern').count()).toBe(12)
  const effects = page.getByRole('navigation', { name: 'Effects' })
  await effects.hover()
  await effects.getByRole('button', { name: /^Elsewhere on this site/ }).click()
  await expect(effects.getByRole('button', { name: /^Effect \d/ })).toHaveCount(24)
})

test('a site begins with a page of the designer’s own, and what cannot be read is refused in a sentence', async ({ page, house }) => {
  await page.goto(house.address)
  await page.goto(house.address)
  const files = page.getByLabel('Files of a new site')
  await files.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no page') })
  await expect(page.getByText('There is no HTML file in what you brought.')).toBeVisible()
  await files.setInputFiles({ name: 'boats.zip', mimeType: 'application/zip', buffer: zipOf(handWritten()) })
  await expect(page).toHaveURL(/\/studio\/[\w-]+\/[\w-]+$/)
  const stage = await stageOf(page)
  expect(await stage.locator('.boat').count()).toBe(24)
  await expect(page.getByRole('heading', { name: 'Harrow & Reed, boats by hand' })).toBeVisible()
})

test('a picture of a page wakes under the pointer', long, async ({ page, house }) => {
  await page.goto(house.address)
  await page.goto(house.address)
  const card = page
    .getByRole('region', { name: 'Vesper Hollow', exact: true })
    .first()
    .getByRole('link', { name: /The collection/ })
  await card.scrollIntoViewIfNeeded()
  const box = await card.boundingBox()
  if (!box) throw new Error('There is no picture.')
  const shown = () => page.frames().find((frame) => frame.url().endsWith('/frame/vesper-hollow/specimens'))
  // At rest it is a picture, and no page is alive.
  await expect(card.locator('img')).toBeVisible()
  expect(page.frames().filter((frame) => frame.url().includes('/frame/'))).toEqual([])
  await page.mouse.move(box.x + 100, box.y + 100)
  await eventually(() => shown() !== undefined).toBe(true)
  await shown()?.waitForSelector('glass-moth-overlay', { state: 'attached' })
  const scale = 574 / 1280
  const plate = await shown()
    ?.locator('.plate')
    .first()
    .evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
  if (!plate) throw new Error('There is no plate.')
  // The picture is loaded, and its effects come, while the pointer goes over it.
  await eventually(async () => {
    await page.mouse.move(
      box.x + (plate.x + plate.width * 0.95) * scale,
      box.y + (plate.y + plate.height * (0.4 + Math.random() * 0.2)) * scale,
    )
    return shown()
      ?.locator('.plate')
      .first()
      .evaluate((element) => Math.abs(new DOMMatrix(getComputedStyle(element).transform).m13))
  }).toBeGreaterThan(0.1)
  // It sleeps again once the pointer has gone.
  await page.mouse.move(5, 5)
  await eventually(() => shown() === undefined).toBe(true)
})

test('pictures are kept in this browser, and drawn anew when their site has changed', long, async ({ page, house }) => {
  await house.addSite('pictured', cardsPage)
  await page.goto(house.address)
  await page.goto(house.address)
  const picture = page.getByRole('region', { name: 'Site pictured' }).locator('img')
  const colour = () =>
    picture.evaluate(async (image: HTMLImageElement) => {
      await image.decode()
      const canvas = Object.assign(document.createElement('canvas'), { width: 100, height: 56 })
      const context = canvas.getContext('2d')
      context?.drawImage(image, 0, 0, 100, 56)
      // Between the cards of the second row and the lower edge.
      return [...(context?.getImageData(50, 50, 1, 1).data.slice(0, 3) ?? [])]
    })
  await page.getByRole('region', { name: 'Site pictured' }).scrollIntoViewIfNeeded()
  await expect(picture).toBeVisible()
  expect((await colour())[0]).toBeGreaterThan(247)
  const kept = () =>
    page.evaluate(
      async () =>
      (await (await caches.open('glass-moth-pictures')).keys()).map(({ url }) => url.replace(/^.*pictured/, 'pictured')).filter((url) => url.startsWith('pictured')), // prettier-ignore
    )
  await eventually(kept).toEqual(['pictured/page?of=1'])
  await house.addSite('pictured', cardsPage.replace('body { margin: 0;', 'body { margin: 0; background: #00ff00;'))
  await house.query('UPDATE sites SET revision = 7 WHERE id = ?', ['pictured'])
  await page.reload()
  await page.getByRole('region', { name: 'Site pictured' }).scrollIntoViewIfNeeded()
  await expect(picture).toBeVisible()
  await eventually(kept).toEqual(['pictured/page?of=7'])
  const [red = 255, green = 0] = await colour()
  expect(red).toBeLessThan(8)
  expect(green).toBeGreaterThan(247)
})

test('a site that is renamed and opened at once has its new name there', long, async ({ page, house }) => {
  await house.addSite('renamed', cardsPage)
  await page.goto(house.address)
  await page.goto(house.address)
  // The server takes its time.
  await page.route('**/api/sites/renamed', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 700))
    await route.continue()
  })
  const name = page.getByLabel('Name of the site Site renamed')
  await name.fill('Low tide')
  // The hand goes straight from the name to the page.
  await page.locator('a[href="/studio/renamed/page"]').click()
  await expect(page).toHaveURL(/\/studio\/renamed\/page$/)
  await stageOf(page)
  await expect(
    page
      .getByRole('link', { name: /^Low tide/ })
      .or(page.getByText('Low tide'))
      .first(),
  ).toBeVisible()
  await page.waitForTimeout(1200)
  await expect(page.getByText(/another window|someone else/i)).toHaveCount(0)
})

test('a site begins with a folder, or with loose files: these stand where the page asks for them', long, async ({ page, house }, info) => {
  const picture = '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><rect width="40" height="30"/></svg>'
  const html =
    '<!doctype html><html><head><title>Loose</title><link rel="stylesheet" href="css/site.css"></head><body><img src="img/hero.svg" alt="A hero"></body></html>'
  const folder = info.outputPath('a-site')
  for (const [path, text] of [
    ['index.html', html],
    ['css/site.css', 'body { color: rgb(1, 2, 3) }'],
    ['img/hero.svg', picture],
  ] as const) {
    mkdirSync(dirname(`${folder}/${path}`), { recursive: true })
    writeFileSync(`${folder}/${path}`, text)
  }
  const isWhole = async () => {
    await expect(page).toHaveURL(/\/studio\/[\w-]+\/[\w-]+$/)
    const stage = await stageOf(page)
    await eventually(() => stage.evaluate(() => document.querySelector('img')?.naturalWidth)).toBe(40)
    expect(await stage.evaluate(() => getComputedStyle(document.body).color)).toBe('rgb(1, 2, 3)')
  }
  await page.goto(house.address)
  await page.goto(house.address)
  await page
    .getByLabel('Files of a new site')
    .setInputFiles(['index.html', 'css/site.css', 'img/hero.svg'].map((path) => `${folder}/${path}`))
  await isWhole()
  await page.goto(house.address)
  await page.getByRole('button', { name: /^New site/ }).click()
  const chosen = page.waitForEvent('filechooser')
  await page.getByRole('menuitem', { name: /^From a folder/ }).click()
  await (await chosen).setFiles(folder)
  await isWhole()
})
