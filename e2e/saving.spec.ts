// Nothing is lost: windows that meet, a browser that is killed, a history that goes back, a site that cannot be read.
import { chromium, type BrowserContext, type Page } from '@playwright/test'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromiumArguments } from '../src/cli/chromium'
import { eventually, expect, test } from './support/house'
import { isLong, long } from './support/long'
import { cardsPage, stageOf, tiltOnCards } from './support/stage'

const angleOf = (page: Page) => page.getByRole('spinbutton', { name: 'The angle', exact: true })
const saved = (page: Page) => page.getByRole('status').getByText('· saved')
const type = async (page: Page, text: string, field = angleOf(page)) => {
  await field.focus()
  await page.keyboard.type(text)
  await page.keyboard.press('Enter')
}
const open = async (page: Page, url: string) => {
  await page.goto(url)
  await stageOf(page)
  await expect(angleOf(page)).toBeVisible()
}

test('two windows of one browser see each other’s edits at once; undo takes back one’s own alone', async ({ page, house, context }) => {
  const url = await house.addSite('windows', cardsPage, [tiltOnCards()])
  const second = await context.newPage()
  await open(page, url)
  await open(second, url)
  const eyeOf = (each: Page) => each.getByRole('spinbutton', { name: /perspective/i }).first()
  // They hear it of each other, and need no server for that. How soon is measured by the bench.
  for (const each of [page, second]) await each.route('**/api/**', (route) => route.abort())
  await type(page, '12')
  await expect(angleOf(second)).toHaveAttribute('aria-valuetext', '12°')
  await type(second, '900', eyeOf(second))
  await expect(eyeOf(page)).toHaveAttribute('aria-valuenow', '900')
  for (const each of [page, second]) await each.unroute('**/api/**')
  await type(page, '20')
  await page.getByRole('button', { name: /^Undo/ }).click()
  for (const each of [page, second]) {
    await expect(angleOf(each)).toHaveAttribute('aria-valuetext', '12°')
    await expect(eyeOf(each)).toHaveAttribute('aria-valuenow', '900')
  }
  await expect(saved(page)).toBeVisible()
  await expect(saved(second)).toBeVisible()
  const [row] = await house.query('SELECT JSON_VALUE(document, ?) AS angle, JSON_VALUE(document, ?) AS eye FROM sites WHERE id = ?', [
    '$.effects[0].settings.acrossDeg',
    '$.effects[0].settings.perspectivePx',
    'windows',
  ])
  expect(row).toEqual({ angle: '12', eye: '900' })
})

test('two people: edits come by themselves, and where both changed the same both are told', long, async ({ page, house, browser }) => {
  const url = await house.addSite('people', cardsPage, [tiltOnCards()])
  const other = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
  const count = (of: Page, path: RegExp) => {
    const urls: string[] = []
    of.on('request', (request) => path.test(request.url()) && urls.push(request.url()))
    return urls
  }
  const saves = [count(page, /\/edits$/), count(other, /\/edits$/)]
  const asked = count(other, /\/state\?/)
  await open(page, url)
  await open(other, url)
  await type(page, '14')
  await expect(angleOf(other)).toHaveAttribute('aria-valuetext', '14°')
  await type(page, '15')
  await expect(angleOf(other)).toHaveAttribute('aria-valuetext', '15°')
  await expect(saved(page)).toBeVisible()
  // It is told of them, and does not ask now and then: once as it opens, and then not more often than something was saved.
  expect(asked.length).toBeGreaterThan(1)
  expect(asked.length).toBeLessThanOrEqual(1 + saves.flat().length)
  // The other one is cut off from the server while both change the angle.
  await other.route('**/api/sites/**', (route) => route.abort())
  await type(other, '40')
  await expect(other.getByRole('status').getByText('not saved yet')).toBeVisible()
  await type(page, '5')
  await expect(saved(page)).toBeVisible()
  await other.unroute('**/api/sites/**')
  for (const each of [page, other])
    await expect(
      each.getByRole('alert').filter({ hasText: 'was changed in two windows at once: 40° counts, the other one set 5°.' }),
    ).toBeVisible()
  await expect(angleOf(page)).toHaveAttribute('aria-valuetext', '40°')
  await page.getByRole('alert').getByRole('button', { name: 'Use 5°' }).click()
  for (const each of [page, other]) await expect(angleOf(each)).toHaveAttribute('aria-valuetext', '5°')
  await other.context().close()
})

