// Pictures in frames, as they are exported: a crop and a pan, by what browsers make of them.
import type { Page } from '@playwright/test'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'

const picture = (width: number, height: number) =>
  `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="100%" height="100%" fill="#7a8"/></svg>`)}`
const pageOf = (css: string, body: string) =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Frames</title><style>body { margin: 20px } .shot { margin: 0 0 20px; width: 300px; height: 200px; overflow: hidden } .shot img { display: block; width: 100% } ${css}</style></head><body>${body}</body></html>`
const shot = (width: number, height: number, more = '') =>
  `<figure class="shot" ${more}><img alt="" src="${picture(width, height)}"></figure>`
const roles = { picture: { select: '.shot img', noun: 'its picture' } }

/** How far the seen part of the first picture lies inside its frame, px: left, top, right, bottom. */
const seenInset = (page: Page) =>
  page.evaluate(() => {
    const [frame, image] = ['.shot', '.shot img'].map((select) => document.querySelector(select) as HTMLElement)
    if (!frame || !image) return []
    const style = getComputedStyle(image)
    const grown = style.scale === 'none' ? 1 : Number(style.scale)
    const [outer, box] = [frame.getBoundingClientRect(), image.getBoundingClientRect()]
    const text = style.clipPath.slice(6, -1).split(' round ')[0] ?? ''
    const sizes = [image.offsetHeight, image.offsetWidth]
    // As browsers give it: px, or a sum of % and px.
    const px = (length: string, size: number) =>
      [...length.matchAll(/(-?[\d.]+)(px|%)/g)].reduce((sum, [, number, unit]) => sum + Number(number) * (unit === '%' ? size / 100 : 1), 0)
    const cut = text.match(/calc\([^)]*\)|\S+/g) ?? []
    const of = (side: number) => grown * px(cut[side] ?? cut[side - 2] ?? cut[0] ?? '0px', sizes[side % 2] ?? 0)
    return [box.left + of(3) - outer.left, box.top + of(0) - outer.top, outer.right - box.right + of(1), outer.bottom - box.bottom + of(2)]
  })

test('a frame draws in by the same length on every side while its picture grows, and stays under the pointer', async ({ page }, info) => {
  const settings = settingsOf('crop', { insetPx: 14, growPercent: 10, radiusPx: 9, comeMs: 0, goMs: 0 })
  const html = pageOf('.shot img { height: 100%; object-fit: cover; transition: opacity .6s } .shot { border: 0 }', shot(600, 400))
  await openAlone(page, html, [effectOf('crop', '.shot', settings, { roles })], info.outputPath('page.html'))
  expect(await seenInset(page)).toEqual([0, 0, 0, 0])
  // On the outermost px of the frame, where nothing of the picture is left.
  await page.mouse.move(22, 120)
  await eventually(async () => (await seenInset(page)).map((each) => Math.round(each * 10) / 10)).toEqual([14, 14, 14, 14])
  expect(await page.locator('.shot').evaluate((element) => element.matches(':hover'))).toBe(true)
  const image = page.locator('.shot img')
  expect(await image.evaluate((element) => getComputedStyle(element).scale)).toBe('1.1')
  expect(await image.evaluate((element) => getComputedStyle(element).clipPath)).toContain('round 8.18')
  // The page's own fade goes on.
  expect(await image.evaluate((element) => getComputedStyle(element).transitionProperty)).toBe('opacity, clip-path, scale')
  expect(await image.evaluate((element) => getComputedStyle(element).transitionDuration)).toBe('0.6s, 0s, 0s')
  await page.mouse.move(600, 500)
  await eventually(() => seenInset(page)).toEqual([0, 0, 0, 0])
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await page.mouse.move(100, 120)
  expect(await image.evaluate((element) => [getComputedStyle(element).scale, getComputedStyle(element).clipPath])).toEqual(['none', 'none'])
  expect(await page.locator('script').count()).toBe(0)
})

/** ms that the picture with this index takes for the way that it is on. */
const timeOf = (page: Page, index = 0) =>
  page.evaluate((i) => {
    const image = document.querySelectorAll('.shot img')[i]
    return Number(image?.getAnimations()[0]?.effect?.getComputedTiming().duration ?? 0)
  }, index)
/** px by which it is slid from where it begins, in the end. */
const slidBy = (page: Page, index = 0) =>
  page.evaluate((i) => {
    const image = document.querySelectorAll('.shot img')[i] as HTMLElement
    for (const each of image.getAnimations()) each.finish()
    const [box, frame] = [image.getBoundingClientRect(), (image.closest('.shot') as HTMLElement).getBoundingClientRect()]
    const scale = box.width / image.offsetWidth
    const isRight = getComputedStyle(image).direction === 'rtl'
    return [isRight ? box.right - frame.right : box.left - frame.left, box.top - frame.top].map(
      (px) => Math.round((px / scale) * 100) / 100,
    )
  }, index)

