// Effects on pages that give their elements styles, transitions and states of their own: in the studio and in the export.
import type { Frame, Page } from '@playwright/test'
import { effectOf, openAlone, settingsOf } from './support/alone'
import { computed, drive, playReal, rigFrom } from './support/bare'
import { classIn, forms, pageOf, type Form } from './support/forms'
import { computedOfAll, effectsOf, judgedOn, namesOn, washOn } from './support/garden'
import { apartOn, expectedOf, groundsOn, judgeAtRest, mostApart, rigOf, type Ground } from './support/judge'
import { eventually, expect, test, type House } from './support/house'
import { inTurn, isLong, long } from './support/long'
import { shareApart } from './support/pixels'
import { clickOnPage, movePointer, stageOf, tiltOnCards } from './support/stage'

/** A shelf of pots, and what a page's own styles make of them. */
const shelf = (css: string, more = '') => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>Pots</title><style>
body { margin: 0; height: 1200px } .shelf { padding: 120px 200px }
.pot { width: 300px; height: 200px; margin: 0 0 40px; background: #c8b89a }
${css}</style></head><body><section class="shelf"><article class="pot"><h2>A pot</h2></article><article class="pot">Another</article></section>${more}</body></html>`

const tilt = { ...tiltOnCards(), select: '.pot', noun: 'each pot' }

interface Place {
  readonly surface: Page | Frame
  readonly move: (x: number, y: number) => Promise<void>
}

const open = {
  studio: async (page: Page, house: House, id: string, html: string): Promise<Place> => {
    await page.goto(await house.addSite(id, html, [tilt]))
    return { surface: await stageOf(page), move: (x, y) => movePointer(page, x, y) }
  },
  export: async (page: Page, _: House, __: string, html: string, file: string): Promise<Place> => {
    await openAlone(page, html, [tilt], file)
    return { surface: page, move: (x, y) => page.mouse.move(x, y) }
  },
}

/** How far the first pot is from the page's own transform with the lean that the script asks for, member by member of the matrices. */
const apartFrom = (surface: Page | Frame, own: string) =>
  surface.evaluate((given) => {
    const pot = document.querySelector('.pot') as HTMLElement
    const valueOf = (axis: string) =>
      Number(pot.style.getPropertyValue([...pot.style].find((name) => name.endsWith(`-tilt-${axis}`)) ?? ''))
    const page = given === 'as it says' ? getComputedStyle(pot).getPropertyValue('--own-transform') : given
    const lean = `perspective(820px) rotateX(${-9 * valueOf('y')}deg) rotateY(${9 * valueOf('x')}deg)`
    const expected = new DOMMatrix(page).multiply(new DOMMatrix(lean)).toFloat64Array()
    const shown = new DOMMatrix(getComputedStyle(pot).transform).toFloat64Array()
    return Math.max(...[...shown].map((value, i) => Math.abs(value - (expected[i] ?? NaN))))
  }, own)

/** Whether the first pot leans at all, and is at rest. */
const leans = (surface: Page | Frame) =>
  surface.evaluate(async () => {
    const pot = document.querySelector('.pot') as HTMLElement
    const read = () => getComputedStyle(pot).transform
    const before = read()
    await new Promise((resolve) => setTimeout(resolve, 60))
    return before === read() && before.startsWith('matrix3d')
  })

/** What a page does to its pots: what they have of their own while the pointer is there, and without it. */
const cases: readonly {
  readonly that: string
  readonly css: string
  readonly on: string
  readonly away: string
  readonly then?: () => void
}[] = [
  { that: 'lifts them by a rule that weighs more', css: '.shelf .pot:hover { transform: translateY(-8px) rotate(2deg) }', on: 'translateY(-8px) rotate(2deg)', away: 'none' },
  { that: 'lifts them by what is important', css: '.shelf .pot:hover { transform: translateY(-8px) !important }', on: 'translateY(-8px)', away: 'none' },
  { that: 'turns them always, and less under the pointer', css: '.pot { transform: rotate(4deg) } .shelf > .pot:hover { transform: none }', on: 'none', away: 'rotate(4deg)' },
  { that: 'lifts them in a transition of its own', css: '.pot { transition: transform .2s ease-out } .shelf .pot:hover { transform: translateY(-8px) }', on: 'translateY(-8px)', away: 'none' },
  { that: 'has a transition for all there is', css: '* { transition: all .2s !important } .pot:hover { transform: scale(1.05) }', on: 'scale(1.05)', away: 'none' },
  { that: 'lifts them in a layer of its sheet', css: '@layer base, parts; @layer parts { .pot:hover { transform: translateX(6px) } } @layer base { .shelf .pot:hover { transform: translateX(90px) } }', on: 'translateX(6px)', away: 'none' },
  { that: 'lifts them in a rule within a rule', css: '.shelf { .pot { &:hover { transform: translateY(-5px) } } }', on: 'translateY(-5px)', away: 'none' },
  { that: 'lifts them where the window is wide', css: '@media (min-width: 600px) { .pot:hover { transform: translateY(-7px) } } @media (max-width: 599px) { .pot { transform: scale(2) } }', on: 'translateY(-7px)', away: 'none' },
  { that: 'shows them once a class has come', css: '.pot { transform: translateY(60px) } .pot.in { transform: none }', on: 'none', away: 'none', then: () => document.querySelector('.pot')?.classList.add('in') },
  { that: 'shows them once something else has a class', css: '.shelf:not(.in) .pot { transform: translateY(60px) }', on: 'none', away: 'none', then: () => document.querySelector('.shelf')?.classList.add('in') },
  {
    that: 'moves them by shares of themselves',
    css: '.pot { transform: translate(2%, -1%) }',
    on: 'translate(6px, -2px)',
    away: 'translate(6px, -2px)',
  },
  {
    that: 'moves them by its scripts',
    css: '.shelf .pot:hover { transform: translateY(-8px) }',
    on: 'translateX(30px)',
    away: 'translateX(30px)',
    then: () => ((document.querySelector('.pot') as HTMLElement).style.transform = 'translateX(30px)'),
  },
  { that: 'lifts them by a value of its own', css: ':root { --up: -9px } .pot:hover { transform: translateY(var(--up)) }', on: 'translateY(-9px)', away: 'none' },
] // prettier-ignore

for (const where of ['studio', 'export'] as const)
  for (const [index, { that, css, on, away, then }] of cases.entries()) {
    // The studio plays what is exported. There: what moves by scripts of the page, by layers, and by a transition of its own.
    const isInStudio = index % 3 === 2
    test(
      `in the ${where}, pots lean on a page that ${that}`,
      isInStudio === (where === 'studio') ? {} : long,
      async ({ page, house }, info) => {
        const { surface, move } = await open[where](
          page,
          house,
          `pots-${index}`,
          shelf(css, then && '<script>/* What shows them. */</script>'),
          info.outputPath('page.html'),
        )
        if (then) {
          // What comes later comes after the pointer has been there.
          await move(300, 250)
          await eventually(() => leans(surface)).toBe(true)
          await surface.evaluate(then)
        }
        // Within what a pot takes up while it leans: nearer to its edges it is another matter whether the page thinks that it is met.
        for (const [x, y] of [[250, 165], [350, 220], [455, 280]] as const) {
        await move(x, y)
        await eventually(() => leans(surface)).toBe(true)
        await eventually(() => apartFrom(surface, on)).toBeLessThan(1e-3)
      } // prettier-ignore
        await move(900, 60)
        await eventually(() => apartFrom(surface, away)).toBeLessThan(1e-3)
      },
    )
  }

for (const where of ['studio', 'export'] as const)
  test(`in the ${where}, the lean does not wait for what the page takes its time for`, async ({ page, house }, info) => {
    const css = '.shelf .pot { transition: transform 40s linear !important } .pot:hover { transform: translateX(40px) }'
    // No pot is met as the page opens, wherever the test before left the pointer.
    await page.mouse.move(2, 2)
    const { surface, move } = await open[where](page, house, 'pots-slow', shelf(css), info.outputPath('page.html'))
    // What is met before the effect is at work has its lift at once, since it had no other value to go on from.
    const isDressed = () =>
      surface.evaluate(() =>
        [...document.styleSheets, ...document.adoptedStyleSheets].some(({ cssRules }) =>
          [...cssRules].some(({ cssText }) => cssText.includes('--own-transform')),
        ),
      )
    await eventually(isDressed).toBe(true)
    await move(300, 150)
    const shares: number[] = []
    for (let i = 0; i < 12; i++) {
      await page.waitForTimeout(60)
      expect(await apartFrom(surface, 'as it says')).toBeLessThan(1e-2)
      shares.push(
        await surface.evaluate(
          () => new DOMMatrix(getComputedStyle(document.querySelector('.pot') as Element).getPropertyValue('--own-transform')).e / 40,
        ),
      )
    }
    // The page's own lift is on its way meanwhile.
    expect(shares.at(-1)).toBeGreaterThan(0.015)
    expect(shares.at(-1)).toBeLessThan(0.9)
  })

test('what several effects give goes on with the page’s own shadow, filter, opacity and picture, in each of its states', async ({
  page,
}) => {
  const css = `
    .card { position: absolute; left: 100px; top: 100px; width: 300px; height: 200px; opacity: 50%; background: #eee linear-gradient(red, blue) no-repeat }
    .card:hover { opacity: 0.8; filter: grayscale(0.5); box-shadow: rgb(0, 0, 0) 0 2px 4px }
    @media (max-width: 700px) { .card { box-shadow: rgb(255, 0, 0) 0 0 9px !important } }`
  const html = `<!doctype html><html><head><style>${css}</style></head><body><div class="card">A card</div></body></html>`
  const layer = (on: 'shadow' | 'background', hole: string) => ({
    slot: { on, layer: on, hole, unit: 'px' as const },
    channel: 'here',
    factor: 10,
  })
  const rig = rigFrom(
    { pointer: 'fine' },
    [{ id: 'here', signal: { of: 'inside' } }],
    [
      { slot: { on: 'opacity' }, channel: 'here', base: 1, factor: -0.5 },
      { slot: { on: 'filter', fn: 'blur' }, channel: 'here', factor: 2 },
      layer('shadow', 'far'),
      layer('background', 'wide'),
    ],
    {
      layers: [
        { id: 'shadow', css: '0 0 {far} rgb(0, 0, 255)' },
        { id: 'background', css: 'linear-gradient(rgb(0, 255, 0) {wide}, transparent)' },
      ],
    },
  )
  await playReal(page, html, { aid: rig })
  const styles = () =>
    page.evaluate(() => {
      const { opacity, filter, boxShadow, backgroundImage } = getComputedStyle(document.querySelector('.card') as Element)
      return { opacity, filter, boxShadow, backgroundImage }
    })
  const own = await styles()
  expect(own).toMatchObject({ opacity: '0.5', filter: 'none', boxShadow: 'none' })
  const pictures = (stop: string) =>
    `linear-gradient(rgb(255, 0, 0), rgb(0, 0, 255)), linear-gradient(rgb(0, 255, 0) ${stop}, rgba(0, 0, 0, 0))`
  await page.mouse.move(200, 150)
  await eventually(styles).toEqual({
    opacity: '0.4',
    filter: 'grayscale(0.5) blur(2px)',
    boxShadow: 'rgb(0, 0, 0) 0px 2px 4px 0px, rgb(0, 0, 255) 0px 0px 10px 0px',
    backgroundImage: pictures('10px'),
  })
  await page.setViewportSize({ width: 600, height: 800 })
  await eventually(() => styles().then(({ boxShadow }) => boxShadow)).toBe(
    'rgb(255, 0, 0) 0px 0px 9px 0px, rgb(0, 0, 255) 0px 0px 10px 0px',
  )
  await page.mouse.move(500, 600)
  await eventually(styles).toMatchObject({ opacity: '0.5', filter: 'blur(0px)' })
})

test('transitions of the page reach no part', async ({ page }) => {
  const html =
    '<!doctype html><html><head><style>* { transition: all .5s !important } .card { width: 400px; height: 300px; background: #333 }</style></head><body><div class="card">A card</div></body></html>'
  await playReal(page, html, {
    aid: rigFrom(
      { pointer: 'fine' },
      [
        { id: 'x', signal: { of: 'xPx' }, away: { kind: 'hold', pose: 0 } },
        { id: 'here', signal: { of: 'inside' }, feel: { kind: 'timed', durationMs: 300, easing: 'linear', delayMs: 0 } },
      ],
      [
        { to: { part: 'pool' }, slot: { on: 'transform', fn: 'translateX' }, channel: 'x' },
        { to: { part: 'pool' }, slot: { on: 'opacity' }, channel: 'here' },
      ],
      { parts: [{ id: 'pool', area: 'area', css: { position: 'absolute', left: '0', top: '0', width: '9px', height: '9px' } }] },
    ),
  })
  const place = () => page.evaluate(() => new DOMMatrix(getComputedStyle(document.querySelector('.aid-pool') as Element).transform).e)
  await page.mouse.move(100, 100)
  await eventually(place).toBe(92)
  await page.mouse.move(300, 100)
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))))
  expect(await place()).toBe(292)
  // What comes in its own time does.
  await eventually(() => page.evaluate(() => getComputedStyle(document.querySelector('.aid-pool') as Element).opacity)).toBe('1')
})

test('what is pressed stays so where the press begins on a picture, a link or selected text; elsewhere a link is dragged as ever', async ({
  page,
}) => {
  const picture = "data:image/svg+xml,<svg xmlns='http://www.w3.org/2000/svg' width='80' height='60'><rect width='80' height='60'/></svg>"
  const html = `<!doctype html><html><head><style>body { margin: 0 } .card, .other { width: 500px; height: 200px; background: #eee }</style></head>
    <body><div class="card"><img src="${picture}" alt="a box"> <a href="#there">a link to somewhere</a> <p>Some words to select</p></div><div class="other"><a href="#there">another link</a></div></body></html>`
  await playReal(page, html, {
    aid: rigFrom(
      { pointer: 'fine' },
      [{ id: 'held', signal: { of: 'pressed' } }],
      [{ slot: { on: 'opacity' }, channel: 'held', base: 1, factor: -0.5 }],
    ),
  })
  await page.evaluate(() => {
    Object.assign(window, { told: [] })
    for (const type of ['dragstart', 'pointercancel'])
      addEventListener(type, (event) => {
        const { told } = window as unknown as { told: string[] }
        told.push(`${type}${event.defaultPrevented ? ' held' : ''}`)
      })
  })
  const told = () => page.evaluate(() => (window as unknown as { told: string[] }).told.splice(0))
  const opacity = () => computed(page, '.card', 'opacity')
  const drag = async (select: string) => {
    const box = await page.locator(select).boundingBox()
    const [x, y] = [(box?.x ?? 0) + 12, (box?.y ?? 0) + (box?.height ?? 0) / 2]
    await page.mouse.move(x, y)
    await page.mouse.down()
    await page.mouse.move(x + 60, y + 6, { steps: 6 })
  }
  for (const select of ['.card img', '.card a', '.card p']) {
    if (select === '.card p') await page.evaluate(() => getSelection()?.selectAllChildren(document.querySelector('.card p') as Element))
    await drag(select)
    await eventually(opacity).toBe('0.5')
    expect(await told(), select).toEqual(['dragstart held'])
    await page.mouse.move(300, 100, { steps: 3 })
    expect(await opacity()).toBe('0.5')
    await page.mouse.up()
    await eventually(opacity).toBe('1')
  }
  await drag('.other a')
  await eventually(told).toContain('dragstart')
  await page.mouse.up()
})

const folded = (size: number, text: string) => `<!doctype html><html><head><style>
  body { margin: 0; background: #fff } h1 { margin: 120px 0; font: 700 ${size}px/1 serif; color: #234 }
</style></head><body><h1 class="h">${text}</h1><p>What stands below it.</p></body></html>`

test('a folded heading widens no page, however wide that is', async ({ page }, info) => {
  for (const width of [1280, 820, 390]) {
    await page.setViewportSize({ width, height: 700 })
    await openAlone(
      page,
      folded(64, 'Night moths gather by the jasmine'),
      [effectOf('fold', '.h', settingsOf('fold'))],
      info.outputPath('page.html'),
    )
    for (const x of [4, width / 2, width - 4]) {
      await page.mouse.move(x, 150)
      await eventually(() => page.locator('.h-fold-words-1').count()).toBe(1)
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(width)
    }
  }
})

test('a heading that is folded by nothing looks as it did, to the last descender', async ({ page }, info) => {
  await page.setViewportSize({ width: 800, height: 400 })
  const html = folded(90, 'Ågypqj (ÉŷÇ)')
  await page.setContent(html)
  const before = await page.screenshot()
  const still = settingsOf('fold', { angleDeg: 0, travelPercent: 0, shadePercent: 0 })
  await openAlone(page, html, [effectOf('fold', '.h', still)], info.outputPath('page.html'))
  await page.mouse.move(300, 160)
  await eventually(() => page.locator('.h-fold-words-1').count()).toBe(1)
  expect(await shareApart(page, before, await page.screenshot())).toBeLessThan(5e-4)
})

test('pointing means the box that is seen, its wrappers come after it', async ({ page, house }) => {
  const html = `<!doctype html><html><head><style>body { margin: 0; background: #fafafa } .layout { padding: 40px } .promo { width: 420px; padding: 30px; background: #fff; border-radius: 12px; box-shadow: 0 2px 12px #0003 } .promo button { width: 120px; height: 36px }</style></head>
    <body><div class="layout"><div class="column"><div class="inner"><section class="promo"><p>A walk among moths, by lantern.</p><button class="go">Come along</button></section></div></div><div class="column"><div class="inner">More</div></div></div></body></html>`
  await page.goto(await house.addSite('promo', html))
  const stage = await stageOf(page)
  for (const [on, name] of [
    ['.promo p', 'section.promo'],
    ['.promo button', 'button.go'],
  ] as const) {
    await page.keyboard.press('p')
    await clickOnPage(page, stage, on)
    const ladder = page.getByRole('region', { name: 'Under the pointer' })
    await expect(ladder.locator('[aria-pressed="true"]')).toContainText(name)
    await page.keyboard.press('Escape')
  }
})

test('two effects on one element wait for no transition of the page, whatever each of them drives', async ({ page }) => {
  const html =
    '<!doctype html><html><head><style>body { margin: 0 } .card { width: 400px; height: 300px; background: #eee; transition: all .5s } .card:hover { filter: grayscale(1); opacity: .8 }</style></head><body><div class="card">A card</div></body></html>'
  const drives = (of: string, slot: object, factor: number) =>
    rigFrom({ pointer: 'fine' }, [{ id: 'v', signal: { of } }], [{ slot, channel: 'v', factor, base: of === 'y' ? 1 : 0 }])
  await playReal(page, html, {
    aid: drives('xPx', { on: 'transform', fn: 'translateZ' }, 1),
    bee: drives('y', { on: 'opacity' }, -0.5),
    cat: drives('xPx', { on: 'transform', fn: 'rotate' }, 0.1),
  })
  const shown = () =>
    page.evaluate(() => {
      const card = document.querySelector('.card') as HTMLElement
      const style = getComputedStyle(card)
      const own = Number(style.getPropertyValue('--own-opacity'))
      const { b, a } = new DOMMatrix(style.transform)
      return [(Math.atan2(b, a) * 180) / Math.PI, Number(style.opacity) / own].map((each) => Math.round(each * 100) / 100)
    })
  await page.mouse.move(100, 150)
  await eventually(shown).toEqual([10, 0.75])
  await page.mouse.move(300, 60)
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))))
  expect(await shown()).toEqual([30, 0.9])
})

/** A page of a form with the pointer of a visitor, or of the designer in the studio. */
interface Visited extends Place {
  readonly names: readonly string[]
}

/** The numbers of the effects that are looked at on a form: all of them, or one, another on each form. */
const looked = (form: Form) => new Set(inTurn([...judgedOn(form, true).keys()], forms.indexOf(form), 1))

/** Compares all that is computed with what the core says, at nine places of each effect's area; and has the wash come. */
async function judge(page: Page, form: Form, visited: Visited, grounds: readonly Ground[]): Promise<void> {
  const { surface, move, names } = visited
  for (const [index, judged] of judgedOn(form, true).entries())
    if (looked(form).has(index)) await judgeAtRest(visited, judged, names[index] ?? '', grounds[index])
  // The wash comes by the stylesheet alone.
  const print = `.${classIn(form, 'print')}`
  const over = () => surface.evaluate((select) => Number(getComputedStyle((document.querySelector(select) as Element).parentElement as Element, '::after').opacity || getComputedStyle(document.querySelector(select) as Element, '::after').opacity), print) // prettier-ignore
  const box = await surface.evaluate(
    (select) => (document.querySelector(select) as Element).getBoundingClientRect().toJSON() as DOMRect,
    print,
  )
  await move(box.x + box.width / 2, box.y + box.height / 2)
  await eventually(over).toBeGreaterThan(0)
  await move(4, 700)
  await page.waitForTimeout(30)
}

for (const [number, form] of forms.entries()) {
  test(
    `on a page that ${form.that}, ${isLong ? 'every kind is' : 'all kinds play, and one of them is'} what the core says: exported, at nine places`,
    number % 3 === 1 ? long : {},
    async ({ page }, info) => {
      await page.setViewportSize({ width: 1280, height: 720 })
      const html = pageOf(form)
      await page.setContent(html)
      if (form.then) await page.evaluate(form.then)
      const grounds = await groundsOn(page, judgedOn(form, true))
      await page.mouse.move(4, 700)
      const [before, bare] = [await page.evaluate(computedOfAll), await page.screenshot({ animations: 'disabled' })]
      const all = [...effectsOf(judgedOn(form, true)), washOn(form, true)]
      await openAlone(page, html, all, info.outputPath('page.html'))
      if (form.then) await page.evaluate(form.then)
      await judge(page, form, { surface: page, move: (x, y) => page.mouse.move(x, y), names: namesOn(all) }, grounds)
      // Those that leave nothing behind while the pointer is away do so by pixel.
      if (!isLong && number % 3 !== 0) return
      const quiet = judgedOn(form, true).filter(({ kind }) => !['fold', 'grain-light', 'wipe'].includes(kind))
      await openAlone(page, html, [...effectsOf(quiet), washOn(form, true)], info.outputPath('quiet.html'))
      if (form.then) await page.evaluate(form.then)
      for (const { places: nine } of grounds) for (const { x, y, isHit } of nine) if (isHit) await page.mouse.move(x, y)
      await page.mouse.move(4, 700)
      await eventually(async () => shareApart(page, bare, await page.screenshot({ animations: 'disabled' }))).toBeLessThan(5e-4)
      const places = (list: readonly string[]) => list.map((each) => (JSON.parse(each) as string[]).slice(0, 5))
      expect(places(await page.evaluate(computedOfAll))).toEqual(places(before))
    },
  )

  test(
    `on a page that ${form.that}, ${isLong ? 'every kind is' : 'all kinds play, and one of them is'} what the core says: in the studio, at nine places`,
    number % 12 === 1 ? {} : long,
    async ({ page, house }) => {
      await page.setViewportSize({ width: 1280, height: 720 })
      const html = pageOf(form)
      await page.setContent(html)
      if (form.then) await page.evaluate(form.then)
      const grounds = await groundsOn(page, judgedOn(form, true))
      await page.setViewportSize({ width: 1600, height: 1100 })
      const all = [...effectsOf(judgedOn(form, true)), washOn(form, true)]
      await page.goto(await house.addSite(`form-${forms.indexOf(form)}`, html, all))
      const surface = await stageOf(page)
      if (form.then) await surface.evaluate(form.then)
      await judge(page, form, { surface, move: (x, y) => movePointer(page, x, y), names: namesOn(all) }, grounds)
    },
  )
}

// In `npm test` these are the forms that are not exported there.
for (const form of forms.filter((_, number) => isLong || number % 3 === 1))
  test(`on a page that ${form.that}, every kind is what the core says at moments in motion, and leaves nothing behind`, async ({ page }) => {
    await page.setViewportSize({ width: 1280, height: 720 })
    const html = pageOf(form)
    await page.setContent(html)
    if (form.then) await page.evaluate(form.then)
    // No real pointer is there, so the page shows no state of its own.
    const all = judgedOn(form, false).map((each) => ({ ...each, ownOn: undefined }))
    const grounds = await groundsOn(page, all)
    const before = await page.evaluate(computedOfAll)
    const rigs = Object.fromEntries(all.map((each) => [each.kind, rigOf(each)]))
    const driven = await drive(page, html, rigs)
    if (form.then) await page.evaluate(form.then)
    let start = 100
    for (const [index, judged] of all.entries()) {
      const ground = grounds[index]
      const [from, to] = [ground?.places.find(({ isHit }) => isHit), ground?.places.findLast(({ isHit }) => isHit)]
      if (!ground || !from || !to) throw new Error('It cannot be pointed at.')
      // In from one end, to the other 200 ms later, and looked at on the way.
      const samples = [{ t: start, ...from }, { t: start + 200, ...to }]
      const times = [start + 16, start + 90, start + 216, start + 290, start + 380]
      const expected = expectedOf(judged, ground, samples, times, driven.byCssOf[index] ?? [])
      let next = 0
      for (const [i, t] of times.entries()) {
        for (let sample = samples[next]; sample && sample.t <= t; sample = samples[++next]) await driven.hear({ t: sample.t, x: sample.x, y: sample.y })
        await driven.frame(t)
        const { worst, told } = await apartOn(page, judged.kind, rigOf(judged).areas[0]?.select ?? '', expected[i] ?? [], ground.own, undefined)
        expect(worst, `${judged.kind} at ${t - start} ms: ${told}`).toBeLessThan(mostApart)
      }
      // Away from all of them, until the next.
      await driven.hear({ t: start + 1000, x: 4, y: 700 })
      for (const t of [start + 1016, start + 3000]) await driven.frame(t)
      start += 4000
    }
    await driven.hear({ t: start, x: 4, y: 700 })
    for (const t of [start + 16, start + 9000, start + 18_000]) await driven.frame(t)
    await driven.detach()
    const apart = (await page.evaluate(computedOfAll)).flatMap((each, i) => {
      const [now, was] = [JSON.parse(each) as string[], JSON.parse(before[i] ?? '[]') as string[]]
      return now.filter((value, n) => value !== was[n]).map((value) => `${now[0] ?? ''} ${value}`)
    })
    expect(apart).toEqual([])
  }) // prettier-ignore
