// What gives way in all sorts of places, as it is exported: scrolled, turned, zoomed, from right to left, in one another, many at once, gone meanwhile.
import type { Page } from '@playwright/test'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'
import { colourAt, coloursAlong } from './support/pixels'

const noun = (select: string) => ({ select, noun: select.slice(1) })
const atOnce = { follow: { kind: 'direct' }, comeMs: 0, goMs: 0 }
const pageOf = (css: string, body: string, root = '') =>
  `<!doctype html><html lang="en" ${root}><head><meta charset="utf-8"><title>Places</title><style>body { margin: 0 } ${css}</style></head><body>${body}</body></html>`

const layered = `.yard { position: relative; width: 500px; height: 300px } .day, .night { position: absolute; inset: 0 } .day { background: rgb(240 220 180) } .night { background: rgb(20 40 60) }`
const yard = '<section class="yard"><div class="night"></div><div class="day"></div></section>'
const porthole = (changes: object = {}) =>
  effectOf('porthole', '.day', settingsOf('porthole', { ...atOnce, radiusPx: 40, ...changes }), {
    roles: { back: noun('.night'), ground: noun('.yard') },
  })
const day = [240, 220, 180]
const night = [20, 40, 60]

const places = [
  ['scrolled in a box', '.around { margin: 40px; width: 400px; height: 260px; overflow: auto } .yard { margin: 200px 0 600px 120px }', ''],
  ['turned and enlarged', '.around { margin: 160px; transform: rotate(-20deg) scale(1.3) }', ''],
  ['slanted', '.around { margin: 120px 200px; transform: skewX(14deg) }', ''],
  ['zoomed to a half', '.around { margin: 80px; zoom: 0.5 }', ''],
  ['zoomed to three times', '.around { margin: 20px; zoom: 3 } .yard { width: 300px; height: 160px }', ''],
  ['written from right to left', '.around { margin: 40px }', 'dir="rtl"'],
] as const

for (const [that, css, root] of places)
  test(`a porthole is open where the pointer is: ${that}`, async ({ page }, info) => {
    await page.setViewportSize({ width: 1000, height: 700 })
    await openAlone(page, pageOf(layered + css, `<div class="around">${yard}</div>`, root), [porthole()], info.outputPath('page.html'))
    await page.evaluate(() => document.querySelector('.around')?.scrollTo(100, 190))
    const box = await page.locator('.yard').boundingBox()
    if (!box) throw new Error('There is no yard.')
    for (const [u, v] of [
      [0.5, 0.5],
      [0.42, 0.58],
    ] as const) {
      const [x, y] = [Math.round(Math.min(350, box.width * u) + box.x), Math.round(Math.min(200, box.height * v) + box.y)]
      await page.mouse.move(x, y)
      await eventually(() => colourAt(page, x, y)).toEqual(night)
      // As far on one side as on the other.
      const isNight = (colour: readonly number[] = []) => String(colour) === String(night)
      const beside = Math.min(200, x)
      const row = await coloursAlong(page, x - beside, y, 2 * beside)
      const [left, right] = [
        row.slice(0, beside).findLastIndex((colour) => !isNight(colour)),
        row.findIndex((colour, i) => i >= beside && !isNight(colour)),
      ].map((at) => Math.abs(at - beside))
      expect(Math.abs((left ?? 0) - (right ?? 0))).toBeLessThanOrEqual(2)
      expect(left).toBeGreaterThan(10)
      expect(await colourAt(page, x + (right ?? 0) + 4, y)).toEqual(day)
    }
  })

const facesOf = (page: Page, select: string, index = 0) =>
  page
    .locator(select)
    .nth(index)
    .evaluate((card) =>
      [...card.children].filter((each) => !each.hasAttribute('data-part')).map((face) => getComputedStyle(face).visibility),
    )

test('cards that turn over in panels that grow, frames that draw in on them, from right to left: each for itself', async ({
  page,
}, info) => {
  await page.setViewportSize({ width: 1200, height: 600 })
  const cards = (n: number) => `<div class="card"><div>front ${n} <img alt=""></div><div>back ${n}</div></div>`
  const css = `.row { display: flex; gap: 8px; height: 400px; margin: 20px } .panel { flex: 1; min-width: 0; background: #cde } .card { width: 120px } .card > div { padding: 12px; background: #edc } img { display: block; width: 60px; height: 40px; background: #357 }`
  const body = `<div class="row">${[0, 1, 2, 3].map((n) => `<section class="panel"><h3>${n}</h3>${cards(n)}${cards(n + 4)}</section>`).join('')}</div>`
  await openAlone(
    page,
    pageOf(css, body, 'dir="rtl"'),
    [
      effectOf('spread', '.panel', settingsOf('spread', { comeMs: 0, goMs: 0, panels: 4, off: 'seen', isHeld: false })),
      effectOf('flip', '.card', settingsOf('flip', { turnMs: 0, returnMs: 0, turns: 'side-x' })),
      effectOf('crop', '.card', settingsOf('crop', { comeMs: 0, goMs: 0 }), {
        roles: { picture: { select: '.card img', noun: 'picture' } },
      }),
    ],
    info.outputPath('page.html'),
  )
  const card = await page.locator('.card').nth(2).boundingBox()
  if (!card) throw new Error('There is no card.')
  // Once it has grown the card lies elsewhere; it is met where it lies then.
  await page.locator('.panel').nth(1).locator('h3').hover()
  const grown = await page.locator('.card').nth(2).boundingBox()
  if (!grown) throw new Error('There is no card.')
  await page.mouse.move(grown.x + grown.width / 2, grown.y + grown.height / 2, { steps: 4 })
  await eventually(() => facesOf(page, '.card', 2)).toEqual(['hidden', 'visible'])
  expect(await facesOf(page, '.card', 3)).toEqual(['visible', 'hidden'])
  expect(
    await page
      .locator('.card img')
      .nth(2)
      .evaluate((element) => getComputedStyle(element).scale),
  ).toBe('1.06')
  expect(
    await page
      .locator('.card img')
      .nth(3)
      .evaluate((element) => getComputedStyle(element).scale),
  ).toBe('none')
  const widths = await page.locator('.panel').evaluateAll((all) => all.map((each) => Math.round(each.getBoundingClientRect().width)))
  expect(widths.filter((width) => width === Math.max(...widths))).toHaveLength(1)
  expect(widths[1]).toBe(Math.max(...widths))
  await page.mouse.move(600, 590)
  await eventually(() => facesOf(page, '.card', 2)).toEqual(['visible', 'hidden'])
})

