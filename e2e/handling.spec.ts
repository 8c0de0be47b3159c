// Effects as things one can handle: selected, removed, copied, pasted, renamed, put in order, several at once; from the list and from the page.
import type { Page } from '@playwright/test'
import { settingsOf } from './support/alone'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { toStudio, cardsPage, clickOnPage, movePointer, onScreen, stageOf, standsStill, tiltOnCards } from './support/stage'

const both = [
  tiltOnCards(),
  { ...tiltOnCards({ acrossDeg: 4 }), id: 'second', name: 'First card only', select: '.card:nth-child(1)', noun: 'this card' },
]
const elsewhere = { ...tiltOnCards(), id: 'lost', name: 'Tiles lean', select: '.tile', noun: 'each tile' }

const list = (page: Page) => page.getByRole('navigation', { name: 'Effects' })
const named = (page: Page) =>
  list(page)
    .getByRole('button', { name: /^Effect \d/ })
    .evaluateAll((buttons) => buttons.map((button) => button.getAttribute('aria-label')))
const said = (page: Page, words: string | RegExp) => expect(page.getByRole('status').filter({ hasText: words })).toBeVisible()

test('the first effect of the page has its caption, and those that find nothing here are folded', async ({ page, house }) => {
  await toStudio(page, await house.addSite('folded', cardsPage, [elsewhere, ...both]))
  await expect(page.getByRole('region', { name: 'Caption of effect 2' })).toBeVisible()
  await stageOf(page)
  await eventually(() => named(page)).toEqual(['Effect 2: Cards give way', 'Effect 3: First card only'])
  await list(page).hover()
  await expect(list(page).getByText('Tilt · 8 matches here')).toBeVisible()
  await list(page)
    .getByRole('button', { name: /^Elsewhere on this site, 1/ })
    .click()
  await expect(list(page).getByRole('list', { name: 'Elsewhere on this site' })).toContainText('Tiles lean')
})

test('Delete takes the selected effect away, from the page as well, and undo says what came back', async ({ page, house }) => {
  await toStudio(page, await house.addSite('deleted', cardsPage, both))
  const frame = await stageOf(page)
  await page.keyboard.press('Delete')
  await said(page, 'Removed Cards give way. Ctrl Z brings it back.')
  await eventually(() => named(page)).toEqual(['Effect 1: First card only'])
  await page.keyboard.press('Control+z')
  await said(page, 'Undone: Removing Cards give way.')
  // Its number on the page selects an effect, and keys that are pressed there are for it.
  await page.mouse.move(640, 700)
  const { x, y } = await onScreen(page, 60 + 22, 100)
  await expect(async () => {
    await page.mouse.click(x, y)
    await expect(page.getByRole('region', { name: 'Caption of effect 2' })).toBeVisible({ timeout: 500 })
  }).toPass()
  await frame.locator('body').press('Backspace')
  await eventually(() => named(page)).toEqual(['Effect 1: Cards give way'])
  await page.mouse.click(x - 22, y, { button: 'right' })
  await page.getByRole('menuitem', { name: /^Remove/ }).click()
  await eventually(() => named(page)).toEqual([])
})

test(
  'an effect is copied, cut and pasted with the focus in the page; one that is there already is replaced',
  long,
  async ({ page, house, context }) => {
    await context.grantPermissions(['clipboard-read', 'clipboard-write'])
    await toStudio(page, await house.addSite('clipped', cardsPage, both))
    const frame = await stageOf(page)
    const point = await onScreen(page, 640, 600)
    await page.mouse.click(point.x, point.y)
    await page.keyboard.press('Control+c')
    await said(page, 'Copied Cards give way.')
    await page.keyboard.press('Control+x')
    await eventually(() => named(page)).toEqual(['Effect 1: First card only'])
    await page.keyboard.press('Control+v')
    await said(page, 'Pasted Cards give way on each card.')
    await eventually(() => named(page)).toEqual(['Effect 1: First card only', 'Effect 2: Cards give way'])
    await page.keyboard.press('p')
    await clickOnPage(page, frame, '.card:nth-child(1)', 0.5, 0.9)
    await page
      .getByRole('region', { name: 'Which elements' })
      .getByRole('button', { name: /^this card alone/ })
      .click()
    await page.getByRole('searchbox', { name: 'Find a recipe' }).focus()
    await page.keyboard.press('Control+v')
    await said(page, /^Replaced Cards give way on this card/)
    await expect(page.getByRole('spinbutton', { name: 'The angle', exact: true })).toHaveAttribute('aria-valuetext', '9°')
    await page.keyboard.press('Control+z')
    await expect(page.getByRole('spinbutton', { name: 'The angle', exact: true })).toHaveAttribute('aria-valuetext', '4°')
  },
)

