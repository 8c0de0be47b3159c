// Tuning by hand and by eye: words with their drawings and handles, bindings, held looks, poses, distances.
import type { Page } from '@playwright/test'
import { eventually, expect, test } from './support/house'
import { long } from './support/long'
import { styleOf } from './support/readings'
import {
  toStudio,
  cardBox,
  cardsPage,
  dragGrip,
  dragOnPage,
  leanOf,
  movePointer,
  onScreen,
  stageOf,
  standsStill,
  tiltOnCards,
} from './support/stage'
import { tuningEffects, tuningPage } from './support/tuning-page'

const number = (page: Page, name: string) => page.getByRole('spinbutton', { name, exact: true })

/** Rests the pointer on the page, and takes the hand to the controls. */
async function restAt(page: Page, x: number, y: number): Promise<void> {
  await standsStill(page)
  await movePointer(page, x, y, 4)
  await page.waitForTimeout(200)
  await page.mouse.move(1100, 690)
}

test('the ring, its soft edge, insets and a direction are dragged on the page, only while their word is in hand', async ({
  page,
  house,
}) => {
  await toStudio(page, await house.addSite('handles', tuningPage, tuningEffects))
  const frame = await stageOf(page)
  await restAt(page, 300, 300)
  const light = () => styleOf(frame, '.lit', 'background-image')
  await eventually(light).toContain('90px')
  // Nothing to drag before the word is touched.
  await dragOnPage(page, [390, 300], [470, 300])
  await restAt(page, 300, 300)
  await expect(number(page, 'Clear reach of the light')).toHaveAttribute('aria-valuenow', '90')
  await number(page, 'Clear reach of the light').focus()
  await dragGrip(page, frame, [390, 300], [440, 300])
  await expect(number(page, 'Clear reach of the light')).toHaveAttribute('aria-valuenow', '140')
  await eventually(light).toContain('140px')
  await dragGrip(page, frame, [300, 500], [300, 460])
  await expect(number(page, 'Soft edge beyond it')).toHaveAttribute('aria-valuenow', '20')
  await page.getByRole('button', { name: 'More' }).click()
  await number(page, 'Slant of the wash').focus()
  // The arrow stands at 30 degrees; straight to the right is 90.
  const reach = 420 * 0.4
  await dragGrip(page, frame, [340 + reach / 2, 300 - reach * Math.cos(Math.PI / 6)], [340 + reach, 300])
  await expect(number(page, 'Slant of the wash')).toHaveAttribute('aria-valuenow', '90')
  await number(page, 'Inset at the left').focus()
  await dragGrip(page, frame, [100, 300], [180, 300])
  await expect(number(page, 'Inset at the left')).toHaveAttribute('aria-valuenow', '100')
  await page.keyboard.press('Control+z')
  await expect(number(page, 'Inset at the left')).toHaveAttribute('aria-valuenow', '20')
})

test(
  'a vanishing point has one grip for both numbers, zones are cut finer, and layers are moved in the side view',
  long,
  async ({ page, house }) => {
    await toStudio(page, await house.addSite('handles-2', tuningPage, tuningEffects))
    const frame = await stageOf(page)
    await page.getByRole('button', { name: 'Effect 2: Two sheets' }).click()
    await restAt(page, 940, 300)
    await page.getByRole('button', { name: 'More' }).click()
    await number(page, 'Vanishing point down').focus()
    await dragGrip(page, frame, [940, 300], [1060, 195])
    await expect(number(page, 'Vanishing point across')).toHaveAttribute('aria-valuenow', '75')
    await expect(number(page, 'Vanishing point down')).toHaveAttribute('aria-valuenow', '25')
    await eventually(() => styleOf(frame, '.stack', 'perspective-origin')).toBe('360px 105px')
    await number(page, 'Columns').focus()
    await dragGrip(page, frame, [700 + 160, 498], [700 + 80, 498])
    await expect(number(page, 'Columns')).toHaveAttribute('aria-valuenow', '6')
    await number(page, 'Height of the near sheet').focus()
    const layer = page.getByRole('slider', { name: 'Height of the near sheet' })
    const box = await layer.boundingBox()
    if (!box) throw new Error('The layer is not drawn.')
    await page.mouse.move(box.x + box.width - 17, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width - 57, box.y + box.height / 2, { steps: 5 })
    await page.mouse.up()
    const lower = Number(await number(page, 'Height of the near sheet').getAttribute('aria-valuenow'))
    expect(lower).toBeGreaterThan(40)
    expect(lower).toBeLessThan(65)
    await layer.focus()
    await page.keyboard.press('ArrowRight')
    await expect(number(page, 'Height of the near sheet')).not.toHaveAttribute('aria-valuenow', String(lower))
  },
)

