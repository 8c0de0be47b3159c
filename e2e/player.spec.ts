// The player on a bare page, outside the studio: what it leaves behind, when it sleeps, and what it survives.
import type { Page } from '@playwright/test'
import { drive, playerScript as player, rigFrom } from './support/bare'
import { eventually, expect, test } from './support/house'
import { leanOf } from './support/stage'


const channel = (property: string, of: string, away = 0) => ({ id: property, signal: { of }, away: { kind: 'settle', pose: away }, feel: { kind: 'spring', frequencyHz: 4, dampingRatio: 1 }, group: 'turn', writes: [{ property }] })
const figure = (select: string, name: string, away = 0) => ({
  title: `Figure ${name}`,
  name,
  area: { of: 'each', select, box: 'still', among: 'one', pointer: 'fine' },
  frames: [{ of: 'area', channels: [channel(`--${name}-x`, 'centredX', away), channel(`--${name}-y`, 'centredY')] }],
  drives: ['transform'],
})

const html = `<!doctype html><style>
  body { margin: 0 }
  .card { position: absolute; top: 100px; width: 200px; height: 200px; transform: perspective(800px) rotateX(calc(-9deg * var(--a-y, 0))) rotateY(calc(9deg * var(--a-x, 0))) }
  .card:nth-child(1) { left: 50px } .card:nth-child(2) { left: 300px } .card:nth-child(3) { left: 550px }
  .cover { position: absolute; left: 550px; top: 100px; width: 200px; height: 80px; background: #ccc }
</style><body><div class="card">one</div><div class="card" style="color: red">two</div><div class="card" style="">three</div></body>`

interface Probe {
  detach?: (keepValues?: boolean) => void
  frames: number
}

/** Opens the page and plays these figures, counting the frames that are asked for. */
async function play(page: Page, figures: readonly unknown[], content = html): Promise<void> {
  await page.setContent(content)
  await page.addScriptTag({ content: player })
  await page.evaluate((played) => {
    const probe: Probe = { frames: 0 }
    const own = requestAnimationFrame.bind(window)
    window.requestAnimationFrame = (callback) => {
      probe.frames += 1
      return own(callback)
    }
    Object.assign(window, { probe })
    const { attach } = (window as unknown as { player: { attach: (root: Document, figures: readonly unknown[]) => Probe['detach'] } }).player
    probe.detach = attach(document, played)
  }, figures)
}

const framesOf = (page: Page) => page.evaluate(() => (window as unknown as { probe: Probe }).probe.frames)
const detach = (page: Page) => page.evaluate(() => (window as unknown as { probe: Probe }).probe.detach?.())
const styles = (page: Page) => page.evaluate(() => [...document.querySelectorAll('.card')].map((card) => card.getAttribute('style')))
const turn = (page: Page, index: number) => leanOf(page, '.card', index).then(({ rotateY }) => rotateY)

test('detaching leaves every element and the document as they were found', async ({ page }) => {
  await play(page, [figure('.card', 'a')])
  for (const x of [60, 310, 560]) await page.mouse.move(x, 150)
  await eventually(() => turn(page, 2)).toBeLessThan(-7)
  await detach(page)
  expect(await styles(page)).toEqual([null, 'color: red;', ''])
  expect(await page.evaluate(() => document.adoptedStyleSheets.length)).toBe(0)
  const frames = await framesOf(page)
  await page.mouse.move(150, 200)
  await page.mouse.move(160, 220)
  await page.waitForTimeout(100)
  expect(await framesOf(page)).toBe(frames)
})

test('it sleeps when all has settled, and a page that nobody touches costs no frame', async ({ page }) => {
  await play(page, [figure('.card', 'a')])
  await page.mouse.move(240, 190)
  await eventually(() => turn(page, 0)).toBeCloseTo(8.1, 3)
  await page.waitForTimeout(300)
  const settled = await framesOf(page)
  await page.waitForTimeout(500)
  expect(await framesOf(page)).toBe(settled)
})

test('the page is told when a figure comes on, goes off and comes to rest, each once', async ({ page }) => {
  await play(page, [figure('.card', 'a')])
  await page.evaluate(() => {
    const told: string[] = []
    for (const name of ['a-on', 'a-off', 'a-settled']) addEventListener(name, ({ target }) => told.push(`${name} ${(target as Element).textContent}`))
    Object.assign(window, { told })
  })
  const told = () => page.evaluate(() => (window as unknown as { told: string[] }).told)
  await page.mouse.move(140, 190)
  await page.mouse.move(142, 190, { steps: 3 })
  await eventually(told).toEqual(['a-on one', 'a-settled one'])
  await page.mouse.move(140, 600)
  await eventually(told).toEqual(['a-on one', 'a-settled one', 'a-off one', 'a-settled one'])
})

