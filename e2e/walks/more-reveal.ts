// More of what people ask for: what gives way to something else.
import { eventually, expect } from '../support/house'
import { boxOf, cutOf, moveTo, shiftOf, styleOf } from '../support/readings'
import type { Walk } from '../support/walk'
import { recipeWalk } from './build'

export const more: readonly Walk[] = [
  recipeWalk({
    id: 'before-and-after',
    title: 'Before and after: one picture gives way to the other at a line',
    isFor: 'To compare two states of one thing: restored, retouched, rebuilt.',
    starter: 'before-after',
    on: ['.before', 0.3, 0.3],
    recipe: /^Two sides/,
    moments: [
      { words: 'A third of it is seen as it was', on: '.before-after', u: 0.33 },
      { words: 'Three quarters of it', on: '.before-after', u: 0.75 },
    ],
    check: async ({ alone }) => {
      for (const u of [0.25, 0.8]) {
        const { x } = await moveTo(alone, '.before-after', { u })
        await eventually(async () => Math.abs((await cutOf(alone, '.before', 'right')) - x)).toBeLessThan(1)
      }
    },
  }),
  recipeWalk({
    id: 'rising-water',
    title: 'What lies behind comes up from below, as water does',
    isFor: 'A level: what is under it, and what stands out of it.',
    starter: 'before-after',
    on: ['.before', 0.3, 0.3],
    recipe: /^Rising water/,
    moments: [
      { words: 'High water', on: '.before-after', v: 0.25 },
      { words: 'Low water', on: '.before-after', v: 0.8 },
    ],
    check: async ({ alone }) => {
      const cuts = async () => (await styleOf(alone, '.before', 'clip-path')) + (await styleOf(alone, '.after', 'clip-path'))
      await moveTo(alone, '.before-after', { v: 0.25 })
      await alone.waitForTimeout(500)
      const high = await cuts()
      expect(high).toContain('inset(')
      await moveTo(alone, '.before-after', { v: 0.8 })
      await eventually(cuts).not.toBe(high)
    },
  }),
  recipeWalk({
    id: 'slanting-dusk',
    title: 'A soft slanting border between two pictures, which stays where it was left',
    isFor: 'Day and night, summer and winter: there is no line between them.',
    starter: 'before-after',
    on: ['.before', 0.3, 0.3],
    recipe: /^Slanting dusk/,
    moments: [
      { words: 'In the first third', on: '.before-after', u: 0.3 },
      { words: 'Further on', on: '.before-after', u: 0.7 },
    ],
    reads: [{ at: 0, select: '.before', property: 'mask-image', is: /^linear-gradient\(/ }],
    check: async ({ alone }) => {
      const mask = () => styleOf(alone, '.before', 'mask-image')
      await moveTo(alone, '.before-after', { u: 0.6 })
      await alone.waitForTimeout(900)
      const left = await mask()
      await alone.mouse.move(3, 3)
      await alone.waitForTimeout(900)
      expect(await mask()).toBe(left)
    },
  }),
  recipeWalk({
    id: 'round-window',
    title: 'A round window to what lies behind',
    isFor: 'The skeleton in the animal, the wiring in the wall, the sketch under the painting.',
    starter: 'before-after',
    on: ['.before', 0.3, 0.3],
    recipe: /^Round window/,
    moments: [
      { words: 'At the ridge', on: '.before-after', u: 0.4, v: 0.5 },
      { words: 'At the sun', on: '.before-after', u: 0.68, v: 0.4 },
    ],
    check: async ({ alone }) => {
      await moveTo(alone, '.before-after', { u: 0.4, v: 0.5 })
      const opened = () =>
        alone.evaluate(() =>
          [...document.querySelectorAll('.before-after *')]
            .map((each) => getComputedStyle(each))
            .flatMap(({ clipPath, maskImage }) => [clipPath, maskImage])
            .find((each) => /circle|radial/.test(each)),
        )
      // 120 px round, where the pointer is.
      await eventually(opened).toMatch(/120px|119\.9/)
    },
  }),
  recipeWalk({
    id: 'mist-wiped-off',
    title: 'Mist that is wiped off where the hand is',
    isFor: 'A picture that is found rather than shown.',
    starter: 'before-after',
    on: ['.before', 0.3, 0.3],
    recipe: /^Mist wiped off/,
    moments: [
      { words: 'At the left', on: '.before-after', u: 0.25, v: 0.6 },
      { words: 'At the right', on: '.before-after', u: 0.75, v: 0.4 },
    ],
    check: async ({ alone }) => {
      const masks = () =>
        alone.evaluate(() =>
          [...document.querySelectorAll('.before-after *')]
            .map((each) => getComputedStyle(each).maskImage)
            .filter((each) => each.startsWith('radial-gradient')),
        )
      await moveTo(alone, '.before-after', { u: 0.25, v: 0.6 })
      await eventually(async () => (await masks()).length).toBeGreaterThan(0)
    },
  }),
  recipeWalk({
    id: 'picture-grows-in-frame',
    title: 'A picture that grows in its frame, without a script',
    isFor: 'The plainest answer of a picture that is a link.',
    starter: 'picture-grid',
    on: ['.picture-card', 0.5, 0.4],
    all: /all 6 like it/,
    recipe: /^A closer look/,
    moments: [
      { words: 'The pointer on a picture', on: '.picture-card', index: 1 },
      { words: 'On another one', on: '.picture-card', index: 3 },
    ],
    reads: [
      { at: 'first', select: '.picture-card img', index: 1, property: 'scale', is: 'none' },
      { at: 0, select: '.picture-card img', index: 1, property: 'scale', is: '1.18' },
      { at: 1, select: '.picture-card img', index: 1, property: 'scale', is: 'none' },
    ],
    check: async ({ alone }) => expect(await alone.locator('script').count()).toBe(0),
  }),
  recipeWalk({
    id: 'soft-corners',
    title: 'A picture whose corners become round as it draws in',
    isFor: 'A grid that is strict until one of it is met.',
    starter: 'picture-grid',
    on: ['.picture-card', 0.5, 0.4],
    all: /all 6 like it/,
    recipe: /^Soft corners/,
    moments: [
      { words: 'The pointer on a picture', on: '.picture-card', index: 1 },
      { words: 'On another one', on: '.picture-card', index: 3 },
    ],
    reads: [{ at: 0, select: '.picture-card img', index: 1, property: 'scale', is: '1.04' }],
    check: async ({ alone }) => expect(await styleOf(alone, '.picture-card img', 'clip-path', 3)).not.toContain('round 22px'),
  }),
  recipeWalk({
    id: 'tinted-glass',
    title: 'Pictures under tinted glass when they are met',
    isFor: 'One colour over pictures of many, which keeps light and shade.',
    starter: 'picture-grid',
    on: ['.picture-card', 0.5, 0.4],
    all: /all 6 like it/,
    recipe: /^Tinted glass/,
    moments: [
      { words: 'The pointer on a picture', on: '.picture-card', index: 1 },
      { words: 'On another one', on: '.picture-card', index: 3 },
    ],
    check: async ({ alone }) => {
      const look = (index: number) =>
        alone
          .locator('.picture-card')
          .nth(index)
          .evaluate((card) => {
            const { opacity, mixBlendMode } = getComputedStyle(card, '::after')
            return `${opacity} ${mixBlendMode}`
          })
      expect(await look(1)).toBe('0 multiply')
      await moveTo(alone, '.picture-card', { index: 1 })
      await eventually(() => look(1)).toBe('0.62 multiply')
      expect(await look(0)).toBe('0 multiply')
    },
  }),
  recipeWalk({
    id: 'picture-under-the-hand',
    title: 'Tall pictures that go where the hand goes',
    isFor: 'To look up and down a long picture without scrolling.',
    starter: 'tall-pictures',
    on: ['.tall-frame img', 0.5, 0.2],
    all: /all 3 like it/,
    recipe: /^Under the hand/,
    moments: [
      { words: 'The pointer at the top', on: '.tall-frame', index: 1, v: 0.04 },
      { words: 'The pointer at the foot', on: '.tall-frame', index: 1, v: 0.97 },
    ],
    check: async ({ alone }) => {
      const frame = await boxOf(alone, '.tall-frame', 1)
      await alone.mouse.move(frame.x + 60, frame.bottom - 1)
      // Its foot is at the foot of its frame.
      await eventually(async () => Math.abs((await boxOf(alone, '.tall-frame img', 1)).bottom - frame.bottom)).toBeLessThan(2)
      await alone.mouse.move(frame.x + 60, frame.y + 1)
      await eventually(async () => Math.abs((await boxOf(alone, '.tall-frame img', 1)).y - frame.y)).toBeLessThan(3)
    },
  }),
  recipeWalk({
    id: 'calendar-leaf',
    title: 'Cards that turn up like the leaf of a calendar',
    isFor: 'A front that is lifted to see what is under it.',
    starter: 'faces',
    on: ['.two-faced', 0.5, 0.2],
    recipe: /^Calendar leaf/,
    moments: [
      { words: 'The second one turned over', on: '.two-faced', index: 1 },
      { words: 'The first one on its way', on: '.two-faced', index: 0, restMs: 30 },
    ],
    reads: [
      { at: 'first', select: '.face-back', index: 1, property: 'visibility', is: 'hidden' },
      { at: 0, select: '.face-back', index: 1, property: 'visibility', is: 'visible' },
      { at: 0, select: '.face-front', index: 1, property: 'visibility', is: 'hidden' },
    ],
  }),
  recipeWalk({
    id: 'flip-without-script',
    title: 'Cards that turn over without a script',
    isFor: 'Where no script may be: newsletters’ landing pages, strict policies, plain taste.',
    starter: 'faces',
    on: ['.two-faced', 0.5, 0.2],
    recipe: /^Without a script/,
    moments: [
      { words: 'Turned over', on: '.two-faced', index: 0 },
      { words: 'The next one', on: '.two-faced', index: 1 },
    ],
    reads: [
      { at: 'first', select: '.face-back', property: 'visibility', is: 'hidden' },
      { at: 0, select: '.face-back', property: 'visibility', is: 'visible' },
      { at: 1, select: '.face-back', property: 'visibility', is: 'hidden' },
    ],
    check: async ({ alone }) => expect(await alone.locator('script').count()).toBe(0),
  }),
  recipeWalk({
    id: 'first-panel-open',
    title: 'A row of panels of which the first is open until another is met',
    isFor: 'An accordion that never lies there shut.',
    starter: 'panels',
    on: ['.panel-3', 0.5, 0.8],
    recipe: /^The first is open/,
    moments: [{ words: 'Nobody has come: the first is open' }, { words: 'The fourth', on: '.panel', index: 3, v: 0.8 }],
    check: async ({ alone }) => {
      const widths = () => alone.locator('.panel').evaluateAll((all) => all.map((each) => Math.round(each.getBoundingClientRect().width)))
      const widest = async () => {
        const all = await widths()
        return all.indexOf(Math.max(...all))
      }
      await eventually(widest).toBe(0)
      await moveTo(alone, '.panel', { index: 3, v: 0.8 })
      await eventually(widest).toBe(3)
      await alone.mouse.move(3, 700)
      await alone.waitForTimeout(700)
      expect(await widest()).toBe(3)
    },
  }),
  recipeWalk({
    id: 'drawers',
    title: 'Panels one above the other that open like drawers',
    isFor: 'Questions and answers, chapters, departments.',
    starter: 'drawers',
    on: ['.drawer', 0.5, 0.8],
    recipe: /^Drawers/,
    moments: [
      { words: 'The second is open', on: '.drawer', index: 1, v: 0.5 },
      { words: 'The fourth is open', on: '.drawer', index: 3, v: 0.5 },
    ],
    check: async ({ alone }) => {
      const highest = async () => {
        const all = await alone.locator('.drawer').evaluateAll((panels) => panels.map((each) => each.getBoundingClientRect()))
        // One above the other.
        expect(new Set(all.map(({ x }) => Math.round(x))).size).toBe(1)
        const heights = all.map(({ height }) => height)
        return heights.indexOf(Math.max(...heights))
      }
      await moveTo(alone, '.drawer', { index: 1 })
      await eventually(highest).toBe(1)
      await moveTo(alone, '.drawer', { index: 3 })
      await eventually(highest).toBe(3)
    },
  }),
  recipeWalk({
    id: 'note-to-the-right',
    title: 'A note that comes out to the right of its word',
    isFor: 'Explanations beside a column that is read downwards.',
    starter: 'note',
    on: ['.note-anchor'],
    recipe: /^Out to the right/,
    moments: [{ words: 'The pointer on the button', on: '.note-anchor' }, { words: 'Away' }],
    check: async ({ alone }) => {
      await eventually(() => styleOf(alone, '.note', 'display')).toBe('none')
      await moveTo(alone, '.note-anchor')
      await eventually(() => styleOf(alone, '.note', 'display')).toBe('block')
      const anchor = await boxOf(alone, '.note-anchor')
      await eventually(async () => Math.round((await boxOf(alone, '.note')).x - anchor.right)).toBe(10)
      await alone.keyboard.press('Escape')
      await eventually(() => styleOf(alone, '.note', 'display')).toBe('none')
    },
  }),
  recipeWalk({
    id: 'rows-in-one-place',
    title: 'A list whose pictures are shown in one place beside it',
    isFor: 'An index of works with a window onto each.',
    starter: 'rows',
    on: ['.row', 0.4, 0.5],
    recipe: /^Shown in one place/,
    moments: [
      { words: 'A row that is met', on: '.row', index: 3, u: 0.3 },
      { words: 'Another one', on: '.row', index: 6, u: 0.3 },
    ],
    check: async ({ alone }) => {
      const place = async () => {
        const box = await alone.locator('.row > [data-part]').first().boundingBox()
        return box && [Math.round(box.x), Math.round(box.y)].join(' ')
      }
      await moveTo(alone, '.row', { index: 3, u: 0.3 })
      await eventually(place).toMatch(/\d/)
      await alone.waitForTimeout(700)
      const first = await place()
      await moveTo(alone, '.row', { index: 6, u: 0.3 })
      await alone.waitForTimeout(900)
      expect(await place()).toBe(first)
      expect((await shiftOf(alone, '.row-on', 6)).y).toBe(0)
    },
  }),
]
