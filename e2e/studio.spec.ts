// The studio, walked through as a designer would: point, choose, tune with the stand-in pointer, undo, save, come back.
import type { Frame, Page } from '@playwright/test'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { toStudio, clickOnPage, cardBox, cardsPage, leanOf, movePointer, onScreen, stageOf, tiltOnCards } from './support/stage'

const card = cardBox(1)

async function pointAt(page: Page, u: number, v: number): Promise<void> {
  await page.keyboard.press('p')
  await movePointer(page, card.x + u * card.width, card.y + v * card.height, 3)
  const { x, y } = await onScreen(page, card.x + u * card.width, card.y + v * card.height)
  await expect(page.getByRole('region', { name: 'Under the pointer' }).getByRole('listitem').first()).toBeVisible()
  await page.mouse.click(x, y)
}

const styleOf = (frame: Frame, index: number) =>
  frame
    .locator('.card')
    .nth(index)
    .evaluate((element) => ({ transform: getComputedStyle(element).transform, attribute: element.getAttribute('style') }))
const lean = (frame: Frame, index = 1) => leanOf(frame, '.card', index).then(({ rotateY }) => rotateY)
const angle = (page: Page) => page.getByRole('spinbutton', { name: 'The angle', exact: true })

test('pointing shows the ladder with how many each choice matches, and a touched recipe plays on the card and leaves no trace', async ({
  page,
  house,
}) => {
  await toStudio(page, await house.addSite('pointing', cardsPage))
  const frame = await stageOf(page)
  const before = await styleOf(frame, 1)
  await pointAt(page, 0.8, 0.3)
  const ladder = page.getByRole('region', { name: 'Under the pointer' })
  const rung = ladder.getByRole('listitem').filter({ hasText: 'article.card' })
  await expect(rung.getByRole('button')).toHaveAttribute('aria-pressed', 'true')
  const choices = page.getByRole('region', { name: 'Which elements' })
  await expect(choices.getByRole('button', { name: /^this card alone/ })).toHaveAttribute('aria-pressed', 'true')
  await expect(choices.getByRole('button', { name: /^all 8 like it/ })).toContainText('.card')
  await page.getByRole('button', { name: /^Heavy slab/ }).hover()
  await eventually(() => styleOf(frame, 1).then(({ transform }) => transform)).toContain('matrix3d')
  expect(await styleOf(frame, 2)).toEqual(before)
  await page.getByRole('heading', { name: 'Under the pointer' }).hover()
  await eventually(() => styleOf(frame, 1)).toEqual(before)
  // Nothing is chosen until it is chosen.
  await page.keyboard.press('Escape')
  await expect(page.getByText('Choose an element of the page')).toBeVisible()
})

test(
  'recipes are found by what people call such an effect elsewhere; Escape empties the search and goes on pointing',
  long,
  async ({ page, house }) => {
    await toStudio(page, await house.addSite('found', cardsPage))
    const frame = await stageOf(page)
    await page.keyboard.press('p')
    await clickOnPage(page, frame, '.card')
    const recipes = page.getByRole('region', { name: 'Recipes' })
    const search = recipes.getByRole('searchbox', { name: 'Find a recipe' })
    await search.fill('flashlight')
    await expect(recipes.getByRole('heading')).toHaveText(['Spotlight'])
    await search.fill('wobble board')
    await expect(recipes.getByText('No recipe is called “wobble board”.', { exact: false })).toBeVisible()
    await search.press('Escape')
    await expect(recipes.getByRole('button', { name: /^Give way/ })).toBeVisible()
  },
)

