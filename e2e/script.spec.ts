// A compiled script on a page of its own: what it leaves behind, when it sleeps, and what it survives.
import type { Page } from '@playwright/test'
import { drive, playReal, rigFrom, scriptOf, withStyles } from './support/bare'
import { eventually, expect, test } from './support/house'
import { leanOf } from './support/stage'

const spring = { kind: 'spring', frequencyHz: 4, dampingRatio: 1 }
const tilt = (select = '.card', pose = 0) =>
  rigFrom(
    { select, pointer: 'fine' },
    [
      { id: 'x', signal: { of: 'centredX' }, away: { kind: 'settle', pose }, feel: spring, group: 'turn' },
      { id: 'y', signal: { of: 'centredY' }, feel: spring, group: 'turn' },
    ],
    [
      { slot: { on: 'transform', fn: 'perspective' }, base: 800 },
      { slot: { on: 'transform', fn: 'rotateX' }, factor: -9, channel: 'y' },
      { slot: { on: 'transform', fn: 'rotateY' }, factor: 9, channel: 'x' },
    ],
  )

const html = `<!doctype html><html><head><style>
  body { margin: 0 }
  .card { position: absolute; top: 100px; width: 200px; height: 200px }
  .card:nth-child(1) { left: 50px } .card:nth-child(2) { left: 300px } .card:nth-child(3) { left: 550px }
  .cover { position: absolute; left: 550px; top: 100px; width: 200px; height: 80px; background: #ccc }
</style></head><body><div class="card">one</div><div class="card" style="color: red">two</div><div class="card" style="">three</div></body></html>`

/** Counts the frames that are asked for from now on. */
const countFrames = (page: Page) =>
  page.evaluate(() => {
    const own = requestAnimationFrame.bind(window)
    window.requestAnimationFrame = (callback) => {
      ;(window as unknown as { asked: number }).asked = ((window as unknown as { asked?: number }).asked ?? 0) + 1
      return own(callback)
    }
  })
const framesOf = (page: Page) => page.evaluate(() => (window as unknown as { asked?: number }).asked ?? 0)
const styles = (page: Page) => page.evaluate(() => [...document.querySelectorAll('.card')].map((card) => card.getAttribute('style')))
const turn = (page: Page, index: number) => leanOf(page, '.card', index).then(({ rotateY }) => rotateY)

test('taking it off leaves every element and the document as they were found', async ({ page }) => {
  const driven = await drive(page, html, { tilt: tilt() })
  for (const [t, x] of [
    [10, 60],
    [20, 310],
    [30, 560],
  ] as const)
    await driven.hear({ t, x, y: 150 })
  await driven.frame(900)
  expect(await turn(page, 2)).toBeLessThan(-7)
  await driven.detach()
  expect((await styles(page)).map((style) => style ?? '')).toEqual(['', 'color: red;', ''])
  expect(await page.locator('[data-tilt]').count()).toBe(0)
  expect(await driven.isAsleep()).toBe(true)
})

test('it sleeps when all has settled, and a page that nobody touches costs no frame', async ({ page }) => {
  await playReal(page, html, { tilt: tilt() })
  await countFrames(page)
  await page.mouse.move(240, 190)
  await eventually(() => turn(page, 0)).toBeCloseTo(8.1, 3)
  await page.waitForTimeout(300)
  const settled = await framesOf(page)
  await page.waitForTimeout(500)
  expect(await framesOf(page)).toBe(settled)
})

test('a page with code of its own is told when an effect comes on, goes off and comes to rest, each once', async ({ page }) => {
  await playReal(page, html, { tilt: tilt() }, true)
  await page.evaluate(() => {
    const told: string[] = []
    for (const name of ['tilt-on', 'tilt-off', 'tilt-settled'])
      addEventListener(name, ({ target }) => told.push(`${name} ${(target as Element).textContent}`))
    Object.assign(window, { told })
  })
  const told = () => page.evaluate(() => (window as unknown as { told: string[] }).told)
  await page.mouse.move(140, 190)
  await page.mouse.move(142, 190, { steps: 3 })
  await eventually(told).toEqual(['tilt-on one', 'tilt-settled one'])
  await page.mouse.move(140, 600)
  await eventually(told).toEqual(['tilt-on one', 'tilt-settled one', 'tilt-off one', 'tilt-settled one'])
})

const zones = rigFrom(
  { select: '.card', pointer: 'fine' },
  [
    { id: 'column', signal: { of: 'zone', columns: 2, rows: 1 } },
    { id: 'row', signal: { of: 'zone', columns: 1, rows: 4 } },
    { id: 'lean', signal: { of: 'centredX' }, feel: spring },
  ],
  [
    { slot: { on: 'opacity' }, base: 1, factor: -0.1, channel: 'column' },
    { slot: { on: 'transform', fn: 'translateX' }, factor: 2, channel: 'column' },
    { slot: { on: 'transform', fn: 'translateY' }, factor: 2, channel: 'row' },
    { slot: { on: 'transform', fn: 'rotate' }, factor: 2, channel: 'lean' },
  ],
)

test('of several zones in one area each is told for itself, and when it changes alone', async ({ page }) => {
  await playReal(page, html, { cards: zones }, true)
  await page.evaluate(() => {
    const told: string[] = []
    for (const name of ['cards-zone-column', 'cards-zone-row'])
      addEventListener(name, (event) => told.push(`${name} ${String((event as CustomEvent).detail)}`))
    Object.assign(window, { told })
  })
  const told = () => page.evaluate(() => (window as unknown as { told: string[] }).told)
  await page.mouse.move(230, 290)
  await page.waitForTimeout(400)
  expect(await told()).toEqual(['cards-zone-column 1', 'cards-zone-row 3'])
  await page.mouse.move(230, 210)
  await page.waitForTimeout(400)
  expect(await told()).toEqual(['cards-zone-column 1', 'cards-zone-row 3', 'cards-zone-row 2'])
  await expect(page.locator('.card').first()).toHaveAttribute('data-cards-zone-row', '2')
})

