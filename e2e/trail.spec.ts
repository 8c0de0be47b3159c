// Trails as they are exported: where their pieces are, what they do at rest, and that nothing is left.
import type { Page } from '@playwright/test'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'

const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Trails</title><style>
  body { margin: 0; height: 1600px; background: linear-gradient(90deg, #ffffff 0 50%, #101820 50%) } .field { position: absolute; left: 100px; top: 100px; width: 400px; height: 300px }
</style></head><body><div class="field"></div></body></html>`
const trail = (changes: object = {}, select = 'body') => effectOf('trail', select, settingsOf('trail', { comeMs: 0, goMs: 0, ...changes }))

const middles = (alone: Page, select = '.trail-piece') =>
  alone.locator(select).evaluateAll((all) =>
    all.map((element) => {
      const { x, y, width, height } = element.getBoundingClientRect()
      return [Math.round((x + width / 2) * 10) / 10, Math.round((y + height / 2) * 10) / 10]
    }),
  )

/** Time goes on by this alone from now on: moves the pointer, and lets so many ms pass. */
async function handOf(alone: Page) {
  await alone.clock.install({ time: 0 })
  let isPaused = false
  return async (x: number, y: number, ms: number) => {
    if (!isPaused) await alone.clock.pauseAt(3_600_000)
    isPaused = true
    await alone.evaluate(
      ([clientX, clientY]) => {
        const event = new PointerEvent('pointermove', { clientX, clientY, bubbles: true, pointerType: 'mouse', isPrimary: true })
        Object.defineProperty(event, 'timeStamp', { value: performance.now() })
        document.body.dispatchEvent(event)
      },
      [x, y] as const,
    )
    await alone.clock.runFor(ms)
  }
}

/** The colours of the page where the points are, as they are seen. */
async function coloursAt(alone: Page, points: readonly (readonly [number, number])[]): Promise<readonly (readonly number[])[]> {
  const png = (await alone.screenshot()).toString('base64')
  return alone.evaluate(
    async ([data, where]) => {
      const picture = await createImageBitmap(await (await fetch(`data:image/png;base64,${data}`)).blob())
      const context = new OffscreenCanvas(picture.width, picture.height).getContext('2d')
      if (!context) return []
      context.drawImage(picture, 0, 0)
      const ratio = picture.width / innerWidth
      return (where as [number, number][]).map(([x, y]) => [...context.getImageData(x * ratio, y * ratio, 1, 1).data].slice(0, 3))
    },
    [png, points] as const,
  )
}

test('each piece is later than the one before, by a glide or on the pointer’s very way', async ({ page: alone }, info) => {
  const move = await handOf(alone)
  for (const law of ['chain', 'path']) {
    await openAlone(alone, html, [trail({ law, pieces: 6, lateMs: 50 })], info.outputPath('page.html'))
    // A steady hand, 400 px/s: 20 px a piece.
    for (let i = 0; i < 60; i++) await move(60 + i * 8, 500, 20)
    const xs = (await middles(alone)).map(([x = 0]) => x)
    expect(xs).toHaveLength(6)
    xs.slice(1).forEach((x, k) => expect(Math.abs((xs[k] ?? 0) - x - 20), `${law}: ${xs.join()}`).toBeLessThan(1))
    // A frame may lie between the last move and what is seen.
    expect(Math.abs(60 + 59 * 8 - (xs[0] ?? 0) - 20)).toBeLessThan(9)
    await move(60 + 59 * 8, 500, 1200)
    expect(new Set((await middles(alone)).map(String)).size).toBe(1)
  }
})

test('begins where the pointer comes in, and is not seen once it has gone', async ({ page: alone }, info) => {
  for (const rest of ['gather', 'fade']) {
    await openAlone(alone, html, [trail({ pieces: 8, lateMs: 60, rest, restMs: 3000 })], info.outputPath('page.html'))
    await alone.mouse.move(80, 80)
    await eventually(() => middles(alone)).toEqual(new Array(8).fill([80, 80]))
    const leave = () =>
      alone.evaluate(() => document.documentElement.dispatchEvent(new PointerEvent('pointerout', { bubbles: true, pointerType: 'mouse' })))
    await leave()
    const isSeen = () =>
      alone
        .locator('.trail-piece')
        .first()
        .evaluate((piece) => piece.checkVisibility({ opacityProperty: true, visibilityProperty: true }))
    await eventually(isSeen).toBe(false)
    await alone.waitForTimeout(150)
    await alone.mouse.move(700, 500)
    await eventually(isSeen).toBe(true)
    expect(await middles(alone)).toEqual(new Array(8).fill([700, 500]))
  }
})

test('fizzes while the pointer rests, until it moves', async ({ page: alone }, info) => {
  await openAlone(alone, html, [trail({ rest: 'fizz', restMs: 120, pieces: 6, lateMs: 5 })], info.outputPath('page.html'))
  const running = () => alone.evaluate(() => document.getAnimations().filter((each) => each instanceof CSSAnimation).length)
  await alone.evaluate(() => {
    const times: { moved?: number; rose?: number } = {}
    Object.assign(window, { times })
    addEventListener('pointermove', ({ timeStamp }) => (times.moved = timeStamp))
    addEventListener('animationstart', () => (times.rose ??= performance.now()))
  })
  await alone.mouse.move(300, 300)
  await eventually(running).toBe(6)
  const restedMs = () =>
    alone.evaluate(() => {
      const { moved = NaN, rose = NaN } = (window as unknown as { times: { moved?: number; rose?: number } }).times
      return rose - moved
    })
  await eventually(restedMs).toBeGreaterThanOrEqual(120)
  // The first goes up, and is gone at its end.
  await alone.evaluate(() =>
    document.getAnimations().forEach((each) => {
      each.pause()
      each.currentTime = 1095
    }),
  )
  const [first] = await middles(alone)
  expect(first?.[1]).toBeLessThan(260)
  await alone.mouse.move(330, 300)
  await eventually(running).toBe(0)
})

test('leaves pieces behind that live their time, never more than so many, and nothing afterwards', async ({ page: alone }, info) => {
  await openAlone(alone, html, [trail({ law: 'dropped', everyPx: 10, pieces: 12, lifeMs: 300 })], info.outputPath('page.html'))
  const before = await alone.evaluate(() => document.querySelectorAll('*').length)
  await alone.mouse.move(50, 300)
  let most = 0
  for (let i = 0; i < 40; i++) {
    await alone.mouse.move(50 + i * 17, 300 + (i % 3) * 30)
    most = Math.max(most, await alone.locator('.trail-piece').count())
  }
  expect(most).toBe(12)
  await eventually(() => alone.locator('.trail-piece').count()).toBe(0)
  // What holds them stays.
  expect(await alone.evaluate(() => document.querySelectorAll('*').length)).toBe(before + 1)
})

test('is painted on a canvas of its own size that goes with it, sharp at every pixel ratio', async ({ browser }, info) => {
  for (const ratio of [1, 1.5, 2]) {
    const context = await browser.newContext({ deviceScaleFactor: ratio, viewport: { width: 900, height: 600 } })
    const alone = await context.newPage()
    const move = await handOf(alone)
    const settings = { pieces: 40, lateMs: 8, sizePx: 40, endPx: 40, colour: '#c8102e', endColour: '#c8102e' }
    await openAlone(alone, html, [trail(settings)], info.outputPath('page.html'))
    await move(200, 300, 40)
    await move(203.3, 301.7, 900)
    const canvas = alone.locator('.trail-canvas')
    const lies = () =>
      canvas.evaluate((element: HTMLCanvasElement) => {
        const { x, y, width, height } = element.getBoundingClientRect()
        return { x, y, width, height, pixels: element.width, rows: element.height }
      })
    const { x, y, width, height, pixels, rows } = await lies()
    // To what browsers lay out in, a 64th of a px.
    expect(Math.abs(width * ratio - pixels) + Math.abs(height * ratio - rows)).toBeLessThan(0.05)
    for (const edge of [x * ratio, y * ratio]) expect(Math.abs(edge - Math.round(edge))).toBeLessThan(0.05)
    // Around one dot of 40 px, in steps of 128 pixels.
    expect(pixels).toBe(128)
    const [inside, edge, outside] = await coloursAt(alone, [
      [203, 302],
      [221, 302],
      [227, 302],
    ])
    expect([inside, edge, outside]).toEqual([
      [200, 16, 46],
      [200, 16, 46],
      [255, 255, 255],
    ])
    // A long way makes it larger, and only for as long.
    await move(800, 500, 100)
    expect((await lies()).pixels).toBeGreaterThan(400)
    await move(800, 500, 1500)
    expect((await lies()).pixels).toBe(128)
    await context.close()
  }
})

test('is one ribbon, wide at first and thin at its end', async ({ page: alone }, info) => {
  const ribbon = {
    law: 'path',
    shape: 'ribbon',
    pieces: 30,
    lateMs: 20,
    sizePx: 30,
    endPx: 2,
    colour: '#c8102e',
    endColour: '#c8102e',
    rest: 'gather',
  }
  const move = await handOf(alone)
  await openAlone(alone, html, [trail(ribbon)], info.outputPath('page.html'))
  for (let i = 0; i < 40; i++) await move(40 + i * 8, 300, 20)
  const reach = await alone.evaluate(() => {
    const canvas = document.querySelector<HTMLCanvasElement>('.trail-canvas')
    const context = canvas?.getContext('2d')
    if (!canvas || !context) return []
    const { data } = context.getImageData(0, 0, canvas.width, canvas.height)
    // How many pixels are painted in each column.
    const columns = Array.from(
      { length: canvas.width },
      (_, x) => Array.from({ length: canvas.height }, (_, y) => (data[4 * (y * canvas.width + x) + 3] ?? 0) > 127).filter(Boolean).length,
    )
    return columns.filter((each) => each > 0)
  })
  expect(reach.length).toBeGreaterThan(180)
  expect(Math.max(...reach)).toBeGreaterThan(26)
  expect(reach[20]).toBeLessThan(10)
  // It narrows all along.
  expect(reach[160]).toBeGreaterThan(reach[80] ?? 0)
})

test('is seen on light and dark ground alike where it turns them about', async ({ page: alone }, info) => {
  await alone.setViewportSize({ width: 800, height: 600 })
  const settings = { blend: 'difference', colour: '#ffffff', endColour: '#ffffff', endPercent: 100, sizePx: 40, lateMs: 2 }
  await openAlone(alone, html, [trail(settings)], info.outputPath('page.html'))
  await alone.mouse.move(200, 300)
  await eventually(() => coloursAt(alone, [[200, 300]])).toEqual([[0, 0, 0]])
  await alone.mouse.move(600, 300)
  await eventually(() => coloursAt(alone, [[600, 300]])).toEqual([[0xef, 0xe7, 0xdf]])
})

test('stays inside what it is on, is none with less motion unless it was chosen, and none by finger', async ({
  page: alone,
  browser,
}, info) => {
  const file = info.outputPath('page.html')
  await openAlone(alone, html, [trail({ layer: 'inside' }, '.field')], file)
  await alone.mouse.move(200, 200)
  await eventually(() => middles(alone, '.field-trail-piece')).toEqual(new Array(9).fill([200, 200]))
  expect(await alone.locator('.field > .field-trail-pieces').evaluate((element) => getComputedStyle(element).overflow)).toBe('clip')
  await alone.emulateMedia({ reducedMotion: 'reduce' })
  const isSeen = (select: string) =>
    alone
      .locator(select)
      .first()
      .evaluate(
        (piece) => piece.checkVisibility({ opacityProperty: true, visibilityProperty: true }) && getComputedStyle(piece).display !== 'none',
      )
  expect(await isSeen('.field-trail-piece')).toBe(false)
  await openAlone(alone, html, [trail({ calm: 'on' })], file)
  await alone.mouse.move(200, 200)
  await eventually(() => isSeen('.trail-piece')).toBe(true)
  const phone = await browser.newContext({ hasTouch: true, isMobile: true, viewport: { width: 400, height: 700 } })
  const touched = await phone.newPage()
  await touched.goto(`file://${file}`)
  await touched.touchscreen.tap(60, 60)
  expect(await touched.locator('.trail-piece').count()).toBe(0)
  await phone.close()
})

test('leaves no frame, no node and no listener behind', async ({ page: alone }, info) => {
  await openAlone(alone, html, [trail({ rest: 'fizz' }), trail({ shape: 'ribbon', pieces: 30 }, '.field')], info.outputPath('page.html'), {
    script: { takesOff: true },
  })
  for (let i = 0; i < 30; i++) await alone.mouse.move(120 + i * 9, 150 + i * 5)
  await alone.waitForTimeout(1600)
  const asked = await alone.evaluate(async () => {
    const own = window.requestAnimationFrame.bind(window)
    let count = 0
    window.requestAnimationFrame = (callback) => {
      count++
      return own(callback)
    }
    await new Promise((done) => setTimeout(done, 300))
    return count
  })
  expect(asked).toBe(0)
  await alone.evaluate('takeOff()')
  expect(await alone.evaluate(() => [document.documentElement.getAttributeNames(), document.querySelector('.field')?.outerHTML])).toEqual([
    ['lang'],
    '<div class="field"></div>',
  ])
  expect(await alone.locator('[data-part]').count()).toBe(0)
})