test(
  'the stand-in pointer stays on the card when the hand goes to the controls, and the card follows each number',
  long,
  async ({ page, house }) => {
    await toStudio(page, await house.addSite('stand-in', cardsPage))
    const frame = await stageOf(page)
    await pointAt(page, 0.5, 0.5)
    await page.getByRole('button', { name: /^Give way/ }).click()
    await expect(page.getByRole('region', { name: 'Caption of effect 1' })).toBeVisible()
    await page.getByRole('button', { name: /^Which elements .*: this card$/ }).click()
    await page.getByRole('menuitem', { name: /all 8/i }).click()

    // Four fifths of the way from the middle to the edge of the padding box, within the border of 3 px.
    const rest = { x: card.x + 3 + 0.9 * (card.width - 6), y: card.y + 0.5 * card.height }
    await movePointer(page, rest.x, rest.y)
    await page.waitForTimeout(200)
    const box = await angle(page).boundingBox()
    if (!box) throw new Error('The angle is not on the screen.')
    // The stand-in pointer stays where the pointer rested; in one go, since a busy machine makes rests of the steps of a way.
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await eventually(() => lean(frame)).toBeCloseTo(9 * 0.8, 1)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width / 2 + 25, box.y + box.height / 2, { steps: 5 })
    await eventually(() => lean(frame)).toBeCloseTo(14 * 0.8, 1)
    await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 3 })
    await page.mouse.up()
    await eventually(() => lean(frame)).toBeCloseTo(17 * 0.8, 1)
    await expect(page.getByRole('contentinfo', { name: "The pointer's thread" })).toContainText('x 0.90 y 0.50 stand-in pointer, on')

    // One key turns the direction, and the words with it.
    await page.keyboard.press('t')
    await expect(page.getByRole('button', { name: 'The edge under the pointer: rises' })).toBeVisible()
    await eventually(() => lean(frame)).toBeCloseTo(-17 * 0.8, 1)
    // The whole drag is one step of undo.
    await page.keyboard.press('Control+z')
    await page.keyboard.press('Control+z')
    await expect(angle(page)).toHaveAttribute('aria-valuetext', '9°')
    await page.keyboard.press('Control+Shift+z')
    await expect(angle(page)).toHaveAttribute('aria-valuetext', '17°')
    await page.keyboard.press('l')
    await eventually(() => lean(frame)).toBeCloseTo(0, 2)
    await expect(page.getByRole('contentinfo', { name: "The pointer's thread" })).toContainText('The pointer is gone, away')
  },
)

test('arrow keys step a number, coarse with Shift and fine with Alt, also from inside the page', async ({ page, house }) => {
  await toStudio(page, await house.addSite('keys', cardsPage, [tiltOnCards()]))
  await stageOf(page)
  await angle(page).focus()
  await page.keyboard.press('ArrowRight')
  await expect(angle(page)).toHaveAttribute('aria-valuetext', '10°')
  await page.keyboard.press('Shift+ArrowUp')
  await expect(angle(page)).toHaveAttribute('aria-valuetext', '20°')
  await page.keyboard.press('Alt+ArrowLeft')
  await expect(angle(page)).toHaveAttribute('aria-valuetext', '19.9°')
  const { x, y } = await onScreen(page, 1200, 650)
  await page.mouse.click(x, y)
  await page.keyboard.press('t')
  await expect(page.getByRole('button', { name: 'The edge under the pointer: rises' })).toBeVisible()
})

test('the drawing tells the answer to a flick, and the sentence keeps it when the time is changed', async ({ page, house }) => {
  await toStudio(page, await house.addSite('flick', cardsPage, [tiltOnCards()]))
  await stageOf(page)
  await expect(
    page.getByRole('img', {
      name: /^After a flick: settles in 416 milliseconds, 4% overshoot; behind a hand at 1000px a second it lags 100px/,
    }),
  ).toBeVisible()
  await page.getByRole('spinbutton', { name: 'Overshoot' }).focus()
  await page.keyboard.type('20')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('img', { name: /^After a flick: settles in 416 milliseconds, 20% overshoot/ })).toBeVisible()
  await page.getByRole('spinbutton', { name: 'The time to follow' }).focus()
  await page.keyboard.type('1 s')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('img', { name: /settles in 1000 milliseconds, 20% overshoot/ })).toBeVisible()
})

