// Makes the pictures in docs/screenshots from the demo: npm run pictures. Not a test, so npm test leaves it out.
import type { Page } from '@playwright/test'
import { effectOf, settingsOf } from './support/alone'
import { test } from './support/house'
import { builderMade, zipOf } from './support/made-pages'
import { movePointer, onScreen, pointIn as pointInFrame, stageOf } from './support/stage'
import { tuningEffects, tuningPage } from './support/tuning-page'

const folder = 'docs/screenshots'
const demo = '/studio/vesper-hollow/specimens'

/** A point of an element of the page, as shares of its box. */
const pointIn = async (page: Page, ...of: [select: string, index: number, u: number, v: number]) => pointInFrame(await stageOf(page), ...of)

const settle = (page: Page) => page.waitForTimeout(1200)

test('pictures of the main views', async ({ page, house }) => {
  test.setTimeout(180_000)
  page.setDefaultTimeout(15_000)
  await page.goto(house.address + demo)
  await movePointer(page, ...(await pointIn(page, '.plate', 1, 0.95, 0.06)), 6)
  await settle(page)
  await page.screenshot({ path: `${folder}/studio-corner.png` })
  await page.keyboard.press('c')
  await settle(page)
  await page.getByRole('button', { name: /^Copy minified .*KB/ }).waitFor()
  await page.screenshot({ path: `${folder}/code.png` })
  await page.getByRole('button', { name: 'What this script counts on' }).click()
  await page.getByRole('list', { name: 'What this script counts on' }).waitFor()
  await settle(page)
  await page.screenshot({ path: `${folder}/counts.png` })

  await page.keyboard.press('c')
  const edit = async (name: string, to: string) => {
    await page.getByRole('spinbutton', { name, exact: true }).focus()
    await page.keyboard.type(to)
    await page.keyboard.press('Enter')
    await settle(page)
  }
  await edit('The angle', '12')
  await edit('The angle', '9')
  await page.getByRole('button', { name: 'History', exact: true }).click()
  await settle(page)
  await page.getByRole('complementary', { name: 'History' }).getByRole('button', { name: 'Show changes' }).last().click()
  await page.waitForTimeout(9000)
  await page.screenshot({ path: `${folder}/history.png` })

  for (const [name, path, effect, select, nth, u, v] of [
    ['after-dark', 'tonight', 'Hand lamp', '.meadow', 0, 0.52, 0.74],
    ['borders', 'garden', 'Borders', '.strip', 1, 0.5, 0.5],
    ['evening', 'tonight', 'Hours turn', '.hour', 5, 0.36, 0.5],
    ['wall', 'garden', 'Motto', '.motto', 0, 0.75, 0.5],
    ['terms', 'visit', 'What the words', '.term', 2, 0.5, 0.5],
  ] as const) {
    await page.goto(`${house.address}/studio/vesper-hollow/${path}`)
    const frame = await stageOf(page)
    await page.getByRole('button', { name: new RegExp(`^Effect \\d+: ${effect}`) }).click()
    await frame
      .locator(select)
      .nth(nth)
      .evaluate((element) => element.scrollIntoView({ block: 'center' }))
    await settle(page)
    // The list of effects at the left is wide for as long as it has the focus.
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
    await movePointer(page, ...(await pointIn(page, select, nth, u, v)), 6)
    await settle(page)
    await page.screenshot({ path: `${folder}/${name}.png` })
  }

  await page.goto(house.address)
  await page.goto(house.address)
  await page.locator('img[data-picture]').nth(2).waitFor()
  await settle(page)
  await page.screenshot({ path: `${folder}/home.png` })

  await page.goto(`${house.address}/studio/starters/cards`)
  await stageOf(page)
  await page.keyboard.press('p')
  const [x, y] = await pointIn(page, '.card', 1, 0.8, 0.25)
  await movePointer(page, x, y, 4)
  await page.waitForTimeout(300)
  const place = await onScreen(page, x, y)
  await page.mouse.click(place.x, place.y)
  await page.getByRole('button', { name: /^Come nearer/ }).hover()
  await settle(page)
  await page.screenshot({ path: `${folder}/recipes.png` })

  await page.getByRole('group', { name: 'What to do with it' }).getByRole('button', { name: 'Markup' }).click()
  await settle(page)
  await page.screenshot({ path: `${folder}/starters.png` })
  await page.keyboard.press('Escape')

  await page.goto(house.address + demo)
  await stageOf(page)
  await page.keyboard.press('g')
  await page.getByLabel('Files of a page').setInputFiles({ name: 'nettle.zip', mimeType: 'application/zip', buffer: zipOf(builderMade()) })
  await page.getByText('One element is there and not seen').waitFor()
  await settle(page)
  await page.screenshot({ path: `${folder}/pages.png` })
  await page.getByRole('button', { name: 'Show them here' }).click()
  await settle(page)
  await page.keyboard.press('m')
  await page.waitForTimeout(2000)
  await page.screenshot({ path: `${folder}/markup.png` })
  await page.keyboard.press('m')
  await page.goto(house.address + demo)
  await stageOf(page)
  await page.mouse.move(640, 780)

  await page.emulateMedia({ colorScheme: 'dark' })
  await page.goto(house.address + demo)
  await movePointer(page, ...(await pointIn(page, '.plate', 2, 0.06, 0.94)), 6)
  await settle(page)
  await page.getByRole('spinbutton', { name: 'The angle', exact: true }).hover()
  await page.mouse.down()
  await page.mouse.move(560, 660, { steps: 4 })
  await page.mouse.up()
  await settle(page)
  await page.screenshot({ path: `${folder}/studio-night.png` })
  await page.keyboard.press('Control+z')
  await settle(page)

  await page.emulateMedia({ colorScheme: 'light' })
  // Tuning: five dots, two tries side by side, a ring on the page, a curve.
  await page.goto(house.address + demo)
  await movePointer(page, ...(await pointIn(page, '.plate', 1, 0.9, 0.2)), 6)
  await settle(page)
  await page.mouse.move(1000, 690, { steps: 3 })
  await page.keyboard.press('Shift+Y')
  await page
    .getByRole('button', { name: /^How it follows/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'springy' }).click()
  await page.getByRole('button', { name: 'Compare' }).click()
  await page.waitForTimeout(2500)
  await page.screenshot({ path: `${folder}/tries.png` })
  await page.goto(await house.addSite('tuning', tuningPage, tuningEffects))
  await movePointer(page, 300, 300, 4)
  await settle(page)
  await page.mouse.move(1000, 690, { steps: 3 })
  await page.getByRole('spinbutton', { name: 'Clear reach of the light' }).focus()
  await settle(page)
  await page.screenshot({ path: `${folder}/handles.png` })
  await page.getByRole('button', { name: 'Effect 2: Two sheets' }).click()
  await movePointer(page, 900, 300, 4)
  await settle(page)
  await page.mouse.move(1000, 690, { steps: 3 })
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('button', { name: /^What lift comes to/ }).click()
  await settle(page)
  await page.screenshot({ path: `${folder}/curve.png` })
})

