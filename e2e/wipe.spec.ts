// Wipes as they are exported: the line, what is cut at it and what rides on it are in one place, at every width and at every instant.
import type { Page } from '@playwright/test'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'

/** Two layers in one place, with things of other sizes that belong to a side, and a rider. */
const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Sides</title><style>
  body { margin: 0 }
  .yard { position: relative; margin: 40px 5%; height: 420px; overflow: clip }
  .day, .night { position: absolute; inset: 0; display: grid; place-items: center }
  .day { background: rgb(240 220 180) } .night { background: rgb(20 40 60); color: #fff; left: 24px }
  .rider { position: absolute; left: 31%; top: 150px; width: 40px; height: 40px; border-radius: 50%; background: rgb(200 30 30) }
  .leaf { position: absolute; left: 10%; top: 20px; width: 70%; height: 60px; background: rgb(130 140 60) }
  .owl { position: absolute; left: 20%; bottom: 20px; width: 60%; height: 60px; background: rgb(120 60 160) }
</style></head><body>
<section class="yard">
  <div class="night"><h1>Night side</h1></div>
  <div class="day"><h1>Day side</h1></div>
  <i class="leaf"></i><i class="owl"></i><b class="rider"></b>
</section><p>After it.</p></body></html>`

const noun = (select: string) => ({ select, noun: select.slice(1) })
const roles = { back: noun('.night'), rider: noun('.rider'), ahead: noun('.leaf'), behind: noun('.owl'), ground: noun('.yard') }

const wipe = (changes: object = {}, more: object = {}) => effectOf('wipe', '.day', settingsOf('wipe', changes), { roles, ...more })

/** px of the window at which the line crosses what is cut, by its clip path, and the middle of the rider; at the height (or x) of each one's middle. */
const seenAt = (page: Page, isAcross = true) =>
  page.evaluate((across) => {
    const boxOf = (select: string) => (document.querySelector(select) as HTMLElement).getBoundingClientRect()
    const cutOf = (select: string) => {
      const element = document.querySelector(select) as HTMLElement
      const box = element.getBoundingClientRect()
      const [size, start] = across ? [box.width, box.left] : [box.height, box.top]
      // As browsers give it: inset(top right bottom left) or the points of a polygon, where % is of the box.
      const text = getComputedStyle(element).clipPath
      const px = (length: string) =>
        [...length.matchAll(/(-?[\d.]+(?:e-?\d+)?)(px|%)/g)].reduce((sum, [all, number, unit], i) => {
          const sign = i > 0 && new RegExp(`- ${all.replace(/[.]/g, '\\.')}`).test(length) ? -1 : 1
          return sum + sign * Number(number) * (unit === '%' ? size / 100 : 1)
        }, 0)
      if (text.startsWith('polygon')) {
        const points = text
          .slice(8, -1)
          .split(/, /)
          .map((point) => point.match(/calc\([^)]*\)|\S+/g) ?? [])
        const main = (i: number) => px(points[i]?.[across ? 0 : 1] ?? '')
        return start + (main(0) + main(1)) / 2
      }
      const sides = text.slice(6, -1).match(/calc\([^)]*\)|\S+/g) ?? []
      const [low, high] = across ? [sides[3] ?? sides[1], sides[1]] : [sides[0], sides[2] ?? sides[0]]
      const [before, after] = [px(low ?? ''), px(high ?? '')]
      return before > -1000 ? start + before : start + size - after
    }
    const rider = boxOf('.rider')
    return {
      cuts: ['.day', '.night', '.leaf', '.owl'].map(cutOf),
      rider: across ? rider.left + rider.width / 2 : rider.top + rider.height / 2,
    }
  }, isAcross)

for (const width of [1280, 820, 390])
  test(`line, cuts and rider are in one place at a width of ${width}, on their way too, and nothing of the page moves`, async ({
    page,
  }, info) => {
    await page.setViewportSize({ width, height: 600 })
    await openAlone(page, html, [wipe()], info.outputPath('page.html'))
    const yard = await page.locator('.yard').evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
    // It waits at 8 % of the way before the pointer comes.
    await eventually(async () => (await seenAt(page)).rider).toBeCloseTo(yard.left + 0.08 * yard.width, 0)
    const heading = () => page.locator('.day h1').evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
    const stood = await heading()
    await page.evaluate(() => {
      const noted: { spread: number; lines: number[] } = Object.assign(window, { spread: 0, lines: [] as number[] })
      const look = () => {
        const rider = (document.querySelector('.rider') as HTMLElement).getBoundingClientRect()
        noted.lines.push(rider.left + rider.width / 2)
        requestAnimationFrame(look)
      }
      look()
    })
    for (const share of [0.3, 0.75, 0.5]) {
      const x = Math.round(yard.left + share * yard.width)
      await page.mouse.move(x, yard.top + 200)
      // At an instant on the way, whatever it is, all of them agree.
      const onItsWay = await seenAt(page)
      for (const cut of onItsWay.cuts) expect(Math.abs(cut - onItsWay.rider)).toBeLessThan(1)
      await eventually(async () => Math.abs((await seenAt(page)).rider - x)).toBeLessThan(0.6)
      const { cuts, rider } = await seenAt(page)
      for (const cut of [...cuts, rider]) expect(Math.abs(cut - x)).toBeLessThan(1)
      // What is seen at a place is what is there for the pointer: text is selected on either side.
      const hit = (at: number) =>
        page.evaluate(([px, py]) => document.elementFromPoint(px, py)?.closest('.day, .night')?.className, [at, yard.top + 120] as const)
      expect([await hit(x - 12), await hit(x + 12)]).toEqual(['day', 'night'])
    }
    expect(await heading()).toEqual(stood)
    const lines = await page.evaluate(() => (window as unknown as { lines: number[] }).lines)
    expect(new Set(lines.map((line) => Math.round(line))).size).toBeGreaterThan(5)
    await page.mouse.move(yard.left + 5, 580)
    await eventually(async () => (await seenAt(page)).rider).toBeCloseTo(yard.left + 0.08 * yard.width, 0)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(width)
  })

test('what is seen ends where the pointer is, by pixel', async ({ page }, info) => {
  await page.setViewportSize({ width: 1000, height: 600 })
  await openAlone(page, html, [wipe()], info.outputPath('page.html'))
  for (const x of [300, 611]) {
    await page.mouse.move(x, 300)
    await eventually(async () => Math.abs((await seenAt(page)).rider - x)).toBeLessThan(0.1)
    // Rows through the layers alone, and through what belongs to either side.
    const ends = await page.evaluate(
      async ([data]) => {
        const image = new Image()
        image.src = `data:image/png;base64,${data}`
        await image.decode()
        const context = Object.assign(document.createElement('canvas'), { width: image.width, height: image.height }).getContext('2d')
        context?.drawImage(image, 0, 0)
        const red = (px: number, py: number) => context?.getImageData(px, py, 1, 1).data[0] ?? 0
        return [130, 90, 410].map((y) => {
          const all = Array.from({ length: 500 }, (_, i) => i + 250)
          return all.find((px) => Math.abs(red(px, y) - red(px - 1, y)) > 60)
        })
      },
      [(await page.screenshot()).toString('base64')] as const,
    )
    for (const end of ends) expect(Math.abs((end ?? 0) - x)).toBeLessThanOrEqual(1)
  }
})

test('a rider has its own path, and a slanting soft line goes through the pointer', async ({ page }, info) => {
  await page.setViewportSize({ width: 1000, height: 600 })
  const path = { stops: [{ at: 0, value: 60 }, { at: 0.5, value: -20 }, { at: 1, value: 60 }] } // prettier-ignore
  await openAlone(page, html, [wipe({ path })], info.outputPath('page.html'))
  const rider = () => page.locator('.rider').evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
  await page.mouse.move(500, 300)
  await eventually(async () => (await rider()).y).toBeCloseTo(190 - 20, 0)
  await page.mouse.move(500 - 225, 300)
  await eventually(async () => (await rider()).y).toBeCloseTo(190 + 20, 0)
  await eventually(async () => (await rider()).x + 20).toBeCloseTo(275, 0)

  await openAlone(page, html, [wipe({ directionDeg: 120, softPx: 40 })], info.outputPath('slanting.html'))
  await page.mouse.move(420, 200)
  // At its own height, a cut is as far along as the line leans there.
  const [dayX] = [420 + (250 - 200) * -Math.tan((30 * Math.PI) / 180)]
  await eventually(async () => (await seenAt(page)).cuts[0]).toBeCloseTo((dayX ?? 0) + 20 / Math.cos((30 * Math.PI) / 180), 0)
  expect((await seenAt(page)).cuts[1]).toBeCloseTo((dayX ?? 0) - 20 / Math.cos((30 * Math.PI) / 180), 0)
  const alpha = (select: string) => page.locator(select).evaluate((element) => getComputedStyle(element).maskImage)
  expect(await alpha('.day')).toContain('linear-gradient(120deg')
})

test('up and down, and toward the left, it cuts the right sides', async ({ page }, info) => {
  await page.setViewportSize({ width: 1000, height: 600 })
  for (const [directionDeg, isAcross] of [
    [0, false],
    [180, false],
    [270, true],
  ] as const) {
    await openAlone(page, html, [wipe({ directionDeg })], info.outputPath(`${directionDeg}.html`))
    await page.mouse.move(333, 222)
    const at = isAcross ? 333 : 222
    await eventually(async () => Math.abs((await seenAt(page, isAcross)).rider - at)).toBeLessThan(0.6)
    for (const cut of (await seenAt(page, isAcross)).cuts) expect(Math.abs(cut - at)).toBeLessThan(1)
    const hit = (x: number, y: number) =>
      page.evaluate(([px, py]) => document.elementFromPoint(px, py)?.closest('.day, .night')?.className, [x, y] as const)
    const [before, after] = isAcross
      ? [await hit(345, 130), await hit(320, 130)]
      : directionDeg === 0
        ? [await hit(160, 240), await hit(160, 200)]
        : [await hit(160, 200), await hit(160, 240)]
    expect([before, after]).toEqual(['day', 'night'])
  }
})

test('its line is a slider: named by the page, moved by keys, heard, and gone back where it waits when the focus leaves', async ({
  page,
}, info) => {
  await page.setViewportSize({ width: 1000, height: 600 })
  await openAlone(page, html, [wipe()], info.outputPath('page.html'))
  const line = page.getByRole('slider', { name: 'Day side / Night side' })
  await expect(line).toHaveAttribute('aria-valuenow', '0.08')
  await page.keyboard.press('Tab')
  await expect(line).toBeFocused()
  await page.keyboard.press('ArrowRight')
  await expect(line).toHaveAttribute('aria-valuenow', '0.13')
  await eventually(async () => (await seenAt(page)).cuts[0]).toBeCloseTo(50 + 0.13 * 900, 0)
  await page.keyboard.press('End')
  await expect(line).toHaveAttribute('aria-valuenow', '1.00')
  await eventually(async () => (await seenAt(page)).cuts[0]).toBeCloseTo(950, 0)
  // Up goes on as well, and down back.
  await page.keyboard.press('ArrowDown')
  await expect(line).toHaveAttribute('aria-valuenow', '0.95')
  await page.keyboard.press('ArrowUp')
  await expect(line).toHaveAttribute('aria-valuenow', '1.00')
  await line.evaluate((element) => {
    element.blur()
  })
  await expect(line).toHaveAttribute('aria-valuenow', '0.08')

  // A line that goes down is moved down by every key that goes on.
  await openAlone(page, html, [wipe({ directionDeg: 180, waitsPercent: 50 })], info.outputPath('down.html'))
  await expect(line).toHaveAttribute('aria-valuenow', '0.50')
  await page.keyboard.press('Tab')
  for (const [key, at] of [
    ['ArrowDown', '0.55'],
    ['ArrowRight', '0.60'],
    ['ArrowUp', '0.55'],
    ['Home', '0.00'],
    ['End', '1.00'],
  ] as const) {
    await page.keyboard.press(key)
    await expect(line).toHaveAttribute('aria-valuenow', at)
  }
})

test('by finger it is dragged across, or comes to where it is tapped, and stays; the page scrolls up and down', async ({
  browser,
}, info) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 390, height: 700 } })
  const page = await context.newPage()
  await openAlone(page, html, [wipe({ touch: 'drag-x' })], info.outputPath('page.html'))
  expect(await page.locator('.yard').evaluate((element) => getComputedStyle(element).touchAction)).toBe('pan-y pinch-zoom')
  const client = await context.newCDPSession(page)
  const finger = (type: 'touchStart' | 'touchMove' | 'touchEnd', x = 0, y = 0) =>
    client.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] })
  await finger('touchStart', 100, 200)
  for (const x of [120, 160, 200, 240]) await finger('touchMove', x, 200)
  await eventually(async () => Math.abs((await seenAt(page)).rider - 240)).toBeLessThan(0.6)
  await finger('touchEnd')
  await page.waitForTimeout(300)
  expect(Math.abs((await seenAt(page)).rider - 240)).toBeLessThan(0.6)
  await page.touchscreen.tap(120, 200)
  await eventually(async () => Math.abs((await seenAt(page)).rider - 120)).toBeLessThan(0.6)
  await page.evaluate(() => scrollBy(0, 40))
  await page.waitForTimeout(300)
  expect(Math.abs((await seenAt(page)).rider - 120)).toBeLessThan(0.6)
  await context.close()
})

test('it stays where it is left, lays side by side in one place, and takes nothing where one layer is missing', async ({ page }, info) => {
  await page.setViewportSize({ width: 1000, height: 600 })
  await openAlone(page, html, [wipe({ away: 'holds' })], info.outputPath('holds.html'))
  await page.mouse.move(700, 200)
  await eventually(async () => (await seenAt(page)).rider).toBeCloseTo(700, 0)
  await page.mouse.move(700, 560)
  await page.waitForTimeout(300)
  expect((await seenAt(page)).rider).toBeCloseTo(700, 0)

  const beside = `<!doctype html><html><head><title>B</title><style>body { margin: 0 } .row { width: 800px } .row > div { height: 200px } .a { background: #eca } .b { background: #124 }</style></head><body><div class="row"><div class="b"><h2>B</h2></div><div class="a"><h2>A</h2></div></div></body></html>`
  const laid = effectOf('wipe', '.a', settingsOf('wipe', { layers: 'over' }), { roles: { back: noun('.b') } })
  await openAlone(page, beside, [laid], info.outputPath('laid.html'))
  const top = (select: string) => page.locator(select).evaluate((element) => element.getBoundingClientRect().top)
  expect([await top('.a'), await top('.b')]).toEqual([0, 0])
  await page.mouse.move(500, 100)
  await eventually(() => page.evaluate(() => [495, 505].map((x) => document.elementFromPoint(x, 150)?.className))).toEqual(['a', 'b'])

  const errors: string[] = []
  page.on('pageerror', ({ message }) => errors.push(message))
  await openAlone(page, html, [wipe({}, { roles: { back: noun('.nobody'), rider: noun('.none') } })], info.outputPath('one.html'))
  await page.mouse.move(500, 200)
  await eventually(() => page.evaluate(() => getComputedStyle(document.querySelector('.day') as Element).clipPath)).toContain('inset')
  await page.evaluate(() => document.querySelector('.day')?.remove())
  await page.mouse.move(520, 200)
  await page.waitForTimeout(100)
  expect(errors).toEqual([])
})
