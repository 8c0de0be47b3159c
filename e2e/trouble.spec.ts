// What goes wrong: nonsense, lost selectors, pages that are gone, a dead database, a hostile page, requests that are none.
import { startStudio } from '../scripts/serve.mjs'
import { createServer } from 'node:http'
import { eventually, expect, test, sharedHouse } from './support/house'
import { long } from './support/long'
import { toStudio, cardsPage, clickOnPage, leanOf, movePointer, stageOf, tiltOnCards } from './support/stage'
import { hostileDeeds, hostilePage } from './support/hostile'

test('nonsense for an angle is refused in place, and the old value stays', async ({ page, house }) => {
  await toStudio(page, await house.addSite('nonsense', cardsPage, [tiltOnCards()]))
  await stageOf(page)
  const angle = page.getByRole('spinbutton', { name: 'The angle', exact: true })
  for (const [typed, sentence] of [
    ['forty', 'The angle is a number or a sum, from 0° to 45°. It stays at 9°.'],
    ['1e9', 'The angle goes from 0° to 45°. It stays at 9°.'],
    ['', 'The angle is a number or a sum, from 0° to 45°. It stays at 9°.'],
    ['12 px', 'The angle is given in deg: 0° to 45°. It stays at 9°.'],
    ['-3', 'The angle goes from 0° to 45°. It stays at 9°.'],
  ] as const) {
    await angle.focus()
    await page.keyboard.press('Enter')
    await page.getByRole('textbox', { name: 'The angle' }).fill(typed)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('alert').filter({ hasText: sentence })).toBeVisible()
    await expect(angle).toHaveAttribute('aria-valuetext', '9°')
    await page.keyboard.press('Escape')
  }
})

test('a selector that matches nothing says so, and one that is none is refused', async ({ page, house }) => {
  await toStudio(page, await house.addSite('selector', cardsPage, [tiltOnCards()]))
  await stageOf(page)
  await page.getByRole('button', { name: 'More' }).click()
  const field = page.getByRole('textbox', { name: 'Selector' })
  await field.fill('.cart')
  await field.press('Enter')
  await expect(page.getByText('Nothing on this page matches .cart.')).toBeVisible()
  await field.fill('.card:::')
  await expect(page.getByText('This is no CSS selector; the old one stays.')).toBeVisible()
  await field.press('Enter')
  await expect(field).toHaveValue('.cart')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.getByText('8 on this page')).toBeVisible()
})

test('a page that does not exist is a proper screen with the way home', long, async ({ page, house }) => {
  for (const path of ['/studio/vesper-hollow/gone', '/studio/nobody/page', '/studio/%3Cscript%3E/x', '/nowhere']) {
    const response = await page.goto(house.address + path)
    expect(response?.status()).toBe(404)
    await expect(page.getByRole('heading', { name: 'There is no such page' })).toBeVisible()
  }
  // Inside the stage it is a page too, not JSON.
  await page.goto(`${house.address}/frame/starters/gone`)
  await expect(page.getByRole('heading', { name: 'No such page' })).toBeVisible()
  await page.goto(`${house.address}/nowhere`)
  await page.getByRole('link', { name: 'Home: all sites' }).click()
  await expect(page.getByRole('heading', { name: 'Glass Moth' })).toBeVisible()
})

test('while the database is stopped edits are kept in the browser, through a reload, and are saved when it comes back', async ({
  page,
  ownHouse: house,
}) => {
  const url = await house.addSite('offline', cardsPage, [tiltOnCards()])
  await page.goto(url)
  await stageOf(page)
  const angle = page.getByRole('spinbutton', { name: 'The angle', exact: true })
  await house.stopDatabase()
  await angle.focus()
  await page.keyboard.type('31')
  await page.keyboard.press('Enter')
  await expect(
    page.getByRole('alert').filter({ hasText: 'The database does not answer. Your edits are kept in this browser, not yet saved' }),
  ).toBeVisible()
  expect((await page.request.get(`${house.address}/api/health`)).status()).toBe(503)
  await page.goto(url)
  await expect(page.getByRole('heading', { name: 'The database does not answer' })).toBeVisible()
  await house.startDatabase()
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(angle).toHaveAttribute('aria-valuetext', '31°')
  await expect(page.getByRole('status').getByText('· saved')).toBeVisible()

  // And without a reload.
  await house.stopDatabase()
  await angle.focus()
  await page.keyboard.press('ArrowUp')
  await expect(page.getByRole('status').getByText('not saved yet, kept in this browser')).toBeVisible()
  await page.keyboard.press('ArrowUp')
  await house.startDatabase()
  await expect(page.getByRole('status').getByText('· saved')).toBeVisible()
  const [row] = await house.query('SELECT JSON_VALUE(document, ?) AS angle FROM sites WHERE id = ?', [
    '$.effects[0].settings.acrossDeg',
    'offline',
  ])
  expect(row?.angle).toBe('33')
})