test('the away pin is dragged on the page, and the card waits leaning to it', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('pin', cardsPage, [tiltOnCards()]))
  const frame = await stageOf(page)
  const first = cardBox(0)
  const from = await onScreen(page, first.x + first.width / 2, first.y + first.height / 2)
  const to = await onScreen(page, first.x + 3 + (first.width - 6) * 0.9, first.y + first.height / 2)
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(to.x, to.y, { steps: 6 })
  await page.mouse.up()
  await expect(page.getByRole('button', { name: 'When away: it waits at the pin' })).toBeVisible()
  await page.keyboard.press('l')
  for (const index of [0, 1, 7]) await eventually(() => lean(frame, index)).toBeCloseTo(9 * 0.8, 1)
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('button', { name: 'When away: it lies flat' })).toBeVisible()
  await eventually(() => lean(frame, 0)).toBeCloseTo(0, 2)
})

test('everything is there after a reload of the browser, and after a stop and start of the server', async ({ page, ownHouse: house }) => {
  const url = await house.addSite('kept', cardsPage, [tiltOnCards()])
  await page.goto(url)
  await stageOf(page)
  await angle(page).focus()
  await page.keyboard.type('23')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status').getByText('· saved')).toBeVisible()
  await page.reload()
  await expect(angle(page)).toHaveAttribute('aria-valuetext', '23°')
  // What is still being loaded as the server stops is lost with it, and made anew for whoever asks next (scripts.test.ts).
  await eventually(() => page.workers().length).toBe(2)
  for (const worker of page.workers()) await worker.evaluate(() => 0)
  await house.restartAll()
  await page.goto(url)
  await expect(angle(page)).toHaveAttribute('aria-valuetext', '23°')
  const [row] = await house.query('SELECT revision, JSON_VALUE(document, ?) AS angle FROM sites WHERE id = ?', [
    '$.effects[0].settings.acrossDeg',
    'kept',
  ])
  expect(row).toEqual({ revision: 2, angle: '23' })
  expect(await house.query('SELECT revision FROM site_revisions WHERE site_id = ?', ['kept'])).toEqual([{ revision: 2 }])
})

test('a path of the stand-in pointer moves the card until the real pointer comes', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('walk', cardsPage, [tiltOnCards()]))
  const frame = await stageOf(page)
  await page.keyboard.press('w')
  const seen = new Set<number>()
  await eventually(async () => seen.add(Math.round(await lean(frame, 0))).size).toBeGreaterThan(5)
  // A number that changes meanwhile does not end it.
  await angle(page).focus()
  await page.keyboard.press('ArrowUp')
  await expect(angle(page)).toHaveAttribute('aria-valuetext', '10°')
  seen.clear()
  await eventually(async () => seen.add(Math.round(await lean(frame, 0))).size).toBeGreaterThan(5)
  await expect(page.getByRole('button', { name: 'Play a path' })).toHaveAttribute('aria-pressed', 'true')
  await movePointer(page, card.x + 5, card.y + 80)
  await eventually(() => lean(frame, 0)).toBeCloseTo(0, 2)
  await expect(page.getByRole('button', { name: 'Play a path' })).toHaveAttribute('aria-pressed', 'false')
})

test('what the page scrolls into view, as a link to a place in it does, moves the page and never its frame', async ({ page, house }) => {
  await toStudio(page, await house.addSite('scrolling', `${cardsPage}<p id="end" style="margin-top: 1800px">The end.</p>`))
  const frame = await stageOf(page)
  const top = () => page.locator('iframe').evaluate((element) => Math.round(element.getBoundingClientRect().top))
  const before = await top()
  await frame.evaluate(() => document.querySelector('#end')?.scrollIntoView({ block: 'center' }))
  await eventually(() => frame.evaluate(() => scrollY)).toBeGreaterThan(900)
  expect(await top()).toBe(before)
})
