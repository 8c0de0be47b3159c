// What a tilt does, by the numbers: in the studio's frame and in the exported file, against the closed form written here.
import type { Frame, Page } from '@playwright/test'
import { readFileSync, writeFileSync } from 'node:fs'
import { exportAlone, openAlone } from './support/alone'
import { eventually, expect, test, type House } from './support/house'
import { isLong } from './support/long'
import { cardBox, cardsPage, leanOf, movePointer, stageOf, tiltOnCards } from './support/stage'

const angle = 9
const frequencyHz = 2.27
const dampingRatio = 0.715
const tolerance = 0.01

/** How far an underdamped spring has come of a step from `from` to `to`, starting at rest, after `ms`. */
function springStep(from: number, to: number, ms: number): number {
  const w = 2 * Math.PI * frequencyHz
  const wd = w * Math.sqrt(1 - dampingRatio ** 2)
  const t = ms / 1000
  return to + (from - to) * Math.exp(-dampingRatio * w * t) * (Math.cos(wd * t) + ((dampingRatio * w) / wd) * Math.sin(wd * t))
}

interface Place {
  readonly surface: Page | Frame
  /** Moves the real pointer to a point of the page and gives where the page saw it. */
  readonly move: (x: number, y: number) => Promise<{ x: number; y: number }>
}

async function watchPointer(surface: Page | Frame): Promise<() => Promise<{ x: number; y: number }>> {
  await surface.evaluate(() =>
    addEventListener(
      'pointermove',
      (event) => document.documentElement.setAttribute('data-seen', JSON.stringify({ x: event.clientX, y: event.clientY })),
      true,
    ),
  )
  return async () => JSON.parse((await surface.locator('html').getAttribute('data-seen')) ?? 'null') as { x: number; y: number }
}

async function inStudio(page: Page, url: string): Promise<Place> {
  await page.goto(url)
  const surface = await stageOf(page)
  const seen = await watchPointer(surface)
  return { surface, move: async (x, y) => (await movePointer(page, x, y), await seen()) }
}

async function inExport(page: Page, effects: readonly unknown[], file: string): Promise<Place> {
  await openAlone(page, cardsPage, effects, file)
  const seen = await watchPointer(page)
  return { surface: page, move: async (x, y) => (await page.mouse.move(x, y), await seen()) }
}

const card = cardBox(1)
const centre = { x: card.x + card.width / 2, y: card.y + card.height / 2 }
/** The pointer is read in the padding box: between the borders. */
const border = 3
const acrossAt = (x: number) => Math.min(1, Math.max(-1, (2 * (x - card.x - border)) / (card.width - 2 * border) - 1))
const downAt = (y: number) => Math.min(1, Math.max(-1, (2 * (y - card.y - border)) / (card.height - 2 * border) - 1))

const ninePoints = [0.002, 0.5, 0.998].flatMap((u) => [0.002, 0.5, 0.998].map((v) => [u, v] as const))

