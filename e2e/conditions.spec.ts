// Compiled scripts where pages are difficult: turned, zoomed, scrolled and nested elements, transitions of the page's own,
// pens and fingers, pointers that leave without a word, several scripts, print and forced colours.
import type { Rig } from '../src/core/rig/rig'
import {
  computed,
  drive,
  playInShadow,
  playReal,
  rigFrom,
  scriptOf,
  stylesheetOf,
  transformApart,
  withStyles,
  written,
} from './support/bare'
import { middleOf } from './support/acts'
import { eventually, expect, test } from './support/house'

const place = rigFrom(
  {},
  [
    { id: 'x', signal: { of: 'centredX' } },
    { id: 'y', signal: { of: 'centredY' } },
  ],
  [
    { slot: { on: 'property', name: '--across', unit: '', law: 'replace' }, channel: 'x' },
    { slot: { on: 'property', name: '--down', unit: '', law: 'replace' }, channel: 'y' },
  ],
)
const lean = (change: object = {}) =>
  rigFrom(
    { pointer: 'any', ...change },
    [{ id: 'x', signal: { of: 'centredX' }, group: 'turn' }],
    [
      { slot: { on: 'transform', fn: 'perspective' }, base: 600 },
      { slot: { on: 'transform', fn: 'rotateY' }, factor: 20, channel: 'x' },
    ],
  )

const pageOf = (style: string, body: string) =>
  `<!doctype html><html><head><style>body { margin: 0; height: 2000px } .card { width: 300px; height: 200px; background: #ddd } .mark { position: absolute; left: 75%; top: 25%; width: 0; height: 0 } ${style}</style></head><body>${body}</body></html>`

for (const [words, style] of [
  [
    'a turned and scaled ancestor',
    '.outer { position: absolute; left: 300px; top: 200px; transform: rotate(33deg) scale(0.6, 0.8) } .card { position: relative }',
  ],
  [
    'individual rotate and scale, and a turn of its own',
    '.outer { rotate: -20deg; scale: 1.3 } .card { position: absolute; left: 320px; top: 200px; transform: rotate(70deg) skewX(8deg); border: 7px solid; padding: 4px }',
  ],
  ['zoom', '.outer { zoom: 1.5 } .card { position: relative; left: 90px; top: 31.4px; border: 2px solid }'],
  [
    'a scrolled container',
    '.outer { position: absolute; left: 40px; top: 30px; width: 500px; height: 300px; overflow: auto } .card { position: relative; left: 33.3px; top: 400px; margin-bottom: 900px }',
  ],
] as const) {
  test(`inside ${words} the pointer is read in the element's own coordinates`, async ({ page }) => {
    const driven = await drive(page, pageOf(style, '<div class="outer"><div class="card"><i class="mark"></i></div></div>'), { place })
    await page.evaluate(() => document.querySelector('.outer')?.scrollTo(0, 330))
    await page.evaluate(() => scrollTo(0, 7))
    const { x, y } = await middleOf(page, '.mark')
    await driven.hear({ t: 10, x, y, phase: 'move' })
    await driven.frame(20)
    expect(await written(page, '.card', '--place-x')).toBeCloseTo(0.5, 3)
    expect(await written(page, '.card', '--place-y')).toBeCloseTo(-0.5, 3)
  })
}

test('a layer keeps its still box while its card leans with it, and while it leans itself', async ({ page }) => {
  const style =
    '.card { position: absolute; left: 200px; top: 150px } .layer { position: absolute; left: 120px; top: 40px; width: 100px; height: 80px; background: #999 }'
  const inner = rigFrom(
    { select: '.layer' },
    [{ id: 'x', signal: { of: 'x' } }],
    [{ slot: { on: 'transform', fn: 'rotate' }, factor: 15, channel: 'x' }],
  )
  const driven = await drive(page, pageOf(style, '<div class="card"><div class="layer"></div></div>'), { lean: lean(), inner })
  // Twice at each place: the second reading sees the card and the layer as the first one left them.
  for (const [t, x] of [
    [10, 330],
    [60, 330],
    [110, 360],
    [160, 360],
    [700, 340],
    [1300, 412],
  ] as const) {
    await driven.hear({ t, x, y: 230 })
    await driven.frame(t + 5)
    expect(await written(page, '.layer', '--inner-x'), `at ${x}`).toBeCloseTo((x - 320) / 100, 2)
    expect(await written(page, '.card', '--lean-x')).toBeCloseTo((x - 350) / 150, 3)
  }
})

