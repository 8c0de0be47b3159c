// Every kind of depth and light in the studio's frame and in the exported page: the numbers, and that nothing sticks.
import { writeFileSync } from 'node:fs'
import { kinds } from '../src/core/effect/kinds'
import { effectOf, exportAlone, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'
import { inTurn, isLong, long } from './support/long'
import { styleOf, type Surface } from './support/readings'
import { toStudio, clickOnPage, movePointer, readLean, stageOf } from './support/stage'

const role = (select: string) => ({ select, noun: 'a layer' })

const place = (x: number, y: number, width: number, height: number) =>
  `position: absolute; left: ${x}px; top: ${y}px; width: ${width}px; height: ${height}px`

const html = `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>Kinds</title>
<style>
  * { box-sizing: border-box }
  body { margin: 0; height: 720px; background: #ddd; font: 16px/1.4 serif; color: #222 }
  .g { background: #222; border-radius: 10px 30px 4px 50px }
  .h { margin: 0; font-size: 60px; line-height: 60px }
  .m { width: 20px; height: 20px; left: 40px; top: 40px; position: absolute; background: #a50 }
  .near, .far { width: 80px; height: 60px; position: absolute; left: 40px; top: 40px; background: #888 }
</style></head><body>
<div class="g" style="${place(20, 20, 200, 100)}">One</div><div class="g" style="${place(240, 20, 200, 100)}">Two</div>
<section class="s" style="${place(480, 20, 360, 200)}">To be read <a href="#a">a link</a></section>
<section class="r" style="${place(860, 20, 380, 200)}">Ground</section>
<section class="d" style="${place(20, 240, 300, 200)}"><div class="far"></div><div class="near"></div></section>
<section class="f" style="${place(340, 240, 300, 200)}"><div class="m"></div></section>
<h1 class="h" style="${place(660, 240, 580, 120)}">Words round a corner</h1>
<article class="c" style="${place(20, 480, 300, 180)}"><h2 class="top">Title</h2></article>
</body></html>`

const effects = [
  effectOf('glow', '.g', settingsOf('glow')),
  effectOf('spotlight', '.s', settingsOf('spotlight')),
  effectOf('grain-light', '.r', settingsOf('grain-light')),
  effectOf('drift', '.d', settingsOf('drift'), { roles: { 'layer-1': role('.near'), 'layer-2': role('.far') } }),
  effectOf('follow', '.m', settingsOf('follow')),
  effectOf('fold', '.h', settingsOf('fold')),
  effectOf(
    'tilt',
    '.c',
    settingsOf('tilt', { layers: [{ id: 'layer-1', heightPx: 36 }], sheenPercent: 18, shadowPx: 10, shadowSoftPx: 20 }),
    { roles: { 'layer-1': role('.top') } },
  ),
]

const shiftOf = async (surface: Surface, select: string, index = 0) => {
  const text = await styleOf(surface, select, 'transform', index)
  return text === 'none' ? [0, 0] : surface.evaluate((matrix) => [new DOMMatrix(matrix).m41, new DOMMatrix(matrix).m42], text)
}
const near = async (read: () => Promise<number[]>, wanted: readonly number[], tolerance = 0.06) => {
  await eventually(async () => {
    const given = await read()
    return Math.max(...wanted.map((value, i) => Math.abs(value - (given[i] ?? NaN))))
  }).toBeLessThan(tolerance)
}

for (const where of ['studio', 'export'] as const) {
  test(
    `in the ${where}, every kind of depth and light shows the right numbers at given pointer positions, and none of them away`,
    where === 'studio' ? long : {},
    async ({ page, house }, info) => {
      let surface: Surface = page
      let move = (x: number, y: number) => page.mouse.move(x, y)
      if (where === 'studio') {
        await toStudio(page, await house.addSite('kinds', html, effects))
        const frame = await stageOf(page)
        surface = frame
        move = (x, y) => movePointer(page, x, y)
      } else {
        const file = info.outputPath('page.html')
        writeFileSync(file, exportAlone(html, effects))
        await page.goto(`file://${file}`)
      }
      // The frame is shown scaled to fit, where the real pointer falls on whole px of the screen.
      const tolerance = where === 'studio' ? 1.2 : 0.06
      await move(210, 70)
      await near(() => shiftOf(surface, '.g-glow-surface-pool', 0), [190, 50], tolerance)
      await near(() => shiftOf(surface, '.g-glow-surface-pool', 1), [-30, 50], tolerance)
      await eventually(() => styleOf(surface, '.g-glow-edge-pool', 'opacity', 1)).toBe('1')
      // A light that has gone stays where it was, and goes out.
      await move(560, 100)
      await near(() => shiftOf(surface, '.s-spotlight-sheet'), [-100, -20], tolerance)
      await eventually(async () => Number(await styleOf(surface, '.s-spotlight-dark', 'opacity'))).toBeCloseTo(0.78, 4)
      await eventually(() => styleOf(surface, '.g-glow-edge-pool', 'opacity', 1)).toBe('0')
      await move(1000, 60)
      await near(() => shiftOf(surface, '.r-grain-light-sheet'), [-50, -60], tolerance)
      await eventually(async () => Number(await styleOf(surface, '.r-grain-light-light', 'opacity'))).toBeCloseTo(0.36, 4)
      await eventually(() => styleOf(surface, '.s-spotlight-dark', 'opacity')).toBe('0')
      await move(245, 340)
      await near(() => shiftOf(surface, '.near'), [-11, 0], tolerance)
      await near(() => shiftOf(surface, '.far'), [-3, 0], tolerance)
      await move(500, 300)
      await near(() => shiftOf(surface, '.m'), [110, 10], tolerance)
      await near(() => shiftOf(surface, '.near'), [0, 0])
      await move(805, 300)
      for (const words of ['.h-fold-words-1', '.h-fold-words-2']) await near(() => shiftOf(surface, words), [0.06 * 580, 0], tolerance)
      await near(() => shiftOf(surface, '.m'), [0, 0])
      await move(245, 525)
      await near(
        async () => {
          const { rotateX, rotateY } = readLean(await styleOf(surface, '.c', 'transform'))
          return [rotateX, rotateY]
        },
        [4.5, 4.5],
        tolerance / 10,
      )
      await near(
        async () => [Number(/matrix3d\((.*)\)/.exec(await styleOf(surface, '.top', 'transform'))?.[1]?.split(',')[14])],
        [36],
        0.01,
      )
      await eventually(() => styleOf(surface, '.c', 'box-shadow')).toMatch(/px -?\d/)
      await near(() => shiftOf(surface, '.h-fold-words-1'), [0, 0])
      await move(700, 600)
      await near(async () => Object.values({ ...readLean(await styleOf(surface, '.c', 'transform')) }), [0, 0, 0], 0.01)
      await eventually(() => styleOf(surface, '.c-tilt-sheen', 'opacity')).toBe('0')
    },
  )
}

test('a fast sweep, a scroll under the pointer and an element removed under it leave nothing behind', async ({ page }, info) => {
  const found = `${html.replace('height: 720px', 'height: 2000px')}`
  await openAlone(page, found, effects, info.outputPath('page.html'))
  const failures: string[] = []
  page.on('console', (message) => failures.push(message.text()))
  await page.mouse.move(0, 0)
  await page.mouse.move(640, 360)
  await page.mouse.move(1279, 719)
  await page.mouse.move(210, 70)
  await page.mouse.wheel(0, 300)
  // Scrolled away under the pointer: nothing holds it there any more.
  await eventually(() => styleOf(page, '.g-glow-edge-pool', 'opacity', 0)).toBe('0')
  await page.mouse.wheel(0, -300)
  await eventually(() => styleOf(page, '.g-glow-edge-pool', 'opacity', 0)).toBe('1')
  await page.mouse.move(500, 300)
  await near(() => shiftOf(page, '.m'), [110, 10])
  await page.evaluate(() => document.querySelector('.m')?.remove())
  await page.mouse.move(245, 525)
  await eventually(async () => readLean(await styleOf(page, '.c', 'transform')).rotateY).toBeGreaterThan(4)
  await page.evaluate(() => document.querySelector('.c')?.remove())
  await page.mouse.move(560, 100)
  await eventually(async () => Number(await styleOf(page, '.s-spotlight-dark', 'opacity'))).toBeCloseTo(0.78, 3)
  await page.setViewportSize({ width: 900, height: 600 })
  await page.mouse.move(880, 590)
  await eventually(() => styleOf(page, '.s-spotlight-dark', 'opacity')).toBe('0')
  expect(failures).toEqual([])
})

test('by finger all can be read and nothing is caught; with reduced motion light alone answers; without script the page stands as designed', async ({
  browser,
}, info) => {
  const file = info.outputPath('page.html')
  writeFileSync(file, exportAlone(html, effects))
  const open = async (options: Parameters<typeof browser.newContext>[0]) => {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 720 }, ...options })).newPage()
    await page.goto(`file://${file}`)
    return page
  }
  const finger = await open({ hasTouch: true })
  for (const [x, y] of [
    [210, 70],
    [560, 100],
    [500, 300],
    [245, 525],
  ] as const)
    await finger.touchscreen.tap(x, y)
  await finger.waitForTimeout(300)
  expect(await finger.locator('.s-spotlight-dark').count()).toBe(0)
  expect(await shiftOf(finger, '.m')).toEqual([0, 0])
  expect(readLean(await styleOf(finger, '.c', 'transform'))).toEqual({ rotateX: 0, rotateY: 0, translateZ: 0 })

  const calm = await open({ reducedMotion: 'reduce' })
  await calm.mouse.move(500, 300)
  await calm.mouse.move(805, 300)
  await calm.mouse.move(245, 525)
  await calm.waitForTimeout(300)
  for (const select of ['.m', '.near', '.h-fold-words-1']) expect(await shiftOf(calm, select)).toEqual([0, 0])
  expect(readLean(await styleOf(calm, '.c', 'transform'))).toEqual({ rotateX: 0, rotateY: 0, translateZ: 0 })
  await calm.mouse.move(1000, 60)
  await near(() => shiftOf(calm, '.r-grain-light-sheet'), [-50, -60])

  const bare = await open({ javaScriptEnabled: false })
  expect(await bare.locator('[aria-hidden]').count()).toBe(0)
  const heading = bare.locator('.h')
  await expect(heading).toBeVisible()
  for (const page of [finger, calm, bare]) await page.context().close()
})

