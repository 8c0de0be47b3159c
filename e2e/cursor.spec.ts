// Cursors of one's own as they are exported: where they are, what they are over what, and when the system's own comes back.
import type { Page } from '@playwright/test'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'

const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Cursors</title><style>
  * { box-sizing: border-box } body { margin: 0; height: 1600px; font: 16px/1.4 sans-serif; background: #fff }
  .work { position: absolute; left: 100px; top: 100px; width: 300px; height: 200px; border-radius: 24px 12px; background: #e3cfa2 }
  .key { position: absolute; left: 60px; top: 60px; width: 120px; height: 40px; background: #6f8f7a; color: #fff }
  .field { position: absolute; left: 500px; top: 100px } iframe { position: absolute; left: 500px; top: 200px; width: 200px; height: 100px; border: 0 }
  dialog { position: fixed; inset: 0; width: 400px; height: 300px; margin: auto; background: #c98b5a }
  .moth { width: 30px; height: 20px; background: rgb(10, 200, 30) }
</style></head><body><a class="work" href="#opened" aria-label="The north wall"><span class="key" data-cursor="Press">A key</span></a>
<input class="field"><iframe srcdoc="A frame"></iframe><dialog>A dialog</dialog><p class="moth"></p></body></html>`

const shape = (id: string, changes: object = {}) => ({
  id,
  shape: 'label',
  sizePx: 72,
  colour: '#1d3b40',
  ink: '#ffffff',
  says: 'label',
  text: 'Open',
  picture: '',
  ...changes,
})
const cursor = (changes: object = {}, asking: Readonly<Record<string, string>> = {}, select = 'body') =>
  effectOf('cursor', select, settingsOf('cursor', { blendMs: 0, ...changes }), {
    roles: Object.fromEntries(Object.entries(asking).map(([id, each]) => [id, { select: each, noun: 'it' }])),
  })

const systemAt = (alone: Page, select: string) =>
  alone
    .locator(select)
    .first()
    .evaluate((element) => getComputedStyle(element).cursor)
const faceOf = (alone: Page) => alone.locator('.cursor-shape')
const boxOf = async (alone: Page, select = '.cursor-shape') => {
  const box = await alone.locator(select).first().boundingBox()
  if (!box) throw new Error(`There is no ${select}.`)
  return box
}
const middleOf = async (alone: Page, select?: string) => {
  const { x, y, width, height } = await boxOf(alone, select)
  return [x + width / 2, y + height / 2]
}
const isSeen = (alone: Page, select = '.cursor-point') =>
  alone
    .locator(select)
    .first()
    .evaluate((element) => element.checkVisibility({ visibilityProperty: true, opacityProperty: true }))

test('is on the pointer, becomes what the innermost element asks for, says what that says, and leaves a link a link', async ({
  page: alone,
}, info) => {
  const shapes = [shape('shape-1'), shape('shape-2', { shape: 'ring', sizePx: 40, says: 'attribute' })]
  await openAlone(alone, html, [cursor({ shapes }, { 'shape-1': '.work', 'shape-2': '.key' })], info.outputPath('page.html'))
  expect(await systemAt(alone, 'body')).toBe('auto')
  await alone.mouse.move(60, 60)
  await eventually(() => middleOf(alone)).toEqual([60, 60])
  expect(await systemAt(alone, '.work')).toBe('none')
  expect(await boxOf(alone)).toMatchObject({ width: 14, height: 14 })
  await alone.mouse.move(380, 280)
  await eventually(async () => (await boxOf(alone)).width).toBe(72)
  expect(await middleOf(alone)).toEqual([380, 280])
  expect(await alone.locator('.cursor-text').textContent()).toBe('The north wall')
  await alone.mouse.move(200, 180)
  await eventually(async () => (await boxOf(alone)).width).toBe(40)
  expect(await faceOf(alone).evaluate((element) => getComputedStyle(element).boxShadow)).toContain('inset')
  // Nothing of it can be hit, and what lies below it can.
  await alone.mouse.click(380, 280)
  await eventually(() => alone.url()).toContain('#opened')
  // It stays where the pointer is while the page scrolls, and is what it comes to lie on.
  await alone.mouse.wheel(0, 220)
  await eventually(async () => (await boxOf(alone)).width).toBe(14)
  expect(await middleOf(alone)).toEqual([380, 280])
})

test('gives way to the system’s own over fields and frames, and as the pointer leaves', async ({ page: alone }, info) => {
  await openAlone(alone, html, [cursor({ shape: 'both', ringLateMs: 200 })], info.outputPath('page.html'))
  await alone.mouse.move(60, 60)
  await eventually(() => isSeen(alone)).toBe(true)
  expect([await systemAt(alone, '.field'), await systemAt(alone, 'iframe')]).toEqual(['auto', 'auto'])
  for (const [x, y] of [
    [520, 110],
    [600, 250],
  ] as const) {
    await alone.mouse.move(60, 60)
    await eventually(() => isSeen(alone)).toBe(true)
    await alone.mouse.move(x, y)
    await eventually(() => isSeen(alone)).toBe(false)
    // The ring is on its way still, and not seen all the same.
    expect(await isSeen(alone, '.cursor-late')).toBe(false)
  }
  await alone.mouse.move(60, 60)
  await eventually(() => isSeen(alone)).toBe(true)
  await alone.evaluate(() =>
    document.documentElement.dispatchEvent(new PointerEvent('pointerout', { bubbles: true, pointerType: 'mouse' })),
  )
  await eventually(() => isSeen(alone)).toBe(false)
  // Where it comes back nothing comes from afar.
  await alone.mouse.move(700, 600)
  await eventually(() => isSeen(alone)).toBe(true)
  expect(await middleOf(alone, '.cursor-ring')).toEqual([700, 600])
})

test('comes late by as much as it says, and grows and gives way when it is fast and pressed', async ({ page: alone }, info) => {
  await openAlone(alone, html, [cursor({ shape: 'both', ringLateMs: 100, pressPercent: 50 })], info.outputPath('page.html'))
  // A steady hand, 400 px/s, by a clock of its own.
  await alone.clock.install({ time: 0 })
  await alone.goto(`file://${info.outputPath('page.html')}`)
  await alone.clock.pauseAt(3_600_000)
  for (let i = 0; i < 60; i++) {
    await alone.evaluate(
      (clientX) => {
        const event = new PointerEvent('pointermove', { clientX, clientY: 500, bubbles: true, pointerType: 'mouse', isPrimary: true })
        Object.defineProperty(event, 'timeStamp', { value: performance.now() })
        document.body.dispatchEvent(event)
      },
      40 + i * 8,
    )
    await alone.clock.runFor(20)
  }
  const [dot = 0] = await middleOf(alone)
  const [ring = 0] = await middleOf(alone, '.cursor-ring')
  expect(Math.abs(dot - ring - 40)).toBeLessThan(9)
  await alone.clock.resume()
  await alone.mouse.move(700, 500)
  await alone.mouse.down()
  await eventually(async () => (await boxOf(alone)).width).toBeCloseTo(7, 1)
  await alone.mouse.up()
  await eventually(async () => (await boxOf(alone)).width).toBeCloseTo(14, 1)
})

test('takes hold of what it is over: its middle, its size, its corners', async ({ page: alone }, info) => {
  const shapes = [shape('shape-1', { shape: 'outline', sizePx: 6 })]
  await openAlone(alone, html, [cursor({ shapes }, { 'shape-1': '.work' })], info.outputPath('page.html'))
  await alone.mouse.move(60, 60)
  await alone.mouse.move(130, 180)
  await eventually(() => boxOf(alone)).toEqual({ x: 94, y: 94, width: 312, height: 212 })
  expect(await faceOf(alone).evaluate((element) => getComputedStyle(element).borderRadius)).toBe('24px 12px')
  // It holds on while the page scrolls under the pointer.
  await alone.mouse.wheel(0, 40)
  await eventually(async () => (await boxOf(alone)).y).toBeCloseTo(54, 1)
  await alone.mouse.move(60, 500)
  await eventually(() => boxOf(alone)).toEqual({ x: 53, y: 493, width: 14, height: 14 })
})

test('lies over dialogs that open after it', async ({ page: alone }, info) => {
  await openAlone(alone, html, [cursor({ sizePx: 60, pressPercent: 90 })], info.outputPath('page.html'))
  await alone.mouse.move(640, 360)
  await eventually(() => isSeen(alone)).toBe(true)
  const colourAt = async () => {
    const png = await alone.screenshot({ clip: { x: 640, y: 360, width: 1, height: 1 } })
    return alone.evaluate(async (data) => {
      const picture = await createImageBitmap(await (await fetch(`data:image/png;base64,${data}`)).blob())
      const canvas = new OffscreenCanvas(1, 1)
      const context = canvas.getContext('2d')
      context?.drawImage(picture, 0, 0)
      return [...(context?.getImageData(0, 0, 1, 1).data ?? [])].slice(0, 3)
    }, png.toString('base64'))
  }
  await alone.evaluate(() => document.querySelector('dialog')?.showModal())
  await alone.mouse.move(641, 361)
  await eventually(colourAt).toEqual([0x1d, 0x3b, 0x40])
  await alone.evaluate(() => document.querySelector('dialog')?.close())
  await alone.mouse.move(640, 361)
  await eventually(colourAt).toEqual([0x1d, 0x3b, 0x40])
})

test('is an element of the page, as the page has it', async ({ page: alone }, info) => {
  await openAlone(alone, html, [cursor({ shape: 'element' }, { figure: '.moth' })], info.outputPath('page.html'))
  await alone.mouse.move(300, 500)
  await eventually(() => middleOf(alone, '.moth')).toEqual([300, 500])
  expect(await boxOf(alone, '.moth')).toMatchObject({ width: 30, height: 20 })
  expect(
    await alone
      .locator('.moth')
      .evaluate((element) => [getComputedStyle(element).backgroundColor, getComputedStyle(element).borderTopWidth]),
  ).toEqual(['rgb(10, 200, 30)', '0px'])
})

test('is the browser’s own matter where a still picture is wanted: no script', async ({ page: alone }, info) => {
  await openAlone(alone, html, [cursor({ sizePx: 20, colour: '#c98b5a' })], info.outputPath('page.html'))
  expect(await alone.locator('script').count()).toBe(0)
  for (const select of ['body', '.work', '.key'])
    expect(await systemAt(alone, select)).toMatch(/^url\("data:image\/svg\+xml,.*c98b5a.*"\) 10 10, auto$/)
  expect(await systemAt(alone, '.field')).toBe('auto')
})

test('leaves the system’s own to fingers, print, forced colours, and where no script runs; with less motion nothing comes late', async ({
  page: alone,
  browser,
}, info) => {
  const file = info.outputPath('page.html')
  await openAlone(alone, html, [cursor({ shape: 'both' })], file)
  await alone.mouse.move(60, 60)
  await eventually(() => systemAt(alone, 'body')).toBe('none')
  await alone.emulateMedia({ forcedColors: 'active' })
  expect([await systemAt(alone, 'body'), await isSeen(alone)]).toEqual(['auto', false])
  await alone.emulateMedia({ forcedColors: 'none', media: 'print' })
  expect([await systemAt(alone, 'body'), await isSeen(alone)]).toEqual(['auto', false])
  await alone.emulateMedia({ media: 'screen', reducedMotion: 'reduce' })
  expect([await systemAt(alone, 'body'), await isSeen(alone), await isSeen(alone, '.cursor-late')]).toEqual(['none', true, false])
  const plain = await browser.newContext({ javaScriptEnabled: false })
  const noScript = await plain.newPage()
  await noScript.goto(`file://${file}`)
  await noScript.mouse.move(60, 60)
  expect(await noScript.locator('body').evaluate((element) => getComputedStyle(element).cursor)).toBe('auto')
  await plain.close()
  const phone = await browser.newContext({ hasTouch: true, isMobile: true, viewport: { width: 400, height: 700 } })
  const touched = await phone.newPage()
  await touched.goto(`file://${file}`)
  await touched.touchscreen.tap(60, 60)
  expect(await systemAt(touched, 'body')).toBe('auto')
  await phone.close()
})

test('is taken off the page without a trace', async ({ page: alone }, info) => {
  const effects = [cursor({ shape: 'element', shapes: [shape('shape-1')] }, { figure: '.moth', 'shape-1': '.work' })]
  await openAlone(alone, html, effects, info.outputPath('page.html'), { script: { takesOff: true } })
  const bodyOf = () => alone.evaluate(() => document.documentElement.outerHTML.replace(/<script>[^]*<\/script>/, ''))
  const before = await bodyOf()
  await alone.mouse.move(200, 180)
  await eventually(() => isSeen(alone, '.moth')).toBe(false)
  expect(await bodyOf()).not.toBe(before)
  await alone.evaluate('takeOff()')
  expect(await bodyOf()).toBe(before)
})