test('tall and short pictures go at one pace, those too that load late or lie in what is scaled', async ({ page }, info) => {
  const late = `<script>setTimeout(() => (document.querySelector('.late').src = ${JSON.stringify(picture(300, 900))}), 300)</script>`
  const body = `${shot(300, 480)}${shot(300, 1040)}<div class="small">${shot(300, 620)}</div><figure class="shot"><img class="late" alt=""></figure>${shot(300, 120)}${late}`
  await page.setViewportSize({ width: 900, height: 1300 })
  await openAlone(
    page,
    pageOf('.small { transform: scale(.5); transform-origin: 0 0 }', body),
    [effectOf('pan', '.shot', settingsOf('pan'), { roles })],
    info.outputPath('page.html'),
  )
  for (const [i, height] of [480, 1040, 620, 900].entries()) {
    const away = height - 200
    const box = await page.locator('.shot').nth(i).boundingBox()
    await eventually(() =>
      page
        .locator('.shot img')
        .nth(i)
        .evaluate((element) => (element as HTMLElement).offsetHeight),
    ).toBe(height)
    await page.mouse.move((box?.x ?? 0) + 40, (box?.y ?? 0) + 40)
    await eventually(async () => Math.round(await timeOf(page, i))).toBe(Math.round((away / 140) * 1000))
    expect(await slidBy(page, i)).toEqual([0, -away])
    await page.mouse.move(800, 20)
    await eventually(async () => Math.round(await timeOf(page, i))).toBe(Math.round((away / 420) * 1000))
    expect(await slidBy(page, i)).toEqual([0, 0])
  }
  // One that fits stays.
  await page.locator('.shot').nth(4).hover()
  await page.waitForTimeout(100)
  expect(await slidBy(page, 4)).toEqual([0, 0])
})

test('in one time CSS alone takes pictures to their ends, down, to the right, and to the left', async ({ page }, info) => {
  for (const [toward, width, height, end] of [
    ['bottom', 300, 700, [0, -500]],
    ['right', 900, 200, [-600, 0]],
    ['left', 900, 200, [600, 0]],
  ] as const) {
    const wide = toward === 'bottom' ? '' : '.shot img { width: auto; max-width: none }'
    const html = pageOf(wide, shot(width, height, toward === 'left' ? 'dir="rtl"' : ''))
    const settings = settingsOf('pan', { by: 'time', toward, comeMs: 800 })
    await openAlone(page, html, [effectOf('pan', '.shot', settings, { roles })], info.outputPath(`${toward}.html`))
    expect(await page.locator('script').count()).toBe(0)
    expect(await page.locator('.shot').evaluate((element) => (element as HTMLElement).offsetHeight)).toBe(200)
    await page.mouse.move(100, 100)
    expect(await timeOf(page)).toBe(800)
    expect(await slidBy(page)).toEqual(end)
    // Its far end is at the edge of the frame.
    const [box, frame] = [await page.locator('.shot img').boundingBox(), await page.locator('.shot').boundingBox()]
    if (!box || !frame) throw new Error('There is no picture.')
    if (toward === 'bottom') expect(box.y + box.height).toBe(frame.y + frame.height)
    else if (toward === 'right') expect(box.x + box.width).toBe(frame.x + frame.width)
    else expect(box.x).toBe(frame.x)
    await page.mouse.move(700, 500)
    expect(await slidBy(page)).toEqual([0, 0])
  }
})

test('with the pointer a picture is as far along as the pointer is, measured or not, and by keys', async ({ page }, info) => {
  for (const room of ['css', 'script']) {
    const html = pageOf(
      room === 'script' ? '.shot { height: auto; max-height: 200px }' : '',
      `<a href="#there">${shot(300, 800)}</a>`.replace('<figure', '<figure tabindex="0"'),
    )
    const settings = settingsOf('pan', { by: 'pointer', room, follow: { kind: 'direct' } })
    await openAlone(page, html, [effectOf('pan', '.shot', settings, { roles })], info.outputPath(`${room}.html`))
    for (const share of [0.25, 0.9]) {
      await page.mouse.move(100, 20 + 200 * share)
      await eventually(() => slidBy(page)).toEqual([0, -600 * share])
    }
    await page.mouse.move(700, 500)
    await eventually(() => slidBy(page)).toEqual([0, 0])
    await page.keyboard.press('Tab')
    await page.keyboard.press('Tab')
    await page.keyboard.press('ArrowDown')
    await eventually(async () => (await slidBy(page))[1]).toBeCloseTo(-360, 0)
  }
})
