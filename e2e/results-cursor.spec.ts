// Results at the pointer, from starters: walked through the interface, acts counted, and the exported page tried by itself.
import { overShape } from '../src/core/effect/cursor/settings'
import { effectOf, settingsOf } from './support/alone'
import { countingHand, openExport, openStarter } from './support/acts'
import { eventually, expect, test } from './support/house'
import { stageOf } from './support/stage'

test('a dot for a cursor that becomes a labelled disc over a picture that is a link, while the picture grows, in six acts', async ({
  page,
  house,
}, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'picture-link')
  await hand.pointAt(frame, '.picture-link', 0.5, 0.5)
  await hand.clickOn(/^A disc with a word/)
  await hand.choose(/^What it says/, /its label/i)
  await hand.pointAt(frame, '.picture-link img', 0.4, 0.5)
  await hand.clickOn(/^Sprung/)
  expect(hand.count()).toBeLessThanOrEqual(6)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const shape = alone.locator('.cursor-shape')
  const size = async () => (await shape.boundingBox())?.width
  await alone.mouse.move(20, 20)
  await eventually(size).toBe(14)
  expect(await alone.locator('body').evaluate((element) => getComputedStyle(element).cursor)).toBe('none')
  await alone.mouse.move(640, 300)
  await eventually(size).toBe(72)
  expect(await alone.locator('.cursor-text').textContent()).toBe('Read the story')
  await eventually(() => alone.locator('.picture-link img').evaluate((element) => Number(getComputedStyle(element).scale))).toBeCloseTo(
    1.07,
    2,
  )
  // Where the disc is, is where the pointer is; what lies below it is a link still.
  const box = await shape.boundingBox()
  expect(box && [box.x + box.width / 2, box.y + box.height / 2]).toEqual([640, 300])
  await alone.mouse.click(640, 300)
  await eventually(() => alone.url()).toContain('#story')
  await alone.mouse.move(20, 20)
  await eventually(size).toBe(14)
})

test('a trail of shrinking pieces that fizzes when the pointer rests, in four acts', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'dark')
  await hand.pointAt(frame, '.dark-section', 0.1, 0.9)
  await hand.clickOn(/^On a string/)
  await hand.choose(/^When the pointer rests/, /they fizz/i)
  await hand.drag('How many', 20)
  expect(hand.count()).toBeLessThanOrEqual(4)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const pieces = alone.locator('.dark-section-trail-piece')
  await alone.mouse.move(200, 200)
  await eventually(() => pieces.count()).toBeGreaterThan(9)
  const sizes = await pieces.evaluateAll((all) => all.map((element) => parseFloat(getComputedStyle(element, '::before').width)))
  expect(sizes[0]).toBe(18)
  expect(sizes.at(-1)).toBe(5)
  expect([...sizes].sort((one, other) => other - one)).toEqual(sizes)
  const fizzing = () => alone.evaluate(() => document.getAnimations().filter((each) => each instanceof CSSAnimation).length)
  await eventually(fizzing).toBe(sizes.length)
  await alone.mouse.move(260, 240)
  await eventually(fizzing).toBe(0)
})

test('what the cursor says is another text for one of the elements', async ({ page, house }, info) => {
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

test('a lens over a picture, stronger than it was, in three acts', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'picture-link')
  await hand.pointAt(frame, '.picture-link img', 0.5, 0.5)
  await hand.clickOn(/^Hand lens/)
  await hand.drag('So many times as large', 20)
  expect(hand.count()).toBeLessThanOrEqual(3)
  const lens = frame.locator('[class$="-hand"]')
  await eventually(() => lens.evaluate((each) => getComputedStyle(each).opacity)).toBe('1')
  const zoomIn = (near: Element) => new DOMMatrix(getComputedStyle(near).transform).a
  const zoom = await frame.locator('[class$="-near"]').evaluate(zoomIn)
  expect(zoom).toBeGreaterThan(2.5)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  await alone.mouse.move(640, 300)
  const seen = alone.locator('[class$="-hand"]')
  await eventually(() => seen.evaluate((each) => getComputedStyle(each).opacity)).toBe('1')
  const box = await alone.locator('[class$="-lens"]').boundingBox()
  expect(box && [box.x + box.width / 2, box.y + box.height / 2, box.width]).toEqual([640, 300, 190])
  expect(await alone.locator('[class$="-near"]').evaluate(zoomIn)).toBe(zoom)
  await alone.mouse.click(640, 300)
  await eventually(() => alone.url()).toContain('#story')
})
