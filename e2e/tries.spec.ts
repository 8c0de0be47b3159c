// The pointer's thread, kept traces, tries, presets.
import { strToU8, unzipSync, zipSync } from 'fflate'
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { eventually, expect, test } from './support/house'
import { isLong, long } from './support/long'
import { toStudio, cardsPage, clickOnPage, leanOf, movePointer, stageOf, tiltOnCards } from './support/stage'

const number = (page: Page, name: string) => page.getByRole('spinbutton', { name, exact: true })

test(
  'the stand-in pointer goes through the thread again where it is dragged along, and a stretch is kept as a trace, in and out as a file',
  long,
  async ({ page, house }) => {
    await toStudio(page, await house.addSite('thread', cardsPage, [tiltOnCards()]))
    const frame = await stageOf(page)
    const lean = () => leanOf(frame, '.card', 0).then(({ rotateY }) => rotateY)
    await movePointer(page, 80, 180, 2)
    await eventually(lean).toBeLessThan(-6)
    const now = () => page.evaluate(() => performance.now())
    const cameLeft = await now()
    // So long that it is wide enough to be met on the thread.
    await page.waitForTimeout(1600)
    const onTheLeft = (cameLeft + (await now())) / 2
    await movePointer(page, 290, 180, 2)
    await eventually(lean).toBeGreaterThan(6)
    await page.waitForTimeout(300)
    const thread = page.getByRole('slider', { name: 'The pointer’s last twelve seconds' })
    const box = await thread.boundingBox()
    if (!box) throw new Error('There is no thread.')
    const at = (secondsAgo: number) => box.x + box.width * (1 - secondsAgo / 12)
    await page.mouse.move(at(0.1), box.y + 20, { steps: 3 })
    await page.mouse.down()
    // The thread stands while it is held.
    await page.mouse.move(at(((await now()) - onTheLeft) / 1000), box.y + 20, { steps: 12 })
    await eventually(lean).toBeLessThan(-6)
    await page.mouse.up()
    await page.getByRole('button', { name: 'Keep it' }).click()
    const traces = page.getByRole('region', { name: 'Traces of this site' })
    await traces.getByLabel('Name of Trace 1').fill('Left to right')
    await page.keyboard.press('Enter')
    await page.keyboard.press('l')
    await eventually(lean).toBeCloseTo(0, 2)
    await traces.getByRole('button', { name: 'Replay Left to right' }).click()
    await eventually(lean).toBeGreaterThan(6)

    const download = page.waitForEvent('download')
    await traces.getByRole('button', { name: 'JSON' }).click()
    const json = readFileSync(await (await download).path(), 'utf8')
    expect(JSON.parse(json)).toMatchObject({ format: 'glass-moth-trace/1' })
    const chooser = page.getByLabel('A trace as CSV or JSON')
    await chooser.setInputFiles({ name: 'again.json', mimeType: 'application/json', buffer: Buffer.from(json) })
    await expect(traces.getByLabel('Name of again')).toBeVisible()
    await chooser.setInputFiles({
      name: 'mine.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('t,x,y,buttons\n0,90,180,0\n200,290,180,0\n'),
    })
    await expect(traces.getByLabel('Name of mine')).toBeVisible()
    await chooser.setInputFiles({ name: 'no.csv', mimeType: 'text/csv', buffer: Buffer.from('t,x,y\n1,2,3') })
    await expect(page.getByText('there is no column "buttons"', { exact: false })).toBeVisible()
    await expect(page.getByRole('status').getByText('· saved')).toBeVisible()
    await page.reload()
    const again = await stageOf(page)
    await page.keyboard.press('y')
    await expect(traces.getByLabel('Name of Left to right')).toBeVisible()
    // By key, too.
    await page.getByRole('button', { name: 'Close the tries' }).click()
    await movePointer(page, 290, 180, 2)
    await eventually(() => leanOf(again, '.card', 0).then(({ rotateY }) => rotateY)).toBeGreaterThan(6)
    await thread.focus()
    await page.keyboard.press('ArrowLeft')
    await expect(thread).toHaveAttribute('aria-valuetext', /0\.\d s ago/)
  },
)