test('a sample that comes too late to count at its own time is told of, once', async ({ page }) => {
  const warnings: string[] = []
  page.on('console', (message) => message.type() === 'warning' && warnings.push(message.text()))
  const driven = await drive(page, html, { lean: rigFrom({}, [{ id: 'x', signal: { of: 'centredX' } }], [{ slot: { on: 'transform', fn: 'translateX' }, channel: 'x' }]) })
  for (const t of [100, 90, 200, 130, 120]) await driven.hear({ t, x: 100, y: 150 })
  await driven.frame(210)
  expect(warnings).toEqual(['A pointer sample came more than 64 ms late and counts as 64 ms old.'])
})

test('a figure that cannot be played is turned off and named once, and the others play on', async ({ page }) => {
  const named: string[] = []
  page.on('console', (message) => message.type() === 'error' && named.push(message.text()))
  await play(page, [figure('.card:::', 'broken'), figure('.card', 'a')])
  await page.mouse.move(240, 190)
  await eventually(() => turn(page, 0)).toBeGreaterThan(8)
  await page.mouse.move(490, 190)
  await eventually(() => turn(page, 1)).toBeGreaterThan(8)
  expect(named).toHaveLength(1)
  expect(named[0]).toContain('Figure broken was turned off')
})

test('what lies on top of a card takes the pointer, unless it is part of it', async ({ page }) => {
  await play(page, [figure('.card', 'a')], html.replace('</body>', '<div class="cover">a notice</div></body>').replace('three</div>', '<button>inside</button></div>'))
  await page.mouse.move(740, 250)
  await eventually(() => turn(page, 2)).toBeGreaterThan(8)
  await page.mouse.move(740, 120)
  await eventually(() => turn(page, 2)).toBeCloseTo(0, 2)
  await page.evaluate(() => document.querySelector('.cover')?.remove())
  await page.mouse.move(560, 105)
  await eventually(() => turn(page, 2)).toBeLessThan(-7)
})

test('a fast sweep over all cards in three samples leaves only the last one leaning', async ({ page }) => {
  await play(page, [figure('.card', 'a')])
  for (const x of [60, 400, 740]) await page.mouse.move(x, 200)
  await eventually(() => turn(page, 2)).toBeGreaterThan(8)
  await eventually(() => turn(page, 0)).toBeCloseTo(0, 3)
  await eventually(() => turn(page, 1)).toBeCloseTo(0, 3)
})

test('a class that comes and goes takes an element in and out', async ({ page }) => {
  await play(page, [figure('.card', 'a', 0.5)])
  await eventually(() => turn(page, 1)).toBeCloseTo(4.5, 3)
  await page.evaluate(() => document.querySelectorAll('.card')[1]?.classList.replace('card', 'plain'))
  await eventually(() => page.evaluate(() => document.querySelector('.plain')?.getAttribute('style'))).toBe('color: red;')
  await page.evaluate(() => document.querySelector('.plain')?.classList.replace('plain', 'card'))
  await eventually(() => turn(page, 1)).toBeCloseTo(4.5, 3)
})

test('it works under a strict content security policy', async ({ page }) => {
  const violations: string[] = []
  page.on('console', (message) => /Content Security Policy/.test(message.text()) && violations.push(message.text()))
  await page.route('http://strict.test/**', (route) => {
    const isScript = route.request().url().endsWith('.js')
    const own = `${player}; player.attach(document, ${JSON.stringify([figure('.card', 'a')])})`
    void route.fulfill(
      isScript
        ? { contentType: 'text/javascript', body: own }
        : {
            contentType: 'text/html',
            headers: { 'content-security-policy': "default-src 'none'; script-src 'self'; style-src 'nonce-s'" },
            body: html.replace('<style>', '<style nonce="s">').replace(/ style="[^"]*"/g, '').replace('</body>', '<script src="/player.js"></script></body>'),
          },
    )
  })
  await page.goto('http://strict.test/')
  await page.mouse.move(240, 190)
  await eventually(() => turn(page, 0)).toBeGreaterThan(8)
  expect(violations).toEqual([])
})