test('dark that stays is only for those who have a mouse or a pen', long, async ({ browser }, info) => {
  const file = info.outputPath('page.html')
  writeFileSync(file, exportAlone(html, [effectOf('spotlight', '.s', settingsOf('spotlight', { away: 'dark' }))]))
  for (const [options, display] of [
    [{}, 'block'],
    [{ hasTouch: true, isMobile: true }, 'none'],
  ] as const) {
    const page = await (await browser.newContext(options)).newPage()
    await page.goto(`file://${file}`)
    expect(await styleOf(page, '.s-spotlight-dark', 'display')).toBe(display)
    await page.context().close()
  }
})

test('text stays selectable and links can be clicked on a leaning card, in the dark, and under glass', async ({ page }, info) => {
  const source = `<!doctype html><title>Links</title><style>body{margin:0} .c{position:absolute;left:100px;top:100px;width:400px;height:240px;background:#eee;font-size:30px} .s{position:absolute;left:600px;top:100px;width:400px;height:240px;background:#cdc;font-size:30px}</style>
    <article class="c"><p>Some words to select</p><a id="one" href="#one">one</a></article><section class="s"><p>Words in the dark</p><a id="two" href="#two">two</a></section>`
  await openAlone(
    page,
    source,
    [effectOf('tilt', '.c', settingsOf('tilt', { sheenPercent: 30, acrossDeg: 14 })), effectOf('spotlight', '.s', settingsOf('spotlight'))],
    info.outputPath('page.html'),
  )
  for (const id of ['one', 'two']) {
    await page.locator(`#${id}`).click()
    expect(new URL(page.url()).hash).toBe(`#${id}`)
  }
  for (const select of ['.c p', '.s p']) {
    await page.locator(select).dblclick()
    expect((await page.evaluate(() => String(getSelection()))).trim()).not.toBe('')
  }
})