test("the page's own transition of everything does not lag behind, and is there again afterwards", async ({ page }) => {
  const driven = await drive(
    page,
    pageOf('.card { position: absolute; left: 100px; top: 100px; transition: all 0.6s 0.1s, opacity 2s }', '<div class="card"></div>'),
    { lean: lean() },
  )
  await driven.hear({ t: 10, x: 399, y: 200 })
  await driven.frame(20)
  const turned = await computed(page, '.card', 'transform')
  await page.waitForTimeout(120)
  expect(await computed(page, '.card', 'transform')).toBe(turned)
  expect(turned).toMatch(/^matrix3d/)
  expect(await computed(page, '.card', 'transition-property')).toMatch(/^all, opacity, .*transform/)
  await driven.detach()
  expect(await page.locator('.card').getAttribute('style')).toBeNull()
  expect(await computed(page, '.card', 'transition-duration')).toBe('0.6s, 2s')
})

test('in print and with forced colours the page is as it was designed', async ({ page }) => {
  const glow: Rig = rigFrom(
    {},
    [{ id: 'x', signal: { of: 'xPx' } }],
    [{ to: { part: 'light' }, slot: { on: 'transform', fn: 'translateX' }, channel: 'x' }],
    { parts: [{ id: 'light', area: 'area', css: { position: 'absolute', width: '40px', height: '40px', background: 'red' } }] },
  )
  await playReal(page, pageOf('.card { position: absolute; left: 100px; top: 100px }', '<div class="card"></div>'), { lean: lean(), glow })
  await page.mouse.move(390, 200)
  await eventually(() => computed(page, '.card', 'transform')).toMatch(/^matrix3d/)
  expect(await computed(page, '.glow-light', 'display')).toBe('block')
  for (const media of [{ media: 'print' }, { forcedColors: 'active' }] as const) {
    await page.emulateMedia(media)
    expect(await computed(page, '.card', 'transform')).toBe('none')
    expect(await computed(page, '.glow-light', 'display')).toBe('none')
    await page.emulateMedia({ media: null, forcedColors: null })
  }
  expect(await computed(page, '.card', 'transform')).toMatch(/^matrix3d/)
})

test('a pen hovers like a mouse; a finger drags and is gone when it is lifted; the pointer that moved last leads', async ({ browser }) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await playReal(page, pageOf('.card { position: absolute; left: 100px; top: 100px }', '<div class="card"></div>'), {
    lean: lean({ touch: 'drag-x' }),
  })
  const session = await context.newCDPSession(page)
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', x?: number) =>
    session.send('Input.dispatchTouchEvent', { type, touchPoints: x === undefined ? [] : [{ x, y: 200 }] })
  const value = () => written(page, '.card', '--lean-x')
  await session.send('Input.dispatchMouseEvent', { type: 'mouseMoved', x: 325, y: 200, pointerType: 'pen' })
  await eventually(value).toBeCloseTo(0.5, 3)
  expect(await computed(page, '.card', 'touch-action')).toBe('pan-y pinch-zoom')
  await touch('touchStart', 175)
  await eventually(value).toBeCloseTo(-0.5, 3)
  await touch('touchMove', 130)
  await touch('touchMove', 115)
  await eventually(value).toBeCloseTo(-0.9, 3)
  await session.send('Input.dispatchMouseEvent', { type: 'mouseMoved', x: 340, y: 200, pointerType: 'mouse' })
  await eventually(value).toBeCloseTo(0.6, 3)
  await touch('touchMove', 145)
  await eventually(value).toBeCloseTo(-0.7, 3)
  await touch('touchEnd')
  await eventually(value).toBe(0)
  await context.close()
})