test('several are turned off, linked and removed at once, and one is renamed where it stands', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('several', cardsPage, both))
  await stageOf(page)
  await list(page).hover()
  await list(page).getByRole('button', { name: 'Effect 1: Cards give way' }).click()
  await list(page)
    .getByRole('button', { name: 'Effect 2: First card only' })
    .click({ modifiers: ['Control'] })
  const bar = page.getByRole('group', { name: 'The chosen effects' })
  await expect(bar).toContainText('2 effects chosen')
  await bar.getByRole('button', { name: 'Link values' }).click()
  await said(page, /values of First card only follow Cards give way now/)
  await bar.getByRole('button', { name: 'Turn off' }).click()
  await eventually(() => named(page)).toEqual(['Effect 1: Cards give way, off', 'Effect 2: First card only, off'])
  await page.getByRole('button', { name: 'Undo: Turning 2 effects off' }).click()
  await list(page).hover()
  await list(page).getByRole('button', { name: 'Effect 2: First card only' }).dblclick()
  await page.getByLabel('Name of effect 2').fill('The very first')
  await page.keyboard.press('Enter')
  await eventually(() => named(page)).toEqual(['Effect 1: Cards give way', 'Effect 2: The very first'])
  await list(page).getByRole('button', { name: 'Effect 1: Cards give way' }).click()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Alt+ArrowUp')
  await eventually(() => named(page)).toEqual(['Effect 1: The very first', 'Effect 2: Cards give way'])
  await list(page)
    .getByRole('button', { name: 'Effect 1: The very first' })
    .click({ modifiers: ['Shift'] })
  await bar.getByRole('button', { name: 'Remove' }).click()
  await said(page, 'Removed 2 effects.')
  await page.keyboard.press('Control+z')
  await eventually(() => named(page)).toEqual(['Effect 1: The very first', 'Effect 2: Cards give way'])
})

test('a click on what no effect is on says what to do first', async ({ page, house }) => {
  await toStudio(page, await house.addSite('plain', cardsPage, [{ ...tiltOnCards(), select: '.card:nth-child(2)', noun: 'this card' }]))
  const frame = await stageOf(page)
  await clickOnPage(page, frame, '.card:nth-child(3) h2')
  await said(page, 'To give this an effect, point first: press P, then click it.')
})

