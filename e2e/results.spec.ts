// Results that designers come for, from starters: walked through the interface, acts counted, and the exported page tried by itself.
import type { Page } from '@playwright/test'
import { countingHand, middleOf, openExport, openStarter, openStarters } from './support/acts'
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
  await eventually(async () => (await leanOf(alone, '.card', 0)).rotateY).toBeCloseTo(9, 1)
  // Smoothly: on its way it is seen between its lean and lying flat.
  await alone.evaluate(() => {
    const noted = Object.assign(window, { between: 0 })
    const look = () => {
      const { m13 } = new DOMMatrix(getComputedStyle(document.querySelector('.card') as Element).transform)
      if (Math.abs(m13) > 0.01 && Math.abs(m13) < 0.15) noted.between++
      requestAnimationFrame(look)
    }
    look()
  })
  const between = () => alone.evaluate(() => (window as unknown as { between: number }).between)
  expect(await between()).toBe(0)
  await alone.mouse.move(box.right + 60, box.bottom + 60)
  await eventually(async () => (await leanOf(alone, '.card', 0)).rotateY).toBeCloseTo(0, 2)
  expect(await between()).toBeGreaterThan(0)
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

const opacityOf = (page: Page, select: string) =>
  page
    .locator(select)
    .first()
    .evaluate((element) => Number(getComputedStyle(element).opacity))
const boxOf = (page: Page, select: string, index = 0) =>
  page
    .locator(select)
    .nth(index)
    .evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
/** The middle of a tile, from the middle of the pointer's place, px. */
const missOf = async (page: Page, select: string, x: number, y: number) => {
  const box = await boxOf(page, select)
  return Math.hypot(box.x + box.width / 2 - x, box.y + box.height / 2 - y)
}

test('a section is dark but for light round the pointer, and in the next one the darkness fades away, in three acts', async ({
  page,
  house,
}, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarters(page, house, 'text', 'picture-grid')
  await hand.pointAt(frame, '.text-block p')
  await hand.clickOn(/^text-block /)
  await hand.clickOn(/^Hand lamp/)
  expect(hand.count()).toBeLessThanOrEqual(5)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const box = await boxOf(alone, '.text-block')
  const at = { x: box.x + box.width * 0.5, y: box.y + box.height * 0.5 }
  // Nothing is added before the pointer comes.
  expect(await alone.locator('[class$="-dark"]').count()).toBe(0)
  await alone.mouse.move(at.x, at.y)
  await eventually(() => opacityOf(alone, '[class$="-dark"]')).toBeCloseTo(0.78, 3)
  await eventually(() => missOf(alone, '[class$="-pool"]', at.x, at.y)).toBeLessThan(1)
  // What lies under the dark can still be clicked and selected.
  expect(await alone.evaluate(([x, y]) => document.elementFromPoint(x ?? 0, y ?? 0)?.closest('[data-part]'), [at.x, at.y])).toBeNull()
  const next = await boxOf(alone, '.picture-grid')
  // It fades in its own time: every frame of it is looked at.
  await alone.evaluate(() => {
    const shades: number[] = []
    const look = () => {
      shades.push(Number(getComputedStyle(document.querySelector('[class$="-dark"]') as Element).opacity))
      requestAnimationFrame(look)
    }
    look()
    Object.assign(window, { shades })
  })
  await alone.mouse.move(next.x + 200, next.y + 200)
  await eventually(() => opacityOf(alone, '[class$="-dark"]')).toBe(0)
  const shades = await alone.evaluate(() => (window as unknown as { shades: number[] }).shades)
  expect(shades.filter((each) => each > 0.1 && each < 0.7)).not.toEqual([])
})

test('a whole window of grainy gradient with a soft light under the pointer, in two acts', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'hero')
  await hand.pointAt(frame, '.hero', 0.9, 0.1)
  await hand.clickOn(/^Dusk on plaster/)
  expect(hand.count()).toBeLessThanOrEqual(4)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const ground = await boxOf(alone, '.hero-grain-light-ground')
  expect([ground.width, ground.height]).toEqual([1280, 800])
  expect(await alone.locator('.hero-grain-light-ground').evaluate((element) => getComputedStyle(element).backgroundImage)).toContain(
    'linear-gradient(155deg',
  )
  await alone.mouse.move(333, 222)
  await eventually(() => missOf(alone, '.hero-grain-light-light', 333, 222)).toBeLessThan(1)
  await eventually(() => opacityOf(alone, '.hero-grain-light-light')).toBeCloseTo(0.36, 3)
})

