// What has to be exact to a pixel: the seam of a fold, the middle of a light wherever its ground lies; and what nonsense does.
import type { Page } from '@playwright/test'
import { middleOf } from './support/acts'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'

/** Where a column of a picture goes from light to dark or back, px from the top, between pixels by how dark they are. */
async function edgesAt(
  page: Page,
  clip: { x: number; y: number; width: number; height: number },
  columns: readonly number[],
): Promise<readonly (readonly number[])[]> {
  const picture = (await page.screenshot({ clip })).toString('base64')
  return page.evaluate(
    async ([data, wanted]) => {
      const bitmap = await createImageBitmap(await (await fetch(`data:image/png;base64,${data}`)).blob())
      const surface = new OffscreenCanvas(bitmap.width, bitmap.height)
      const ink = surface.getContext('2d')
      ink?.drawImage(bitmap, 0, 0)
      return wanted.map((column) => {
        const shades = Array.from({ length: bitmap.height }, (_, y) => ink?.getImageData(column, y, 1, 1).data[0] ?? 0)
        return shades.slice(1).flatMap((shade, y) => {
          const above = shades[y] ?? 0
          return above < 128 === shade < 128 ? [] : [y + (128 - above) / (shade - above)]
        })
      })
    },
    [picture, columns] as const,
  )
}

for (const lines of [1, 2]) {
  test(`the edges of glyphs meet at the corner of a fold to within a pixel, in ${lines === 1 ? 'one line' : 'two lines'}`, async ({
    page,
  }, info) => {
    for (const sizePx of [40, 67, 110]) {
      // Dashes run on across every corner, so that there are edges to compare wherever the words stand.
      const dashes = '\u2014'.repeat(90)
      const source = `<!doctype html><title>Seam</title><style>body{margin:0;background:#fff} .h{margin:260px 0 0 101px;width:901px;overflow:visible;white-space:nowrap;font:${sizePx}px/1.2 serif;letter-spacing:-0.2em;color:#000}</style><h1 class="h">${Array.from({ length: lines }, () => dashes).join('<br>')}</h1>`
      await openAlone(
        page,
        source,
        [effectOf('fold', '.h', settingsOf('fold', { shadePercent: 0, follow: { kind: 'direct' } }))],
        info.outputPath('page.html'),
      )
      const corner = 101 + 0.42 * 901
      for (const share of [0.02, 0.21, 0.4, 0.55, 0.83, 0.99]) {
        await page.mouse.move(101 + share * 901, 270)
        await eventually(() =>
          page.locator('.h-fold-words-1').evaluate((element) => new DOMMatrix(getComputedStyle(element).transform).m41),
        ).toBeCloseTo(-0.12 * 901 * (2 * share - 1), 0)
        const [left = [], seam = [], right = []] = await edgesAt(
          page,
          { x: Math.floor(corner) - 10, y: 180, width: 20, height: 420 },
          [8, 10, 12],
        )
        // On the corner itself, which lies between two px, the dashes go on too.
        for (const edges of [left, seam]) expect(edges).toHaveLength(2 * lines)
        expect(right).toHaveLength(2 * lines)
        // Both columns stand 2 px from the corner on a slant of 26 degrees; what is left is the seam.
        left.forEach((edge, i) => expect(Math.abs(edge - (right[i] ?? NaN))).toBeLessThan(1))
      }
    }
  })
}

const ground = (css: string, around: string) =>
  `<!doctype html><title>Ground</title><style>body{margin:0} .r{width:600px;height:1400px;border:5px solid #444;color:#fff} ${css}</style>${around.replace('*', '<section class="r">Ground</section>')}`

const situations = {
  'in a scrolled container': {
    source: ground('.box{margin:40px;width:620px;height:400px;overflow:auto}', '<div class="box">*</div>'),
    act: (page: Page) => page.evaluate(() => document.querySelector('.box')?.scrollTo(0, 333)),
    scale: 1,
  },
  'in a transformed parent': {
    source: ground('.turned{margin:100px;transform:rotate(7deg) scale(0.8);width:620px}', '<div class="turned">*</div>'),
    act: () => Promise.resolve(),
    scale: 1,
  },
  'at 150 % root zoom': { source: ground(':root{zoom:1.5}', '*'), act: (page: Page) => page.evaluate(() => scrollTo(0, 200)), scale: 1 },
  'at a device scale factor of 1.5': {
    source: ground('', '<div style="padding:33px">*</div>'),
    act: (page: Page) => page.evaluate(() => scrollTo(0, 211)),
    scale: 1.5,
  },
} as const

for (const [name, { source, act, scale }] of Object.entries(situations)) {
  test(`the light on grain lies under the pointer to within a pixel ${name}`, async ({ browser }, info) => {
    const page = await (await browser.newContext({ viewport: { width: 1280, height: 720 }, deviceScaleFactor: scale })).newPage()
    await openAlone(
      page,
      source,
      [effectOf('grain-light', '.r', settingsOf('grain-light', { follow: { kind: 'direct' } }))],
      info.outputPath('page.html'),
    )
    await act(page)
    for (const [x, y] of [
      [350, 260],
      [411, 303],
      [333, 377],
    ] as const) {
      await page.mouse.move(x, y)
      await eventually(async () => {
        const middle = await middleOf(page, '.r-grain-light-light')
        return Math.hypot(middle.x - x, middle.y - y)
      }).toBeLessThan(1)
    }
    await page.context().close()
  })
}