test(
  'the history tells what was done; a version is looked at, named, and brought back whole or by effect',
  long,
  async ({ page, house }) => {
    const url = await house.addSite('history', cardsPage, [tiltOnCards()])
    await house.query(
      "INSERT INTO site_revisions (site_id, revision, document, done) SELECT id, revision, document, 'Beginning' FROM sites WHERE id = ?",
      ['history'],
    )
    await open(page, url)
    await type(page, '30')
    await expect(saved(page)).toBeVisible()
    await page.getByRole('button', { name: 'History', exact: true }).click()
    const history = page.getByRole('complementary', { name: 'History' })
    await expect(history.getByText('The angle', { exact: true })).toBeVisible()
    await page.reload()
    await page.getByRole('button', { name: 'History', exact: true }).click()
    await history.getByRole('button', { name: 'Show changes' }).last().click()
    await expect(history.getByText('Effect Cards give way: changed since')).toBeVisible()
    await history.getByLabel(/^Name of the version/).fill('Before the launch')
    await page.keyboard.press('Enter')
    await expect(history.getByText('Before the launch', { exact: true })).toBeVisible()
    await history.getByRole('button', { name: 'Bring back: Effect Cards give way: changed since' }).click()
    await expect(angleOf(page)).toHaveAttribute('aria-valuetext', '9°')
    await page.getByRole('button', { name: /^Undo/ }).click()
    await expect(angleOf(page)).toHaveAttribute('aria-valuetext', '30°')
    await history.getByRole('button', { name: 'Bring back', exact: true }).last().click()
    await expect(angleOf(page)).toHaveAttribute('aria-valuetext', '9°')
  },
)

test('a site that cannot be read leaves home as it is, and comes back from its last readable version', long, async ({ page, house }) => {
  await house.addSite('unreadable', cardsPage, [tiltOnCards()])
  await house.query('INSERT INTO site_revisions (site_id, revision, document) SELECT id, revision, document FROM sites WHERE id = ?', [
    'unreadable',
  ])
  await house.query("UPDATE sites SET revision = 2, document = JSON_SET(document, '$.effects[0].kind', 'wobble') WHERE id = ?", [
    'unreadable',
  ])
  await page.goto(house.address)
  await page.goto(house.address)
  const card = page.getByRole('region', { name: 'Site unreadable' })
  await expect(
    card.getByText(
      'This site cannot be read. At effects.0.kind: there is no kind of effect called "wobble". Nothing of it was changed or deleted.',
    ),
  ).toBeVisible()
  await expect(page.getByRole('region', { name: 'Vesper Hollow' })).toBeVisible()
  await page.goto(`${house.address}/studio/unreadable/page`)
  await expect(page.getByRole('heading', { name: 'This site cannot be read' })).toBeVisible()
  await page.goto(house.address)
  await card.getByRole('button', { name: 'Bring back its last readable version' }).click()
  await expect(page.getByRole('region', { name: 'Site unreadable' }).getByText('1 page')).toBeVisible()
})

test('a browser that is killed loses no edit that is older than a moment, and reverts none', long, async ({ house }) => {
  const url = await house.addSite('killed', cardsPage, [tiltOnCards()])
  const profile = mkdtempSync(join(tmpdir(), 'glass-moth-profile-'))
  const launch = () =>
    chromium.launchPersistentContext(profile, {
      executablePath: '/usr/bin/chromium',
      args: chromiumArguments,
      viewport: { width: 1280, height: 800 },
    })
  const kill = async (context: BrowserContext) => {
    // By its profile: the browser's own process and all that it started.
    const { processesWith } = await import('../scripts/programs.mjs')
    for (const { pid } of processesWith(`--user-data-dir=${profile}`)) process.kill(pid, 'SIGKILL')
    await context.close().catch(() => undefined)
  }
  const angleSaved = async () =>
    Number(
      (
        await house.query('SELECT JSON_VALUE(document, ?) AS angle FROM sites WHERE id = ?', ['$.effects[0].settings.acrossDeg', 'killed'])
      )[0]?.angle,
    )
  for (const [first, last] of [[11, 12] as const, ...(isLong ? [[13, 14] as const] : [])]) {
    const context = await launch()
    const page = context.pages()[0] ?? (await context.newPage())
    await open(page, url)
    await type(page, String(first))
    await expect(saved(page)).toBeVisible()
    // The server hears nothing of the last edit before the browser is gone.
    await page.route('**/api/sites/**', (route) => route.abort())
    await type(page, String(last))
    await page.waitForTimeout(250)
    await kill(context)
    expect(await angleSaved()).toBe(first)
    const again = await launch()
    const back = again.pages()[0] ?? (await again.newPage())
    await open(back, url)
    await expect(angleOf(back)).toHaveAttribute('aria-valuetext', `${last}°`)
    await eventually(angleSaved).toBe(last)
    await again.close()
  }
  rmSync(profile, { recursive: true, force: true })
})