test(
  'a card whose pointer stands on the edge that leans away does not flicker, and keeps a transform of its own',
  long,
  async ({ page }, info) => {
    const source = `<!doctype html><title>Own</title><style>body{margin:0} .row{display:flex;gap:40px;padding:120px} .c{width:240px;height:200px;background:#eee;transform:rotate(4deg);overflow:hidden}</style><div class="row"><article class="c">1</article><article class="c">2</article><article class="c">3</article></div>`
    await openAlone(
      page,
      source,
      [effectOf('tilt', '.c', settingsOf('tilt', { acrossDeg: 20, vanishing: 'shared', perspectivePx: 500 }))],
      info.outputPath('page.html'),
    )
    expect(await styleOf(page, '.row', 'perspective')).toBe('500px')
    expect(
      await page.evaluate(
        (text) => Math.round((Math.atan2(new DOMMatrix(text).m12, new DOMMatrix(text).m11) * 180) / Math.PI),
        await styleOf(page, '.c', 'transform'),
      ),
    ).toBe(4)
    const turns: number[] = []
    // Along the right edge of the first card, which stands left of the row's vanishing point.
    await page.mouse.move(350, 200)
    for (let i = 0; i < 40; i++) {
      await page.mouse.move(352 + (i % 2), 200 + i)
      await page.waitForTimeout(16)
      turns.push(
        parseFloat(
          await page
            .locator('.c')
            .first()
            .evaluate((element) => element.style.getPropertyValue([...element.style].find((name) => /-x$/.test(name)) ?? '')),
        ),
      )
    }
    // It comes, and then it stays.
    expect(Math.min(...turns.slice(-15))).toBeGreaterThan(0.8)
  },
)