test('cards that glow at the pointer, surface and edge, each in its own colour, in five acts', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'card-grid')
  await hand.pointAt(frame, '.grid-card', 0.9, 0.15)
  await hand.clickOn(/all 6 like it/)
  await hand.clickOn(/^Near the lamp/)
  await hand.clickOn('More')
  await hand.clickOn('Spread hues')
  expect(hand.count()).toBeLessThanOrEqual(5)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const colours = await alone
    .locator('.grid-card')
    .evaluateAll((cards) => cards.map((card) => getComputedStyle(card).getPropertyValue('--grid-card-glow-light')))
  expect(new Set(colours).size).toBe(6)
  const box = await boxOf(alone, '.grid-card', 0)
  await alone.mouse.move(box.right - 20, box.bottom - 20)
  for (const tile of ['.grid-card-glow-surface-pool', '.grid-card-glow-edge-pool']) {
    await eventually(() => opacityOf(alone, tile)).toBe(1)
    await eventually(() => missOf(alone, tile, box.right - 20, box.bottom - 20)).toBeLessThan(1)
  }
})

test('a grid of dark cards lit by one pointer, neighbours’ edges too, in three acts', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'dark-cards')
  await hand.pointAt(frame, '.dark-card', 0.9, 0.15)
  await hand.clickOn(/all 9 like it/)
  await hand.clickOn(/^Near the lamp/)
  expect(hand.count()).toBeLessThanOrEqual(3)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const box = await boxOf(alone, '.dark-card', 4)
  const at = { x: box.right - 12, y: box.bottom - 12 }
  await alone.mouse.move(at.x, at.y)
  const lit = () =>
    alone
      .locator('.dark-card')
      .evaluateAll((cards) =>
        cards.map((card) => [...card.querySelectorAll('.dark-card-glow-edge-pool')].some((tile) => getComputedStyle(tile).opacity === '1')),
      )
  // The card itself, the one beside it, the one below it, and the one at its corner.
  await eventually(lit).toEqual([false, false, false, false, true, true, false, true, true])
  for (const index of [4, 5, 7, 8]) {
    await eventually(async () => {
      const tile = await boxOf(alone, `.dark-card:nth-child(${index + 1}) .dark-card-glow-edge-pool`)
      return Math.hypot(tile.x + tile.width / 2 - at.x, tile.y + tile.height / 2 - at.y)
    }).toBeLessThan(1)
  }
})

test('a large heading round a corner, sliding with the pointer, in two shades, right on phones too, in two acts', async ({
  page,
  house,
}, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'heading')
  await hand.pointAt(frame, '.large-heading')
  await hand.clickOn(/^Round the corner/)
  expect(hand.count()).toBeLessThanOrEqual(4)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  for (const width of [1280, 390]) {
    await alone.setViewportSize({ width, height: 800 })
    const box = await boxOf(alone, '.large-heading')
    await alone.mouse.move(box.x + box.width * 0.999, box.y + box.height / 2)
    await eventually(() => slideOf(alone, '.large-heading-fold-words-1')).toBeCloseTo(-0.12 * box.width, 0)
    await eventually(
      async () => (await slideOf(alone, '.large-heading-fold-words-2')) - (await slideOf(alone, '.large-heading-fold-words-1')),
    ).toBeCloseTo(0, 1)
    // The walls meet at the corner: where the first one ends, the second begins.
    const [first, second] = await Promise.all(
      ['.large-heading-fold-wall-1', '.large-heading-fold-wall-2'].map((wall) => boxOf(alone, wall)),
    )
    expect(Math.abs((first?.right ?? 0) - (second?.left ?? 1))).toBeLessThan(0.1)
    expect(Math.abs((first?.right ?? 0) - box.x - 0.42 * box.width)).toBeLessThan(0.1)
  }
  expect(await opacityOf(alone, '.large-heading-fold-shade')).toBeCloseTo(0.3, 3)
})

const slideOf = (page: Page, select: string) =>
  page.locator(select).evaluate((element) => new DOMMatrix(getComputedStyle(element).transform).m41)

test('a picture in the dark with a spotlight that narrows while pressed, in three acts', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'picture-grid')
  await hand.pointAt(frame, '.picture-card', 0.5, 0.3)
  await hand.clickOn(/^Narrow beam/)
  await hand.choose(/^When away:/, 'all is dark')
  expect(hand.count()).toBeLessThanOrEqual(4)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  expect(await opacityOf(alone, '[class$="-dark"]')).toBeCloseTo(0.88, 3)
  expect(await opacityOf(alone, '[class$="-lid"]')).toBe(1)
  const box = await boxOf(alone, '.picture-card')
  await alone.mouse.move(box.x + 100, box.y + 100)
  await eventually(() => opacityOf(alone, '[class$="-lid"]')).toBe(0)
  const pool = async () => (await boxOf(alone, '[class$="-pool"]')).width
  await eventually(pool).toBeCloseTo(2 * (90 + 34), 1)
  await alone.mouse.down()
  await eventually(pool).toBeCloseTo(0.55 * 2 * (90 + 34), 1)
  await eventually(() => opacityOf(alone, '[class$="-dark"]')).toBeCloseTo(0.98, 3)
  await alone.mouse.up()
  await eventually(pool).toBeCloseTo(2 * (90 + 34), 1)
})