test('nonsense throws nothing and leaves nothing behind: no size, one letter, five lines, twenty layers, a huge radius, a clear gradient, what is removed', async ({
  page,
}, info) => {
  const layers = Array.from({ length: 20 }, (_, i) => ({ id: `layer-${i + 1}`, heightPx: 10 * i }))
  const source = `<!doctype html><title>Nonsense</title><style>body{margin:0;height:900px} .c,.e,.s,.r,.h,.k{position:absolute} .c{left:20px;top:20px;width:0;height:0} .e{left:200px;top:20px;width:300px;height:200px;background:#ccc} .s{left:20px;top:300px;width:300px;height:200px;background:#cdc} .r{left:400px;top:300px;width:300px;height:200px} .h{left:800px;top:20px;width:300px;margin:0;font-size:40px}.k{left:800px;top:400px;margin:0;font-size:60px}</style>
    <article class="c"></article><article class="e">${layers.map(({ id }) => `<i class="${id}">.</i>`).join('')}</article><section class="s">dark</section><section class="r">ground</section><h1 class="h">Five lines of a heading that goes on and on and on and on and on</h1><h1 class="k">O</h1>`
  const failures: string[] = []
  page.on('console', (message) => failures.push(message.text()))
  page.on('pageerror', (error) => failures.push(error.message))
  await openAlone(
    page,
    source,
    [
      effectOf('tilt', '.c', settingsOf('tilt', { sheenPercent: 20, shadowPx: 5 })),
      effectOf('glow', '.c', settingsOf('glow')),
      effectOf('tilt', '.e', settingsOf('tilt', { layers }), {
        roles: Object.fromEntries(layers.map(({ id }) => [id, { select: `.e .${id}`, noun: 'a layer' }])),
      }),
      effectOf('spotlight', '.s', settingsOf('spotlight', { clearPx: 1200, softPx: 1200 })),
      effectOf(
        'grain-light',
        '.r',
        settingsOf('grain-light', { gradient: 'linear-gradient(90deg, transparent 0%, transparent 100%)', radiusPx: 2000 }),
      ),
      effectOf('fold', '.h', settingsOf('fold')),
      effectOf('fold', '.k', settingsOf('fold')),
      effectOf('drift', '.r', settingsOf('drift')),
      effectOf('follow', '.c', settingsOf('follow')),
    ],
    info.outputPath('page.html'),
  )
  for (const [x, y] of [
    [20, 20],
    [350, 100],
    [100, 400],
    [500, 400],
    [900, 60],
    [820, 430],
    [1200, 700],
  ] as const)
    await page.mouse.move(x, y, { steps: 3 })
  await page.mouse.move(100, 400)
  // A light larger than the page lights all of the ground.
  await eventually(async () =>
    Number(await page.locator('.s-spotlight-dark').evaluate((element) => getComputedStyle(element).opacity)),
  ).toBeGreaterThan(0.7)
  await page.mouse.move(350, 100)
  await eventually(() =>
    page.locator('.layer-20').evaluate((element) => new DOMMatrix(getComputedStyle(element).transform).m43),
  ).toBeCloseTo(190, 1)
  await page.evaluate(() => document.querySelector('.e')?.remove())
  await page.mouse.move(360, 110)
  await page.mouse.move(900, 60)
  await eventually(() =>
    page.locator('.h-fold-words-1').evaluate((element) => Math.abs(new DOMMatrix(getComputedStyle(element).transform).m41)),
  ).toBeGreaterThan(1)
  expect(failures).toEqual([])
})

test('the copies of a folded heading follow its words, are heard once and cannot be reached', async ({ page }, info) => {
  await openAlone(
    page,
    '<!doctype html><title>Copy</title><h1 class="h">Old <a href="#a" id="a">words</a></h1>',
    [effectOf('fold', '.h', settingsOf('fold'))],
    info.outputPath('page.html'),
  )
  const copies = () => page.locator('.h-fold-words-1, .h-fold-words-2').evaluateAll((parts) => parts.map((part) => part.textContent))
  await eventually(copies).toEqual(['Old words', 'Old words'])
  await page.evaluate(() => {
    const [text] = document.querySelector('.h')?.childNodes ?? []
    if (text) text.textContent = 'New '
  })
  await eventually(copies).toEqual(['New words', 'New words'])
  expect(await page.locator('#a').count()).toBe(1)
  await expect(page.getByRole('heading', { name: 'New words', exact: true })).toHaveCount(1)
  await expect(page.getByRole('link')).toHaveCount(1)
  await page.keyboard.press('Tab')
  expect(await page.evaluate(() => document.activeElement?.id)).toBe('a')
  await page.keyboard.press('Tab')
  expect(await page.evaluate(() => document.activeElement?.closest('[data-part]') ?? null)).toBeNull()
  await page.keyboard.press('Control+a')
  expect((await page.evaluate(() => String(getSelection()))).trim()).toBe('New words')
})