test('a curve has its stops dragged, added, removed and shaped, and a gradient too', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('curves', tuningPage, tuningEffects))
  const frame = await stageOf(page)
  await page.getByRole('button', { name: /^Wash over the wall/ }).click()
  const first = page.getByRole('slider', { name: 'Stop 1' })
  await first.focus()
  await page.keyboard.press('Shift+ArrowRight')
  await eventually(() => styleOf(frame, '.lit h1', 'background-image')).toContain('10%')
  const bar = await page.getByRole('region', { name: 'Drawing' }).getByRole('slider', { name: 'Stop 2' }).boundingBox()
  if (!bar) throw new Error('The gradient is not drawn.')
  await page.mouse.click(bar.x - 120, bar.y - 20)
  await expect(page.getByRole('slider', { name: /^Stop \d$/ })).toHaveCount(3)
  await page.getByRole('button', { name: 'Remove this stop' }).click()
  await expect(page.getByRole('slider', { name: /^Stop \d$/ })).toHaveCount(2)
  // The page's own colours come first.
  await page.getByRole('button', { name: /^Colour of stop/ }).click()
  await page.getByRole('button', { name: 'rgb(77, 107, 87)' }).click()
  await page.keyboard.press('Escape')
  await eventually(() => styleOf(frame, '.lit h1', 'background-image')).toContain('rgb(77, 107, 87)')

  await page.getByRole('button', { name: 'Effect 2: Two sheets' }).click()
  await restAt(page, 940, 300)
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('button', { name: /^What lift comes to/ }).click()
  const depth = async () => Number(/matrix3d\((.*)\)/.exec(await styleOf(frame, '.near', 'transform'))?.[1]?.split(',')[14] ?? 0)
  await eventually(depth).toBeCloseTo(70, 0)
  await page.getByRole('button', { name: 'The next stop' }).click()
  await page.getByLabel('What it comes to').fill('1/2')
  await page.keyboard.press('Enter')
  await eventually(depth).toBeCloseTo(35, 0)
  const chart = await page.getByRole('region', { name: 'Drawing' }).getByRole('img').boundingBox()
  if (!chart) throw new Error('The curve is not drawn.')
  // The stop in the middle, dragged to the top.
  const heights = { top: chart.y + 10, low: chart.y + chart.height - 30 }
  await page.mouse.move(chart.x + chart.width / 2, chart.y + chart.height / 2)
  for (let y = heights.top; y < heights.low; y += 6) {
    await page.mouse.move(chart.x + chart.width / 2, y)
    await page.mouse.down()
    await page.mouse.up()
  }
  await page.getByLabel('Easing to the next stop').fill('cubic-bezier(0.2, 1.4, 0.4, 1)')
  await page.keyboard.press('Enter')
  await page.getByLabel('Easing to the next stop').fill('bouncy')
  await expect(page.getByLabel('Easing to the next stop')).toHaveAttribute('aria-invalid', 'true')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('group', { name: /^Stop \d of/ })).toBeVisible()
})