// The studio plays what is exported.
for (const surface of isLong ? (['studio', 'export'] as const) : (['export'] as const)) {
  const open = async (page: Page, house: House, id: string, file: string) =>
    surface === 'studio' ? inStudio(page, await house.addSite(id, cardsPage, [tiltOnCards()])) : inExport(page, [tiltOnCards()], file)

  test(`in the ${surface}, a card at rest leans by the angle times where the pointer is, at nine points, and lies flat when away`, async ({
    page,
    house,
  }, info) => {
    const { surface: where, move } = await open(page, house, `nine-${surface}`, info.outputPath('page.html'))
    for (const [u, v] of ninePoints) {
      const seen = await move(card.x + u * card.width, card.y + v * card.height)
      // "Settled" is the engine's own rest, so the number must arrive and stay.
      await eventually(async () => Math.abs((await leanOf(where, '.card', 1)).rotateY - angle * acrossAt(seen.x))).toBeLessThan(tolerance)
      await eventually(async () => Math.abs((await leanOf(where, '.card', 1)).rotateX + angle * downAt(seen.y))).toBeLessThan(tolerance)
      expect(Math.abs((await leanOf(where, '.card', 1)).translateZ)).toBeLessThan(tolerance)
      expect(await leanOf(where, '.card', 2)).toEqual({ rotateX: 0, rotateY: 0, translateZ: 0 })
    }
    // The page itself, between the cards.
    await move(card.x + card.width + 25, 40)
    await eventually(async () => Math.hypot(...Object.values({ ...(await leanOf(where, '.card', 1)) }))).toBeLessThan(tolerance)
  })

  test(`in the ${surface}, the lean 40, 120 and 300 ms after a jump is the spring's own`, async ({ page, house }, info) => {
    await page.clock.install({ time: 1_000_000 })
    // The given clock tells the time at which an event is asked for its own; a browser, when it happened.
    await page.addInitScript(() =>
      addEventListener('pointermove', (event) => Object.defineProperty(event, 'timeStamp', { value: event.timeStamp }), true),
    )
    const { surface: where, move } = await open(page, house, `jump-${surface}`, info.outputPath('page.html'))
    await page.clock.runFor(1000)
    let paused = 1_010_000
    // The given clock shows a frame every 16 ms; each jump happens where a frame falls on the moment that is asked for.
    for (const [after, phase] of [
      [40, 8],
      [120, 8],
      [300, 4],
    ] as const) {
      await move(centre.x, centre.y)
      await page.clock.runFor(3000)
      paused += 10_000
      await page.clock.pauseAt(paused)
      const now = await where.evaluate(() => performance.now())
      await page.clock.runFor((phase - (now % 16) + 16) % 16)
      const from = await leanOf(where, '.card', 1)
      const seen = await move(card.x + 0.96 * card.width, card.y + 0.04 * card.height)
      await page.clock.runFor(after)
      const lean = await leanOf(where, '.card', 1)
      expect(Math.abs(from.rotateY)).toBeLessThan(tolerance)
      expect(Math.abs(lean.rotateY - springStep(0, angle * acrossAt(seen.x), after))).toBeLessThan(tolerance)
      expect(Math.abs(lean.rotateX - springStep(0, -angle * downAt(seen.y), after))).toBeLessThan(tolerance)
      await page.clock.runFor(1000)
    }
  })
}

test('at the very edges and corners of the exported page the lean is exactly the angle', async ({ page }, info) => {
  const { surface } = await inExport(page, [tiltOnCards()], info.outputPath('page.html'))
  for (const [x, y, rotateX, rotateY] of [
    [card.x, centre.y, 0, -9],
    [card.x + card.width, centre.y, 0, 9],
    [card.x, card.y, 9, -9],
    [card.x + card.width, card.y + card.height, -9, 9],
    [centre.x, centre.y, 0, 0],
  ] as const) {
    await page.mouse.move(centre.x, centre.y)
    await page.mouse.move(x, y)
    await eventually(() =>
      leanOf(surface, '.card', 1).then((lean) => Math.hypot(lean.rotateX - rotateX, lean.rotateY - rotateY)),
    ).toBeLessThan(tolerance)
  }
})

test('with the pointer still on an edge that leans away the card does not flicker', async ({ page }, info) => {
  const { surface } = await inExport(page, [tiltOnCards({ acrossDeg: 30 })], info.outputPath('page.html'))
  await page.mouse.move(card.x + card.width - 1, card.y + 1)
  await eventually(() => leanOf(surface, '.card', 1).then(({ rotateY }) => rotateY)).toBeGreaterThan(29)
  // Where the card was, there is now a band that belongs to what lies behind it.
  expect(
    await page.evaluate(([x = 0, y = 0]) => document.elementFromPoint(x, y)?.className, [card.x + card.width - 1, card.y + 1]),
  ).not.toBe('card')
  for (let i = 0; i < 12; i++) {
    await page.mouse.move(card.x + card.width - 1 - (i % 2), card.y + 1)
    await page.waitForTimeout(40)
    expect((await leanOf(surface, '.card', 1)).rotateY).toBeGreaterThan(28)
  }
})

