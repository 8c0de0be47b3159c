// Every view by the rules of WCAG 2.2 AA that a machine can check, in both themes.
import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, test } from './support/house'
import { isLong, long } from './support/long'
import { toStudio, cardsPage, clickOnPage, onScreen, stageOf, tiltOnCards } from './support/stage'
import { tuningEffects, tuningPage } from './support/tuning-page'

/** What hangs on colours: the themes have all else in common, which is judged in the light one. */
const ofColours = ['color-contrast', 'link-in-text-block']

/** How many views were looked at: in `npm test` every other one is in the dark theme too. */
let looked = 0

/** What axe finds in the studio itself, or in panels that have come to it, in both themes; the designer's page in its frame is not ours to judge. */
async function findings(page: Page, within?: string): Promise<string[]> {
  // Its other mode opens a second page to sum up, and leaves the frame of this one asleep in a headless browser.
  const axe = () => {
    const whole = new AxeBuilder({ page })
      .options({ resultTypes: ['violations'] })
      .setLegacyMode(true)
      .exclude('iframe')
    return within === undefined ? whole : whole.include(within)
  }
  const { violations: inLight } = await axe().withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze()
  looked += 1
  if (!isLong && looked % 2 === 0) return told(inLight)
  await page.emulateMedia({ colorScheme: 'dark' })
  const { violations: inDark } = await axe().withRules(ofColours).analyze()
  await page.emulateMedia({ colorScheme: 'light' })
  return told([...inLight, ...inDark])
}

/** What has come to a view, where the rest of it is not judged again. */
const unlessLong = (select: string) => (isLong ? undefined : select)

const told = (found: Awaited<ReturnType<AxeBuilder['analyze']>>['violations']) =>
  found.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`)

test('home, caption, rows, code, pointing, the drawers and the not-found screen pass in both themes', async ({ page, house }) => {
  const url = await house.addSite('access', cardsPage, [tiltOnCards({ liftPx: 10 })])
  await page.goto(url)
  await stageOf(page)
  expect(await findings(page)).toEqual([])
  await page.getByRole('button', { name: 'More' }).click()
  await page.keyboard.press('c')
  await expect(page.getByText(/\d+ lines/)).toBeVisible()
  expect(await findings(page, 'aside')).toEqual([])
  await page.keyboard.press('c')
  await page.keyboard.press('p')
  // The plate takes its new size when the drawer and the rows are gone.
  await expect(async () => {
    const { x, y } = await onScreen(page, 100, 140)
    await page.mouse.move(x, y, { steps: 3 })
    await expect(page.getByRole('region', { name: 'Under the pointer' }).getByText('article.card')).toBeVisible({ timeout: 300 })
    await page.mouse.click(x, y)
  }).toPass()
  await page.getByRole('button', { name: /^Give way/ }).focus()
  expect(await findings(page)).toEqual([])
  await page.getByRole('group', { name: 'What to do with it' }).getByRole('button', { name: 'Markup' }).click()
  expect(await findings(page, unlessLong('aside'))).toEqual([])
  await page.keyboard.press('Escape')
  for (const [key, name] of [
    ['g', 'Pages'],
    ['m', 'Markup'],
  ] as const) {
    await page.keyboard.press(key)
    await expect(page.getByRole('complementary', { name })).toBeVisible()
    if (name === 'Markup') await expect(page.getByRole('textbox', { name: 'HTML of the page' })).toBeVisible()
    expect(await findings(page, 'aside')).toEqual([])
  }
  await page.getByRole('button', { name: 'History' }).click()
  expect(await findings(page, 'aside')).toEqual([])
  await page.getByRole('button', { name: 'Commands and keys' }).click()
  await expect(page.getByRole('complementary', { name: 'Commands' })).toBeVisible()
  expect(await findings(page, 'aside')).toEqual([])
  await page.getByRole('button', { name: /^Preview as/ }).click()
  expect(await findings(page, unlessLong('[role=menu]'))).toEqual([])
  await page.getByRole('menuitem', { name: /^On a phone/ }).click()
  await expect(page.getByRole('complementary', { name: 'Preview' })).toContainText('npm start -- --lan')
  expect(await findings(page, 'aside')).toEqual([])
  await page.getByRole('navigation', { name: 'Effects' }).hover()
  await page.getByRole('button', { name: 'Keep the list open' }).click()
  expect(await findings(page, unlessLong('nav'))).toEqual([])
  await page.getByRole('button', { name: 'Actions for effect 1' }).click()
  await expect(page.getByRole('menuitem', { name: /^Rename/ })).toBeVisible()
  expect(await findings(page, unlessLong('[role=menu]'))).toEqual([])
  await page.keyboard.press('Escape')
  await page.goto(`${house.address}/nowhere`)
  expect(await findings(page)).toEqual([])
  await page.goto(house.address)
  await page.goto(house.address)
  await expect(page.getByRole('region', { name: 'Vesper Hollow' })).toBeVisible()
  expect(await findings(page)).toEqual([])
})

test('the words of a rig by hand, colours, curves, gaps, tries and presets pass in both themes', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('access-tuning', tuningPage, tuningEffects))
  const frame = await stageOf(page)
  await page
    .getByRole('button', { name: /^How x follows|^How it follows/ })
    .first()
    .click()
  expect(await findings(page)).toEqual([])
  await page
    .getByRole('button', { name: /^Wash over the wall/ })
    .first()
    .click()
  expect(await findings(page)).toEqual([])
  await page.getByRole('button', { name: /^Colour of stop/ }).click()
  await expect(page.getByText('On this page')).toBeVisible()
  expect(await findings(page)).toEqual([])
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Effect 2: Two sheets' }).click()
  await page.getByRole('spinbutton', { name: 'Height of the near sheet' }).focus()
  expect(await findings(page)).toEqual([])
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('button', { name: /^What lift comes to/ }).click()
  await expect(page.getByRole('group', { name: /^Stop \d of/ })).toBeVisible()
  expect(await findings(page)).toEqual([])
  await page.getByRole('button', { name: 'More' }).click()
  await page.keyboard.press('j')
  await expect(page.getByRole('heading', { name: 'Distance' })).toBeVisible()
  expect(await findings(page)).toEqual([])
  await page.keyboard.press('Escape')
  await page.keyboard.press('Shift+Y')
  await expect(page.getByRole('region', { name: 'Compare' })).toBeVisible()
  expect(await findings(page)).toEqual([])
  await page.getByRole('button', { name: 'Close the tries' }).click()
  await page.keyboard.press('p')
  await clickOnPage(page, frame, '.near')
  await page.getByRole('button', { name: 'Your presets' }).click()
  expect(await findings(page)).toEqual([])
})

test('the newcomer finds everything by keyboard: the first stop is a way to point, and a menu opens and closes', async ({
  page,
  house,
}) => {
  await toStudio(page, await house.addSite('keyboard', cardsPage, [tiltOnCards()]))
  await stageOf(page)
  const away = page.getByRole('button', { name: 'When away: it lies flat' })
  await away.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('menuitem', { name: 'it lies flat' })).toBeVisible()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /^When away: it (waits|stays)/ })).toBeFocused()
})