const seeds = `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>Seeds by the packet</title><style>
body { margin: 0; background: #f6f4ee; color: #2a332c; font: 17px/1.5 Georgia, serif } h1 { margin: 56px 64px 20px; font-size: 44px; font-weight: 500 }
.shelf { display: flex; gap: 10px; margin: 0 60px; padding: 4px; overflow: hidden } .packet { flex: 1; height: 300px; padding: 26px; box-sizing: border-box; background: #fffdf7; border: 1px solid #d8d2c2; border-radius: 6px } .packet h2 { margin: 0 0 8px; font-size: 25px; font-weight: 500 } .packet p { margin: 0; color: #6d7468 } .packet > :last-child { margin-bottom: 0 }
</style></head><body><h1>Seeds by the packet</h1><section class="shelf"><article class="packet"><h2>Night stock</h2><p>Sown in May, scented by dusk.</p></article><article class="packet"><h2>Evening primrose</h2><p>Opens while you watch.</p></article><article class="packet" style="transform: none !important"><h2>Sweet rocket</h2><p>Comes back by itself.</p></article></section></body></html>`

test('a picture of the checks', async ({ page, house }) => {
  const tilt = effectOf('tilt', '.packet', settingsOf('tilt', { scalePercent: 8, sheenPercent: 24 }), {
    name: 'Packets lean',
    noun: 'each packet',
  })
  await page.goto(await house.addSite('seeds', seeds, [tilt]))
  await stageOf(page)
  await page.keyboard.press('k')
  await page.getByText(/slide under the one after it/).waitFor()
  await movePointer(page, 200, 180, 6)
  await settle(page)
  await page.screenshot({ path: `${folder}/checks.png` })
})
