// The main screens as assistive technology has them: each stands as a snapshot that was read over.
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { toStudio, cardsPage, clickOnPage, stageOf, tiltOnCards } from './support/stage'

const effects = [
  tiltOnCards({ liftPx: 12 }),
  { ...tiltOnCards(), id: 'off', name: 'First card only', select: '.card:nth-child(1)', noun: 'this card', isOff: true },
]

test('the studio at rest, with its rows and with the list of effects', async ({ page, house }) => {
  await toStudio(page, await house.addSite('tree', cardsPage, effects))
  await stageOf(page)
  // What is counted and checked has come.
  await expect(page.getByRole('button', { name: /^Which elements are the card.*: each card, 8$/ })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Checks' })).toBeVisible()
  await page.mouse.move(640, 700)
  await expect(page.locator('body')).toMatchAriaSnapshot({ name: 'studio.aria.yml' })
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await expect(page.getByRole('complementary', { name: 'More of effect 1' })).toMatchAriaSnapshot({ name: 'rows.aria.yml' })
  const list = page.getByRole('navigation', { name: 'Effects' })
  await list.hover()
  await list.getByRole('button', { name: 'Effect 1: Cards give way' }).click({ modifiers: ['Control'] })
  await list.getByRole('button', { name: 'Effect 2: First card only, off' }).click({ modifiers: ['Control'] })
  await expect(list).toMatchAriaSnapshot({ name: 'effects.aria.yml' })
})

test('choosing what the pointer does, and the list of commands', async ({ page, house }) => {
  await toStudio(page, await house.addSite('tree-choosing', cardsPage))
  const frame = await stageOf(page)
  await page.keyboard.press('p')
  await clickOnPage(page, frame, '.card', 0.5, 0.8)
  await page.getByRole('searchbox', { name: 'Find a recipe' }).fill('lens')
  await expect(page.getByRole('complementary', { name: 'What to do with it' })).toMatchAriaSnapshot({ name: 'recipes.aria.yml' })
  await expect(page.getByRole('region', { name: 'Which elements' })).toMatchAriaSnapshot({ name: 'which-elements.aria.yml' })
  await page.getByRole('searchbox', { name: 'Find a recipe' }).fill('')
  await page.keyboard.press('Escape')
  await page.keyboard.press('?')
  await expect(page.getByRole('searchbox', { name: 'Find a command' })).toBeFocused()
  await page.keyboard.type('code')
  await expect(page.getByRole('complementary', { name: 'Commands' })).toMatchAriaSnapshot({ name: 'commands.aria.yml' })
})

test('home', async ({ page, house }) => {
  await page.goto(house.address)
  await page.goto(house.address)
  await eventually(() => page.getByRole('region', { name: 'Starters' }).locator('img').count()).toBe(1)
  await expect(page.getByRole('banner')).toMatchAriaSnapshot({ name: 'home-top.aria.yml' })
  await expect(page.getByRole('region', { name: 'Starters', exact: true })).toMatchAriaSnapshot({ name: 'home-site.aria.yml' })
})

test('recipes go by key: from the search into the list, along it, and back by typing', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('by-key', cardsPage))
  const frame = await stageOf(page)
  await page.keyboard.press('p')
  await clickOnPage(page, frame, '.card', 0.5, 0.8)
  const search = page.getByRole('searchbox', { name: 'Find a recipe' })
  await expect(search).toBeFocused()
  // What suits a card comes first.
  await expect(page.getByRole('region', { name: 'Recipes' }).getByRole('heading', { level: 2 }).first()).toHaveText('For this card')
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('button', { name: /^Give way/ })).toBeFocused()
  await eventually(() =>
    frame
      .locator('.card')
      .first()
      .evaluate((card) => getComputedStyle(card).transform),
  ).not.toBe('none')
  await page.keyboard.press('End')
  await page.keyboard.press('Home')
  await page.keyboard.press('ArrowUp')
  await expect(search).toBeFocused()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.type('tolltip')
  await expect(search).toHaveValue('tolltip')
  await expect(page.getByRole('region', { name: 'Recipes' }).getByRole('heading', { level: 3 })).toHaveText(['Note'])
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'Caption of effect 1' })).toBeVisible()
  // What was used is at hand the next time.
  await page.keyboard.press('p')
  await clickOnPage(page, frame, '.card:nth-child(3)', 0.5, 0.8)
  await expect(page.getByRole('region', { name: 'Used lately' }).getByRole('button')).toHaveCount(1)
})
