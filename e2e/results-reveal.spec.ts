// Results of what gives way, from starters: walked through the interface, acts counted, and the exported page tried by itself.
import type { Page } from '@playwright/test'
import { starters } from '../src/core/page/starters'
import { effectOf, settingsOf } from './support/alone'
import { countingHand, middleOf, openExport, openStarter, openStarters } from './support/acts'
import { eventually, expect, test } from './support/house'
import { movePointer, stageOf } from './support/stage'

const boxOf = async (page: Page, select: string, index = 0) => {
  const box = await page.locator(select).nth(index).boundingBox()
  if (!box) throw new Error(`There is no ${select}.`)
  return box
}
const openMore = (page: Page) => page.getByRole('button', { name: 'More', exact: true }).click()

test('three tall pictures that travel in their frames at one pace, by tap too, in three acts', async ({ page, house, browser }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'tall-pictures')
  await hand.pointAt(frame, '.tall-frame img', 0.5, 0.2)
  await hand.clickOn(/all 3 like it/)
  await hand.clickOn(/^One pace/)
  expect(hand.count()).toBeLessThanOrEqual(3)

  const file = info.outputPath('page.html')
  const alone = await openExport(page, exported, file)
  const goingOf = (surface: Page, i: number) =>
    surface.evaluate((index) => {
      const image = document.querySelectorAll('.tall-frame img')[index] as HTMLElement
      const away = image.offsetHeight - (image.parentElement as HTMLElement).clientHeight
      const ms = Number(image.getAnimations()[0]?.effect?.getComputedTiming().duration ?? 0)
      return { away, pace: ms > 0 ? Math.round((away / ms) * 1000) : 0 }
    }, i)
  const ways: number[] = []
  for (const i of [0, 1, 2]) {
    const box = await boxOf(alone, '.tall-frame', i)
    await alone.mouse.move(box.x + 50, box.y + 50)
    await eventually(async () => (await goingOf(alone, i)).pace).toBe(140)
    ways.push((await goingOf(alone, i)).away)
  }
  expect(new Set(ways).size).toBe(3)
  const phone = await browser.newContext({ hasTouch: true, isMobile: true, viewport: { width: 900, height: 700 } })
  const touched = await phone.newPage()
  await touched.goto(`file://${file}`)
  const box = await boxOf(touched, '.tall-frame', 1)
  await touched.touchscreen.tap(box.x + 60, box.y + 60)
  await eventually(async () => (await goingOf(touched, 1)).pace).toBe(140)
  await phone.close()
})

test('a row of six panels of which the met one grows, contents unseen until then, films playing only then, in five acts', async ({
  page,
  house,
}, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'panels')
  await hand.pointAt(frame, '.panel-3', 0.5, 0.8)
  await hand.clickOn(/^One opens/)
  await expect(page.getByText(/the caption can put it on others/)).toBeVisible()
  await openMore(page)
  await hand.choose(/^Moving pictures play/, 'while it is open')
  expect(hand.count()).toBeLessThanOrEqual(5)

  await page.context().addInitScript(() => {
    const played: string[] = []
    Object.assign(window, { played })
    const note = (what: string) =>
      function (this: HTMLMediaElement) {
        played.push(`${what} ${[...document.querySelectorAll('video')].indexOf(this as HTMLVideoElement)}`)
        return Promise.resolve()
      }
    HTMLMediaElement.prototype.play = note('play')
    HTMLMediaElement.prototype.pause = function (this: HTMLMediaElement) {
      void note('pause').call(this)
    }
  })
  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const widths = () => alone.locator('.panel').evaluateAll((all) => all.map((each) => each.getBoundingClientRect().width))
  const seen = () => alone.locator('.panel-content').evaluateAll((all) => all.map((each) => getComputedStyle(each).opacity))
  const played = () => alone.evaluate(() => (window as unknown as { played: string[] }).played.splice(0))
  await eventually(seen).toEqual(['0', '0', '0', '0', '0', '0'])
  const box = await boxOf(alone, '.panel', 1)
  await alone.mouse.move(box.x + 50, box.y + 200)
  await eventually(seen).toEqual(['0', '1', '0', '0', '0', '0'])
  // Within paddings of 22 px it is 2.4 times as wide as the others, and its words have just the width that is there.
  await eventually(async () => {
    const [first = 0, open = 0] = await widths()
    return Math.round(((open - 44) / (first - 44)) * 100) / 100
  }).toBe(2.4)
  const [open, content] = [await boxOf(alone, '.panel', 1), await boxOf(alone, '.panel-content', 1)]
  expect(content.width).toBeCloseTo(open.width - 44, 0)
  expect((await played()).filter((each) => each.startsWith('play'))).toEqual(['play 1'])
  await alone.mouse.move(box.x + 50, 700)
  await eventually(seen).toEqual(['0', '0', '0', '0', '0', '0'])
  expect((await played()).at(-1)).toMatch(/^pause/)
})