/** A server on loopback that answers each path. */
async function listen(answer: (path: string) => { readonly type: string; readonly body: string }) {
  const server = createServer((request, response) => {
    const { type, body } = answer(request.url ?? '')
    response.setHeader('content-type', type).end(body)
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const bound = server.address()
  return { address: `http://127.0.0.1:${typeof bound === 'object' && bound ? bound.port : 0}`, close: () => server.close() }
}

test('a hostile page runs nothing and reaches nothing in the studio, though each of its deeds is real', async ({
  page,
  house,
  browser,
}) => {
  // An address on loopback that notes who comes, and one that shows the page with nothing to hold it.
  const visits: string[] = []
  const outside = await listen((path) => {
    visits.push(path)
    return { type: 'text/javascript', body: '' }
  })
  const html = hostilePage(outside.address)
  const unprotected = await listen((path) => ({
    type: 'text/html',
    body: path === '/page' ? html : '<!doctype html><body><iframe src="/page" width="900" height="500"></iframe>',
  }))

  // First without protection: every deed must happen, else it proves nothing.
  const open = await (await browser.newContext()).newPage()
  const done = new Set<string>()
  await open.exposeFunction('noteDeed', (deed: string) => done.add(deed))
  await open.addInitScript(() =>
    addEventListener(
      'message',
      (event) =>
        typeof event.data === 'string' &&
        event.data.startsWith('deed:') &&
        (window as unknown as { noteDeed: (deed: string) => void }).noteDeed(event.data.slice(5)),
    ),
  )
  await open.goto(unprotected.address)
  const frame = open.frameLocator('iframe')
  await frame.locator('#handler').click()
  await frame.locator('#script-link').click()
  await eventually(() => hostileDeeds.scripts.filter((deed) => !done.has(deed))).toEqual([])
  await eventually(() => hostileDeeds.visits.filter((path) => !visits.includes(path))).toEqual([])
  await frame.locator('#link').click()
  await eventually(() => visits.includes('/link')).toBe(true)
  await open.context().close()

  // Then in the studio.
  visits.length = 0
  const deeds: string[] = []
  await page.exposeFunction('noteDeed', (deed: string) => deeds.push(deed))
  await page.addInitScript(() =>
    addEventListener(
      'message',
      (event) => typeof event.data === 'string' && (window as unknown as { noteDeed: (deed: string) => void }).noteDeed(event.data),
    ),
  )
  await page.goto(await house.addSite('hostile', html, [tiltOnCards()]))
  const stage = await stageOf(page)
  for (const id of ['#handler', '#script-link', '#submit', '#link']) await clickOnPage(page, stage, id)
  await expect(page.getByText(`On your site this link goes to ${outside.address}/link.`)).toBeVisible()
  await page.waitForTimeout(1500)
  expect(deeds).toEqual([])
  expect(visits).toEqual([])
  expect(page.frames().filter((each) => each.url().includes('/frame/hostile/'))).toHaveLength(1)
  // And the page still answers the pointer.
  await movePointer(page, 700 + 180, 300)
  await eventually(() => leanOf(stage, '.card', 0).then(({ rotateY }) => rotateY)).toBeGreaterThan(7)
  outside.close()
  unprotected.close()
})

test('foreign hosts and origins are refused, null among them', async ({ page, house }) => {
  const ask = (headers: Record<string, string>) =>
    page.request.get(`${house.address}/api/sites/starters`, { headers }).then((response) => response.status())
  expect(await ask({})).toBe(200)
  expect(await ask({ origin: house.address })).toBe(200)
  expect(await ask({ origin: 'null' })).toBe(403)
  expect(await ask({ origin: 'http://example.test' })).toBe(403)
  expect(await ask({ host: 'example.test' })).toBe(403)
  expect(await ask({ 'sec-fetch-site': 'cross-site' })).toBe(403)
})

test('whatever is asked for, the answer is a problem with a sentence', async ({ page, house }) => {
  const ask = async (method: string, path: string, data?: string) => {
    const response = await page.request.fetch(house.address + path, {
      method,
      ...(data === undefined ? {} : { data: Buffer.from(data), headers: { 'content-type': 'application/json' } }),
    })
    return [response.status(), response.headers()['content-type'], typeof ((await response.json()) as { detail: unknown }).detail]
  }
  const problem = (status: number) => [status, 'application/problem+json', 'string']
  expect(await ask('GET', '/api/nowhere')).toEqual(problem(404))
  expect(await ask('PUT', '/api/sites/starters')).toEqual(problem(405))
  expect(await ask('TRACE', '/api/health')).toEqual(problem(405))
  expect(await ask('GET', '/api/sites/%E0%A4%A')).toEqual(problem(400))
  expect(await ask('POST', '/api/sites/starters/edits', '{"window":')).toEqual(problem(400))
  expect(await ask('POST', '/api/sites/starters/edits', '{"window":"w","revision":1,"entries":[{}]}')).toEqual(problem(422))
  expect(await ask('POST', '/api/sites/starters/edits', `"${'x'.repeat(9_100_000)}"`)).toEqual(problem(413))
  expect(await ask('DELETE', '/api/presets/a%20b')).toEqual(problem(404))
})

test('a drawer that cannot be loaded says so in its place; the rest goes on, and it comes with the next try', async ({ page, house }) => {
  await page.goto(await house.addSite('drawers', cardsPage, [tiltOnCards()]))
  await stageOf(page)
  await page.route('**/_next/static/chunks/**', (route) => route.abort())
  await page.keyboard.press('m')
  const fault = page.getByRole('alert', { name: 'Markup' })
  await expect(fault).toContainText('Markup cannot be shown')
  await expect(fault).toContainText('The studio’s server did not send it.')
  const angle = page.getByRole('spinbutton', { name: 'The angle', exact: true })
  await angle.focus()
  await page.keyboard.type('21')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status').getByText('· saved')).toBeVisible()
  await page.unroute('**/_next/static/chunks/**')
  await fault.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('textbox', { name: 'HTML of the page' })).toBeVisible()
})

test('a second studio on the port of one that runs is told so, with a port that is free, and the first goes on', async ({ house }) => {
  const port = Number(new URL(house.address).port)
  const { connection } = sharedHouse.read()
  await expect(startStudio({ port, connection })).rejects.toThrow(
    new RegExp(`^Port ${port} is taken, perhaps by a studio that already runs\\. This one is free: PORT=\\d+ npm start$`),
  )
  expect((await fetch(`${house.address}/api/health`)).status).toBe(200)
})