test('a feel is chosen among five dots that follow the pointer, each in its own way', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('dots', cardsPage, [tiltOnCards()]))
  const frame = await stageOf(page)
  await page.getByRole('button', { name: 'How it follows: softly' }).click()
  const lanes = page.getByRole('group', { name: 'Five feels' })
  const box = await lanes.boundingBox()
  if (!box) throw new Error('The dots are not drawn.')
  await page.mouse.move(box.x + 100, box.y + 40)
  await page.waitForTimeout(1600)
  const places = () => lanes.locator('[data-dot]').evaluateAll((dots) => dots.map((dot) => parseFloat((dot as HTMLElement).style.left)))
  const [, , , , before = 0] = await places()
  // Where the dots are is looked at from within, as soon as the crisp one is well under way; it is looked before the pointer goes.
  await lanes.evaluate((element) => {
    const lefts = () => [...element.querySelectorAll<HTMLElement>('[data-dot]')].map((dot) => parseFloat(dot.style.left))
    const from = lefts()
    const apart = new Promise<number[]>((resolve) => {
      const look = () => {
        const now = lefts()
        if ((now[0] ?? 0) > (from[0] ?? 0) + 10) resolve(now)
        else requestAnimationFrame(look)
      }
      look()
    })
    Object.assign(window, { apart })
  })
  await page.mouse.move(box.x + box.width - 30, box.y + 40)
  const [crisp = 0, , heavy = 0, , atOnce = 0] = await page.evaluate(() => (window as unknown as { apart: Promise<number[]> }).apart)
  expect(atOnce).toBeGreaterThan(before + 30)
  expect(crisp).toBeGreaterThan(heavy)
  expect(atOnce).toBeGreaterThan(crisp)
  await page.getByRole('button', { name: 'at once' }).click()
  await expect(page.getByRole('button', { name: 'How it follows: at once' })).toBeVisible()
  await expect(number(page, 'The time to follow')).toHaveCount(0)
  // The script with the new feel is written and has come; then nothing lags any more.
  await movePointer(page, 60 + 4, 180, 2)
  await eventually(() => leanOf(frame, '.card', 0).then(({ rotateY }) => rotateY)).toBeLessThan(-8)
  await page.waitForTimeout(300)
  await movePointer(page, 60 + 236, 180, 2)
  await page.waitForTimeout(60)
  expect((await leanOf(frame, '.card', 0)).rotateY).toBeGreaterThan(8)
  await page.getByRole('button', { name: 'How it follows: at once' }).click()
  await page.getByRole('button', { name: 'heavy' }).click()
  await expect(page.getByRole('button', { name: 'How it follows: heavily' })).toBeVisible()
  // An easing that is pasted makes it one that takes a fixed time.
  await page.evaluate(() => navigator.clipboard.writeText('cubic-bezier(0.2, 0.7, 0.2, 1)'))
  await page.getByRole('button', { name: 'How it follows: heavily' }).focus()
  await page.keyboard.press('Control+v')
  await expect(page.getByRole('button', { name: 'How it follows: custom' })).toBeVisible()
})

test('a number is bound to another and to a named value, which is changed once for all and is one property in the export', async ({
  page,
  house,
}) => {
  await toStudio(
    page,
    await house.addSite('bindings', cardsPage, [
      tiltOnCards({ linked: false, acrossDeg: 12, upDownDeg: 5 }),
      { ...tiltOnCards({ acrossDeg: 3 }), id: 'second', name: 'Second', select: '.card:nth-child(2)' },
    ]),
  )
  await stageOf(page)
  await number(page, 'The angle up-down').focus()
  await page.getByRole('button', { name: /^What the angle up-down is linked to/ }).click()
  await page.getByRole('menuitem', { name: 'The angle', exact: true }).click()
  await expect(number(page, 'The angle up-down')).toHaveAttribute('aria-valuenow', '12')
  await page.getByRole('button', { name: 'How it is linked: the same as' }).click()
  await page.getByRole('menuitem', { name: 'half of' }).click()
  await expect(number(page, 'The angle up-down')).toHaveAttribute('aria-valuenow', '6')
  await number(page, 'The angle').focus()
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('ArrowUp')
  await expect(number(page, 'The angle up-down')).toHaveAttribute('aria-valuenow', '7')
  await page.getByRole('button', { name: /^What the angle is linked to/ }).click()
  await page.getByRole('menuitem', { name: 'a new named value' }).click()
  await page.getByRole('button', { name: 'Effect 2: Second' }).click()
  await number(page, 'The angle').focus()
  await page.getByRole('button', { name: /^What the angle is linked to/ }).click()
  await page.getByRole('menuitem', { name: 'across-deg' }).click()
  await expect(number(page, 'The angle')).toHaveAttribute('aria-valuenow', '14')
  await page.getByRole('button', { name: 'More' }).click()
  await expect(page.getByText('used 2 times')).toBeVisible()
  await page.getByLabel('Value of across-deg').fill('2 * 10deg')
  await page.keyboard.press('Enter')
  await expect(number(page, 'The angle').first()).toHaveAttribute('aria-valuenow', '20')
  await expect(page.getByRole('status').getByText('· saved')).toBeVisible()
  const exported = await (await page.request.get(`${house.address}/export/bindings/page`)).text()
  expect(exported.match(/--across-deg: 20deg;/g)).toHaveLength(1)
  expect(exported.match(/: var\(--across-deg\);/g)).toHaveLength(2)
  // A number that is turned by hand is on its own again.
  await number(page, 'The angle').first().focus()
  await page.keyboard.press('ArrowUp')
  await expect(page.getByText('used 1 time', { exact: true })).toBeVisible()
})

