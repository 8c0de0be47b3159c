// Parts that stand elsewhere than in what the pointer is on, on a page of its own, as they are exported.
import { evaluate } from '../src/core/rig/evaluate'
import { drive, playReal, playThrough, rigFrom } from './support/bare'
import { eventually, expect, test } from './support/house'
import { boxOf, styleOf } from './support/readings'

const html = `<!doctype html><html><head><style>
  body { margin: 0 }
  .row { position: absolute; left: 50px; top: 100px; width: 400px; height: 200px; overflow: hidden; transform: translateX(0) }
  .desk { margin-left: 600px; width: 200px; height: 300px; background: #ddd }
  .lid { position: fixed; inset: 0; z-index: 2147483647; background: rgb(0 0 0 / 0.1); pointer-events: none }
</style></head><body><div class="row">row</div><div class="desk">desk</div><div class="lid"></div></body></html>`

const direct = { feel: { kind: 'direct' }, away: { kind: 'settle', pose: 0 } } as const
const opacity = (part: string) => ({ to: { part }, slot: { on: 'opacity' }, factor: 1, channel: 'here' }) as const

/** A label on the desk and a ring over all else, for a row that cuts off what it holds. */
const elsewhere = rigFrom(
  { of: 'group', select: '.row', pointer: 'fine' },
  [
    { id: 'here', signal: { of: 'inside' }, ...direct },
    { id: 'x', signal: { of: 'xPx' }, ...direct },
  ],
  [opacity('label'), { to: { part: 'ring' }, slot: { on: 'transform', fn: 'translateX' }, factor: 1, channel: 'x' }, opacity('dot')],
  {
    parts: [
      {
        id: 'label',
        area: 'area',
        host: { on: '.desk' },
        css: { position: 'absolute', left: '10px', top: '20px', width: '30px', height: '8px' },
      },
      {
        id: 'ring',
        area: 'area',
        host: 'top',
        lives: 'on',
        css: { position: 'fixed', left: '0', top: '0', width: '40px', height: '40px', background: 'rgb(0 128 0)' },
      },
      { id: 'dot', area: 'area', inside: 'ring', css: { position: 'absolute', inset: '4px' } },
    ],
  },
)

test('a part stands on another element of the page, and one in the top layer, over whatever lies above', async ({ page }) => {
  await playReal(page, html, { aid: elsewhere })
  await page.mouse.move(150, 150)
  await eventually(() => styleOf(page, '.aid-label', 'opacity')).toBe('1')
  expect(await boxOf(page, '.aid-label')).toMatchObject({ x: 610, y: 20, width: 30 })
  expect(await styleOf(page, '.desk', 'position')).toBe('relative')
  // Over the lid, and out of the row that cuts off and turns what lies in it.
  await eventually(() => boxOf(page, '.aid-ring').then((box) => box.x)).toBe(100)
  expect(await boxOf(page, '.aid-ring')).toMatchObject({ y: 0, width: 40, height: 40 })
  expect(await page.evaluate(() => document.querySelector('.aid-ring')?.matches(':popover-open'))).toBe(true)
  await eventually(() => styleOf(page, '.aid-dot', 'opacity')).toBe('1')
  // Once for all, and neither heard nor hit.
  await page.mouse.move(250, 180)
  await eventually(() => boxOf(page, '.aid-ring').then((box) => box.x)).toBe(200)
  expect(await page.evaluate(() => ['label', 'ring', 'dot'].map((id) => document.querySelectorAll(`.aid-${id}`).length))).toEqual([1, 1, 1])
  expect(await page.evaluate(() => document.querySelector('.aid-ring')?.getAttribute('aria-hidden'))).toBe('true')
  // The one that lives with the pointer is gone with it.
  await page.mouse.move(550, 450)
  await eventually(() => styleOf(page, '.aid-label', 'opacity')).toBe('0')
  await eventually(() => styleOf(page, '.aid-ring', 'visibility')).toBe('hidden')
})

