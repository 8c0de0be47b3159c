// Kinds in the studio: what single ones ask of the hand there, and what leaves.
import type { Locator } from '@playwright/test'
import { overShape } from '../src/core/effect/cursor/settings'
import { kinds } from '../src/core/effect/kinds'
import { effectOf, settingsOf } from './support/alone'
import { countingHand, middleOf, openExport, openStarters } from './support/acts'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { boxOf, styleOf } from './support/readings'
import { toStudio, cardsPage, clickOnPage, moveOver, movePointer, stageOf } from './support/stage'

test('what the cursor says is another text for one of the elements', long, async ({ page, house }, info) => {
  const html =
    '<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Doors</title><style>.door { display: block; width: 300px; height: 120px; margin: 40px; background: #e3cfa2 }</style></head><body><a class="door" href="#one">North</a><a class="door" href="#two">South</a></body></html>'
  const cursor = effectOf('cursor', 'body', settingsOf('cursor', { blendMs: 0, shapes: [overShape('shape-1')] }), {
    roles: { 'shape-1': { select: '.door', noun: 'each door' } },
  })
  const address = await house.addSite('doors', html, [cursor])
  await page.goto(address)
  await stageOf(page)
  await page.getByRole('button', { name: 'More', exact: true }).click()
  const each = page.getByRole('group', { name: 'Per element' })
  await each.getByRole('button', { name: /^2, South/ }).click()
  await each.getByLabel(/^Per element:/).fill('Walk in')
  await page.keyboard.press('Enter')
  await expect(each.getByRole('button', { name: /^2, South: Walk in/ })).toBeVisible()
  await expect(page.getByText('· saved')).toBeVisible()

  const alone = await openExport(page, address.replace('/studio/', '/export/'), info.outputPath('page.html'))
  for (const [index, says] of ['Open', 'Walk in'].entries()) {
    const box = await alone.locator('.door').nth(index).boundingBox()
    await alone.mouse.move((box?.x ?? 0) + 150, (box?.y ?? 0) + 60)
    await eventually(() => alone.locator('.cursor-text').textContent()).toBe(says)
  }
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
  await toStudio(page, await house.addSite('apart', html, [wipe]))
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

test('how much a panel grows is dragged at its edge on the page', long, async ({ page, house }) => {
  const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Row</title><style>body { margin: 0 } .row { display: flex; width: 1000px; height: 300px } .panel { flex: 1; min-width: 0; background: #cdc }</style></head><body><div class="row">${'<section class="panel"><p>words</p></section>'.repeat(4)}</div></body></html>`
  await toStudio(page, await house.addSite('factor', html, [effectOf('spread', '.panel', settingsOf('spread', { panels: 4, gapPx: 0 }))]))
  const frame = await stageOf(page)
  const number = page.getByRole('spinbutton', { name: 'It grows to' })
  await number.focus()
  const firstBox = () =>
    frame
      .locator('.panel')
      .first()
      .evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
  // Its edge is dragged where it stands once the panel has grown.
  const middle = await middleOf(frame, '.panel')
  await eventually(async () => {
    await movePointer(page, middle.x, middle.y)
    return (await firstBox()).width
  }).toBeCloseTo((2.4 / 5.4) * 1000, 0)
  const box = await firstBox()
  const hand = countingHand(page)
  await hand.dragOnPage({ x: box.right, y: box.height / 2 }, { x: box.right + 60, y: box.height / 2 })
  await eventually(async () => Number((await number.getAttribute('aria-valuenow')) ?? 0)).toBeGreaterThan(2.5)
})

test(
  'a hover look on what is met, with the others dimmed, and a pull on it, side by side on one page',
  long,
  async ({ page, house }, info) => {
    const hand = countingHand(page)
    const { frame, exported } = await openStarters(page, house, 'card-grid')
    await hand.pointAt(frame, '.grid-card', 0.5, 0.8)
    await hand.clickOn(/all 6 like it/)
    await hand.clickOn(/^Only this one/)
    await hand.pointAt(frame, '.grid-card', 0.5, 0.8)
    await hand.clickOn(/all 6 like it/)
    await hand.clickOn(/^Drawn near/)
    const alone = await openExport(page, exported, info.outputPath('page.html'))
    const box = await boxOf(alone, '.grid-card', 1)
    await alone.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2)
    await eventually(() => styleOf(alone, '.grid-card', 'scale', 1)).toBe('1.03')
    await eventually(() => styleOf(alone, '.grid-card', 'opacity', 0)).toBe('0.45')
    await eventually(async () => Number((await styleOf(alone, '.grid-card', 'transform', 1)).split(', ')[4])).toBeCloseTo(40 * 0.32, 0)
  },
)

test('what an effect holds goes with it, where it is put on all after it was tried on one', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarters(page, house, 'picture-grid')
  await hand.pointAt(frame, '.picture-card', 0.5, 0.4)
  // The word is clicked in the moment in which it is there: it opens, though the page has not been searched yet.
  await page.evaluate(() => {
    const seen = new MutationObserver(() => {
      const word = document.querySelector<HTMLElement>('button[aria-label$=": this picture-card"]')
      if (!word) return
      seen.disconnect()
      word.click()
    })
    seen.observe(document.body, { childList: true, subtree: true })
  })
  await hand.clickOn(/^A closer look/)
  await hand.clickOn(/all 6: each picture-card/i, 'menuitem')
  await expect(page.getByRole('button', { name: /^Which elements .*: each picture-card, 6$/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Which elements .*: its picture, 6$/ })).toBeVisible()
  const alone = await openExport(page, exported, info.outputPath('page.html'))
  for (const index of [0, 3, 5]) {
    const box = await boxOf(alone, '.picture-card', index)
    await alone.mouse.move(box.x + box.width / 2, box.y + box.height / 2, { steps: 3 })
    await eventually(() => styleOf(alone, '.picture-card img', 'scale', index)).toBe('1.18')
  }
})

test('a note that the page does not show is pointed at in the bare view', long, async ({ page, house }) => {
  const html =
    '<!doctype html><html lang="en"><head><meta charset="utf-8"><title>A word</title><style>body { padding: 200px } .info { display: none }</style></head><body><p>A <a class="word" href="#w">word</a><span class="info">What it means.</span> in a line.</p></body></html>'
  const hand = countingHand(page)
  await toStudio(page, await house.addSite('a-word', html))
  const frame = await stageOf(page)
  await hand.pointAt(frame, '.word')
  await hand.clickOn(/^Comes up, and goes on/)
  const word = page.getByRole('button', { name: 'Which elements are the note (uses elements of your page)' })
  await expect(word).toHaveText('point at the note')
  await word.click()
  await page.keyboard.down('b')
  await expect(frame.locator('.info')).toBeVisible()
  // The page gets the focus as the button goes down; the view lasts as long as its key is held.
  await moveOver(page, frame, '.info')
  await page.mouse.down()
  await page.waitForTimeout(150)
  await page.mouse.up()
  await page.keyboard.up('b')
  await expect(word).toHaveText(/this info/)
  // It comes up now, and is not there without the pointer.
  await expect(frame.locator('.info')).toBeHidden()
  await moveOver(page, frame, '.word')
  await expect(frame.locator('.info')).toBeVisible()
})

/** What of a panel goes over its right side, or is cut off at a side of its own. */
const cutIn = (panel: Locator) =>
  panel.evaluate((element) => {
    const { right } = element.getBoundingClientRect()
    const isCut = (each: Element) =>
      each.localName !== 'input' && getComputedStyle(each).overflowX !== 'visible' && each.scrollWidth > each.clientWidth + 1
    return [...element.querySelectorAll('*')]
      .filter((each) => each.getBoundingClientRect().right > right + 0.5 || isCut(each))
      .map((each) => each.getAttribute('aria-label') ?? each.textContent)
  })

test('no row of any kind is cut off, in a panel as narrow as it is from the start', long, async ({ page, house }) => {
  // None of them plays: it is their words that are looked at.
  const all = kinds
    .filter(({ id }) => id !== 'free')
    .map(({ id }) => effectOf(id, '.card', settingsOf(id, { windowWidth: 'between' }), { isOff: true }) as { readonly id: string })
  await toStudio(page, await house.addSite('whole-rows', cardsPage, all))
  await stageOf(page)
  await page.getByRole('button', { name: 'More', exact: true }).click()
  for (const [i, { id }] of all.entries()) {
    const inList = page.getByRole('navigation', { name: 'Effects' }).getByRole('button', { name: new RegExp(`^Effect ${i + 1}:`) })
    await inList.click()
    const panel = page.getByRole('complementary', { name: `More of effect ${i + 1}` })
    await expect(panel).toBeVisible()
    const folded = panel.locator('h3 button[aria-expanded=false]')
    while ((await folded.count()) > 0) await folded.first().click()
    expect(await cutIn(panel), id).toEqual([])
  }
})

test('what an effect waits for is asked for in its caption and by its check, and is pointed at from there', async ({ page, house }) => {
  const hand = countingHand(page)
  const { frame } = await openStarters(page, house, 'card', 'buttons')
  await hand.pointAt(frame, '.card', 0.9, 0.9)
  await hand.clickOn(/^Two sides/)
  const hole = page.getByRole('button', { name: 'Which elements are the back (uses elements of your page): point at the other layer' })
  await expect(hole).toBeVisible()
  // Nothing is cut meanwhile.
  expect(await styleOf(frame, '.card', 'clip-path')).toBe('none')
  await page.getByRole('button', { name: /^1 check$/ }).click()
  await expect(page.getByText('Effect 1 has no back yet, and waits for it.')).toBeVisible()
  await page.getByRole('button', { name: 'Point at the other layer', exact: true }).click()
  await clickOnPage(page, frame, '.buttons', 0.02, 0.5)
  await expect(page.getByRole('button', { name: /^Which elements are the back/ })).toHaveText(/buttons/)
  await expect(hole).toHaveCount(0)
})

test('bare ground means the page: a lamp lights all of the window', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarters(page, house, 'links')
  await page.keyboard.press('p')
  const under = page.getByRole('region', { name: 'Under the pointer' })
  await expect(async () => {
    await movePointer(page, 640, 600)
    await expect(under.getByRole('listitem').first()).toHaveText(/page/, { timeout: 1000 })
  }).toPass()
  await page.mouse.down()
  await page.mouse.up()
  await hand.clickOn(/^Hand lamp/)
  await expect(page.getByRole('button', { name: /^Which elements are the .*this page/ })).toBeVisible()
  // A link that is pointed at is the first choice, and its menu has words.
  await hand.pointAt(frame, '.link')
  await expect(page.getByRole('button', { name: /this link alone/ })).toHaveAttribute('aria-pressed', 'true')
  await expect(page.getByRole('button', { name: /all 5 links of this menu/ })).toBeVisible()
  await expect(page.getByText('On your site this link goes to')).toHaveCount(0)
  await page.keyboard.press('Escape')
  const alone = await openExport(page, exported, info.outputPath('page.html'))
  await alone.mouse.move(300, 650)
  const dark = () => alone.evaluate(() => document.querySelector('[data-part]')?.getBoundingClientRect().height)
  await eventually(dark).toBe(800)
})
