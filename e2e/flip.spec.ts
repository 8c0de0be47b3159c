// Flips as they are exported: which face is seen and can be reached, at which angle, by pointer, key and finger.
import type { Page } from '@playwright/test'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'
import { record } from './support/recorder'

const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Packets</title><style>
  body { margin: 40px; font: 16px/1.4 sans-serif } .row { display: flex; gap: 30px; align-items: start }
  .packet { width: 220px; background: #ddd } .packet > div { padding: 20px; background: #cfe0c8 } .packet > div + div { background: #f0dcc0 }
</style></head><body><a href="#before">Before</a><div class="row">
${['Night stock', 'Tobacco', 'Moonflower'].map((name) => `<article class="packet"><div><h2>${name}</h2></div><div><p>Sow it under glass at the end of March, prick it out by the pair, and plant it where you sit in the evening.</p><button>Put in the basket</button></div></article>`).join('\n')}
</div><a href="#after">After</a></body></html>`

const roles = {
  front: { select: '.packet > :nth-child(1)', noun: 'its front' },
  back: { select: '.packet > :nth-child(2)', noun: 'its back' },
}
const flip = (changes: object = {}) => effectOf('flip', '.packet', settingsOf('flip', { turnMs: 0, returnMs: 0, ...changes }), { roles })

/** Of the faces of a packet: how they are turned, whether they are there for anybody, and how high they are. */
const facesOf = (page: Page, index = 0) =>
  page.evaluate((i) => {
    const packet = document.querySelectorAll('.packet')[i]
    return [...(packet?.children ?? [])].map((face) => {
      for (const each of face.getAnimations()) each.finish()
      const { rotate, visibility } = getComputedStyle(face)
      return { rotate: rotate.replace('none', 'y 0deg'), visibility, height: (face as HTMLElement).offsetHeight }
    })
  }, index)
const anglesOf = async (page: Page, index = 0) => (await facesOf(page, index)).map(({ rotate }) => rotate)
const seenOf = async (page: Page, index = 0) => (await facesOf(page, index)).map(({ visibility }) => visibility)

const ways = [
  ['right', 'y 180deg', 'y 360deg'],
  ['left', 'y -180deg', 'y 0deg'],
  ['up', 'x 180deg', 'x 360deg'],
  ['down', 'x -180deg', 'x 0deg'],
] as const

for (const keys of ['card', 'page'])
  test(`a card turns over under the pointer every way, with faces of one height, and back; focus by the ${keys}`, async ({
    page,
  }, info) => {
    for (const [turns, front, back] of ways) {
      await openAlone(page, html, [flip({ turns, keys })], info.outputPath(`${turns}.html`))
      expect(await page.locator('script').count()).toBe(keys === 'card' ? 1 : 0)
      await eventually(() => seenOf(page)).toEqual(['visible', 'hidden'])
      const [one, other] = await facesOf(page)
      expect(one?.height).toBe(other?.height)
      expect(
        await page
          .locator('.packet')
          .first()
          .evaluate((element) => (element as HTMLElement).offsetHeight),
      ).toBe(one?.height)
      await page.mouse.move(60, 120)
      await eventually(() => seenOf(page)).toEqual(['hidden', 'visible'])
      expect(await anglesOf(page)).toEqual([front, back])
      // The others stay, and the button on the back is what the pointer meets there.
      expect(await seenOf(page, 1)).toEqual(['visible', 'hidden'])
      const button = await page.locator('.packet button').first().boundingBox()
      if (!button) throw new Error('There is no button.')
      await page.mouse.move(button.x + 10, button.y + 10)
      expect(await page.evaluate(([x, y]) => document.elementFromPoint(x, y)?.tagName, [button.x + 10, button.y + 10] as const)).toBe(
        'BUTTON',
      )
      await page.mouse.move(900, 600)
      await eventually(() => seenOf(page)).toEqual(['visible', 'hidden'])
    }
  })

test('it turns away from the side that the pointer comes from, and is taken back on its way without a jump', async ({ page }, info) => {
  await openAlone(page, html, [flip({ turns: 'side-x', turnMs: 900, returnMs: 900 })], info.outputPath('page.html'))
  const box = await page.locator('.packet').nth(1).boundingBox()
  if (!box) throw new Error('There is no packet.')
  for (const [from, angle] of [
    [box.x - 15, -180],
    [box.x + box.width + 15, 180],
  ] as const) {
    await page.mouse.move(from, box.y + 50)
    await page.mouse.move(from < box.x ? box.x + 6 : box.x + box.width - 6, box.y + 50, { steps: 3 })
    await eventually(() => seenOf(page, 1)).toEqual(['hidden', 'visible'])
    expect(await anglesOf(page, 1)).toEqual([`y ${angle}deg`, `y ${180 + angle}deg`])
    await page.mouse.move(from, box.y + 300)
    await eventually(() => seenOf(page, 1)).toEqual(['visible', 'hidden'])
  }
  // In, out half way, and in again by the other side: between two frames it never goes farther than it would by itself. Nothing is
  // finished ahead of its time here.
  const angle = () => {
    const front = document.querySelectorAll('.packet')[1]?.firstElementChild as Element
    return Number(/-?[\d.]+(?=deg)/.exec(getComputedStyle(front).rotate)?.[0] ?? 0)
  }
  const { end } = await record(page, angle, undefined)
  await page.mouse.move(box.x + 10, box.y + 50, { steps: 3 })
  await page.waitForTimeout(300)
  await page.mouse.move(box.x + box.width + 10, box.y + 50, { steps: 3 })
  await page.waitForTimeout(60)
  await page.mouse.move(box.x + box.width - 10, box.y + 50, { steps: 3 })
  await eventually(async () => Math.abs(await page.evaluate(angle))).toBe(180)
  const all = await end()
  expect(Math.max(...all.map(({ value }) => Math.abs(value)))).toBeGreaterThan(100)
  // At its fastest it goes two and a half times as fast as by an even pace of 180 degrees in 900 ms; a jump would be half a turn in a frame.
  // A whole turn is none: it may be as far round by one side as by the other.
  const apart = (one: number, other: number) => Math.abs(((((one - other) % 360) + 540) % 360) - 180)
  const tooFar = all.slice(1).filter(({ now, value }, i) => apart(value, all[i]?.value ?? 0) > 30 + 0.5 * (now - (all[i]?.now ?? 0)))
  expect(tooFar).toEqual([])
})

test('by keys a card takes the focus and turns, its back can be reached then, and what looks away cannot', async ({ page }, info) => {
  await openAlone(page, html, [flip()], info.outputPath('page.html'))
  const focused = () => page.evaluate(() => document.activeElement?.className || document.activeElement?.textContent)
  await page.keyboard.press('Tab')
  expect(await focused()).toBe('Before')
  await page.keyboard.press('Tab')
  expect(await focused()).toBe('packet')
  await eventually(() => seenOf(page)).toEqual(['hidden', 'visible'])
  await expect(page.locator('.packet').first().locator('> div').first()).toHaveAttribute('inert', '')
  await page.keyboard.press('Tab')
  expect(await focused()).toBe('Put in the basket')
  expect(await seenOf(page)).toEqual(['hidden', 'visible'])
  await page.keyboard.press('Tab')
  expect(await focused()).toBe('packet')
  await eventually(() => seenOf(page)).toEqual(['visible', 'hidden'])
  await eventually(() => seenOf(page, 1)).toEqual(['hidden', 'visible'])
})

test('for those who prefer reduced motion the faces change places without turning', async ({ page }, info) => {
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await openAlone(page, html, [flip({ turnMs: 560 })], info.outputPath('page.html'))
  await page.mouse.move(60, 120)
  await eventually(() => seenOf(page)).toEqual(['hidden', 'visible'])
  expect(await anglesOf(page)).toEqual(['y 0deg', 'y 0deg'])
  const onTop = () => page.evaluate(() => document.elementFromPoint(60, 120)?.closest('.packet > div')?.previousElementSibling !== null)
  expect(await onTop()).toBe(true)
})

test('a tap turns it over, a tap elsewhere back', async ({ browser }, info) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 900, height: 600 } })
  const page = await context.newPage()
  await openAlone(page, html, [flip()], info.outputPath('page.html'))
  await page.touchscreen.tap(100, 120)
  await eventually(() => seenOf(page)).toEqual(['hidden', 'visible'])
  await page.touchscreen.tap(700, 560)
  await eventually(() => seenOf(page)).toEqual(['visible', 'hidden'])
  await context.close()
})

test('without its script both faces stand as the page has them', async ({ browser }, info) => {
  const context = await browser.newContext({ javaScriptEnabled: false })
  const page = await context.newPage()
  await openAlone(page, html, [flip()], info.outputPath('page.html'))
  const boxes = await Promise.all([0, 1].map((i) => page.locator('.packet').first().locator('> div').nth(i).boundingBox()))
  expect((boxes[0]?.y ?? 0) + (boxes[0]?.height ?? 0)).toBe(boxes[1]?.y)
  await expect(page.locator('.packet button').first()).toBeVisible()
  await context.close()
})