test('zones are taken off with the rest', async ({ page }) => {
  const driven = await drive(page, html, { cards: zones })
  await driven.hear({ t: 10, x: 230, y: 290 })
  await driven.frame(600)
  await expect(page.locator('[data-cards-zone-column="1"][data-cards-zone-row="3"]')).toHaveCount(1)
  await driven.detach()
  expect(await page.evaluate(() => [...document.querySelectorAll('.card')].flatMap((card) => card.getAttributeNames()))).not.toContain(
    'data-cards-zone-row',
  )
})

test('an effect that cannot be played is turned off and named once, and the others play on', async ({ page }) => {
  const named: string[] = []
  page.on('console', (message) => message.type() === 'error' && named.push(message.text()))
  await page.setContent(withStyles(html, { tilt: tilt() }))
  await page.addScriptTag({ content: scriptOf({ broken: tilt('.card:unheard-of'), tilt: tilt() }, html) })
  await page.mouse.move(240, 190)
  await eventually(() => turn(page, 0)).toBeGreaterThan(8)
  await page.mouse.move(490, 190)
  await eventually(() => turn(page, 1)).toBeGreaterThan(8)
  expect(named).toHaveLength(1)
  expect(named[0]).toContain('broken was turned off')
})

test('what lies on top of a card takes the pointer, unless it is part of it', async ({ page }) => {
  await playReal(
    page,
    html.replace('</body>', '<div class="cover">a notice</div></body>').replace('three</div>', '<button>inside</button></div>'),
    { tilt: tilt() },
  )
  await page.mouse.move(740, 250)
  await eventually(() => turn(page, 2)).toBeGreaterThan(8)
  await page.mouse.move(740, 120)
  await eventually(() => turn(page, 2)).toBeCloseTo(0, 2)
  await page.evaluate(() => document.querySelector('.cover')?.remove())
  await page.mouse.move(560, 105)
  await eventually(() => turn(page, 2)).toBeLessThan(-7)
})

test('a fast sweep over all cards in three samples leaves only the last one leaning', async ({ page }) => {
  await playReal(page, html, { tilt: tilt() })
  for (const x of [60, 400, 740]) await page.mouse.move(x, 200)
  await eventually(() => turn(page, 2)).toBeGreaterThan(8)
  await eventually(() => turn(page, 0)).toBeCloseTo(0, 3)
  await eventually(() => turn(page, 1)).toBeCloseTo(0, 3)
})

test('a class that comes and goes takes an element in and out', async ({ page }) => {
  await playReal(page, html, { tilt: tilt('.card', 0.5) }, true)
  await eventually(() => turn(page, 1)).toBeCloseTo(4.5, 3)
  await page.evaluate(() => document.querySelectorAll('.card')[1]?.classList.replace('card', 'plain'))
  await eventually(() => page.evaluate(() => getComputedStyle(document.querySelector('.plain') as Element).transform)).toBe('none')
  await page.evaluate(() => document.querySelector('.plain')?.classList.replace('plain', 'card'))
  await eventually(() => turn(page, 1)).toBeCloseTo(4.5, 3)
})

test('it works under a strict content security policy, where trusted types are asked for too', async ({ page }) => {
  const violations: string[] = []
  page.on('console', (message) => /Content Security Policy|TrustedScript/.test(message.text()) && violations.push(message.text()))
  await page.route('http://strict.test/**', (route) => {
    const address = route.request().url()
    const body = address.endsWith('.js')
      ? scriptOf({ tilt: tilt() }, html)
      : withStyles(html, { tilt: tilt() })
          .replaceAll('<style>', '<style nonce="s">')
          .replace(/ style="[^"]*"/g, '')
          .replace('</body>', '<script src="/script.js"></script></body>')
    void route.fulfill(
      address.endsWith('.js')
        ? { contentType: 'text/javascript', body }
        : {
            contentType: 'text/html',
            headers: {
              'content-security-policy':
                "default-src 'none'; script-src 'self'; style-src 'nonce-s'; require-trusted-types-for 'script'; trusted-types 'none'",
            },
            body,
          },
    )
  })
  await page.goto('http://strict.test/')
  await page.mouse.move(240, 190)
  await eventually(() => turn(page, 0)).toBeGreaterThan(8)
  expect(violations).toEqual([])
})

test('it works on a page that froze what scripts build on, has names like ours, and has redefined its frames', async ({ page }) => {
  const failed: string[] = []
  page.on('pageerror', ({ message }) => failed.push(message))
  await page.setContent(withStyles(html, { tilt: tilt() }))
  await page.addScriptTag({
    content:
      'var events = "of the page", effects = 7, pointer = null, frame = 3; function draw() { throw new Error("the page\'s own") } for (const each of [Object, Array, Map, Element, Event]) Object.freeze(each.prototype); const own = requestAnimationFrame; window.requestAnimationFrame = function (callback) { return own.call(window, (now) => callback(now)) }',
  })
  await page.addScriptTag({ content: scriptOf({ tilt: tilt() }, html) })
  await page.mouse.move(240, 190)
  await eventually(() => turn(page, 0)).toBeCloseTo(8.1, 3)
  expect(failed).toEqual([])
  expect(await page.evaluate('[events, effects, pointer, frame]')).toEqual(['of the page', 7, null, 3])
})