test('parts elsewhere are taken off with the rest', async ({ page }) => {
  const driven = await drive(page, html, { aid: elsewhere })
  await driven.hear({ t: 10, x: 150, y: 150 })
  await driven.frame(20)
  const parts = () => page.evaluate(() => document.querySelectorAll('[data-part]').length)
  expect(await parts()).toBe(3)
  await driven.detach()
  expect(await parts()).toBe(0)
})

/** Stars along the way over a desk: by px, by ms, and in a layer over all else. */
const stars = (more: object = {}, layer = false) =>
  rigFrom({ of: layer ? 'group' : 'each', select: '.desk', pointer: 'fine' }, [], [], {
    parts: [
      ...(layer ? [{ id: 'sky', area: 'area', host: 'top' as const, css: {} }] : []),
      {
        id: 'star',
        area: 'area',
        ...(layer ? { inside: 'sky' } : {}),
        lives: {
          every: { px: 30 },
          forMs: 400,
          atMost: 6,
          from: { opacity: '1', translate: '0 0' },
          to: { opacity: '0', translate: 'calc(sin({index}) * 10px) -40px' },
          easing: 'linear',
          ...more,
        },
        css: { width: '8px', height: '8px', background: 'rgb(200 150 0)', 'z-index': '{index}' },
      },
    ],
  })
const desk = { x: 600, y: 0, width: 200, height: 300 }

for (const [law, more] of [
  ['with every so many px', {}],
  ['with every so many ms', { every: { ms: 35 } }],
] as const)
  test(`what is dropped ${law} falls where evaluate() has it, at every frame`, async ({ page }) => {
    const moves = Array.from({ length: 40 }, (_, i) => ({
      t: 7 + i * 23,
      x: 560 + 97 * Math.abs(Math.sin(i * 0.7)) * 3,
      y: 150 + 120 * Math.cos(i * 0.4),
    }))
    const trace = moves.map((move) => ({ ...move, buttons: 0, pointerType: 'mouse' as const, phase: 'move' as const }))
    const frames = Array.from({ length: 90 }, (_, i) => 10 + i * 16.7)
    const asked = ['x', 'y', 'index'].map((name) => ({ select: '.aid-star', property: `--aid-star-${name}` }))
    const shown = await playThrough(page, html, { aid: stars(more) }, trace, frames, asked)
    const { columns, moments } = evaluate(
      stars(more),
      trace,
      { window: { width: 1280, height: 800 }, elements: { '.desk': [desk] } },
      frames,
    )
    let most = 0
    moments.forEach(({ values }, i) => {
      const expected = ['x', 'y', 'index'].map((name) =>
        [6, 5, 4, 3, 2, 1].map((k) => Number(values[columns.indexOf(`star.${k} ${name}[0]`)])).filter((value) => !Number.isNaN(value)),
      )
      const read = (shown[i] ?? []).map((texts) => texts.filter((text) => text !== '').map(Number))
      most = Math.max(most, read[0]?.length ?? 0)
      expect(read.map(({ length }) => length)).toEqual(expected.map(({ length }) => length))
      const apart = read.flatMap((each, k) => each.map((value, n) => Math.abs(value - (expected[k]?.[n] ?? NaN))))
      // It is written to a hundredth of a px.
      expect(Math.max(0, ...apart)).toBeLessThan(0.006)
    })
    expect(most).toBe(6)
    expect(shown.at(-1)?.[0]).toEqual([''])
  })

test('what is dropped lives its own time, and leaves nothing behind', async ({ page }) => {
  const driven = await drive(page, html, { aid: stars() })
  const count = () => page.evaluate(() => document.querySelectorAll('.aid-star').length)
  await driven.hear({ t: 10, x: 610, y: 20 })
  await driven.hear({ t: 30, x: 700, y: 20 })
  await driven.frame(40)
  expect(await count()).toBe(4)
  expect(await page.evaluate(() => document.querySelector('.aid-star')?.getBoundingClientRect().toJSON() as DOMRect)).toMatchObject({
    x: 610,
    width: 8,
  })
  // The first has fallen 30 ms ago, the last 10.
  expect(
    await page.evaluate(() => [...document.querySelectorAll<HTMLElement>('.aid-star')].map((each) => each.style.animationDelay)),
  ).toEqual(['-30ms', '-10ms', '-10ms', '-10ms'])
  expect(
    await page.evaluate(() =>
      [...document.querySelectorAll('.aid-star')].map((each) =>
        [each.getAttribute('aria-hidden'), getComputedStyle(each).pointerEvents, getComputedStyle(each).zIndex].join(),
      ),
    ),
  ).toEqual(['true,none,0', 'true,none,1', 'true,none,2', 'true,none,3'])
  await driven.frame(500)
  expect(await count()).toBe(0)
  expect(await driven.isAsleep()).toBe(true)
  await driven.hear({ t: 510, x: 700, y: 200 })
  await driven.frame(520)
  expect(await count()).toBe(6)
  await driven.detach()
  expect(await count()).toBe(0)
})

