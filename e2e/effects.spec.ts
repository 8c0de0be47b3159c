// The effects of a site: off, alone, named, put in order, doubled, carried elsewhere as text; and the page seen bare.
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { toStudio, cardsPage, clickOnPage, countOfEffect, leanOf, movePointer, stageOf, tiltOnCards } from './support/stage'

const both = [
  tiltOnCards(),
  { ...tiltOnCards({ acrossDeg: 4 }), id: 'second', name: 'First card only', select: '.card:nth-child(1)', noun: 'this card' },
]

test('two effects on one card add up; one is turned off, or plays alone, and what is off is not exported', async ({ page, house }) => {
  await toStudio(page, await house.addSite('adding', cardsPage, both))
  const stage = await stageOf(page)
  const lean = () => leanOf(stage, '.card', 0).then(({ rotateY }) => rotateY)
  // Near the right edge of the first card.
  await movePointer(page, 60 + 236, 180, 4)
  await eventually(lean).toBeGreaterThan(12)
  await page.keyboard.press('o')
  await movePointer(page, 60 + 235, 181, 2)
  await eventually(lean).toBeCloseTo(4, 0)
  await expect(page.getByRole('status').getByText('· saved')).toBeVisible()
  const exported = await (await page.request.get(`${house.address}/export/adding/page`)).text()
  expect(exported).not.toContain('acrossDeg: 9')
  expect(exported.match(/Effect \d\. /g)).toEqual(['Effect 2. '])
  await page.keyboard.press('o')
  await page.keyboard.press('Shift+O')
  await movePointer(page, 60 + 236, 180, 2)
  await eventually(lean).toBeCloseTo(9, 0)
  await expect(page.getByRole('button', { name: 'Only this' })).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('Shift+O')
  await movePointer(page, 60 + 235, 180, 2)
  await eventually(lean).toBeGreaterThan(12)
})

test('an effect is renamed, doubled and moved in the order, each with words for what is undone', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('order', cardsPage, both))
  await stageOf(page)
  const planned = () =>
    page
      .getByRole('navigation', { name: 'Effects' })
      .getByRole('button', { name: /^Effect \d/ })
      .evaluateAll((buttons) => buttons.map((button) => button.getAttribute('aria-label')))
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByLabel('Name', { exact: true }).fill('All of them')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Duplicate it' }).click()
  await eventually(planned).toEqual(['Effect 1: All of them', 'Effect 2: All of them, copy', 'Effect 3: First card only'])
  await page.getByRole('navigation', { name: 'Effects' }).hover()
  await page.getByRole('button', { name: 'Actions for effect 3' }).click()
  await page.getByRole('menuitem', { name: /^Move up/ }).click()
  await eventually(planned).toEqual(['Effect 1: All of them', 'Effect 2: First card only', 'Effect 3: All of them, copy'])
  await page.getByRole('button', { name: 'Undo: Moving First card only' }).click()
  await page.getByRole('button', { name: 'Undo: Duplicating All of them' }).click()
  await page.getByRole('button', { name: 'Undo: Renaming an effect' }).click()
  await eventually(planned).toEqual(['Effect 1: Cards give way', 'Effect 2: First card only'])
})