test('the page behaves under the stand-in pointer as under a pointer, and looks are held by key; nothing of it is exported', async ({
  page,
  house,
}) => {
  const html = cardsPage.replace(
    '</style>',
    '.card:hover { background: rgb(10, 200, 30) } .card:active { background: rgb(200, 10, 30) }</style>',
  )
  await toStudio(page, await house.addSite('hover', html, [tiltOnCards()]))
  const frame = await stageOf(page)
  const ground = () => styleOf(frame, '.card', 'background-color')
  const lean = () => leanOf(frame, '.card', 0).then(({ rotateY }) => rotateY)
  await restAt(page, 60 + 220, 180)
  await eventually(ground).toBe('rgb(10, 200, 30)')
  await eventually(lean).toBeGreaterThan(6)
  await page.keyboard.press('3')
  await eventually(ground).toBe('rgb(200, 10, 30)')
  await page.keyboard.press('1')
  await eventually(ground).toBe('rgb(255, 255, 255)')
  // At rest, and not only on its way through the middle.
  await eventually(async () => Math.abs(await lean())).toBeLessThan(1e-6)
  // What is held stays, whatever the hand does on the page.
  await movePointer(page, 60 + 20, 180, 3)
  await page.waitForTimeout(300)
  expect(await lean()).toBeCloseTo(0, 2)
  await page.keyboard.press('1')
  await movePointer(page, 60 + 21, 180, 3)
  await eventually(lean).toBeLessThan(-6)
  // Fastened, the pointer stays where it stands.
  await page.keyboard.press('f')
  await expect(page.getByRole('button', { name: 'Hold state' })).toHaveAttribute('data-state-on', '')
  await movePointer(page, 60 + 220, 180, 3)
  await page.waitForTimeout(300)
  expect(await lean()).toBeLessThan(-6)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Hold state' }).click()
  await page.getByRole('menuitem', { name: /^standing still/i }).click()
  await expect(page.getByRole('button', { name: 'Hold state' })).toHaveAttribute('data-state-on', '')
  await page.keyboard.press('l')
  const exported = await (await page.request.get(`${house.address}/export/hover/page`)).text()
  expect(exported).toContain('.card:hover')
  expect(exported).not.toContain('data-glass-moth')
})