test('on two pages of a site, of other markup each, frames draw in while their pictures grow, and the site’s own fade goes on, in six acts', async ({
  page,
  house,
}, info) => {
  const grid = starters.find(({ id }) => id === 'picture-grid')
  const fade = 'img { opacity: 0; transition: opacity 0.6s } img.is-there { opacity: 1 }'
  const there =
    '<script>addEventListener("load", () => document.querySelectorAll("img").forEach((each) => each.classList.add("is-there")))</script>'
  const pageOf = (css: string, body: string) =>
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>A site</title><style>${fade}\n${css}</style></head><body>${body}${there}</body></html>`
  const source = /src="([^"]+)"/.exec(grid?.html ?? '')?.[1] ?? ''
  const list = Array.from(
    { length: 4 },
    (_, i) => `<li><a class="work" href="#w${i}"><span class="plate"><img alt="" src="${source}"></span>Work ${i + 1}</a></li>`,
  )
  const other = pageOf(
    'ul { list-style: none } .plate { display: block; width: 300px; height: 200px; overflow: hidden } .plate img { width: 100%; height: 100%; object-fit: cover; display: block }',
    `<ul>${list.join('')}</ul>`,
  )
  const url = await house.addSite('two-pages', pageOf(grid?.css ?? '', grid?.html ?? ''), [], { other })
  const { origin } = new URL(house.address)

  const hand = countingHand(page)
  await page.goto(url)
  await hand.pointAt(await stageOf(page), '.picture-card', 0.5, 0.4)
  await hand.clickOn(/all 6 like it/)
  await hand.clickOn(/^Even mount/)
  await expect(page.getByRole('status').filter({ hasText: /^· saved$/ })).toBeVisible()
  await page.goto(`${origin}/studio/two-pages/other`)
  await hand.pointAt(await stageOf(page), '.plate', 0.5, 0.4)
  await hand.clickOn(/all 4 /)
  await hand.clickOn(/^Even mount/)
  expect(hand.count()).toBeLessThanOrEqual(6)

  for (const [name, frame] of [
    ['page', '.picture-card'],
    ['other', '.plate'],
  ] as const) {
    const alone = await openExport(page, `${origin}/export/two-pages/${name}`, info.outputPath(`${name}.html`))
    const image = alone.locator(`${frame} img`).first()
    const styleOf = (property: string) => image.evaluate((element, each) => getComputedStyle(element).getPropertyValue(each), property)
    // The site's own fade is on its way, and comes to its end.
    await eventually(() => styleOf('opacity')).toBe('1')
    expect(await styleOf('transition-property')).toBe('opacity, clip-path, scale')
    expect((await styleOf('transition-duration')).split(', ')).toEqual(['0.6s', '0.34s', '0.34s'])
    const box = await boxOf(alone, frame)
    await alone.mouse.move(box.x + 3, box.y + 60)
    await eventually(() => styleOf('scale')).toBe('1.06')
    // The corners of the frame are kept.
    const round = frame === '.picture-card' ? ' round 9\\.43\\d*px' : ''
    await eventually(() => styleOf('clip-path')).toMatch(new RegExp(`^inset\\(calc\\(2\\.83\\d*% \\+ 11\\.32\\d*px\\)${round}\\)$`))
    await alone.mouse.move(box.x + 3, box.y + box.height + 300)
    await eventually(() => styleOf('scale')).toBe('none')
    await alone.close()
  }
})

test('three two-faced cards with a button on the back, kept as a preset and used again with other content, in five acts', async ({
  page,
  house,
}, info) => {
  const hand = countingHand(page)
  const { frame } = await openStarter(page, house, 'faces')
  await hand.pointAt(frame, '.two-faced', 0.5, 0.2)
  await hand.clickOn(/^Turned over/)
  await openMore(page)
  await hand.clickOn('Save as a preset')
  await expect(page.getByText('Turned over is kept as a preset', { exact: false })).toBeVisible()
  const other = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Other</title><style>body { margin: 40px } .tile { width: 240px; margin-bottom: 20px } .tile > div { padding: 20px; background: #dde } </style></head><body>${[1, 2].map((n) => `<section class="tile"><div><h3>Room ${n}</h3></div><div><p>A bed, a desk, and the window to the yard.</p><button>Book</button></div></section>`).join('')}</body></html>`
  await page.goto(await house.addSite('rooms', other))
  await hand.pointAt(await stageOf(page), '.tile', 0.5, 0.2)
  await page.getByRole('button', { name: 'Your presets' }).click()
  await hand.clickOn('Put it on this')
  expect(hand.count()).toBeLessThanOrEqual(5)

  const { origin } = new URL(house.address)
  const alone = await openExport(page, `${origin}/export/rooms/page`, info.outputPath('page.html'))
  const seen = (index: number) =>
    alone
      .locator('.tile')
      .nth(index)
      .evaluate((tile) => [...tile.children].map((face) => getComputedStyle(face).visibility))
  await eventually(() => seen(0)).toEqual(['visible', 'hidden'])
  const box = await boxOf(alone, '.tile', 1)
  await alone.mouse.move(box.x + 60, box.y + 20)
  await eventually(() => seen(1)).toEqual(['hidden', 'visible'])
  expect(await seen(0)).toEqual(['visible', 'hidden'])
  await alone.mouse.move(700, 700)
  await eventually(() => seen(1)).toEqual(['visible', 'hidden'])
  // By keys: the card, then the button on its back.
  await alone.keyboard.press('Tab')
  await eventually(() => seen(0)).toEqual(['hidden', 'visible'])
  await alone.keyboard.press('Tab')
  expect(await alone.evaluate(() => document.activeElement?.textContent)).toBe('Book')
  // Presets are for all sites: others shall find none of it.
  for (const { id } of (await (await page.request.get(`${origin}/api/presets`)).json()) as { id: string }[])
    await page.request.delete(`${origin}/api/presets/${id}`, { headers: { origin } })
})