test('an effect is copied as text and pasted on an element of another site', async ({ page, house, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await toStudio(page, await house.addSite('from', cardsPage, [tiltOnCards({ acrossDeg: 17 })]))
  await stageOf(page)
  await page.getByRole('region', { name: 'Caption of effect 1' }).click({ position: { x: 5, y: 90 } })
  await page.keyboard.press('Control+c')
  expect(JSON.parse(await page.evaluate(() => navigator.clipboard.readText()))).toMatchObject({
    format: 'glass-moth-effect/1',
    effect: { kind: 'tilt', settings: { acrossDeg: 17 } },
  })
  await toStudio(page, await house.addSite('to', cardsPage.replaceAll('class="card"', 'class="tile"').replaceAll('.card', '.tile')))
  const stage = await stageOf(page)
  await page.keyboard.press('p')
  await clickOnPage(page, stage, '.tile:nth-child(2) h2')
  await page
    .getByRole('region', { name: 'Which elements' })
    .getByRole('button', { name: /^all 8 like it/ })
    .first()
    .click()
  await page.keyboard.press('Control+v')
  await expect(page.getByRole('spinbutton', { name: 'The angle', exact: true })).toHaveAttribute('aria-valuetext', '17°')
  await eventually(() => countOfEffect(stage)).toBe(8)
})

test('a number takes sums and what is pasted from CSS', async ({ page, house }) => {
  await toStudio(page, await house.addSite('sums', cardsPage, [tiltOnCards()]))
  await stageOf(page)
  const angle = page.getByRole('spinbutton', { name: 'The angle', exact: true })
  for (const [typed, shown] of [
    ['2 * (3 + 4)', '14°'],
    ['0.05turn', '18°'],
    ['rotateY(7deg)', '7°'],
  ] as const) {
    await angle.focus()
    await page.keyboard.press('Enter')
    await page.keyboard.press('Control+a')
    await page.keyboard.type(typed)
    await page.keyboard.press('Enter')
    await expect(angle).toHaveAttribute('aria-valuetext', shown)
  }
})

test('while B is held the page is seen bare, and as it was before when it is let go; a question mark opens the list of commands', async ({
  page,
  house,
}) => {
  await toStudio(
    page,
    await house.addSite('bare', cardsPage.replace('</style>', '.card:nth-child(2) { opacity: 0; filter: blur(9px) }</style>')),
  )
  const stage = await stageOf(page)
  const second = () =>
    stage.evaluate(() => {
      const { opacity, filter } = getComputedStyle(document.querySelectorAll('.card')[1] as Element)
      return `${opacity} ${filter}`
    })
  await page.keyboard.down('b')
  await eventually(second).toBe('1 none')
  await page.keyboard.up('b')
  await eventually(second).toBe('0 blur(9px)')
  await page.keyboard.press('?')
  await expect(page.getByRole('complementary', { name: 'Commands' }).getByText('This list: find a command by its name')).toBeVisible()
})

test(
  'effects are gone through by key, the code is that of one or of all, and single letters can be turned off',
  long,
  async ({ page, house }) => {
    await toStudio(page, await house.addSite('through', cardsPage, both))
    await stageOf(page)
    const caption = (number: number) => page.getByRole('region', { name: `Caption of effect ${number}` })
    for (const [key, number] of [
      ['n', 2],
      ['n', 1],
      ['Shift+N', 2],
    ] as const) {
      await page.keyboard.press(key)
      await expect(caption(number)).toBeVisible()
    }
    await page.keyboard.press('c')
    const code = page.getByRole('complementary', { name: 'Code' })
    await expect(code.getByLabel('Stylesheet')).toContainText('Effect 1.')
    await code.getByRole('button', { name: 'Effect 2 alone' }).click()
    await expect(code.getByLabel('Stylesheet')).not.toContainText('Effect 1.')
    await expect(code.getByLabel('Stylesheet')).toContainText('Effect 2.')
    await page.getByRole('button', { name: 'Commands and keys' }).click()
    await page.getByRole('checkbox', { name: /^Single letters and digits/ }).uncheck()
    await page.getByRole('button', { name: 'Close the commands' }).click()
    await page.keyboard.press('n')
    await page.keyboard.press('c')
    await page.keyboard.press('o')
    await expect(caption(2)).toBeVisible()
    await expect(code).toHaveCount(0)
    await expect(page.getByRole('button', { name: 'Off', exact: true })).toHaveAttribute('aria-pressed', 'false')
    await page.reload()
    await stageOf(page)
    await page.keyboard.press('c')
    await expect(code).toHaveCount(0)
  },
)

test('what a move costs is told in counts', async ({ page, house }) => {
  await toStudio(page, await house.addSite('costs', cardsPage, [tiltOnCards()]))
  await stageOf(page)
  await movePointer(page, 120, 150, 2)
  await movePointer(page, 260, 220, 12)
  const told = page.getByRole('contentinfo', { name: "The pointer's thread" }).getByText(/^a move: /)
  // One card follows the pointer: it is read and written, and takes up so much of the window.
  await expect(told).toHaveText(/^a move: \d+ boxes? read, 1 written, [3-8]% drawn$/)
})