test('an edit is there after a reload in the same moment, and in what is exported right after', async ({ page, house }) => {
  await open(page, await house.addSite('reloaded', cardsPage, [tiltOnCards()]))
  for (const angle of isLong ? [11, 12, 13, 14, 15, 16] : [11, 12]) {
    await type(page, String(angle))
    await page.reload()
    await expect(angleOf(page)).toBeVisible()
    await page.keyboard.press('c')
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Export page' }).click()])
    expect(readFileSync(await download.path(), 'utf8')).toContain(`${angle}deg`)
    await page.keyboard.press('Escape')
    await expect(angleOf(page)).toHaveAttribute('aria-valuetext', `${angle}°`)
  }
})

test('an edit made while the studio has had no moment for anything else is there after a reload', async ({ page, house }) => {
  await page.addInitScript(() => {
    if (window !== window.top) return
    if (!sessionStorage.getItem('opened before')) window.requestIdleCallback = () => 0
    sessionStorage.setItem('opened before', 'yes')
  })
  await open(page, await house.addSite('early', cardsPage, [tiltOnCards()]))
  await type(page, '12')
  await page.reload()
  await expect(angleOf(page)).toHaveAttribute('aria-valuetext', '12°')
})

test('edits are saved beside forty kilobytes of cookies; those of a preview are another host’s', async ({ page, house }) => {
  await page
    .context()
    .addCookies(Array.from({ length: 10 }, (_, i) => ({ name: `other-tool-${i}`, value: 'x'.repeat(4000), url: house.address })))
  await open(page, await house.addSite('cookies', cardsPage, [tiltOnCards()]))
  await type(page, '23')
  await expect(saved(page)).toBeVisible()
  const [row] = await house.query('SELECT JSON_VALUE(document, ?) AS angle FROM sites WHERE id = ?', [
    '$.effects[0].settings.acrossDeg',
    'cookies',
  ])
  expect(row?.angle).toBe('23')
  const { here } = (await (await page.request.get(`${house.address}/api/preview`)).json()) as { here: string }
  expect(new URL(here).hostname).not.toBe(new URL(house.address).hostname)
  // More than is read is told as what it is.
  const tooMany = await fetch(house.address, { headers: { cookie: 'x'.repeat(1_100_000) } })
  expect([tooMany.status, ((await tooMany.json()) as { detail: string }).detail]).toEqual([
    431,
    'The browser sends more cookies for this address than the studio can read. Clear those of 127.0.0.1 in the browser.',
  ])
})

test('an edit that is not taken is listed with its reason, given as a file, and tried again', long, async ({ page, house }) => {
  await open(page, await house.addSite('refused', cardsPage, [tiltOnCards()]))
  await page.route('**/api/sites/refused/edits', (route) =>
    route.fulfill({
      status: 413,
      contentType: 'application/problem+json',
      json: { type: 'urn:glass-moth:problem:edits-refused', title: 'Too much', status: 413, detail: 'It is more than a site holds.' },
    }),
  )
  await type(page, '31')
  const notice = page.getByRole('alert').filter({ hasText: 'An edit was not taken; everything else is saved.' })
  await expect(notice).toContainText('It is more than a site holds.')
  await expect(angleOf(page)).toHaveAttribute('aria-valuetext', '9°')
  // It is there in the next window too.
  await page.reload()
  const [download] = await Promise.all([page.waitForEvent('download'), notice.getByRole('button', { name: 'Save to a file' }).click()])
  expect(download.suggestedFilename()).toBe('edits-of-refused.json')
  expect(readFileSync(await download.path(), 'utf8')).toContain('"to": 31')
  await page.unroute('**/api/sites/refused/edits')
  await notice.getByRole('button', { name: 'Try again' }).click()
  await expect(angleOf(page)).toHaveAttribute('aria-valuetext', '31°')
  await expect(saved(page)).toBeVisible()
  await expect(notice).toBeHidden()
})
