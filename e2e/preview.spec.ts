// Previews: the page as print and forced colours have it, and at an address of its own that plays it as exported and changes nothing.
import { request } from 'node:http'
import type { Page } from '@playwright/test'
import { zipOf, handWritten } from './support/made-pages'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { toStudio, cardsPage, leanOf, stageOf, tiltOnCards } from './support/stage'

const previewsOf = async (page: Page, address: string) =>
  (await (await page.request.get(`${address}/api/preview`)).json()) as { here: string; lan: string[] }

test('the preview plays the page as exported, without the studio, at an address of its own', async ({ page, house, context }) => {
  await toStudio(page, await house.addSite('previewed', cardsPage, [tiltOnCards({ acrossDeg: 11 })]))
  await stageOf(page)
  await page.getByRole('button', { name: /^Preview as/ }).click()
  const opened = context.waitForEvent('page')
  await page.getByRole('menuitem', { name: 'Open a preview in another window' }).click()
  const preview = await opened
  await preview.waitForURL(/^http:\/\/localhost:\d+\/[\w-]{16}\/previewed\/page\/index\.html$/)
  expect(new URL(preview.url()).port).not.toBe(new URL(house.address).port)
  await preview.mouse.move(60 + 236, 180, { steps: 4 })
  await eventually(async () => (await leanOf(preview, '.card', 0)).rotateY).toBeCloseTo(11, 0)
  expect(await preview.evaluate(() => [window.opener === null, document.querySelectorAll('glass-moth-overlay').length])).toEqual([true, 0])
  // What is changed in the studio is there with the next look.
  await page.getByRole('spinbutton', { name: 'The angle', exact: true }).focus()
  await page.keyboard.type('5')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status').filter({ hasText: /^· saved$/ })).toBeVisible()
  await preview.reload()
  await preview.mouse.move(60 + 235, 181, { steps: 4 })
  await eventually(async () => (await leanOf(preview, '.card', 0)).rotateY).toBeCloseTo(5, 0)
})

test('pages that came together lead to one another, with their files beside them', long, async ({ page, house }) => {
  await page.goto(house.address)
  await page.goto(house.address)
  await page
    .getByLabel('Files of a new site')
    .setInputFiles({ name: 'boats.zip', mimeType: 'application/zip', buffer: zipOf(handWritten()) })
  await expect(page).toHaveURL(/\/studio\/[\w-]+\/[\w-]+$/)
  const [, siteId, pageId] = /\/studio\/([\w-]+)\/([\w-]+)$/.exec(page.url()) ?? []
  const { here } = await previewsOf(page, house.address)
  const missing: string[] = []
  page.on('response', (response) => response.status() >= 400 && missing.push(response.url()))
  await page.goto(`${here}/${siteId}/${pageId}/`)
  expect(await page.locator('.boat').count()).toBe(24)
  expect(missing.filter((url) => !url.endsWith('favicon.ico'))).toEqual([])
})

test('the address answers reading alone, by its token, and never from the studio’s own', async ({ page, house }) => {
  await house.addSite('shut', cardsPage)
  const { here, lan } = await previewsOf(page, house.address)
  expect(lan).toEqual([])
  const status = async (address: string, method = 'GET') => (await page.request.fetch(address, { method, maxRedirects: 0 })).status()
  expect(await status(`${here}/shut/page/index.html`)).toBe(200)
  expect(await status(`${here}/shut/page/`)).toBe(302)
  expect(await status(`${here}/shut/page/index.html`, 'POST')).toBe(405)
  expect(await status(`${here}/shut/page/none.css`)).toBe(404)
  expect(await status(`${here}/nowhere/page/index.html`)).toBe(404)
  const { origin } = new URL(here)
  expect(await status(`${origin}/AAAAAAAAAAAAAAAA/shut/page/index.html`)).toBe(404)
  expect(await status(`${origin}/api/sites`)).toBe(404)
  expect(await status(`${house.address}/preview/shut/page/index.html`)).toBe(404)
  // As no browser writes it.
  const raw = (path: string) =>
    new Promise<number>((resolve, reject) => {
      const { hostname, port } = new URL(here)
      request({ hostname, port, path }, (response) => resolve(response.statusCode ?? 0))
        .on('error', reject)
        .end()
    })
  const { pathname } = new URL(here)
  for (const way of ['/../api/sites', '/shut/page/%2e%2e/%2e%2e/api/sites', '/shut/../../api/sites', '/%00'])
    expect(await raw(pathname + way), way).toBe(404)
})

test('on a phone it is told how, and what that opens', async ({ page, house }) => {
  await toStudio(page, await house.addSite('phone', cardsPage))
  await stageOf(page)
  await page.getByRole('button', { name: /^Preview as/ }).click()
  await page.getByRole('menuitem', { name: 'On a phone …' }).click()
  const panel = page.getByRole('complementary', { name: 'Preview' })
  await expect(panel.getByText('npm start -- --lan')).toBeVisible()
  await page.route('**/api/preview', (route) =>
    route.fulfill({ json: { here: 'http://127.0.0.1:4718/t', lan: ['http://192.168.1.20:4718/t'] } }),
  )
  await panel.getByRole('button', { name: 'Close the preview' }).click()
  await page.getByRole('button', { name: /^Preview as/ }).click()
  await page.getByRole('menuitem', { name: 'On a phone …' }).click()
  await expect(panel.getByText('http://192.168.1.20:4718/t/phone/page')).toBeVisible()
  await expect(panel.getByRole('img', { name: 'The address as a code for a camera' })).toBeVisible()
  await expect(panel.getByText('Whoever is in your network and has this address sees the pages of your sites.')).toBeVisible()
})

test('the page is seen as on paper, and with colours forced', long, async ({ page, house }) => {
  const html = cardsPage.replace(
    '</style>',
    '@media print { .card { background: #eeeeee } } @media screen { .card { border-color: #00ff00 } } @media (forced-colors: active) { h2 { letter-spacing: 3px } }</style>',
  )
  await toStudio(page, await house.addSite('paper', html, [tiltOnCards()]))
  const frame = await stageOf(page)
  const looks = () =>
    frame.evaluate(() => {
      const [card, heading] = [document.querySelector('.card') as Element, document.querySelector('h2') as Element]
      const style = getComputedStyle(card)
      return [style.backgroundColor, style.borderTopColor, getComputedStyle(heading).letterSpacing]
    })
  const before = await looks()
  expect(before).toEqual(['rgb(255, 255, 255)', 'rgb(0, 255, 0)', 'normal'])
  const previewAs = async (name: RegExp) => {
    await page.getByRole('button', { name: /^Preview as/ }).click()
    await page.getByRole('menuitem', { name }).click()
  }
  await previewAs(/^print/i)
  await eventually(looks).toEqual(['rgb(238, 238, 238)', 'rgb(153, 153, 153)', 'normal'])
  await previewAs(/^forced colours/i)
  await eventually(async () => (await looks())[2]).toBe('3px')
  expect((await looks())[0]).not.toBe(before[0])
  await previewAs(/^a mouse/i)
  await eventually(looks).toEqual(before)
})