test('a picture card that leans, its title floating above it, in two acts', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'picture-grid')
  await hand.pointAt(frame, '.picture-card', 0.5, 0.3)
  await hand.clickOn(/^Floating title/)
  expect(hand.count()).toBeLessThanOrEqual(3)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const title = '.picture-card:first-child figcaption'
  const box = await boxOf(alone, '.picture-card')
  await alone.mouse.move(box.right - 2, box.y + box.height / 2)
  const share = (box.width - 4) / box.width
  await eventually(async () => (await leanOf(alone, '.picture-card', 0)).rotateY).toBeCloseTo(11 * share, 2)
  // The card clips what it holds and so is drawn flat: the title slides on it as one 36 px above it is seen to, from 820 px.
  const seen = 36 * Math.sin((11 * Math.PI) / 180) * (820 / (820 - 36))
  await eventually(() => slideOf(alone, title)).toBeCloseTo(seen * share, 1)
  expect(
    await alone
      .locator('.picture-card')
      .first()
      .evaluate((element) => getComputedStyle(element).overflow),
  ).toBe('clip')
})

test('a card that leans with a sheen against the lean, and waits in a chosen pose, in three acts', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'card')
  const middle = await middleOf(frame, '.card')
  const card = await frame.locator('.card').evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
  await hand.pointAt(frame, '.card', 0.95, 0.1)
  await hand.clickOn(/^Under glass/)
  await hand.dragOnPage(middle, { x: middle.x - 0.35 * card.width, y: middle.y })
  await expect(page.getByRole('button', { name: 'When away: it waits at the pin' })).toBeVisible()
  expect(hand.count()).toBeLessThanOrEqual(3)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  await eventually(async () => (await leanOf(alone, '.card', 0)).rotateY).toBeCloseTo(-7, 1)
  expect(await opacityOf(alone, '.card-tilt-sheen')).toBeCloseTo(0.3, 3)
  // The pose is to the left, so the sheen lies to the right, by its travel of its own size.
  const own = await alone.locator('.card-tilt-sheen').evaluate((element) => (element as HTMLElement).offsetWidth)
  await eventually(() => slideOf(alone, '.card-tilt-sheen')).toBeCloseTo(0.7 * 0.6 * own, 0)
})

test('a grid of pictures with a gradient tint that comes on hover, in three acts, and without a script', async ({ page, house }, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'picture-grid')
  await hand.pointAt(frame, '.picture-card', 0.5, 0.4)
  await hand.clickOn(/all 6 like it/)
  await hand.clickOn(/^Dusk from below/)
  expect(hand.count()).toBeLessThanOrEqual(3)

  const look = (surface: Page | typeof frame) =>
    surface.evaluate(() =>
      [...document.querySelectorAll('.picture-card')].slice(0, 2).flatMap((card) => {
        const caption = card.querySelector('figcaption')
        return [getComputedStyle(card, '::after').opacity, caption ? getComputedStyle(caption).opacity : '']
      }),
    )
  // In the studio the pointer is there still; in the export it comes.
  await eventually(() => look(frame)).toEqual(['0.55', '1', '0', '0'])
  const alone = await openExport(page, exported, info.outputPath('page.html'))
  expect(await alone.locator('script').count()).toBe(0)
  expect(await look(alone)).toEqual(['0', '0', '0', '0'])
  const box = await boxOf(alone, '.picture-card', 0)
  await alone.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await eventually(() => look(alone)).toEqual(['0.55', '1', '0', '0'])
  // It comes in its own time.
  expect(
    await alone.evaluate(() => getComputedStyle(document.querySelector('.picture-card') as Element, '::after').transitionDuration),
  ).toBe('0.22s')
  // From corner to corner in three samples, and away: nothing is left.
  for (const [x, y] of [
    [box.x + 1, box.y + 1],
    [box.x + box.width / 2, box.y + box.height / 2],
    [box.right + 400, box.bottom + 200],
  ] as const)
    await alone.mouse.move(x, y)
  await alone.mouse.move(2, 2)
  await eventually(() => look(alone)).toEqual(['0', '0', '0', '0'])
  // Its gradient lies over the picture, and is hit by nobody.
  expect(
    await alone.evaluate(() => getComputedStyle(document.querySelector('.picture-card') as Element, '::after').backgroundImage),
  ).toContain('linear-gradient(0deg, rgb(15, 34, 38) 0%')
  expect(await alone.evaluate(([x = 0, y = 0]) => document.elementFromPoint(x, y)?.tagName, [box.x + 80, box.y + 60])).toBe('IMG')
})