test('swept from corner to corner over sixty of them nothing stays on; one that is taken away while it is on harms nothing', async ({
  page,
}, info) => {
  const faults: string[] = []
  page.on('pageerror', (error) => faults.push(error.message))
  await page.setViewportSize({ width: 1000, height: 700 })
  const css = `.grid { display: grid; grid-template-columns: repeat(10, 90px); gap: 6px } .card > div { height: 70px; background: #edc } .tall { width: 90px; height: 70px; overflow: hidden } .tall img { display: block; width: 90px; height: 300px; background: #357 }`
  const body = `<div class="grid">${Array.from({ length: 60 }, (_, i) => (i % 2 ? '<div class="card"><div>a</div><div>b</div></div>' : '<div class="tall"><img alt=""></div>')).join('')}</div>${yard}`
  await openAlone(
    page,
    pageOf(layered + css, body),
    [
      effectOf('flip', '.card', settingsOf('flip', { turnMs: 0, returnMs: 0 })),
      effectOf('pan', '.tall', settingsOf('pan', { goPxS: 5000, backPxS: 5000 }), {
        roles: { picture: { select: '.tall img', noun: 'picture' } },
      }),
      porthole(),
    ],
    info.outputPath('page.html'),
  )
  for (const [x, y] of [
    [2, 2],
    [480, 230],
    [960, 450],
  ] as const)
    await page.mouse.move(x, y)
  await page.mouse.move(250, 600)
  await eventually(() => page.locator('.night').evaluate((element) => getComputedStyle(element).clipPath)).toContain('circle(40px')
  // All of a layer is gone while the porthole is open in it, and with it a card that is on.
  await page.locator('.night').evaluate((element) => element.remove())
  await page.mouse.move(260, 610)
  await page.mouse.move(140, 40)
  await eventually(() => page.evaluate(() => document.querySelectorAll('[data-card-flip="on"], [data-card="on"]').length)).toBe(1)
  await page.evaluate(() => document.querySelectorAll('.card')[0]?.remove())
  await page.mouse.move(990, 690)
  await eventually(() =>
    page.evaluate(() => ({
      on: document.querySelectorAll('[data-card-flip="on"], [data-card="on"]').length,
      slid: [...document.querySelectorAll('.tall img')].filter((each) => !/^(none|0px)/.test(getComputedStyle(each).translate)).length,
    })),
  ).toEqual({ on: 0, slid: 0 })
  expect(faults).toEqual([])
})

test('panels of no width, a picture that fails, and a pan in a frame of no height are left as they are', async ({ page }, info) => {
  const faults: string[] = []
  page.on('pageerror', (error) => faults.push(error.message))
  const css = `.row { display: flex; width: 0 } .panel { flex: 1; min-width: 0; overflow: clip } .tall { width: 90px; height: 0; overflow: hidden } .shot { width: 200px; height: 100px; overflow: hidden }`
  const body = `<div class="row"><section class="panel"><p>one</p></section><section class="panel"><p>two</p></section></div><div class="tall"><img alt="" src="missing.png"></div><figure class="shot"><img alt="missing" src="gone.jpg"></figure><p class="after">After it.</p>`
  await openAlone(
    page,
    pageOf(css, body),
    [
      effectOf('spread', '.panel', settingsOf('spread', { comeMs: 0, goMs: 0, panels: 2, stays: true })),
      effectOf('pan', '.tall', settingsOf('pan')),
      effectOf('crop', '.shot', settingsOf('crop', { comeMs: 0, goMs: 0 })),
    ],
    info.outputPath('page.html'),
  )
  for (const [x, y] of [
    [1, 5],
    [40, 30],
    [60, 80],
    [300, 300],
  ] as const)
    await page.mouse.move(x, y)
  await eventually(() => page.locator('.after').evaluate((element) => element.getBoundingClientRect().width > 0)).toBe(true)
  expect(await page.locator('.shot img').evaluate((element) => getComputedStyle(element).scale)).toBe('none')
  expect(faults).toEqual([])
})
