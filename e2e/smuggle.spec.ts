// No page that is brought in runs anything, leads anywhere or reaches the network or the studio: each way is first shown to
// work in a frame that nothing holds.
import { createServer, type Server } from 'node:http'
import type { Frame, Page } from '@playwright/test'
import { eventually, expect, test } from './support/house'
import { isLong } from './support/long'
import { leanOf, movePointer, stageOf, tiltOnCards, cardsPage } from './support/stage'
import { clobbering, ways } from './support/ways'

interface Outside {
  readonly address: string
  readonly visits: Set<number>
  readonly close: () => void
}

/** A server elsewhere that notes which way came to it, and shows the ways' pages without protection. */
async function openOutside(): Promise<Outside> {
  const visits = new Set<number>()
  let address = ''
  const server: Server = createServer((request, response) => {
    const [, kind = '', number = ''] = (request.url ?? '').split('/')
    if (kind === 'visit') visits.add(Number.parseInt(number, 10))
    const way = kind === 'way' ? ways[Number(number)] : undefined
    response.setHeader('content-type', kind === 'visit' ? 'text/plain' : 'text/html')
    response.end(way ? pageOf(Number(number), address) : kind === 'visit' ? '' : '<!doctype html><title>host</title>')
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const bound = server.address()
  address = `http://127.0.0.1:${typeof bound === 'object' && bound ? bound.port : 0}`
  return { address, visits, close: () => server.close() }
}

const pageOf = (number: number, outside: string) =>
  `<!doctype html>${ways[number]?.html(`top.postMessage('deed:${number}','*')`, `${outside}/visit/${number}`) ?? ''}`

/** Puts a frame for each address into an empty page, and does in each what its way asks of a visitor. Gives the deeds that were told. */
async function tryAll(
  page: Page,
  numbers: readonly number[],
  addressOf: (number: number) => string,
  sandbox: string | undefined,
): Promise<Set<number>> {
  const deeds = new Set<number>()
  await page.exposeFunction('noteDeed', (deed: number) => deeds.add(deed))
  for (let from = 0; from < numbers.length; from += 12) {
    const now = numbers.slice(from, from + 12)
    await page.evaluate(
      ([addresses, rules]) => {
        document.body.replaceChildren()
        window.onmessage = ({ data }) =>
          typeof data === 'string' &&
          data.startsWith('deed:') &&
          (window as unknown as { noteDeed: (deed: number) => void }).noteDeed(Number(data.slice(5)))
        for (const address of addresses) {
          const frame = document.createElement('iframe')
          Object.assign(frame.style, { width: '240px', height: '140px' })
          if (rules !== null) frame.setAttribute('sandbox', rules)
          frame.src = address
          document.body.append(frame)
        }
      },
      [now.map(addressOf), sandbox ?? null] as const,
    )
    const elements = await page.locator('body > iframe').elementHandles()
    for (const [i, element] of elements.entries()) {
      const { act } = ways[now[i] ?? -1] ?? {}
      const frame = act && (await element.contentFrame())
      if (frame) await doAct(frame, act)
    }
    await page.waitForTimeout(700)
  }
  return deeds
}

async function doAct(frame: Frame, act: 'click' | 'hover'): Promise<void> {
  const go = frame.locator('#go')
  await go.waitFor({ state: 'attached', timeout: 20_000 })
  // What the studio's copy left out has nothing to be met.
  await (act === 'click' ? go.click({ timeout: 8000, force: true }) : go.hover({ timeout: 8000, force: true })).catch(() => undefined)
}

test(`${ways.length} ways to run code, load from elsewhere or lead away: ${isLong ? 'all' : 'a third'} of them work where nothing holds them, none does in the studio`, async ({
  page,
  house,
  browser,
}) => {
  expect(ways.length).toBeGreaterThanOrEqual(60)
  const outside = await openOutside()
  const open = await (await browser.newContext()).newPage()
  await open.goto(outside.address)
  const all = [...ways.keys()]
  const shown = isLong ? all : all.filter((number) => number % 3 === 0)
  const worked = await tryAll(open, shown, (number) => `${outside.address}/way/${number}`, undefined)
  const did = new Set([...worked, ...outside.visits])
  expect(shown.filter((number) => !did.has(number)).map((number) => ways[number]?.name)).toEqual([])
  await open.context().close()

  outside.visits.clear()
  await Promise.all(ways.map((_, number) => house.addSite(`way-${number}`, pageOf(number, outside.address))))
  await page.goto(`${house.address}/api/health`)
  const requests: string[] = []
  page.on('request', (request) => requests.push(request.url()))
  const deeds = await tryAll(page, all, (number) => `${house.address}/frame/way-${number}/page`, 'allow-scripts')
  expect([...deeds].map((number) => ways[number]?.name)).toEqual([])
  expect([...outside.visits].map((number) => ways[number]?.name)).toEqual([])
  // Every frame is where it was, and none asked for anything but itself and what it holds within.
  for (const frame of page.frames().slice(1)) expect(frame.url()).toMatch(/\/frame\/way-\d+\/page$/)
  expect(requests.filter((url) => !/\/frame\/way-\d+\/page$|^data:|^blob:/.test(url))).toEqual([])
  outside.close()
})

test('elements that are named after what the agent asks for take nothing away from it', async ({ page, house, browser }) => {
  const named = clobbering
    .map((name) => `<img name="${name}" alt="" src="data:image/gif;base64,R0lGODlhAQABAAAAACH5BAEKAAEALAAAAAABAAEAAAICTAEAOw==">`)
    .join('')
  const html = cardsPage.replace(
    '</body>',
    `${named}<form><input name="getBoundingClientRect"><input name="textContent"><input name="children"></form></body>`,
  )
  // Without protection the names do stand in the way.
  const open = await (await browser.newContext()).newPage()
  await open.setContent(html)
  expect(
    await open.evaluate(
      (names) => names.filter((name) => !((document as unknown as Record<string, unknown>)[name] instanceof HTMLImageElement)),
      [...clobbering],
    ),
  ).toEqual([])
  await open.context().close()

  await page.goto(await house.addSite('clobbered', html, [tiltOnCards()]))
  const stage = await stageOf(page)
  await movePointer(page, 60 + 225, 120, 4)
  await eventually(() => leanOf(stage, '.card', 0).then(({ rotateY }) => rotateY)).toBeGreaterThan(6)
  await page.keyboard.press('p')
  await movePointer(page, 60 + 100, 150, 4)
  await expect(page.getByRole('region', { name: 'Under the pointer' }).getByText('article.card')).toBeVisible()
})
