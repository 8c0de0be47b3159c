// Results that designers come for, from starters: walked through the interface, acts counted, and the exported page tried by itself.
import { countingHand, middleOf, openExport, openStarter } from './support/acts'
import { eventually, expect, test } from './support/house'
import { leanOf } from './support/stage'

test('a card that leans smoothly, in two acts', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'card')
  await hand.pointAt(frame, '.card', 0.95, 0.1)
  await hand.clickOn(/^Give way/)
  expect(hand.count()).toBeLessThanOrEqual(2)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const box = await alone.locator('.card').evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
  await alone.mouse.move(box.right - 1, box.y + box.height / 2)
  await eventually(async () => (await leanOf(alone, '.card', 0)).rotateY).toBeCloseTo(9, 0)
  await alone.mouse.move(box.right + 60, box.bottom + 60)
  // Smoothly: a moment later it is between its lean and lying flat.
  expect((await leanOf(alone, '.card', 0)).rotateY).toBeGreaterThan(1)
  await eventually(async () => (await leanOf(alone, '.card', 0)).rotateY).toBeCloseTo(0, 2)
})

test('a card that leans and waits in a chosen pose, in three acts', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'card')
  const middle = await middleOf(frame, '.card')
  const box = await frame.locator('.card').evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
  await hand.pointAt(frame, '.card', 0.95, 0.1)
  await hand.clickOn(/^Give way/)
  await hand.dragOnPage(middle, { x: middle.x - 0.35 * box.width, y: middle.y })
  await expect(page.getByRole('button', { name: 'When away: it waits at the pin' })).toBeVisible()
  expect(hand.count()).toBeLessThanOrEqual(3)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  await eventually(async () => (await leanOf(alone, '.card', 0)).rotateY).toBeCloseTo(-0.7 * 9, 1)
  const away = await middleOf(alone, '.card')
  await alone.mouse.move(away.x + 0.44 * box.width, away.y)
  await eventually(async () => (await leanOf(alone, '.card', 0)).rotateY).toBeGreaterThan(7)
  await alone.mouse.move(5, 5)
  await eventually(async () => (await leanOf(alone, '.card', 0)).rotateY).toBeCloseTo(-0.7 * 9, 1)
})
