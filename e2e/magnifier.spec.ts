// Magnifiers as they are exported: the very point, at every border; a copy that stays in step; by keyboard, finger and wheel.
import type { Page } from '@playwright/test'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'

const lens = (changes: object = {}, select = '.plate') =>
  effectOf('magnifier', select, settingsOf('magnifier', { comeMs: 0, goMs: 0, ...changes }))

const marks = [10, 90, 170, 250, 330].map((at) => `<i class="mark" style="left: ${at}px; top: ${at / 2}px"></i>`).join('')
const page = (css: string, inside = marks, around = ['', '']) =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Plates</title><style>
  html { font-size: 62.5% } body { margin: 0; height: 1600px; font: 1.6em/1.5 sans-serif; background: #fff }
  .plate { position: absolute; left: 120px; top: 90px; width: 400px; height: 240px; background: #eee }
  .mark { position: absolute; width: 20px; height: 10px; background: #a33 } ${css}
</style></head><body>${around[0]}<div class="plate">${inside}</div>${around[1]}</body></html>`

/** Has the inside of closed shadow trees be looked at. */
async function openShadows(alone: Page) {
  await alone.addInitScript(() => {
    const attach = Element.prototype.attachShadow // eslint-disable-line @typescript-eslint/unbound-method -- called on its element
    Element.prototype.attachShadow = function (this: Element, init) {
      return attach.call(this, { ...init, mode: 'open' })
    }
  })
}

/** By how many px of the page the copies of elements lie elsewhere than they should, about the pointer; the worst of them. */
const worst = (alone: Page, pointer: readonly [number, number], zoom: number, select = '.mark') =>
  alone.evaluate(
    ([[x, y], z, which]) => {
      const root = document.querySelector('[class$="-glass"]')?.shadowRoot
      const middle = (element: Element) => {
        const box = element.getBoundingClientRect()
        return [box.x + box.width / 2, box.y + box.height / 2] as const
      }
      const glass = document.querySelector('[class$="-lens"]')
      if (!glass || Math.hypot(middle(glass)[0] - x, middle(glass)[1] - y) > 0.5) return Infinity
      const copies = [...(root?.querySelectorAll(which) ?? [])]
      const own = [...document.querySelectorAll(which)]
      if (copies.length === 0 || copies.length !== own.length) return Infinity
      return Math.max(
        ...own.map((element, i) => {
          const [there, here] = [middle(copies[i] ?? element), middle(element)]
          return Math.hypot((there[0] - x) / z - (here[0] - x), (there[1] - y) / z - (here[1] - y))
        }),
      )
    },
    [pointer, zoom, select] as const,
  )

const forms: readonly (readonly [name: string, css: string, around?: readonly [string, string]])[] = [
  ['on a plain page', ''],
  ['within borders of their own', '.plate { border: 11px solid #333; border-left-width: 37px; border-top-width: 3px; padding: 20px }'],
  [
    'of a box whose size counts its borders',
    '.plate { box-sizing: border-box; border: 14px solid; padding: 9px; width: 33.3%; border-right-width: 1px }',
  ],
  ['in a box that is turned and larger', '.plate { left: 240px; top: 230px; rotate: 17deg; transform: scale(1.3) skewX(8deg) }'],
  [
    'in what lies in a box that is turned',
    '.outer { transform: rotate(-12deg) scale(0.8); transform-origin: 20% 90% }',
    ['<div class="outer">', '</div>'],
  ],
  ['from right to left', 'html { direction: rtl } .plate { left: auto; right: 480px; border-left: 9px solid }'],
  ['in a page that is zoomed', 'body { zoom: 1.25 }'],
]
for (const [number, [name, css, around]] of forms.entries())
  test(`the point under the lens is the point under the pointer ${name}`, number % 3 === 0 ? {} : long, async ({ page: alone }, info) => {
    await openShadows(alone)
    await openAlone(alone, page(css, marks, around as [string, string] | undefined), [lens({ zoom: 3 })], info.outputPath('page.html'))
    for (const scrolled of [0, 60])
      for (const [across, down] of [
        [0.5, 0.5],
        [0.02, 0.03],
        [0.97, 0.6],
        [0.31, 0.98],
      ] as const) {
        await alone.evaluate((y) => scrollTo(0, y), scrolled)
        const point = await alone.evaluate(
          ([x, y]) => {
            // Where a point of it is seen is asked of something that lies there.
            const element = document.querySelector('.plate') as HTMLElement
            const probe = document.createElement('i')
            Object.assign(probe.style, { position: 'absolute', left: `${x * 100}%`, top: `${y * 100}%`, width: '0', height: '0' })
            element.append(probe)
            const { x: left, y: top } = probe.getBoundingClientRect()
            probe.remove()
            return [left, top] as const
          },
          [across, down] as const,
        )
        await alone.mouse.move(...point)
        await eventually(() => worst(alone, point, 3)).toBeLessThanOrEqual(0.5)
      }
  })

test('a box that scrolls is seen as far as it is scrolled, and so is what scrolls in it', async ({ page: alone }, info) => {
  await openShadows(alone)
  const css =
    '.plate { overflow: auto } .tall { height: 900px; width: 700px } .box { position: absolute; left: 40px; top: 260px; width: 200px; height: 90px; overflow: auto } .box p { height: 400px; margin: 0 }'
  const inside = `<div class="tall">${marks}</div><div class="box"><p>A line<i class="mark" style="left: 5px; top: 150px"></i></p></div>`
  await openAlone(alone, page(css, inside), [lens({ zoom: 2 })], info.outputPath('page.html'))
  await alone.mouse.move(300, 200)
  await eventually(() => worst(alone, [300, 200], 2)).toBeLessThanOrEqual(0.5)
  await alone.evaluate(() => {
    document.querySelector('.plate')?.scrollTo(90, 170)
    document.querySelector('.box')?.scrollTo(0, 120)
  })
  await alone.mouse.move(310, 210)
  await eventually(() => worst(alone, [310, 210], 2)).toBeLessThanOrEqual(0.5)
})

test('it stays in step: words, classes, what comes and goes, what is typed and chosen, and what is painted', async ({
  page: alone,
}, info) => {
  await openShadows(alone)
  const inside = `<p class="words">As it was</p><ul><li>One</li><li>Two</li></ul><div class="outer"><div class="inner"><b>Deep</b></div></div>
    <label>Name <input id="name"></label><label><input type="checkbox" id="yes"> Yes</label>
    <select id="which" aria-label="Which"><option>Rue</option><option>Moss</option></select><canvas width="20" height="10"></canvas>
    <a href="#there" id="link">There</a>`
  await openAlone(
    alone,
    page('li:nth-child(2) { color: rgb(1, 2, 3) } .plate.other p { color: rgb(4, 5, 6) }', inside),
    [lens()],
    info.outputPath('page.html'),
  )
  await alone.mouse.move(300, 200)
  const told = () =>
    alone.evaluate(() => {
      const copy = document.querySelector('[class$="-glass"]')?.shadowRoot?.querySelector('.plate')
      const one = <Found extends Element>(select: string) => copy?.querySelector<Found>(select) ?? undefined
      const canvas = one<HTMLCanvasElement>('canvas')
      return [
        one('.words')?.textContent,
        [...(copy?.querySelectorAll('li') ?? [])].map((each) => each.textContent).join(),
        one('li:nth-child(2)') && getComputedStyle(one('li:nth-child(2)') as Element).color,
        one('.inner')?.textContent,
        one<HTMLInputElement>('#name')?.value,
        one<HTMLInputElement>('#yes')?.checked,
        one<HTMLSelectElement>('#which')?.selectedIndex,
        canvas ? [...(canvas.getContext('2d')?.getImageData(3, 3, 1, 1).data ?? [])].join() : '',
      ]
    })
  await eventually(async () => (await told()).join('|')).toBe('As it was|One,Two|rgb(1, 2, 3)|Deep||false|0|0,0,0,0')
  await alone.evaluate(() => {
    const one = <Found extends Element>(select: string) => document.querySelector(select) as unknown as Found
    one<HTMLElement>('.words').textContent = 'As it is'
    one<HTMLElement>('li').before(Object.assign(document.createElement('li'), { textContent: 'Nought' }))
    one<HTMLElement>('.inner b').textContent = 'Deeper'
    const context = one<HTMLCanvasElement>('canvas').getContext('2d')
    if (context) context.fillStyle = 'rgb(7, 8, 9)'
    context?.fillRect(0, 0, 20, 10)
  })
  await alone.locator('#name >> nth=0').fill('Wren')
  await alone.locator('#yes >> nth=0').check()
  await alone.locator('#which >> nth=0').selectOption('Moss')
  await alone.mouse.move(305, 200)
  await eventually(async () => (await told()).join('|')).toBe('As it is|Nought,One,Two|rgb(1, 2, 3)|Deeper|Wren|true|1|7,8,9,255')
  // A link is a link, and nobody reaches the copy.
  await alone.locator('#link >> nth=0').click()
  expect(alone.url()).toContain('#there')
  expect(await alone.locator('[class$="-glass"]').evaluate((glass) => [(glass as HTMLElement).inert, glass.ariaHidden])).toEqual([
    true,
    'true',
  ])
})

test('two thousand elements are copied in small steps, what is near first', long, async ({ page: alone }, info) => {
  await openShadows(alone)
  const rows = Array.from(
    { length: 399 },
    (_, i) => `<div class="row"><b>${i}</b><span>word <i class="mark2">of</i></span><em>more</em></div>`,
  ).join('')
  const css = '.plate { height: auto } .row { display: flex; gap: 4px; height: 18px } .list { columns: 4 }'
  await openAlone(alone, page(css, `<div class="list">${rows}</div>`), [lens()], info.outputPath('page.html'))
  await alone.evaluate(() => {
    const steps: { added: number; nearest: string | undefined }[] = []
    Object.assign(globalThis, { steps })
    const near = document.elementFromPoint(300, 300)?.closest('.row')
    const index = [...document.querySelectorAll('.row')].indexOf(near as Element)
    let before = 0
    const look = () => {
      const root = document.querySelector('[class$="-glass"]')?.shadowRoot
      const count = root?.querySelectorAll('.list *').length ?? 0
      if (count > before) steps.push({ added: count - before, nearest: root?.querySelectorAll('.row')[index]?.textContent ?? undefined })
      before = count
      requestAnimationFrame(look)
    }
    requestAnimationFrame(look)
  })
  await alone.mouse.move(300, 300)
  const missing = () =>
    alone.evaluate(() => {
      const own = document.querySelectorAll('.list *').length
      return own - (document.querySelector('[class$="-glass"]')?.shadowRoot?.querySelectorAll('.list *').length ?? 0)
    })
  await eventually(missing).toBe(0)
  await eventually(() => worst(alone, [300, 300], 2.5, '.mark2')).toBeLessThanOrEqual(0.5)
  const steps = await alone.evaluate(() => (globalThis as unknown as { steps: { added: number; nearest?: string }[] }).steps)
  expect(steps.length).toBeGreaterThan(12)
  // Two steps may fall between two looks.
  expect(Math.max(...steps.map(({ added }) => added))).toBeLessThan(240)
  // What is under the pointer is whole long before the rest.
  expect(steps.findIndex(({ nearest }) => nearest?.includes('more'))).toBeLessThan(steps.length / 2)
})

const zoomOf = (alone: Page) => alone.locator('[class$="-near"]').evaluate((near) => new DOMMatrix(getComputedStyle(near).transform).a)
const seen = (alone: Page) => alone.locator('[class$="-lens"]').evaluate((each) => getComputedStyle(each).visibility === 'visible')
const middleOf = (alone: Page) =>
  alone.locator('[class$="-lens"]').evaluate((each) => {
    const { x, y, width, height } = each.getBoundingClientRect()
    return [x + width / 2, y + height / 2].map(Math.round)
  })

test('by keyboard it is reached, named, moved, made stronger and weaker, and put away', async ({ page: alone }, info) => {
  await openAlone(alone, page(''), [lens()], info.outputPath('page.html'))
  await alone.keyboard.press('Tab')
  await expect(alone.getByRole('group', { name: 'Magnifier: arrow keys move it, plus and minus change how large' })).toBeFocused()
  await eventually(async () => (await middleOf(alone)).join()).toBe('320,210')
  expect(await seen(alone)).toBe(true)
  for (const key of ['ArrowRight', 'ArrowRight', 'ArrowUp']) await alone.keyboard.press(key)
  await eventually(async () => (await middleOf(alone)).join()).toBe('336,205')
  await alone.keyboard.press('+')
  await eventually(() => zoomOf(alone)).toBeCloseTo(3.125, 3)
  for (let i = 0; i < 9; i++) await alone.keyboard.press('-')
  await eventually(() => zoomOf(alone)).toBeCloseTo(1.2, 3)
  await alone.keyboard.press('Escape')
  await eventually(() => seen(alone)).toBe(false)
  expect(await alone.evaluate(() => document.activeElement?.className)).toBe('plate')
})

test('Ctrl and the wheel change how large it shows things, and a link that is looked at keeps its own role', async ({
  page: alone,
}, info) => {
  await openAlone(
    alone,
    page('', '<i class="mark"></i>')
      .replaceAll(/<(\/?)div/g, '<$1a href="#there"')
      .replaceAll(/<\/a[^>]*>/g, '</a>'),
    [lens()],
    info.outputPath('page.html'),
  )
  await alone.mouse.move(300, 200)
  await alone.keyboard.down('Control')
  await alone.mouse.wheel(0, -25)
  await eventually(() => zoomOf(alone)).toBeCloseTo(2.5 * Math.exp(0.25), 2)
  await alone.mouse.wheel(0, -2500)
  for (let i = 0; i < 8; i++) await alone.mouse.wheel(0, -250)
  await eventually(() => zoomOf(alone)).toBeCloseTo(8, 2)
  await alone.keyboard.up('Control')
  expect(
    await alone.evaluate(
      () => document.documentElement.clientWidth === innerWidth && document.querySelector('.plate')?.getAttribute('role'),
    ),
  ).toBe(null)
  expect(
    await alone
      .locator('.plate')
      .first()
      .evaluate((plate) => getComputedStyle(plate).cursor),
  ).toBe('none')
})

test(
  'it lies beside a finger, above it or below it where there is no room, and shows what is under it',
  long,
  async ({ browser }, info) => {
    const context = await browser.newContext({ hasTouch: true, viewport: { width: 700, height: 600 } })
    const alone = await context.newPage()
    await openShadows(alone)
    await openAlone(alone, page(''), [lens()], info.outputPath('page.html'))
    const client = await context.newCDPSession(alone)
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: readonly [number, number]) =>
      client.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [{ x: at[0], y: at[1] }] : [] })
    await touch('touchStart', [300, 280])
    await touch('touchMove', [310, 290])
    // 95 px is half of it, 28 what it is away.
    await eventually(async () => (await middleOf(alone)).join()).toBe(`310,${290 - 95 - 28}`)
    await touch('touchMove', [320, 130])
    await eventually(async () => (await middleOf(alone)).join()).toBe(`320,${130 + 95 + 28}`)
    const point = await alone.evaluate(() => {
      const root = document.querySelector('[class$="-glass"]')?.shadowRoot
      const [copy, own] = [root?.querySelector('.mark'), document.querySelector('.mark')].map((each) => each?.getBoundingClientRect())
      // What is under the finger is in the middle of the lens.
      return copy && own ? [(copy.x - 320) / 2.5 - (own.x - 320), (copy.y - (130 + 95 + 28)) / 2.5 - (own.y - 130)] : []
    })
    expect(Math.hypot(...point)).toBeLessThan(0.5)
    // Two fingers change how large it shows things, not the page.
    const two = (apart: number) =>
      client.send('Input.dispatchTouchEvent', {
        type: 'touchMove',
        touchPoints: [
          { x: 320, y: 200, id: 0 },
          { x: 320 + apart, y: 200, id: 1 },
        ],
      })
    await client.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x: 320, y: 200, id: 0 }, { x: 370, y: 200, id: 1 }] }) // prettier-ignore
    for (const apart of [50, 60, 75]) await two(apart)
    await eventually(() => zoomOf(alone)).toBeGreaterThan(2.9)
    expect(await alone.evaluate(() => visualViewport?.scale)).toBe(1)
    await touch('touchEnd')
    await eventually(() => seen(alone)).toBe(false)
    await context.close()
  },
)

const square = (colour: string, px: number) =>
  `data:image/svg+xml,${encodeURIComponent(`<svg xmlns="http://www.w3.org/2000/svg" width="${px}" height="${px}"><path fill="${colour}" d="M0 0h${px}v${px}H0z"/></svg>`)}`

test('a picture is shown by its sharper file once that is there, as large as it was', async ({ page: alone }, info) => {
  await openShadows(alone)
  const inside = `<img alt="A wing" src="${square('#800', 100)}" data-large="${square('#080', 900)}" style="height: 120px"><img alt="Another" srcset="${square('#800', 50)} 50w, ${square('#008', 600)} 600w" sizes="50px">`
  await openAlone(alone, page('', inside), [lens({ sharper: 'data-large', zoom: 4 })], info.outputPath('page.html'))
  await alone.mouse.move(300, 200)
  const told = () =>
    alone.evaluate(() => {
      const root = document.querySelector('[class$="-glass"]')?.shadowRoot
      return [...(root?.querySelectorAll('img') ?? [])].map(({ currentSrc, offsetWidth, offsetHeight }) =>
        [/%23(\d+)/.exec(currentSrc)?.[1], offsetWidth, offsetHeight].join(),
      )
    })
  await eventually(async () => (await told()).join('|')).toBe('080,120,120|008,50,50')
})