test('what is dropped over all else lies where the pointer was in the window', async ({ page }) => {
  await playReal(page, html, { aid: stars({ forMs: 60_000 }, true) })
  await page.mouse.move(650, 100)
  await eventually(() =>
    page
      .evaluate(() => document.querySelector('.aid-sky .aid-star')?.getBoundingClientRect().toJSON() as DOMRect | undefined)
      .then((box) => [box?.x, Math.round(box?.y ?? 0)]),
  ).toEqual([650, 100])
})

const lens = (holds: object) =>
  rigFrom({ of: 'each', select: '.ground', pointer: 'fine' }, [], [], {
    parts: [{ id: 'lens', area: 'area', box: 'border', holds, css: { position: 'absolute', inset: '0' } }] as never,
  })

test('a copy apart from the page looks as the page does, and is neither heard nor found', async ({ page }) => {
  const ground = `<!doctype html><html class="theme"><head><style>
    html.theme body.wide main > .ground h2 { color: rgb(10 120 30); font-size: 31px }
    #only { letter-spacing: 3px }
    .ground { display: grid; grid-template-columns: 1fr 2fr; padding: 12px; border: 4px solid; width: 500px; margin: 40px }
  </style></head><body class="wide"><main><div class="ground" data-kept="1"><h2 id="only">A heading</h2><p>Text <a href="#there">with a link</a></p></div></main></body></html>`
  await page.addInitScript(() => {
    // To be looked into by this test alone.
    const attach = Reflect.get(Element.prototype, 'attachShadow')
    Element.prototype.attachShadow = function (options) {
      const root = Reflect.apply(attach, this, [options])
      Object.assign(window, { shadow: root, mode: options.mode })
      return root
    }
  })
  await page.goto('about:blank')
  await playReal(page, ground, { aid: lens({ copy: 'apart' }) })
  await eventually(() => page.evaluate(() => (window as unknown as { mode?: string }).mode)).toBe('closed')
  const looks = () =>
    page.evaluate(() => {
      const { shadow } = window as unknown as { shadow: ShadowRoot }
      return [document.querySelector('h2'), shadow.querySelector('h2')].map((each) => {
        const { x, y, width, height } = (each as Element).getBoundingClientRect()
        const { color, fontSize, letterSpacing } = getComputedStyle(each as Element)
        return { x, y, width, height, color, fontSize, letterSpacing, text: each?.textContent }
      })
    })
  const [own, copy] = await looks()
  expect(copy).toEqual(own)
  expect(own).toMatchObject({ color: 'rgb(10, 120, 30)', fontSize: '31px', letterSpacing: '3px' })
  // It follows what the page does.
  await page.evaluate(() => ((document.querySelector('h2') as Element).textContent = 'Another one'))
  await eventually(() => looks().then(([, { text } = { text: '' }]) => text)).toBe('Another one')
  expect(await page.evaluate(() => ['h2', 'a', '#only'].map((each) => document.querySelectorAll(each).length))).toEqual([1, 1, 1])
  expect(
    await page.evaluate(() => [
      document.querySelector('.aid-lens')?.getAttribute('aria-hidden'),
      document.querySelector<HTMLElement>('.aid-lens')?.inert,
    ]),
  ).toEqual(['true', true])
  await page.keyboard.press('Tab')
  await page.keyboard.press('Tab')
  expect(await page.evaluate(() => document.activeElement?.tagName)).not.toBe('SPAN')
})
