// What every kind has in common, on the page: strength, insets, widths of windows, fingers, reduced motion, other numbers in narrow windows.
import type { Page } from '@playwright/test'
import { writeFileSync } from 'node:fs'
import { effectOf, exportAlone, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { toStudio, cardBox, cardsPage, leanOf, movePointer, onScreen, readLean, stageOf, tiltOnCards } from './support/stage'

const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Common</title><style>body{margin:0;height:1400px} .c{position:absolute;left:100px;top:100px;width:200px;height:160px;background:#dcd;touch-action:auto} .g{position:absolute;left:360px;top:100px;width:200px;height:160px;background:#222}</style></head><body><article class="c">A card</article><section class="g">A ground</section></body></html>`

const lean = (page: Page, select = '.c') =>
  page
    .locator(select)
    .evaluate((element) => getComputedStyle(element).transform)
    .then(readLean)

test('half as strong is half the angle, and twice as strong can be more than everything', async ({ page }, info) => {
  await openAlone(
    page,
    html,
    [
      effectOf('tilt', '.c', settingsOf('tilt', { strengthPercent: 50 })),
      effectOf('glow', '.g', settingsOf('glow', { strengthPercent: 200 })),
    ],
    info.outputPath('page.html'),
  )
  await page.mouse.move(300, 180, { steps: 6 })
  await eventually(async () => (await lean(page)).rotateY).toBeCloseTo(4.5, 2)
  await page.mouse.move(460, 180)
  // 44 % on the surface; along the edge 90 % twice is all there can be.
  await eventually(() => page.locator('.g-glow-edge-tile').evaluate((element) => getComputedStyle(element).backgroundImage)).toMatch(
    /radial-gradient/,
  )
  expect(await page.locator('.g-glow-surface-tile').evaluate((element) => getComputedStyle(element).backgroundImage)).toMatch(/0\.44/)
})

test('the pointer counts inside the insets only, and all of the lean lies between them', async ({ page }, info) => {
  await openAlone(page, html, [effectOf('tilt', '.c', settingsOf('tilt', { insetLeft: 40, insetRight: 40 }))], info.outputPath('page.html'))
  await page.mouse.move(120, 180)
  await page.waitForTimeout(250)
  expect(await lean(page)).toEqual({ rotateX: 0, rotateY: 0, translateZ: 0 })
  await page.mouse.move(230, 180)
  await eventually(async () => (await lean(page)).rotateY).toBeCloseTo(9 * 0.5, 2)
})

test('it plays in wide windows alone: in narrow ones it stays as it is without the pointer, and then it comes back', async ({
  page,
}, info) => {
  await openAlone(
    page,
    html,
    [effectOf('tilt', '.c', settingsOf('tilt', { windowWidth: 'wide', fromWidthPx: 800, sheenPercent: 40 }))],
    info.outputPath('page.html'),
  )
  await page.mouse.move(300, 180, { steps: 6 })
  await eventually(async () => (await lean(page)).rotateY).toBeCloseTo(9, 1)
  await page.setViewportSize({ width: 700, height: 720 })
  await eventually(async () => Math.abs((await lean(page)).rotateY)).toBeLessThan(0.01)
  await page.mouse.move(600, 600)
  await page.waitForTimeout(400)
  const away = await page.screenshot()
  await page.mouse.move(298, 181, { steps: 4 })
  await page.waitForTimeout(250)
  expect((await page.screenshot()).equals(away)).toBe(true)
  await page.setViewportSize({ width: 900, height: 720 })
  await page.mouse.move(300, 180, { steps: 6 })
  await eventually(async () => (await lean(page)).rotateY).toBeCloseTo(9, 1)
})

test('layers that lie over each other do so in windows and for visitors for whom the effect does not play', async ({ browser }, info) => {
  const layers = `<!doctype html><html><head><style>body { margin: 0 } .hall { width: 300px; height: 200px } .front, .back { background: #fff; height: 200px; margin: 0 }</style></head>
    <body><section class="hall"><h1 class="front">In front</h1><h1 class="back">Behind</h1></section></body></html>`
  for (const [kind, settings] of [
    ['porthole', { layers: 'over', windowWidth: 'wide', fromWidthPx: 700 }],
    ['porthole', { layers: 'over', reducedMotion: 'off' }],
    ['wipe', { layers: 'over', windowWidth: 'wide', fromWidthPx: 700 }],
  ] as const) {
    const file = info.outputPath(`${kind}-${Object.keys(settings).length}.html`)
    const effect = effectOf(kind, '.front', settingsOf(kind, settings), { roles: { back: { select: '.back', noun: 'what is behind' } } })
    writeFileSync(file, exportAlone(layers, [effect]))
    const context = await browser.newContext({ viewport: { width: 900, height: 600 } })
    const page = await context.newPage()
    await page.goto(`file://${file}`)
    const placed = () =>
      page.evaluate(() =>
        ['.front', '.back'].map((select) => {
          const element = document.querySelector(select) as HTMLElement
          const { clipPath, visibility, opacity } = getComputedStyle(element)
          return JSON.stringify([element.getBoundingClientRect(), clipPath, visibility, opacity])
        }),
      )
    await page.mouse.move(150, 100, { steps: 4 })
    const cut = await placed()
    await page.mouse.move(700, 500, { steps: 4 })
    await eventually(async () => (await placed())[1]).not.toBe(cut[1])
    if ('reducedMotion' in settings) await page.emulateMedia({ reducedMotion: 'reduce' })
    else await page.setViewportSize({ width: 600, height: 600 })
    await page.reload()
    await page.mouse.move(500, 500)
    await page.waitForTimeout(100)
    const away = await placed()
    const [front, back] = away.map((each) => (JSON.parse(each) as [DOMRect])[0])
    expect(back?.top, kind).toBe(front?.top)
    await page.mouse.move(150, 100, { steps: 4 })
    await page.waitForTimeout(200)
    expect(await placed(), kind).toEqual(away)
    await context.close()
  }
})

test('with reduced motion it does not play, where that is said', async ({ browser }, info) => {
  const file = info.outputPath('page.html')
  writeFileSync(file, exportAlone(html, [effectOf('glow', '.g', settingsOf('glow', { reducedMotion: 'off' }))]))
  for (const reducedMotion of ['reduce', 'no-preference'] as const) {
    const context = await browser.newContext({ reducedMotion })
    const page = await context.newPage()
    await page.goto(`file://${file}`)
    const away = await page.screenshot()
    const isAsAway = async () => (await page.screenshot()).equals(away)
    await page.mouse.move(460, 180, { steps: 4 })
    await page.waitForTimeout(150)
    await eventually(isAsAway).toBe(reducedMotion === 'reduce')
    await context.close()
  }
})

test('by finger a card answers a drag across, and lies flat once it is let go', async ({ browser }, info) => {
  const file = info.outputPath('page.html')
  writeFileSync(file, exportAlone(html, [effectOf('tilt', '.c', settingsOf('tilt', { touch: 'drag-x' }))]))
  const context = await browser.newContext({ hasTouch: true, isMobile: true, viewport: { width: 800, height: 700 } })
  const page = await context.newPage()
  await page.goto(`file://${file}`)
  const touch = await context.newCDPSession(page)
  const say = (type: 'touchStart' | 'touchMove' | 'touchEnd', x?: number) =>
    touch.send('Input.dispatchTouchEvent', { type, touchPoints: x === undefined ? [] : [{ x, y: 180 }] })
  await say('touchStart', 200)
  for (const x of [220, 250, 280, 298]) await say('touchMove', x)
  await eventually(async () => (await lean(page)).rotateY).toBeGreaterThan(8)
  expect(await page.locator('.c').evaluate((element) => getComputedStyle(element).touchAction)).toBe('pan-y pinch-zoom')
  await say('touchEnd')
  await eventually(async () => (await lean(page)).rotateY).toBeCloseTo(0, 2)
  await context.close()
})

test('in narrow windows other numbers hold', async ({ page }, info) => {
  await openAlone(
    page,
    html,
    [effectOf('tilt', '.c', settingsOf('tilt'), { narrow: { upToPx: 800, values: { lean: '3deg' } } })],
    info.outputPath('page.html'),
  )
  await page.mouse.move(300, 180, { steps: 6 })
  await eventually(async () => (await lean(page)).rotateY).toBeCloseTo(9, 1)
  await page.setViewportSize({ width: 640, height: 720 })
  await page.mouse.move(299.9, 180)
  await eventually(async () => (await lean(page)).rotateY).toBeCloseTo(3, 1)
})

test(
  'all of it is set in the rows: strength, an inset dragged on the page, a finger, and other numbers in narrow windows',
  long,
  async ({ page, house }) => {
    await toStudio(page, await house.addSite('common', cardsPage, [tiltOnCards()]))
    const frame = await stageOf(page)
    await page.getByRole('button', { name: 'More' }).click()
    for (const name of ['Strength', 'Area', 'Touch and access']) await page.getByRole('button', { name, exact: true }).click()
    const strength = page.getByRole('spinbutton', { name: 'Strength', exact: true })
    await strength.focus()
    await page.keyboard.type('50')
    await page.keyboard.press('Enter')
    const { x, y, width, height } = cardBox(0)
    await movePointer(page, x + width - 4, y + height / 2, 4)
    await eventually(async () => (await leanOf(frame, '.card', 0)).rotateY).toBeCloseTo(4.5, 1)
    await page.waitForTimeout(200)
    const inset = page.getByRole('spinbutton', { name: 'Inset right', exact: true })
    await inset.focus()
    const [from, to] = [await onScreen(page, x + width, y + height / 2), await onScreen(page, x + width - 60, y + height / 2)]
    await page.mouse.move(from.x, from.y)
    await page.mouse.down()
    await page.mouse.move(to.x, to.y, { steps: 6 })
    await page.mouse.up()
    await expect.poll(async () => Number(await inset.getAttribute('aria-valuenow'))).toBeGreaterThan(56)
    await page.getByRole('button', { name: /^Touch:/ }).click()
    await page.getByRole('menuitem', { name: 'a drag across' }).click()
    await page.getByRole('button', { name: /^What is otherwise there:/ }).click()
    await page.getByRole('menuitem', { name: 'how far it leans at its edges' }).click()
    const narrow = page.getByLabel('In narrow windows: how far it leans at its edges')
    await narrow.fill('4')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('status').getByText('· saved')).toBeVisible()
    const exported = await (await page.request.get(`${house.address}/export/common/page`)).text()
    expect(exported).toContain('--card-tilt-amount: 0.5;')
    expect(exported).toMatch(/@media \(max-width: 600px\) \{\s+\.card \{\s+--card-tilt-lean: calc\(4deg \* var\(--card-tilt-amount\)\);/)
    expect(exported).toContain('touch-action: pan-y pinch-zoom;')
  },
)