/** Where the line of a wipe cuts an element, px of the window: the right or left side of its clip path. */
const cutOf = (page: Page, select: string, side: 'left' | 'right') =>
  page.locator(select).evaluate((element, from) => {
    const { left, right, width } = element.getBoundingClientRect()
    const sides = /inset\((.*)\)/.exec(getComputedStyle(element).clipPath)?.[1]?.match(/calc\([^)]*\)|\S+/g) ?? []
    const text = (from === 'right' ? sides[1] : sides[3]) ?? ''
    const [, share = '0', sign = '+', px = '0'] = /calc\(([\d.]+)% ([+-]) (-?[\d.]+)px\)/.exec(text) ?? [
      text,
      String(parseFloat(text) || 0),
    ]
    const cut = (Number(share) / 100) * width + (sign === '-' ? -1 : 1) * Number(px)
    return from === 'right' ? right - cut : left + cut
  }, side)

test('a hero in two halves whose border follows the pointer, headlines not reflowing, also by finger, in three acts', async ({
  page,
  house,
}, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'halves')
  await hand.pointAt(frame, '.half-left', 0.2, 0.2)
  await hand.clickOn(/^Two sides/)
  await hand.pointRole(frame, 'back', '.half-right', 0.85, 0.2)
  expect(hand.count()).toBeLessThanOrEqual(3)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const headings = () => alone.locator('h1').evaluateAll((all) => all.map((each) => JSON.stringify(each.getBoundingClientRect())))
  const before = await headings()
  await eventually(() => cutOf(alone, '.half-left', 'right')).toBeCloseTo(640, 0)
  await alone.mouse.move(400, 300)
  await eventually(() => cutOf(alone, '.half-left', 'right')).toBeCloseTo(400, 0)
  expect(await cutOf(alone, '.half-right', 'left')).toBeCloseTo(400, 0)
  expect(await headings()).toEqual(before)
  expect(await alone.locator('.halves').evaluate((element) => getComputedStyle(element).touchAction)).toBe('pan-y pinch-zoom')
})

test('a headline gives way to another along a line with a marker on its own path, ornaments by side, on wide screens only, in seven acts', async ({
  page,
  house,
}, info) => {
  const hand = countingHand(page)
  const { frame, exported } = await openStarter(page, house, 'headlines')
  await hand.pointAt(frame, '.headline-before', 0.1, 0.2)
  await hand.clickOn(/^One line behind another/)
  // What lies under it, as large as it is, is the back until something else is pointed at.
  await expect(page.getByRole('button', { name: /Which elements are the back/ })).toHaveText(/this headline/)
  await hand.pointRole(frame, 'rider', '.marker')
  await hand.pointRole(frame, 'companions of the front', '.ornament-before')
  await hand.pointRole(frame, 'companions of the back', '.ornament-after')
  // What is folded away is opened; that chooses nothing.
  await page.getByRole('button', { name: 'More' }).click()
  await page.getByRole('button', { name: 'Touch and access' }).click()
  await hand.choose(/^Window width/, 'from a width on')
  expect(hand.count()).toBeLessThanOrEqual(7)

  const alone = await openExport(page, exported, info.outputPath('page.html'))
  const headings = () => alone.locator('h2').evaluateAll((all) => all.map((each) => JSON.stringify(each.getBoundingClientRect())))
  const before = await headings()
  const card = await boxOf(alone, '.headlines')
  const marker = async () => {
    const box = await boxOf(alone, '.marker')
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  }
  await eventually(async () => (await marker()).x).toBeCloseTo(card.x + 0.08 * card.width, 0)
  for (const [share, rise] of [
    [0.45, -50],
    [0.999, 30],
  ] as const) {
    // prettier-ignore
    const x = card.x + share * card.width
    await alone.mouse.move(x, card.y + 60)
    for (const [select, side] of [
      ['.headline-before', 'right'],
      ['.headline-after', 'left'],
      ['.ornament-before', 'right'],
      ['.ornament-after', 'left'],
    ] as const)
      // prettier-ignore
      await eventually(async () => Math.abs((await cutOf(alone, select, side)) - x)).toBeLessThan(1)
    await eventually(async () => Math.abs((await marker()).x - x)).toBeLessThan(1)
    await eventually(async () => (await marker()).y - card.y - card.height / 2).toBeCloseTo(rise, 0)
  }
  expect(await headings()).toEqual(before)
  await alone.setViewportSize({ width: 700, height: 800 })
  await eventually(() => alone.locator('.headline-before').evaluate((element) => getComputedStyle(element).clipPath)).toBe('none')
})