test('what floats above a card stands in one space with it, and on a card that cuts off what sticks out it is seen in the same place', async ({
  page,
}, info) => {
  // The left edge of the title, 160 px left of the hinge and 60 px above the card, turned and seen from 820 px.
  const turn = (20 * 199 * Math.PI) / 200 / 180
  const seenAt = (x: number, z: number) =>
    ((x * Math.cos(turn) + z * Math.sin(turn)) * 820) / (820 + x * Math.sin(turn) - z * Math.cos(turn))
  for (const [layersRise, overflow, wanted, tolerance] of [
    ['space', 'visible', seenAt(-160, 60), 0.5],
    ['card', 'hidden', seenAt(-160 + (60 * Math.sin((20 * Math.PI) / 180) * 820) / 760, 0), 0.5],
  ] as const) {
    const source = `<!doctype html><title>Cut</title><style>body{margin:0} .c{position:absolute;left:300px;top:200px;width:400px;height:300px;background:#eee;overflow:${overflow};border-radius:20px} h2{position:absolute;left:40px;top:120px;width:100px;height:60px;margin:0}</style><article class="c"><h2>Title</h2></article>`
    await openAlone(
      page,
      source,
      [
        effectOf('tilt', '.c', settingsOf('tilt', { acrossDeg: 20, layersRise, layers: [{ id: 'layer-1', heightPx: 60 }] }), {
          roles: { 'layer-1': role('.c h2') },
        }),
      ],
      info.outputPath('page.html'),
    )
    await page.mouse.move(699, 350)
    await eventually(async () => readLean(await styleOf(page, '.c', 'transform')).rotateY).toBeCloseTo((turn * 180) / Math.PI, 2)
    await eventually(async () =>
      Math.abs((await page.locator('h2').evaluate((element) => element.getBoundingClientRect().x)) - (500 + wanted)),
    ).toBeLessThan(tolerance)
  }
})