for (const name of isLong ? ['a flick', 'a scroll under it', 'leaving the window'] : ['a scroll under it']) {
  test(`a built-in run says what it is for, moves the cards and leaves nothing behind: ${name}`, async ({ page, house }) => {
    await toStudio(page, await house.addSite('runs', cardsPage, [tiltOnCards()]))
    const frame = await stageOf(page)
    const leans = async () =>
      Math.max(
        ...(await Promise.all(
          Array.from({ length: 8 }, (_, i) =>
            leanOf(frame, '.card', i).then(({ rotateX, rotateY }) => Math.abs(rotateX) + Math.abs(rotateY)),
          ),
        )),
      )
    // The most that any card leaned is noted in the page, so that nothing is missed between two looks.
    await frame.evaluate(() => {
      const noted = Object.assign(window, { most: 0 })
      const look = () => {
        for (const card of document.querySelectorAll('.card')) {
          const { m13, m23 } = new DOMMatrix(getComputedStyle(card).transform)
          noted.most = Math.max(noted.most, Math.abs(m13), Math.abs(m23))
        }
        requestAnimationFrame(look)
      }
      look()
    })
    await page.getByRole('button', { name: 'Test paths and traces' }).click()
    await page.getByRole('menuitem', { name }).click()
    await expect(page.getByText(`${name.charAt(0).toUpperCase()}${name.slice(1)}: shows`, { exact: false })).toBeVisible()
    await eventually(() => frame.evaluate(() => (window as unknown as { most: number }).most)).toBeGreaterThan(0.0001)
    await page.waitForTimeout(1500)
    if (name !== 'a scroll under it') expect(await leans()).toBeLessThan(0.05)
    await page.keyboard.press('l')
    await eventually(leans).toBeLessThan(0.01)
    expect(await frame.evaluate(() => scrollY)).toBeLessThan(10)
  })
}

test('tries are kept, tried on, gone back to, and two of them compared under one trace', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('tries', cardsPage, [tiltOnCards()]))
  const frame = await stageOf(page)
  await page.keyboard.press('Shift+Y')
  const tries = page.getByRole('region', { name: 'Tries of this effect' })
  await tries.getByLabel('Name of Try 1').fill('Calm')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'How it follows: softly' }).click()
  await page.getByRole('button', { name: 'springy' }).click()
  await number(page, 'The angle').focus()
  await page.keyboard.press('Shift+ArrowUp')
  await expect(number(page, 'The angle')).toHaveAttribute('aria-valuenow', '19')
  const lean = () => leanOf(frame, '.card', 0).then(({ rotateY }) => rotateY)
  await movePointer(page, 60 + 236, 180, 3)
  await eventually(lean).toBeGreaterThan(17)
  await page.getByRole('button', { name: 'Try on Calm' }).click()
  await movePointer(page, 60 + 235, 180, 3)
  await eventually(lean).toBeLessThan(9.01)
  await expect(number(page, 'The angle')).toHaveAttribute('aria-valuenow', '19')
  await page.getByRole('button', { name: 'Try on Calm' }).click()
  await page.getByRole('button', { name: 'Compare' }).click()
  const table = page.getByRole('table', { name: 'The numbers of both' })
  await expect(table).toBeVisible()
  const cells = async (row: string) =>
    table
      .getByRole('row')
      .filter({ has: page.getByRole('rowheader', { name: row }) })
      .getByRole('cell')
      .allTextContents()
  const [calm = '', springy = ''] = await cells('settles after')
  expect(parseFloat(springy)).toBeGreaterThan(parseFloat(calm) + 100)
  expect((await cells('overshoot')).map(parseFloat)).toEqual([expect.closeTo(4, 0), expect.closeTo(28, 0)])
  // Side by side on the page, each in its own way, under the same pointer.
  const frames = () => page.frames().filter((each) => each.url().includes('/frame/'))
  await eventually(() => Promise.resolve(frames().length)).toBe(2)
  const leanIn = (at: number) => async () => {
    const shown = frames()[at]
    return shown ? Math.abs((await leanOf(shown, '.card', 0)).rotateY) : 0
  }
  await eventually(leanIn(0)).toBeCloseTo(9 * 0.72, 0)
  await eventually(leanIn(1)).toBeCloseTo(19 * 0.72, 0)
  await page.getByRole('button', { name: 'One page again' }).click()
  await page.getByRole('button', { name: 'Go back to it' }).click()
  await expect(number(page, 'The angle')).toHaveAttribute('aria-valuenow', '9')
  await expect(page.getByRole('button', { name: 'Undo: Going back to Calm' })).toBeVisible()
})