test('the exported file asks no network for anything, keeps every byte of the page, and works by itself', async ({ page, house }, info) => {
  const url = await house.addSite('alone', cardsPage, [tiltOnCards({ liftPx: 24, edge: 'rises' })])
  const file = info.outputPath('page.html')
  await page.goto(url)
  await stageOf(page)
  await page.keyboard.press('c')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export page' }).click()
  const got = await download
  expect(got.suggestedFilename()).toBe('a-page.html')
  await got.saveAs(file)
  const text = readFileSync(file, 'utf8')
  expect(text.replace(/<style>\n[\s\S]*?<\/style>\n/, '').replace(/<script>\n\(\(\) => \{[\s\S]*?<\/script>\n/, '')).toBe(cardsPage)
  // In a page of its own: the studio may still be loading what it needs later.
  const own = await page.context().newPage()
  const requests: string[] = []
  own.on('request', (request) => requests.push(request.url()))
  const messages: string[] = []
  own.on('console', (message) => messages.push(message.text()))
  await own.goto(`file://${file}`)
  await own.mouse.move(card.x + card.width - 12, centre.y)
  await eventually(() => leanOf(own, '.card', 1).then(({ rotateY }) => rotateY)).toBeCloseTo(-angle * acrossAt(card.x + card.width - 12), 2)
  expect((await leanOf(own, '.card', 1)).translateZ).toBeCloseTo(24, 2)
  expect(requests).toEqual([`file://${file}`])
  expect(messages).toEqual([])
  expect(await own.evaluate(() => Object.keys(window).filter((key) => /attach|figure|glass/i.test(key)))).toEqual([])
})

test('scrolling under a standing pointer, a removed card and one that comes later: nothing sticks', async ({ page }, info) => {
  const { surface } = await inExport(page, [tiltOnCards()], info.outputPath('page.html'))
  const isFlat = (index: number) =>
    eventually(() => leanOf(surface, '.card', index).then((lean) => Math.hypot(lean.rotateX, lean.rotateY))).toBeLessThan(tolerance)
  await page.mouse.move(card.x + 20, card.y + 20)
  await eventually(() => leanOf(surface, '.card', 1).then(({ rotateY }) => rotateY)).toBeLessThan(-6)
  await page.evaluate(() => scrollTo(0, 240))
  await isFlat(1)
  await eventually(() => leanOf(surface, '.card', 5).then(({ rotateY }) => rotateY)).toBeLessThan(-6)
  await page.evaluate(() => document.querySelectorAll('.card')[5]?.remove())
  await page.evaluate(() =>
    document
      .querySelector('.row')
      ?.insertAdjacentHTML('beforeend', '<article class="card late" style="left: 640px; top: 340px">late</article>'),
  )
  await page.mouse.move(640 + 235, 340 - 240 + 80)
  await eventually(() => leanOf(surface, '.late', 0).then(({ rotateY }) => rotateY)).toBeGreaterThan(8)
  for (const index of [0, 1, 2, 3, 4, 5]) await isFlat(index)
})

test('a page that prefers reduced motion stands still, and a finger scrolls as ever', async ({ page, browser }, info) => {
  const file = info.outputPath('page.html')
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await inExport(page, [tiltOnCards({ pose: { x: 0.5, y: 0 } })], file)
  await page.mouse.move(card.x + 5, card.y + 5)
  await page.waitForTimeout(300)
  expect((await leanOf(page, '.card', 1)).rotateY).toBeCloseTo(4.5, 3)
  const phone = await browser.newContext({ hasTouch: true, viewport: { width: 1280, height: 800 } })
  const touched = await phone.newPage()
  await touched.goto(`file://${file}`)
  await touched.touchscreen.tap(card.x + 5, card.y + 5)
  await touched.waitForTimeout(200)
  expect((await leanOf(touched, '.card', 1)).rotateY).toBeCloseTo(4.5, 3)
  await phone.close()
})

test('a page of another site with the same names plays beside it', async ({ page }, info) => {
  const a = exportAlone(cardsPage, [tiltOnCards()])
  const b = exportAlone(cardsPage.replaceAll('"card"', '"plate"').replaceAll('.card', '.plate'), [
    { ...tiltOnCards(), select: '.plate', noun: 'each plate' },
  ])
  const added = (text: string) =>
    `${/<style>\n[\s\S]*?<\/style>/.exec(text)?.[0]}${/<script>\n\(\(\) => \{[\s\S]*?<\/script>/.exec(text)?.[0]}`
  const both = info.outputPath('both.html')
  writeFileSync(
    both,
    `${a.replace('</body>', '<article class="plate" style="position: absolute; left: 60px; top: 700px; width: 240px; height: 160px">plate</article></body>')}${added(b)}`,
  )
  await page.goto(`file://${both}`)
  await page.setViewportSize({ width: 1280, height: 1000 })
  await page.mouse.move(60 + 230, 780)
  await eventually(() => leanOf(page, '.plate', 0).then(({ rotateY }) => rotateY)).toBeGreaterThan(8)
  await page.mouse.move(card.x + 230, centre.y)
  await eventually(() => leanOf(page, '.card', 1).then(({ rotateY }) => rotateY)).toBeGreaterThan(8)
})