test('a pointer that leaves by a flick, through a dialog or with the window leaves nothing behind', async ({ page }) => {
  await playReal(page, pageOf('.card { position: absolute; left: 100px; top: 100px }', '<div class="card"></div><dialog>said</dialog>'), {
    lean: lean(),
  })
  const value = () => written(page, '.card', '--lean-x')
  const enter = async () => {
    await page.mouse.move(320, 190)
    await page.mouse.move(325, 200)
    await eventually(value).toBeCloseTo(0.5, 3)
  }
  await enter()
  await page.mouse.move(-400, -300)
  await eventually(value).toBe(0)
  await enter()
  await page.evaluate(() => document.querySelector('dialog')?.showModal())
  await page.mouse.move(326, 200)
  await eventually(value).toBe(0)
  await page.evaluate(() => document.querySelector('dialog')?.close())
})

test('two scripts on one page do not know of each other', async ({ page }) => {
  const html = pageOf('.card { position: absolute; left: 100px; top: 100px }', '<div class="card" style="color: red"></div>')
  await page.setContent(withStyles(html, { first: place, second: place }))
  for (const name of ['first', 'second']) await page.addScriptTag({ content: scriptOf({ [name]: place }, html) })
  for (const [x, value] of [
    [325, 0.5],
    [175, -0.5],
  ] as const) {
    await page.mouse.move(x, 150)
    for (const name of ['first', 'second']) await eventually(() => written(page, '.card', `--${name}-x`)).toBeCloseTo(value, 3)
  }
  expect(
    await page.evaluate(() =>
      Object.keys(window).filter(
        (key) =>
          /effect|events|draw|pointer\b/.test(key) &&
          !/^on/.test(key) &&
          Object.getOwnPropertyDescriptor(window, key)?.configurable &&
          typeof (window as unknown as Record<string, unknown>)[key] === 'function' &&
          !/native code/.test(String((window as unknown as Record<string, unknown>)[key])),
      ),
    ),
  ).toEqual([])
})

test('looks are told to the page, the focus counts, and the pieces of a chain follow each other', async ({ page }) => {
  const hover = rigFrom(
    { looks: { goDelayMs: 60, stillMs: 200, atMostOne: true, keys: true } },
    [{ id: 'on', signal: { of: 'look', values: { off: 0, on: 1, pressed: 0.4, still: 0.8 } } }],
    [{ slot: { on: 'opacity' }, base: 1, factor: -0.5, channel: 'on' }],
  )
  const trail = rigFrom(
    { of: 'window', select: '' },
    [
      {
        id: 'x',
        frame: 'window',
        signal: { of: 'xPx' },
        away: { kind: 'hold', pose: 0 },
        feel: { kind: 'glide', halfLifeMs: 40 },
        chain: 3,
      },
    ],
    [{ to: { part: 'piece' }, slot: { on: 'transform', fn: 'translateX' }, channel: 'x' }],
    { parts: [{ id: 'piece', area: 'area', count: 3, css: { position: 'fixed', top: '0', left: '0', width: '5px', height: '5px' } }] },
  )
  await playReal(
    page,
    pageOf(
      '.card { position: absolute; top: 100px } .a { left: 100px } .b { left: 500px }',
      '<div class="card a"><a href="#x">link</a></div><div class="card b"></div>',
    ),
    { hover, trail },
    true,
  )
  await page.evaluate(() => {
    const told: string[] = []
    Object.assign(window, { told })
    for (const name of ['hover-on', 'hover-off', 'hover-still', 'hover-pressed'])
      addEventListener(name, ({ target }) => told.push(`${name} ${(target as Element).classList[1]}`))
    // A look that is passed through may be gone before anybody asks, so all of them are noted, once for each time that they come.
    const shown: string[] = []
    Object.assign(window, { shown })
    new MutationObserver((records) => {
      for (const { target } of records) {
        const told = `${(target as Element).classList[1]} ${(target as Element).getAttribute('data-hover')}`
        if (told.startsWith('a ') && shown.at(-1) !== told) shown.push(told)
      }
    }).observe(document.body, { subtree: true, attributeFilter: ['data-hover'] })
  })
  const look = (select: string) => page.locator(select).getAttribute('data-hover')
  await page.mouse.move(200, 200)
  await eventually(() => look('.a')).toBe('still')
  expect(await page.evaluate(() => (window as unknown as { shown: string[] }).shown)).toEqual(['a on', 'a still'])
  await page.mouse.down()
  await eventually(() => look('.a')).toBe('pressed')
  await page.mouse.up()
  await page.mouse.move(600, 200)
  await eventually(() => look('.b')).toBe('on')
  await eventually(() => look('.a')).toBe('off')
  await page.keyboard.press('Tab')
  await eventually(() => look('.a')).toBe('on')
  expect(await page.evaluate(() => (window as unknown as { told: string[] }).told)).toEqual(
    expect.arrayContaining(['hover-on a', 'hover-still a', 'hover-pressed a', 'hover-off a', 'hover-on b']),
  )
  const pieces = () =>
    page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('.trail-piece')].map((piece) => parseFloat(piece.style.getPropertyValue('--trail-x'))),
    )
  await eventually(async () => (await pieces()).every((x) => x === 600)).toBe(true)
  await page.mouse.move(100, 500)
  const [first = 0, second = 0, third = 0] = await pieces()
  expect(first <= second && second <= third).toBe(true)
  await eventually(async () => (await pieces()).every((x) => x === 100)).toBe(true)
})