test('layers that are enlarged to fill their box show no edge, wherever the pointer is, and those that are cut stay inside it', async ({
  page,
}, info) => {
  const source = `<!doctype html><title>Kept</title><style>body{margin:0} .d{position:absolute;left:100px;top:100px;width:400px;height:300px;background:red} .d>div{position:absolute;inset:0;background:#258}</style><section class="d"><div></div></section>`
  await openAlone(
    page,
    source,
    [
      effectOf(
        'drift',
        '.d',
        settingsOf('drift', { layers: [{ id: 'layer-1', amount: 8 }], kept: 'enlarged', turnDeg: 6, follow: { kind: 'direct' } }),
        { roles: { 'layer-1': role('.d > div') } },
      ),
    ],
    info.outputPath('page.html'),
  )
  expect(await styleOf(page, '.d', 'overflow')).toBe('clip')
  for (const [x, y] of [
    [101, 101],
    [499, 101],
    [499, 399],
    [300, 250],
    [101, 399],
  ] as const) {
    await page.mouse.move(x, y)
    await near(
      async () => {
        const [slide = 0] = await shiftOf(page, '.d > div')
        return [slide]
      },
      [-0.08 * 400 * ((x - 300) / 200)],
      0.2,
    )
    const shades = await page.evaluate(
      async (data) => {
        const bitmap = await createImageBitmap(await (await fetch(`data:image/png;base64,${data}`)).blob())
        const ink = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d')
        ink?.drawImage(bitmap, 0, 0)
        const { data: px = [] } = ink?.getImageData(0, 0, bitmap.width, bitmap.height) ?? {}
        return px.length > 0 && [...px].every((value, i) => i % 4 !== 0 || value < 120)
      },
      (await page.screenshot({ clip: { x: 100, y: 100, width: 400, height: 300 } })).toString('base64'),
    )
    expect(shades).toBe(true)
  }
})

test(`${isLong ? 'every recipe' : 'a recipe of every sixth kind'} plays on the chosen element when it is touched, and leaves the page as it was`, async ({
  page,
  house,
}) => {
  test.setTimeout(900_000)
  await toStudio(page, await house.addSite('touched', html))
  const frame = await stageOf(page)
  // The declarations of a style attribute are the same in the end; its spelling may be the browser's own.
  const bodyNow = () =>
    frame.evaluate(() => {
      const copy = document.body.cloneNode(true) as HTMLElement
      for (const each of copy.querySelectorAll<HTMLElement>('[style]')) each.setAttribute('style', each.style.cssText)
      return copy.innerHTML
    })
  const before = await bodyNow()
  await page.keyboard.press('p')
  await clickOnPage(page, frame, '.d', 0.9, 0.9)
  const recipes = page.getByRole('region', { name: 'Recipes' })
  await expect(recipes).toBeVisible()
  const tried = isLong ? kinds : kinds.filter((_, i) => i % 6 === 0)
  const names = tried.flatMap((kind, i) => inTurn(kind.recipes, i, 1).map(({ title }) => title))
  const touched = new Set<string>()
  const sheetNow = () => frame.evaluate(() => document.head.textContent ?? '')
  const heading = page.getByRole('heading', { name: 'Under the pointer' })
  for (const name of names) {
    // The list scrolls with the hand elsewhere: none of what passes by is touched.
    await heading.hover()
    await eventually(bodyNow).toBe(before)
    const bare = await sheetNow()
    const button = recipes.getByRole('button', { name: new RegExp(`^${name}`) })
    await button.scrollIntoViewIfNeeded()
    await button.hover()
    await eventually(bodyNow).not.toBe(before)
    // Each has a stylesheet of its own.
    await eventually(sheetNow).not.toBe(bare)
    touched.add(await sheetNow())
  }
  expect(touched.size).toBe(names.length)
  await heading.hover()
  await eventually(bodyNow).toBe(before)
})