test(
  'an effect is saved with its markup as a preset, and used on another site with other content',
  long,
  async ({ page, ownHouse: house }) => {
    await toStudio(
      page,
      await house.addSite('preset-from', cardsPage.replace('</style>', '.card h2 { color: rgb(120, 30, 90) }</style>'), [
        tiltOnCards({ acrossDeg: 21 }),
      ]),
    )
    await stageOf(page)
    await page.getByRole('button', { name: 'More' }).click()
    await page.getByLabel('Name', { exact: true }).fill('Slanted card')
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: 'Save as a preset' }).click()
    await expect(page.getByText('Slanted card is kept as a preset', { exact: false })).toBeVisible()

    await toStudio(
      page,
      await house.addSite(
        'preset-to',
        '<!doctype html>\n<html lang="en"><head><title>Other</title></head>\n<body>\n  <main style="padding: 40px">\n    <p class="intro">An introduction of some length.</p>\n  </main>\n</body></html>',
      ),
    )
    const frame = await stageOf(page)
    await page.keyboard.press('p')
    await clickOnPage(page, frame, '.intro')
    await page.getByRole('button', { name: 'Your presets' }).click()
    await page.getByRole('group', { name: 'Slanted card' }).getByRole('button', { name: 'Place it after' }).click()
    await expect(page.getByRole('button', { name: 'Effect 1: Slanted card' })).toBeVisible()
    const placed = await stageOf(page)
    await expect(placed.locator('.preset-slanted-card')).toHaveCount(1)
    await eventually(() => placed.locator('.preset-slanted-card h2').evaluate((title) => getComputedStyle(title).color)).toBe(
      'rgb(120, 30, 90)',
    )
    // Once more, for other content: the effect that is there does for both.
    await page.keyboard.press('p')
    await clickOnPage(page, placed, '.intro')
    await page.getByRole('button', { name: 'Your presets' }).click()
    await page.getByRole('group', { name: 'Slanted card' }).getByRole('button', { name: 'Place it after' }).click()
    await eventually(async () => (await stageOf(page)).locator('.preset-slanted-card').count()).toBe(2)
    await expect(page.getByRole('button', { name: /^Effect 2/ })).toHaveCount(0)
    await expect(page.getByRole('status').getByText('· saved')).toBeVisible()
    const exported = await (await page.request.get(`${house.address}/export/preset-to/page`)).text()
    expect(exported.match(/class="card preset-slanted-card"/g)).toHaveLength(2)
    expect(exported).toContain('-lean: 21deg;')
    // On an element of its own.
    await page.keyboard.press('p')
    await clickOnPage(page, await stageOf(page), '.intro')
    await page.getByRole('button', { name: 'Your presets' }).click()
    await page.getByRole('group', { name: 'Slanted card' }).getByRole('button', { name: 'Put it on this' }).click()
    await expect(page.getByRole('button', { name: 'Effect 2: Slanted card' })).toBeVisible()
    await page.keyboard.press('p')
    await clickOnPage(page, await stageOf(page), '.intro')
    await page.getByRole('button', { name: 'Your presets' }).click()
    await page.getByRole('button', { name: 'Remove the preset Slanted card' }).click()
    await expect(page.getByText('None yet. Under More', { exact: false })).toBeVisible()
  },
)

test(
  'a preset brings the pictures of its markup to another site, where they are shown and exported',
  long,
  async ({ page, ownHouse: house }) => {
    const picture = '<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40"><rect width="60" height="40" fill="#385"/></svg>'
    const html =
      '<!doctype html>\n<html lang="en"><head><meta charset="utf-8"><title>Seeds</title><style>body { margin: 40px } .packet { width: 220px } .packet div { padding: 20px; background: #dde }</style></head>\n<body>\n  <article class="packet">\n    <div><img src="img/seed.svg" alt="A seed" width="60" height="40"></div>\n    <div><button>Sow it</button></div>\n  </article>\n</body></html>'
    const zip = Buffer.from(zipSync({ 'seeds/index.html': strToU8(html), 'seeds/img/seed.svg': strToU8(picture) }))
    await toStudio(page, await house.addSite('seeds', cardsPage))
    await stageOf(page)
    await page.keyboard.press('g')
    await page.getByLabel('Files of a page').setInputFiles({ name: 'seeds.zip', mimeType: 'application/zip', buffer: zip })
    await expect(page.getByRole('button', { name: 'Page: Seeds' })).toBeVisible()
    await page.keyboard.press('g')
    await page.keyboard.press('p')
    await clickOnPage(page, await stageOf(page), '.packet div')
    await page.getByRole('button', { name: /^Turned over/ }).click()
    await page.getByRole('button', { name: 'More', exact: true }).click()
    await page.getByRole('button', { name: 'Save as a preset' }).click()
    await expect(page.getByText('Turned over is kept as a preset', { exact: false })).toBeVisible()

    await toStudio(
      page,
      await house.addSite(
        'garden-shop',
        '<!doctype html>\n<html lang="en"><head><title>Shop</title></head>\n<body>\n  <p class="intro">What we have this week.</p>\n</body></html>',
      ),
    )
    await page.keyboard.press('p')
    await clickOnPage(page, await stageOf(page), '.intro')
    await page.getByRole('button', { name: 'Your presets' }).click()
    await page.getByRole('group', { name: 'Turned over' }).getByRole('button', { name: 'Place it after' }).click()
    await expect(page.getByRole('button', { name: 'Effect 1: Turned over' })).toBeVisible()
    const shown = async () => (await stageOf(page)).evaluate(() => document.querySelector('img')?.naturalWidth ?? 0).catch(() => 0)
    await eventually(shown).toBe(60)
    await expect(page.getByRole('status').getByText('· saved')).toBeVisible()
    const whole = await page.request.get(`${house.address}/export/garden-shop`)
    const files = unzipSync(new Uint8Array(await whole.body()))
    expect(Object.keys(files).filter((path) => path.endsWith('img/seed.svg'))).toHaveLength(1)
    await page.keyboard.press('p')
    await clickOnPage(page, await stageOf(page), '.intro')
    await page.getByRole('button', { name: 'Your presets' }).click()
    await page.getByRole('button', { name: 'Remove the preset Turned over' }).click()
  },
)