test('the page keeps its size and place while one points, chooses and reads, and is zoomed about the pointer', async ({ page, house }) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  await toStudio(page, await house.addSite('steady-page', cardsPage, both))
  const frame = await stageOf(page)
  const place = () => page.locator('iframe').boundingBox()
  const before = await place()
  expect((before?.width ?? 0) / 1280).toBeGreaterThan(0.6)
  await page.keyboard.press('c')
  await expect(page.getByText(/\d+ lines/)).toBeVisible()
  expect(await place()).toEqual(before)
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await expect(page.getByRole('complementary', { name: 'More of effect 1' })).toBeVisible()
  expect(await place()).toEqual(before)
  await page.keyboard.press('c')
  await page.keyboard.press('p')
  await clickOnPage(page, frame, '.card:nth-child(1)', 0.5, 0.9)
  await expect(page.getByRole('region', { name: 'Recipes' })).toBeVisible()
  expect(await place()).toEqual(before)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Close these rows' }).click()
  // About the middle of the first card.
  const at = await onScreen(page, 180, 180)
  await movePointer(page, 180, 180)
  await page.keyboard.down('Control')
  await page.mouse.wheel(0, -100)
  await page.keyboard.up('Control')
  await eventually(async () => ((await place())?.width ?? 0) / (before?.width ?? 1)).toBeGreaterThan(1.3)
  const grown = await place()
  const scale = (grown?.width ?? 0) / 1280
  expect(Math.abs((grown?.x ?? 0) + 180 * scale - at.x)).toBeLessThan(2)
  expect(Math.abs((grown?.y ?? 0) + 180 * scale - at.y)).toBeLessThan(2)
  await page.keyboard.down('Space')
  // What lies over the page has the pointer once it is on the screen, a moment after it is in the document.
  await page.evaluate(() =>
    document.addEventListener(
      'pointermove',
      ({ target }) => Object.assign(window, { shape: getComputedStyle(target as Element).cursor }),
      true,
    ),
  )
  await eventually(async () => {
    await page.mouse.move(at.x + 1, at.y)
    await page.mouse.move(at.x, at.y)
    return page.evaluate(() => (window as unknown as { shape?: string }).shape)
  }).toBe('grab')
  await page.mouse.down()
  await page.mouse.move(at.x + 60, at.y + 40, { steps: 4 })
  await page.mouse.up()
  await page.keyboard.up('Space')
  await eventually(async () => Math.round(((await place())?.x ?? 0) - (grown?.x ?? 0))).toBe(60)
  await page.getByRole('button', { name: /^Zoom: / }).click()
  await page.getByRole('menuitem', { name: /^As large as fits/ }).click()
  await eventually(place).toEqual(before)
})

test('a command is found by its name and run from the list, by key alone', async ({ page, house }) => {
  await toStudio(page, await house.addSite('commands', cardsPage, both))
  await stageOf(page)
  await page.keyboard.press('?')
  const panel = page.getByRole('complementary', { name: 'Commands' })
  await expect(panel.getByRole('searchbox', { name: 'Find a command' })).toBeFocused()
  await page.keyboard.type('next eff')
  await expect(panel.getByRole('button')).toHaveCount(2)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'Caption of effect 2' })).toBeVisible()
  await expect(panel).toBeHidden()
  // Letters that follow its key at once are what is sought, and no commands.
  await page.keyboard.type('?nothing of the sort')
  await expect(panel.getByText('No command is called “nothing of the sort”.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(panel.getByRole('button', { name: /^Undo/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(panel).toBeHidden()
})

test('with a browser at 200 % everything is reached, and nothing lies over it', async ({ page, house }) => {
  await page.setViewportSize({ width: 640, height: 400 })
  await toStudio(page, await house.addSite('large', cardsPage, both))
  await stageOf(page)
  const angle = page.getByRole('spinbutton', { name: 'The angle', exact: true })
  await angle.click()
  await page.keyboard.type('4')
  await page.keyboard.press('Enter')
  await expect(angle).toHaveAttribute('aria-valuetext', '4°')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('searchbox', { name: 'Find a row' }).fill('scale')
  await page.getByRole('spinbutton', { name: 'Scale', exact: true }).click()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Code', exact: true }).click()
  await page.getByRole('button', { name: 'Copy code' }).click()
  await expect(page.getByRole('button', { name: 'Copied' })).toBeVisible()
})

test('a word in hand has a line of help, and a digit that is typed in a number is the number alone', async ({ page, house }) => {
  await toStudio(page, await house.addSite('help', cardsPage, both))
  await stageOf(page)
  const angle = page.getByRole('spinbutton', { name: 'The angle', exact: true })
  await angle.focus()
  await expect(page.getByRole('group', { name: 'About the angle' })).toContainText('How far it leans at its edges; 0° to 45°.')
  await page.getByRole('button', { name: /^The edge under the pointer: / }).focus()
  await expect(page.getByRole('group', { name: 'About the edge under the pointer' })).toHaveText(/^Whether the card gives way/)
  await page.getByRole('button', { name: /^Which elements are the / }).focus()
  await expect(page.getByText('Which elements it is on')).toBeVisible()
  await angle.focus()
  await page.keyboard.press('3')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('spinbutton', { name: 'The angle', exact: true })).toHaveAttribute('aria-valuetext', '3°')
  await expect(page.getByRole('button', { name: 'Hold state' })).not.toHaveAttribute('data-state-on')
  // Nor is the effect taken away by what takes a digit away.
  await page.keyboard.press('Backspace')
  await expect(page.getByRole('region', { name: 'Caption of effect 1' })).toBeVisible()
})