test('a card is posed by hand: its angle follows, and off the midlines it is asked because of what', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('pose', cardsPage, [tiltOnCards({ linked: false, acrossDeg: 8, upDownDeg: 8 })]))
  await stageOf(page)
  const { x, y, width, height } = cardBox(0)
  await restAt(page, x + width - 4, y + height / 2)
  await page.keyboard.press('h')
  await expect(page.getByText('The pointer is fastened.', { exact: false })).toBeVisible()
  await dragOnPage(page, [x + 100, y + 80], [x + 125, y + 80])
  // 25 px are 5 degrees more where the pointer is at the very edge.
  await eventually(() => number(page, 'The angle').getAttribute('aria-valuenow').then(Number)).toBeCloseTo(13.1, 0)
  await expect(number(page, 'The angle up-down')).toHaveAttribute('aria-valuenow', '8')
  await page.getByRole('button', { name: 'Undo: Posing by hand' }).click()
  await expect(number(page, 'The angle')).toHaveAttribute('aria-valuenow', '8')
  await page.keyboard.press('Escape')
  await restAt(page, x + width - 20, y + 20)
  await page.keyboard.press('h')
  await dragOnPage(page, [x + 100, y + 80], [x + 120, y + 60])
  await expect(page.getByText('Adjust')).toBeVisible()
  await page.getByRole('button', { name: 'horizontal' }).click()
  await expect(number(page, 'The angle up-down')).toHaveAttribute('aria-valuenow', '8')
  expect(Number(await number(page, 'The angle').getAttribute('aria-valuenow'))).toBeGreaterThan(11)
  await page.getByRole('button', { name: 'vertical' }).click()
  await expect(number(page, 'The angle')).toHaveAttribute('aria-valuenow', '8')
})

test('the edges of a distance are chosen by key as well', async ({ page, house }) => {
  await toStudio(page, await house.addSite('gap-by-key', cardsPage, [tiltOnCards()]))
  await stageOf(page)
  await page.keyboard.press('j')
  const drawing = page.getByRole('region', { name: 'Drawing' })
  for (const [step, name] of [
    ['Click the first of two edges that should meet.', 'right edge of 1'],
    ['Now the edge that it should meet.', 'left edge of 2'],
  ] as const) {
    await expect(drawing.getByText(step)).toBeVisible()
    await drawing.getByRole('button', { name: 'An edge by its name' }).focus()
    await page.keyboard.press('Enter')
    const item = page.getByRole('menuitem', { name: new RegExp(`^${name}`, 'i') })
    await expect(item).toBeVisible()
    for (let i = 0; i < 40 && (await item.getAttribute('data-highlighted')) === null; i++) await page.keyboard.press('ArrowDown')
    await page.keyboard.press('Enter')
  }
  await expect(drawing.getByRole('img', { name: /^The distance over the travel: at 1280px/ })).toBeVisible()
})

test('the distance between two edges is measured over the whole travel, and over three widths', long, async ({ page, house }) => {
  await toStudio(page, await house.addSite('gap', cardsPage, [tiltOnCards()]))
  const frame = await stageOf(page)
  await restAt(page, 180, 180)
  await page.keyboard.press('j')
  const [one, two] = [cardBox(0), cardBox(1)]
  for (const [x, y] of [
    [one.x + one.width - 3, one.y + 130],
    [two.x + 3, two.y + 130],
  ] as const) {
    const at = await onScreen(page, x, y)
    await page.mouse.click(at.x, at.y)
  }
  const drawing = page.getByRole('region', { name: 'Drawing' })
  const told = drawing.getByRole('img', { name: /^The distance over the travel: at 1280px/ })
  await expect(told).toBeVisible()
  const [, least = '', most = ''] = /at 1280px (\S+) to (\S+)px/.exec((await told.getAttribute('aria-label')) ?? '') ?? []
  // Flat, the cards are 50 px apart; leaning, the edge that sinks draws back and the one that rises comes out.
  expect(Number(least)).toBeLessThan(50)
  expect(Number(most)).toBeGreaterThan(50)
  expect(Number(most)).toBeLessThan(60)
  // Another angle has another gap, and the effects play on as before.
  await number(page, 'The angle').focus()
  await page.keyboard.press('Shift+ArrowUp')
  await expect(told).not.toHaveAttribute('aria-label', new RegExp(`${least} to ${most}px`))
  await page.keyboard.press('Shift+ArrowDown')
  await expect(told).toHaveAttribute('aria-label', new RegExp(`${least} to ${most}px`))
  await movePointer(page, 60 + 236, 180, 3)
  await eventually(() => leanOf(frame, '.card', 0).then(({ rotateY }) => rotateY)).toBeGreaterThan(8)
  await page.getByRole('button', { name: 'Over three widths' }).click()
  await expect(drawing.getByText(/1280: .* · 820: .* · 390: /)).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(drawing.getByRole('heading', { name: 'Distance' })).toHaveCount(0)
})