test('cards in the starter’s own markup turn, and their buttons can be clicked', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarters(page, house, 'faces')
  await hand.pointAt(frame, '.two-faced', 0.5, 0.2)
  await hand.clickOn(/^From the side/)
  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const button = alone.locator('.two-faced button').nth(2)
  const box = await boxOf(alone, '.two-faced', 2)
  await alone.mouse.move(box.x - 8, box.y + 30)
  await alone.mouse.move(box.x + 20, box.y + 40, { steps: 3 })
  await expect(button).toBeVisible()
  let clicked = false
  await alone.exposeFunction('note', () => (clicked = true))
  await button.evaluate((element) => element.addEventListener('click', () => (window as unknown as { note: () => void }).note()))
  await button.click()
  await eventually(() => Promise.resolve(clicked)).toBe(true)
})

test('two layers that stand apart are laid over each other, as a change that is shown first; where the line waits is dragged on the page', async ({
  page,
  house,
}) => {
  const html = `<!doctype html>\n<html lang="en"><head><meta charset="utf-8"><title>Apart</title><style>body { margin: 0 } .day, .night { height: 200px; width: 600px } .day { background: #eda } .night { background: #123; color: #fff }</style></head>\n<body>\n<header>\n  <div class="night">At night</div>\n</header>\n<main>\n  <div class="day">By day</div>\n</main>\n</body></html>`
  const wipe = effectOf('wipe', '.day', settingsOf('wipe', { follow: { kind: 'direct' } }), {
    roles: { back: { select: '.night', noun: 'the night' } },
  })
  await page.goto(await house.addSite('apart', html, [wipe]))
  await stageOf(page)
  await page.getByRole('button', { name: 'Show the change' }).click()
  await expect(page.getByLabel('What changes in the markup')).toContainText('+  <div class="stacked">')
  await page.getByRole('button', { name: 'Lay them over each other' }).click()
  await expect(page.getByRole('button', { name: 'Lay them over each other' })).toBeHidden()
  const boxes = async () =>
    (await stageOf(page))
      .evaluate(() => ['.day', '.night'].map((select) => JSON.stringify(document.querySelector(select)?.getBoundingClientRect())))
      // The page is shown anew meanwhile.
      .catch(() => ['', 'not yet'])
  await eventually(async () => new Set(await boxes()).size).toBe(1)

  const frame = await stageOf(page)
  // The pin of the line stands at 8 % of its way; it is dragged to three quarters.
  const ground = await frame.locator('.stacked').evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
  const hand = countingHand(page)
  const at = (share: number) => ({ x: ground.x + share * ground.width, y: ground.y + ground.height / 2 })
  await hand.dragOnPage(at(0.08), at(0.75))
  await expect(page.getByRole('spinbutton', { name: 'It waits at' })).toHaveAttribute('aria-valuetext', /^7[456]%$/)
})

test('how much a panel grows is dragged at its edge on the page', async ({ page, house }) => {
  const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Row</title><style>body { margin: 0 } .row { display: flex; width: 1000px; height: 300px } .panel { flex: 1; min-width: 0; background: #cdc }</style></head><body><div class="row">${'<section class="panel"><p>words</p></section>'.repeat(4)}</div></body></html>`
  await page.goto(await house.addSite('factor', html, [effectOf('spread', '.panel', settingsOf('spread', { panels: 4, gapPx: 0 }))]))
  const frame = await stageOf(page)
  const number = page.getByRole('spinbutton', { name: 'It grows to' })
  await number.focus()
  const boxOf = () =>
    frame
      .locator('.panel')
      .first()
      .evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
  // Its edge is dragged where it stands once the panel has grown.
  const middle = await middleOf(frame, '.panel')
  await eventually(async () => {
    await movePointer(page, middle.x, middle.y)
    return (await boxOf()).width
  }).toBeCloseTo((2.4 / 5.4) * 1000, 0)
  const box = await boxOf()
  const hand = countingHand(page)
  await hand.dragOnPage({ x: box.right, y: box.height / 2 }, { x: box.right + 60, y: box.height / 2 })
  await eventually(async () => Number((await number.getAttribute('aria-valuenow')) ?? 0)).toBeGreaterThan(2.5)
})
