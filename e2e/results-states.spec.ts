// Results of what is met, from starters: walked through the interface, acts counted, and the exported page tried by itself.
import type { Page } from '@playwright/test'
import { countingHand, openExport, openStarter, openStarters } from './support/acts'
import { eventually, expect, test } from './support/house'
import { moveOver, movePointer, stageOf } from './support/stage'

const styleOf = (surface: Page, select: string, property: string, index = 0) =>
  surface
    .locator(select)
    .nth(index)
    .evaluate((element, name) => getComputedStyle(element).getPropertyValue(name), property)
const boxOf = async (surface: Page, select: string, index = 0) => {
  const box = await surface.locator(select).nth(index).boundingBox()
  if (!box) throw new Error(`There is no ${select}.`)
  return box
}
const chosen = (surface: Page, select: string) =>
  surface
    .locator(select)
    .evaluateAll((all) => all.flatMap((each, i) => (each.getAttributeNames().some((name) => name.endsWith('-chosen')) ? [i] : [])))

test('the pointer anywhere in the window chooses one of four, between margins, and what is linked changes with it, in five acts', async ({
  page,
  house,
}, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'stations')
  await hand.pointAt(frame, '.station-2', 0.5, 0.8)
  await hand.clickOn(/^Across the window/)
  await hand.drag('Margins at the sides', 60)
  await hand.pointRole(frame, 'linked element', '.station-text-2')
  expect(hand.count()).toBeLessThanOrEqual(5)
  await movePointer(page, 420, 300, 4)
  await expect(page.getByText(/x 0\.\d\d\s+y 0\.\d\d\s+pointer, on, zone \d/)).toBeVisible()

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  await eventually(() => chosen(alone, '.station')).toEqual([0])
  const margin = await alone.evaluate(() =>
    Number(/zoneOf\(at, \[[^,]+, (\d+)/.exec(document.scripts[document.scripts.length - 1]?.textContent ?? '')?.[1]),
  )
  expect(margin).toBeGreaterThan(20)
  const width = await alone.evaluate(() => innerWidth)
  for (const [x, which] of [
    [margin + (width - 2 * margin) * 0.4, 1],
    [margin + (width - 2 * margin) * 0.7, 2],
    [width - 5, 3],
    [5, 0],
  ] as const) {
    await alone.mouse.move(x, 600)
    await eventually(() => chosen(alone, '.station')).toEqual([which])
    expect(await chosen(alone, '.station-text')).toEqual([which])
    await eventually(() => styleOf(alone, '.station-text', 'opacity', which)).toBe('1')
    await eventually(() => styleOf(alone, '.station-text', 'visibility', (which + 1) % 4)).toBe('hidden')
  }
  // In the margin the last one stays.
  await alone.mouse.move(width - 5, 300)
  await eventually(() => chosen(alone, '.station')).toEqual([3])
})

test('ten rows that roll in from the side they are entered by, each with its picture, nothing left after a sweep, in seven acts', async ({
  page,
  house,
}, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'rows')
  await hand.pointAt(frame, '.row', 0.4, 0.5)
  await hand.clickOn(/^Rolled over/)
  expect(hand.count()).toBeLessThanOrEqual(7)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const out = () =>
    alone.locator('.row-on').evaluateAll((all) => all.filter((each) => getComputedStyle(each).visibility === 'hidden').length)
  const shots = () => alone.locator('.row > [data-part]').count()
  await eventually(out).toBe(10)
  const { x, y, height } = await boxOf(alone, '.row', 4)
  await alone.mouse.move(x + 200, y + height + 30)
  await alone.mouse.move(x + 200, y + height - 4)
  await eventually(() => styleOf(alone, '.row-on', 'visibility', 4)).toBe('visible')
  await eventually(() => styleOf(alone, '.row-on', 'transform', 4)).toBe('matrix(1, 0, 0, 1, 0, 0)')
  expect(await styleOf(alone, '.row-off', 'visibility', 4)).toBe('hidden')
  expect(await styleOf(alone, '.row > [data-part] > [data-part]', 'background-image')).toContain('data:image/svg')
  for (let sweep = 0; sweep < 6; sweep++) await alone.mouse.move(x + 200, sweep % 2 ? 20 : 700, { steps: 3 })
  await alone.mouse.move(x - 20, 5)
  await eventually(out).toBe(10)
  await eventually(shots).toBe(0)
})

test('information that comes up beside a button, can be moved onto, and goes its way, in four acts', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'note')
  await hand.pointAt(frame, '.note-anchor')
  await hand.clickOn(/^Comes up, and goes on/)
  expect(hand.count()).toBeLessThanOrEqual(4)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const shows = () => styleOf(alone, '.note', 'display')
  await eventually(shows).toBe('none')
  const anchor = await boxOf(alone, '.note-anchor')
  await alone.mouse.move(anchor.x + 20, anchor.y + 10)
  await eventually(shows).toBe('block')
  await eventually(() => styleOf(alone, '.note', 'translate')).toBe('0px')
  const lies = await boxOf(alone, '.note')
  expect(lies.y + lies.height).toBeCloseTo(anchor.y - 10, 0)
  await alone.mouse.move(lies.x + 40, lies.y + 20)
  await alone.waitForTimeout(500)
  expect(await shows()).toBe('block')
  await alone.mouse.move(5, 700)
  await eventually(shows).toBe('none')
  expect(await styleOf(alone, '.note', 'translate')).toBe('0px -7px')
})

test('a hover look on what is met, with the others dimmed, and a pull on it, side by side on one page', async ({ page, house }, info) => {
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
})

test('a note that the page does not show is pointed at in the bare view', async ({ page, house }) => {
  const html =
    '<!doctype html><html lang="en"><head><meta charset="utf-8"><title>A word</title><style>body { padding: 200px } .info { display: none }</style></head><body><p>A <a class="word" href="#w">word</a><span class="info">What it means.</span> in a line.</p></body></html>'
  const hand = countingHand(page)
  await page.goto(await house.addSite('a-word', html))
  const frame = await stageOf(page)
  await hand.pointAt(frame, '.word')
  await hand.clickOn(/^Comes up, and goes on/)
  const word = page.getByRole('button', { name: 'Which elements are the note (uses elements of your page)' })
  await word.click()
  await page.getByRole('menuitem', { name: /^point at something/i }).click()
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