test('a shadow root is played in from inside, and the document registers its properties', async ({ page }) => {
  const css = stylesheetOf({ lean: lean() })
  await page.setContent(`<!doctype html><style>${css}</style><body style="margin: 0"><div id="host"></div></body>`)
  await page.evaluate((sheet) => {
    const root = (document.querySelector('#host') as Element).attachShadow({ mode: 'open' })
    root.innerHTML = `<style>.card { position: absolute; left: 100px; top: 100px; width: 300px; height: 200px; background: #ddd } ${sheet}</style><div class="card"><b>inside</b></div>`
  }, css)
  await playInShadow(page, '#host', scriptOf({ lean: lean() }, '<div class="card"></div>'))
  const transform = () =>
    page.evaluate(() => getComputedStyle(document.querySelector('#host')?.shadowRoot?.querySelector('.card') as Element).transform)
  await page.mouse.move(390, 200)
  await eventually(transform).toMatch(/^matrix3d/)
  await page.mouse.move(700, 600)
  await eventually(async () => Math.abs(Number((await transform()).split(',')[2] ?? 1))).toBeLessThan(1e-6)
})

test('a transform of its own stays with an element that leans, and is all there is without the script', async ({ page }) => {
  const own = 'rotate(20deg) scale(0.9)'
  const html = pageOf(
    `.card { position: absolute; left: 200px; top: 150px; transform: ${own} } .b { left: 700px; transform: none }`,
    '<div class="card"><i class="mark"></i></div><div class="card b"></div>',
  )
  const driven = await drive(page, html, { lean: lean() })
  const { x, y } = await middleOf(page, '.mark')
  // Until the pointer comes it lies as the page has it; pointed at, it is read in its own coordinates, and leans on top of that.
  await driven.frame(5)
  expect(await transformApart(page, await computed(page, '.card', 'transform'), own)).toBeLessThan(1e-5)
  for (const t of [10, 60, 110]) {
    await driven.hear({ t, x, y })
    await driven.frame(t + 5)
    expect(await written(page, '.card', '--lean-x')).toBeCloseTo(0.5, 2)
  }
  expect(await transformApart(page, await computed(page, '.card', 'transform'), `${own} perspective(600px) rotateY(10deg)`)).toBeLessThan(
    0.01,
  )
  expect(await computed(page, '.b', 'transform')).toBe('none')
  await driven.detach()
  expect(await transformApart(page, await computed(page, '.card', 'transform'), own)).toBeLessThan(1e-5)
  expect(await page.locator('[style], [data-lean]').count()).toBe(0)
})
