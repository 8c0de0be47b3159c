import type { Frame, Page } from '@playwright/test'
import { middleOf } from '../support/acts'
import { eventually, expect } from '../support/house'
import { boxOf, opacityOf, slideOf, missOf, cutOf } from '../support/readings'
import { leanOf } from '../support/stage'
import type { Walk } from '../support/walk'

export const results: readonly Walk[] = [
  {
    id: 'card-leans',
    result: 20,
    acts: 2,
    title: 'A card that leans smoothly',
    isFor: 'The plainest answer of a card to the hand: it gives way where it is touched.',
    starters: ['card'],
    moments: [{ words: 'The pointer at its right edge', on: '.card', u: 0.97, v: 0.5 }, { words: 'Away, it lies flat' }],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.card', 0.95, 0.1)
      await hand.clickOn(/^Give way/)
    },
    check: async ({ alone }) => {
      await eventually(async () => (await leanOf(alone, '.card', 0)).rotateY).toBeCloseTo(0, 3)
      const box = await alone.locator('.card').evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
      await alone.mouse.move(box.right - 1, box.y + box.height / 2)
      // A pixel from the edge it is not quite the whole angle.
      await eventually(async () => (await leanOf(alone, '.card', 0)).rotateY).toBeCloseTo(9 * (1 - 2 / box.width), 1)
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
    },
  },
  {
    id: 'dark-section-by-lamp',
    result: 2,
    acts: 5,
    title: 'A section is dark but for light round the pointer, and in the next one the darkness fades away',
    isFor: 'A passage that is read by lamplight, and a page that goes on by day.',
    starters: ['text', 'picture-grid'],
    moments: [
      { words: 'The pointer in the text', on: '.text-block p', u: 0.4, v: 0.5 },
      { words: 'In the section below', on: '.picture-card', index: 1 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.text-block p')
      await hand.clickOn(/^text-block /)
      await hand.clickOn(/^Hand lamp/)
    },
    check: async ({ alone }) => {
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
    },
  },
  {
    id: 'grainy-window',
    result: 3,
    acts: 4,
    title: 'A whole window of grainy gradient with a soft light under the pointer',
    isFor: 'A first screen with a ground of its own, which is not a picture and weighs next to nothing.',
    starters: ['hero'],
    moments: [
      { words: 'The light at the upper left', on: '.hero', u: 0.25, v: 0.3 },
      { words: 'The light at the lower right', on: '.hero', u: 0.8, v: 0.75 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.hero', 0.9, 0.1)
      await hand.clickOn(/^Dusk on plaster/)
    },
    check: async ({ alone }) => {
      const ground = await boxOf(alone, '.hero-grain-light-ground')
      expect([ground.width, ground.height]).toEqual([1280, 800])
      expect(await alone.locator('.hero-grain-light-ground').evaluate((element) => getComputedStyle(element).backgroundImage)).toContain(
        'linear-gradient(155deg',
      )
      await alone.mouse.move(333, 222)
      await eventually(() => missOf(alone, '.hero-grain-light-light', 333, 222)).toBeLessThan(1)
      await eventually(() => opacityOf(alone, '.hero-grain-light-light')).toBeCloseTo(0.36, 3)
    },
  },
  {
    id: 'cards-glow',
    result: 4,
    acts: 5,
    title: 'Cards that glow at the pointer, surface and edge, each in its own colour',
    isFor: 'A grid whose cards are told apart by their light.',
    starters: ['card-grid'],
    moments: [
      { words: 'Between two cards', on: '.grid-card', u: 0.98, v: 0.6 },
      { words: 'On another one', on: '.grid-card', index: 4 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.grid-card', 0.9, 0.15)
      await hand.clickOn(/all 6 like it/)
      await hand.clickOn(/^Near the lamp/)
      await hand.clickOn('More')
      await hand.clickOn('Spread hues')
    },
    check: async ({ alone }) => {
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
    },
  },
  {
    id: 'dark-grid-lit',
    result: 17,
    acts: 3,
    title: 'A grid of dark cards lit by one pointer, neighbours’ edges too',
    isFor: 'Many things of one sort, and one lamp that goes over them.',
    starters: ['dark-cards'],
    moments: [
      { words: 'At the corner of four cards', on: '.dark-card', index: 4, u: 0.96, v: 0.9 },
      { words: 'In the middle of one', on: '.dark-card', index: 0 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.dark-card', 0.9, 0.15)
      await hand.clickOn(/all 9 like it/)
      await hand.clickOn(/^Near the lamp/)
    },
    check: async ({ alone }) => {
      const box = await boxOf(alone, '.dark-card', 4)
      const at = { x: box.right - 12, y: box.bottom - 12 }
      await alone.mouse.move(at.x, at.y)
      const lit = () =>
        alone
          .locator('.dark-card')
          .evaluateAll((cards) =>
            cards.map((card) =>
              [...card.querySelectorAll('.dark-card-glow-edge-pool')].some((tile) => getComputedStyle(tile).opacity === '1'),
            ),
          )
      // The card itself, the one beside it, the one below it, and the one at its corner.
      await eventually(lit).toEqual([false, false, false, false, true, true, false, true, true])
      for (const index of [4, 5, 7, 8]) {
        await eventually(async () => {
          const tile = await boxOf(alone, `.dark-card:nth-child(${index + 1}) .dark-card-glow-edge-pool`)
          return Math.hypot(tile.x + tile.width / 2 - at.x, tile.y + tile.height / 2 - at.y)
        }).toBeLessThan(1)
      }
    },
  },
  {
    id: 'heading-round-corner',
    result: 8,
    acts: 4,
    title: 'A large heading round a corner, sliding with the pointer, in two shades, right on phones too',
    isFor: 'A headline that is a place: it stands on two walls and goes round their corner.',
    starters: ['heading'],
    moments: [
      { words: 'The pointer at the left', on: '.large-heading', u: 0.05 },
      { words: 'The pointer at the right', on: '.large-heading', u: 0.95 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.large-heading')
      await hand.clickOn(/^Round the corner/)
    },
    check: async ({ alone }) => {
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
    },
  },
  {
    id: 'picture-by-narrow-beam',
    result: 11,
    acts: 4,
    title: 'A picture in the dark with a spotlight that narrows while pressed',
    isFor: 'To look for something: a torch, and a narrow beam for what was found.',
    starters: ['picture-grid'],
    moments: [
      { words: 'The torch', on: '.picture-card', u: 0.5, v: 0.45 },
      { words: 'Narrowed while the button is down', on: '.picture-card', u: 0.5, v: 0.45, isPressed: true },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.picture-card', 0.5, 0.3)
      await hand.clickOn(/^Narrow beam/)
      await hand.choose(/^When away:/, 'all is dark')
    },
    check: async ({ alone }) => {
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
    },
  },
  {
    id: 'title-floats',
    result: 13,
    acts: 3,
    title: 'A picture card that leans, its title floating above it',
    isFor: 'A picture that is a thing, with its name before it.',
    starters: ['picture-grid'],
    moments: [
      { words: 'The pointer at its right edge', on: '.picture-card', u: 0.95, v: 0.5 },
      { words: 'At its left edge', on: '.picture-card', u: 0.05, v: 0.5 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.picture-card', 0.5, 0.3)
      await hand.clickOn(/^Floating title/)
    },
    check: async ({ alone }) => {
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
    },
  },
  {
    id: 'card-leans-with-sheen',
    result: 18,
    acts: 3,
    title: 'A card that leans with a sheen against the lean, and waits in a chosen pose',
    isFor: 'A card under glass, which is never quite still: it waits half turned to the reader.',
    starters: ['card'],
    moments: [{ words: 'The pointer at its right edge', on: '.card', u: 0.95, v: 0.4 }, { words: 'Away, it waits in its pose' }],
    walk: async ({ page, hand, frame }) => {
      const middle = await middleOf(frame, '.card')
      const card = await frame.locator('.card').evaluate((element) => element.getBoundingClientRect().toJSON() as DOMRect)
      await hand.pointAt(frame, '.card', 0.95, 0.1)
      await hand.clickOn(/^Under glass/)
      await hand.dragOnPage(
        middle,
        { x: middle.x - 0.35 * card.width, y: middle.y },
        'Drag the middle of the card to the left, where it is to wait',
      )
      await expect(page.getByRole('button', { name: 'When away: it waits at the pin' })).toBeVisible()
    },
    check: async ({ alone }) => {
      await eventually(async () => (await leanOf(alone, '.card', 0)).rotateY).toBeCloseTo(-7, 1)
      expect(await opacityOf(alone, '.card-tilt-sheen')).toBeCloseTo(0.3, 3)
      // The pose is to the left, so the sheen lies to the right, by its travel of its own size.
      const own = await alone.locator('.card-tilt-sheen').evaluate((element) => (element as HTMLElement).offsetWidth)
      await eventually(() => slideOf(alone, '.card-tilt-sheen')).toBeCloseTo(0.7 * 0.6 * own, 0)
    },
  },
  {
    id: 'gradient-on-hover',
    result: 14,
    acts: 4,
    title: 'A grid of pictures with a gradient tint that comes on hover',
    isFor: 'Pictures first; their names when one of them is met.',
    starters: ['picture-grid'],
    moments: [
      { words: 'The pointer on a picture', on: '.picture-card', index: 1 },
      { words: 'On another one', on: '.picture-card', index: 3 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.picture-card', 0.5, 0.4)
      await hand.clickOn(/all 6 like it/)
      await hand.clickOn(/^Dusk from below/)
    },
    check: async ({ alone, frame }) => {
      const look = (surface: Page | Frame) =>
        surface.evaluate(() =>
          [...document.querySelectorAll('.picture-card')].slice(0, 2).flatMap((card) => {
            const caption = card.querySelector('figcaption')
            return [getComputedStyle(card, '::after').opacity, caption ? getComputedStyle(caption).opacity : '']
          }),
        )
      // In the studio the pointer is there still; in the export it comes.
      await eventually(() => look(frame)).toEqual(['0.55', '1', '0', '0'])
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
    },
  },
  {
    id: 'hero-in-halves',
    result: 7,
    acts: 2,
    title: 'A hero in two halves whose border follows the pointer, headlines not reflowing, also by finger',
    isFor: 'Two sides of one thing, and the reader decides how much of each.',
    starters: ['halves'],
    moments: [
      { words: 'The border at a third', on: '.halves', u: 0.33 },
      { words: 'The border at four fifths', on: '.halves', u: 0.8 },
    ],
    walk: async ({ page, hand, frame }) => {
      await hand.pointAt(frame, '.half-left', 0.2, 0.2)
      await hand.clickOn(/^Two sides/)
      // The other half is found.
      await expect(page.getByRole('button', { name: /Which elements are the back/ })).toHaveText(/this half/)
    },
    check: async ({ alone }) => {
      const headings = () => alone.locator('h1').evaluateAll((all) => all.map((each) => JSON.stringify(each.getBoundingClientRect())))
      const before = await headings()
      await eventually(() => cutOf(alone, '.half-left', 'right')).toBeCloseTo(640, 0)
      await alone.mouse.move(400, 300)
      await eventually(() => cutOf(alone, '.half-left', 'right')).toBeCloseTo(400, 0)
      expect(await cutOf(alone, '.half-right', 'left')).toBeCloseTo(400, 0)
      expect(await headings()).toEqual(before)
      expect(await alone.locator('.halves').evaluate((element) => getComputedStyle(element).touchAction)).toBe('pan-y pinch-zoom')
    },
  },
  {
    id: 'headline-gives-way',
    result: 1,
    acts: 7,
    title:
      'In one card a headline gives way to another along a line, with a marker on its own path and ornaments by side, on wide screens only',
    isFor: 'Before and after in one sentence, with the line between them as the thing one plays with.',
    starters: ['headlines'],
    moments: [
      { words: 'The line a third of the way', on: '.headlines', u: 0.36 },
      { words: 'The line nearly over', on: '.headlines', u: 0.82 },
    ],
    walk: async ({ page, hand, frame }) => {
      await hand.pointAt(frame, '.headline-before', 0.1, 0.2)
      await hand.clickOn(/^One line behind another/)
      // What lies under it, as large as it is, is the back until something else is pointed at.
      await expect(page.getByRole('button', { name: /Which elements are the back/ })).toHaveText(/this headline/)
      await hand.pointRole(frame, 'rider', '.marker')
      await hand.pointRole(frame, 'companions of the front', '.ornament-before')
      await hand.pointRole(frame, 'companions of the back', '.ornament-after')
      // What is folded away is opened; that chooses nothing.
      await page.getByRole('button', { name: 'More' }).click()
      await page.getByRole('button', { name: 'Area' }).click()
      await hand.choose(/^Window width/, 'from a width on')
    },
    check: async ({ alone }) => {
      const headings = () => alone.locator('h2').evaluateAll((all) => all.map((each) => JSON.stringify(each.getBoundingClientRect())))
      const before = await headings()
      const card = await boxOf(alone, '.headlines')
      const marker = async () => {
        const box = await boxOf(alone, '.marker')
        return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
      }
      await eventually(async () => (await marker()).x).toBeCloseTo(card.x + 0.92 * card.width, 0)
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
      const narrow = await boxOf(alone, '.headlines')
      await alone.mouse.move(narrow.x + 0.3 * narrow.width, narrow.y + 60)
      // There the line stays where it waits.
      const waits = narrow.x + 0.92 * narrow.width
      await eventually(async () => Math.abs((await cutOf(alone, '.headline-before', 'right')) - waits)).toBeLessThan(1)
      expect(Math.abs((await cutOf(alone, '.headline-after', 'left')) - waits)).toBeLessThan(1)
    },
  },
]
