// Parts that stand elsewhere than in what the pointer is on, on a page of its own, as they are exported.
import { drive, playReal, rigFrom } from './support/bare'
import { eventually, expect, test } from './support/house'

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
  const boxOf = (select: string) =>
    page.evaluate((each) => document.querySelector(each)?.getBoundingClientRect().toJSON() as DOMRect | undefined, select)
  const styleOf = (select: string, property: 'opacity' | 'visibility' | 'position') =>
    page.evaluate(([each, name]) => getComputedStyle(document.querySelector(each) as Element)[name], [select, property] as const)
  await page.mouse.move(150, 150)
  await eventually(() => styleOf('.aid-label', 'opacity')).toBe('1')
  expect(await boxOf('.aid-label')).toMatchObject({ x: 610, y: 20, width: 30 })
  expect(await styleOf('.desk', 'position')).toBe('relative')
  // Over the lid, and out of the row that cuts off and turns what lies in it.
  await eventually(() => boxOf('.aid-ring').then((box) => box?.x)).toBe(100)
  expect(await boxOf('.aid-ring')).toMatchObject({ y: 0, width: 40, height: 40 })
  expect(await page.evaluate(() => document.querySelector('.aid-ring')?.matches(':popover-open'))).toBe(true)
  await eventually(() => styleOf('.aid-dot', 'opacity')).toBe('1')
  // Once for all, and neither heard nor hit.
  await page.mouse.move(250, 180)
  await eventually(() => boxOf('.aid-ring').then((box) => box?.x)).toBe(200)
  expect(await page.evaluate(() => ['label', 'ring', 'dot'].map((id) => document.querySelectorAll(`.aid-${id}`).length))).toEqual([1, 1, 1])
  expect(await page.evaluate(() => document.querySelector('.aid-ring')?.getAttribute('aria-hidden'))).toBe('true')
  // The one that lives with the pointer is gone with it.
  await page.mouse.move(550, 450)
  await eventually(() => styleOf('.aid-label', 'opacity')).toBe('0')
  await eventually(() => styleOf('.aid-ring', 'visibility')).toBe('hidden')
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
