// The newcomer's path: from the printed address to code on the clipboard, every click, key and drag counted.
import { countingHand } from './support/acts'
import { expect, test } from './support/house'
import { leanOf, stageOf } from './support/stage'

test('a newcomer has working code for a tilt of all eight cards in at most eight acts, none typed', async ({
  page,
  ownHouse: house,
  browser,
}) => {
  const hand = countingHand(page)
  await page.goto(house.address)
  await expect(page).toHaveURL(/\/studio\/starters\/cards$/)
  await expect(page.getByText('Choose an element of the page, and what the pointer does to it.')).toBeVisible()
  const frame = await stageOf(page)
  const screen = await page.locator('iframe').boundingBox()
  const card = await frame
    .locator('.card')
    .nth(2)
    .evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
  if (!screen) throw new Error('The frame is not on the screen.')
  const scale = screen.width / 1280

  await hand.clickOn(/Point at something \(P\)/)
  const [x, y] = [screen.x + (card.x + card.width * 0.8) * scale, screen.y + (card.y + card.height * 0.2) * scale]
  // A hand clicks once it sees that the page answers.
  const under = page.getByRole('region', { name: 'Under the pointer' }).getByRole('listitem')
  await expect(async () => {
    await page.mouse.move(x - 4, y)
    await page.mouse.move(x, y)
    await expect(under.first()).toBeVisible({ timeout: 1000 })
  }).toPass()
  await hand.click(x, y)
  await hand.clickOn(/^Give way/)
  await expect(page.getByText('Over', { exact: false }).first()).toBeVisible()
  await hand.clickOn(/^Which elements .*: this card$/)
  await hand.clickOn(/all 8: each card/i, 'menuitem')
  await hand.drag('The angle', 30)
  await hand.key('c')
  await expect(page.getByText(/\d+ lines/)).toBeVisible()
  await hand.clickOn('Copy code')
  await expect(page.getByText('Copied')).toBeVisible()

  const snippet = await page.evaluate(() => navigator.clipboard.readText())
  expect(hand.count()).toBeLessThanOrEqual(8)
  expect(snippet).toContain('--card-tilt-lean: 15deg;')

  // The snippet, pasted at the end of a page of the newcomer's own, leans its cards.
  const other = await (await browser.newContext()).newPage()
  await other.setContent(
    `<!doctype html><style>body { margin: 0 } .card { position: absolute; left: 100px; top: 100px; width: 200px; height: 200px }</style><div class="card">mine</div>${snippet}`,
  )
  await other.mouse.move(300, 200, { steps: 5 })
  await expect.poll(() => leanOf(other, '.card', 0).then(({ rotateY }) => rotateY)).toBeCloseTo(15, 2)
  await other.context().close()

  // A later visit opens home, one click from every page.
  await page.goto(house.address)
  await expect(page.getByRole('region', { name: 'Vesper Hollow' })).toBeVisible()
  await page.getByRole('link', { name: /The collection/ }).click()
  await expect(page).toHaveURL(/\/studio\/vesper-hollow\/specimens$/)
})