test('rows stand under headings, are found by what is typed, and go back to what they were at first', async ({ page, house }) => {
  await toStudio(page, await house.addSite('rows', cardsPage, [tiltOnCards({ liftPx: 24 })]))
  await stageOf(page)
  await page.getByRole('button', { name: 'More', exact: true }).click()
  const rows = page.getByRole('complementary', { name: 'More of effect 1' })
  await expect(rows.getByRole('heading', { level: 3 })).toHaveText(['Shape', 'Light', 'Motion', 'Touch and access', 'Area', 'Strength'])
  // What there is no sheen for is not offered.
  await expect(rows.getByText('The colour of the sheen')).toBeHidden()
  await rows.getByRole('button', { name: 'Reset The lift' }).click()
  await expect(rows.getByRole('spinbutton', { name: 'The lift' })).toHaveAttribute('aria-valuetext', '0px')
  await expect(rows.getByRole('button', { name: 'Reset The lift' })).toBeHidden()
  await rows.getByRole('searchbox', { name: 'Find a row' }).fill('reduced')
  await expect(rows.getByRole('heading', { level: 3 })).toHaveText(['Touch and access'])
  await rows.getByRole('searchbox', { name: 'Find a row' }).press('Escape')
  // How they are folded stays.
  await rows.getByRole('button', { name: 'Shape' }).click()
  await page.reload()
  await stageOf(page)
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await expect(rows.getByRole('button', { name: 'Shape' })).toHaveAttribute('aria-expanded', 'false')
})

test('a colour is picked on a plane and by key, from the custom properties of the page too', async ({ page, house }) => {
  const html = cardsPage.replace('<style>', '<style>:root { --gold: #d4a017; --size: 3px } ')
  const glow = { id: 'glow', kind: 'glow', name: 'Lit', select: '.card', noun: 'each card', settings: settingsOf('glow') }
  await toStudio(page, await house.addSite('picker', html, [glow]))
  const frame = await stageOf(page)
  const swatch = page.getByRole('button', { name: /^The colour of the light: / })
  await swatch.click()
  const gold = page.getByRole('button', { name: '--gold', exact: true })
  // What the page has comes a moment later, and the panel grows by it.
  await standsStill(page, gold)
  await gold.click()
  await expect(swatch).toHaveAttribute('aria-label', 'The colour of the light: var(--gold)')
  await expect(page.getByRole('button', { name: '--size' })).toHaveCount(0)
  const light = () => frame.locator('.card').first().evaluate((card) => getComputedStyle(card).getPropertyValue('--card-glow-light')) // prettier-ignore
  await eventually(light).toBe('#d4a017')
  await page.getByLabel('The colour of the light, as CSS writes it').fill('#336699')
  await page.getByRole('slider', { name: 'Alpha' }).focus()
  await page.keyboard.press('Home')
  await eventually(() => swatch.getAttribute('aria-label')).toBe('The colour of the light: #33669900')
  await page.getByRole('button', { name: 'OKLCH' }).click()
  await eventually(() => swatch.getAttribute('aria-label')).toMatch(/^The colour of the light: oklch\(0\.\d+ 0\.\d+ 2\d\d/)
})

test('a page on which no effect is has no caption of one, also when it has only just come', async ({ page, house }) => {
  await toStudio(page, await house.addSite('turned', cardsPage, both))
  await stageOf(page)
  await expect(page.getByRole('region', { name: 'Caption of effect 1' })).toBeVisible()
  await page.getByRole('button', { name: /^Page: / }).click()
  await page.getByRole('menuitem', { name: 'New blank page' }).click()
  await expect(page.getByText('Or choose an effect at the left to tune it.')).toBeVisible()
  await page.getByRole('button', { name: /^Page: / }).click()
  await page.getByRole('menuitem', { name: 'A page' }).click()
  await expect(page.getByRole('region', { name: 'Caption of effect 1' })).toBeVisible()
})
