// More of what people ask for: depth and light.
import { middleOf } from '../support/acts'
import { eventually, expect } from '../support/house'
import { boxOf, missOf, moveTo, opacityOf, shiftOf, styleOf } from '../support/readings'
import { leanOf } from '../support/stage'
import type { Walk } from '../support/walk'
import { recipeWalk } from './build'

export const more: readonly Walk[] = [
  recipeWalk({
    id: 'card-waits-in-pose',
    title: 'A card that leans, and waits in a chosen pose',
    isFor: 'A card that is seen from the side until somebody comes.',
    starter: 'card',
    on: ['.card', 0.95, 0.1],
    recipe: /^Give way/,
    then: async ({ hand, frame }) => {
      const middle = await middleOf(frame, '.card')
      await hand.dragOnPage(
        middle,
        { x: middle.x - 0.35 * 354, y: middle.y },
        'Drag the middle of the card to the left, where it is to wait',
      )
    },
    acts: 3,
    moments: [{ words: 'The pointer at its right edge', on: '.card', u: 0.94 }, { words: 'Away, it waits in its pose' }],
    check: async ({ alone }) => {
      const lean = async () => (await leanOf(alone, '.card', 0)).rotateY
      await eventually(async () => Math.round(await lean())).toBe(-7)
      const pose = await lean()
      await moveTo(alone, '.card', { u: 0.94 })
      await eventually(lean).toBeGreaterThan(7)
      await alone.mouse.move(5, 5)
      await eventually(lean).toBeCloseTo(pose, 3)
    },
  }),
  recipeWalk({
    id: 'card-comes-nearer',
    title: 'A card that comes nearer, and turns its edge to the pointer',
    isFor: 'Something that wants to be taken: it rises to the hand and does not give way.',
    starter: 'card',
    on: ['.card', 0.9, 0.2],
    recipe: /^Come nearer/,
    moments: [{ words: 'The pointer at its right edge', on: '.card', u: 0.97 }, { words: 'Away, it lies flat' }],
    check: async ({ alone }) => {
      const box = await boxOf(alone, '.card')
      await alone.mouse.move(box.right - 1, box.y + box.height / 2)
      // The other way than a card that gives way, and out of its plane.
      await eventually(async () => (await leanOf(alone, '.card', 0)).rotateY).toBeCloseTo(-7, 1)
      expect((await leanOf(alone, '.card', 0)).translateZ).toBeGreaterThan(10)
    },
  }),
  recipeWalk({
    id: 'pictures-heavy',
    title: 'Pictures that lean as heavy things do',
    isFor: 'A few large pictures that have weight.',
    starter: 'picture-grid',
    on: ['.picture-card', 0.5, 0.4],
    all: /all 6 like it/,
    recipe: /^Heavy slab/,
    moments: [
      { words: 'The pointer at its right edge', on: '.picture-card', index: 1, u: 0.96, restMs: 1800 },
      { words: 'On the next one', on: '.picture-card', index: 2, u: 0.06, v: 0.1, restMs: 1800 },
    ],
    check: async ({ alone }) => {
      const box = await boxOf(alone, '.picture-card', 1)
      await alone.mouse.move(box.right - 1, box.y + box.height / 2)
      await eventually(async () => (await leanOf(alone, '.picture-card', 1)).rotateY).toBeCloseTo(14, 0)
      expect((await leanOf(alone, '.picture-card', 0)).rotateY).toBe(0)
    },
  }),
  recipeWalk({
    id: 'scene-in-depth',
    title: 'A scene whose layers drift, the near one more than the far one',
    isFor: 'Depth for a first screen, out of shapes that are there already.',
    starter: 'scene',
    on: ['.scene', 0.5, 0.1],
    recipe: /^Near and far/,
    moments: [
      { words: 'The pointer at the left', on: '.scene', u: 0.05, v: 0.3 },
      { words: 'The pointer at the right', on: '.scene', u: 0.95, v: 0.7 },
    ],
    check: async ({ alone }) => {
      await moveTo(alone, '.scene', { u: 0.999 })
      const shifts = () =>
        Promise.all(['.scene-far', '.scene-near', '.scene h2'].map(async (each) => Math.abs((await shiftOf(alone, each)).x)))
      await eventually(async () => (await shifts()).filter((each) => each > 20).length).toBeGreaterThan(0)
      // Each layer by its own amount.
      const settled = (await shifts()).filter((each) => each > 1)
      expect(new Set(settled.map((each) => Math.round(each))).size).toBe(settled.length)
    },
  }),
  recipeWalk({
    id: 'picture-through-window',
    title: 'A picture that moves behind its frame as behind a window',
    isFor: 'A picture that is larger than what is seen of it, without an edge of it ever showing.',
    starter: 'picture-link',
    on: ['.picture-link', 0.5, 0.1],
    recipe: /^Through a window/,
    moments: [
      { words: 'The pointer at the left', on: '.picture-link', u: 0.03 },
      { words: 'The pointer at the right', on: '.picture-link', u: 0.97 },
    ],
    check: async ({ alone }) => {
      const frame = await boxOf(alone, '.picture-link')
      for (const u of [0.002, 0.998]) {
        await moveTo(alone, '.picture-link', { u })
        await alone.waitForTimeout(900)
        const picture = await boxOf(alone, '.picture-link img')
        // It has gone to a side, and covers its frame all the same.
        expect(Math.abs(picture.x + picture.width / 2 - frame.x - frame.width / 2)).toBeGreaterThan(20)
        expect([picture.x <= frame.x + 0.5, picture.right >= frame.right - 0.5]).toEqual([true, true])
      }
    },
  }),
  recipeWalk({
    id: 'sentence-comes-along',
    title: 'A line that comes along with the pointer',
    isFor: 'A small thing that keeps the reader company: a badge, an arrow, a word.',
    starter: 'hero',
    on: ['.hero p'],
    recipe: /^Come along/,
    moments: [
      { words: 'At the upper left', on: '.hero', u: 0.25, v: 0.25 },
      { words: 'At the lower right', on: '.hero', u: 0.75, v: 0.8 },
    ],
    check: async ({ alone }) => {
      for (const [x, y] of [
        [400, 250],
        [900, 620],
      ] as const) {
        await alone.mouse.move(x, y, { steps: 4 })
        await eventually(() => missOf(alone, '.hero p', x, y)).toBeLessThan(2)
      }
    },
  }),
  recipeWalk({
    id: 'heading-open-book',
    title: 'A heading in the fold of an open book',
    isFor: 'The gentler way round a corner: two pages, and the light between them.',
    starter: 'heading',
    on: ['.large-heading'],
    recipe: /^Open book/,
    moments: [
      { words: 'The pointer at the left', on: '.large-heading', u: 0.05 },
      { words: 'The pointer at the right', on: '.large-heading', u: 0.95 },
    ],
    reads: [{ at: 0, select: '[class$="-fold-shade"]', property: 'opacity', is: '0.14' }],
    check: async ({ alone }) => {
      const box = await boxOf(alone, '.large-heading')
      await alone.mouse.move(box.x + box.width * 0.999, box.y + box.height / 2)
      await eventually(async () => (await shiftOf(alone, '[class$="-words-1"]')).x).toBeCloseTo(-0.05 * box.width, 0)
    },
  }),
  recipeWalk({
    id: 'edges-alone',
    title: 'Cards of which the edges alone light up',
    isFor: 'The quietest light: the ground stays as it is, and the lines tell where one is.',
    starter: 'dark-cards',
    on: ['.dark-card', 0.9, 0.15],
    all: /all 9 like it/,
    recipe: /^Edges alone/,
    moments: [
      { words: 'Between four cards', on: '.dark-card', index: 4, u: 1.02, v: 1.05 },
      { words: 'On one of them', on: '.dark-card', index: 3, u: 0.2, v: 0.3 },
    ],
    check: async ({ alone }) => {
      const at = await moveTo(alone, '.dark-card', { index: 4, u: 0.9, v: 0.8 })
      await eventually(() => opacityOf(alone, '[class$="-edge-pool"]')).toBeGreaterThan(0.8)
      await eventually(() => missOf(alone, '[class$="-edge-pool"]', at.x, at.y)).toBeLessThan(1)
      expect(await alone.locator('[class$="-surface-pool"]').count()).toBe(0)
    },
  }),
  recipeWalk({
    id: 'running-spark',
    title: 'A spark that runs along the edge of a card while it is met',
    isFor: 'To say that something here is under way.',
    starter: 'card',
    on: ['.card', 0.9, 0.2],
    recipe: /^Running spark/,
    moments: [
      { words: 'The spark, after a second', on: '.card', restMs: 1200 },
      { words: 'And two seconds later', on: '.card', restMs: 3200 },
    ],
    check: async ({ alone }) => {
      await moveTo(alone, '.card')
      const turn = async () => Number(await styleOf(alone, '.card-glow-runner', '--card-glow-turn'))
      await eventually(turn).toBeGreaterThan(0.05)
      // Once round in four seconds, by the clock of its own animation.
      const quarters = await alone.evaluate(() => {
        const runner = document.querySelector('.card-glow-runner') as HTMLElement
        const [round] = runner.getAnimations()
        round?.pause()
        return [0, 1000, 2000, 3000].map((ms) => {
          if (round) round.currentTime = ms
          return Number(getComputedStyle(runner).getPropertyValue('--card-glow-turn'))
        })
      })
      quarters.forEach((quarter, i) => expect(quarter - (quarters[0] ?? 0)).toBeCloseTo(i / 4, 3))
    },
  }),
  recipeWalk({
    id: 'warm-breath',
    title: 'A button-like card that is warmed from within, and yields a little',
    isFor: 'A tile that is to be pressed.',
    starter: 'card-grid',
    on: ['.grid-card', 0.9, 0.15],
    all: /all 6 like it/,
    recipe: /^Warm breath/,
    moments: [
      { words: 'On the second card', on: '.grid-card', index: 1, u: 0.3, v: 0.7 },
      { words: 'On the fifth', on: '.grid-card', index: 4, u: 0.7, v: 0.3 },
    ],
    check: async ({ alone }) => {
      const rest = await boxOf(alone, '.grid-card', 1)
      const at = await moveTo(alone, '.grid-card', { index: 1, u: 0.3, v: 0.7 })
      await eventually(async () => (await boxOf(alone, '.grid-card', 1)).width / rest.width).toBeCloseTo(0.98, 3)
      await eventually(() => missOf(alone, '[class$="-surface-pool"]', at.x, at.y)).toBeLessThan(1)
    },
  }),
  recipeWalk({
    id: 'paper-at-noon',
    title: 'A text on paper with the light of noon on it',
    isFor: 'A reading page whose ground is not a flat colour.',
    starter: 'text',
    on: ['.text-block p'],
    all: /^text-block /,
    recipe: /^Paper at noon/,
    moments: [
      { words: 'The light at the heading', on: '.text-block h2', u: 0.1 },
      { words: 'The light at the end', on: '.text-block', u: 0.8, v: 0.85 },
    ],
    check: async ({ alone }) => {
      const at = await moveTo(alone, '.text-block', { u: 0.3, v: 0.5 })
      await eventually(() => missOf(alone, '[class$="-grain-light-light"]', at.x, at.y)).toBeLessThan(1)
      expect(
        await alone.locator('[class$="-grain-light-ground"]').evaluate((ground) => getComputedStyle(ground).backgroundImage),
      ).toContain('linear-gradient(rgb(231, 226, 212)')
    },
  }),
  recipeWalk({
    id: 'lamp-on-hook',
    title: 'A picture lit by a lamp on a hook, which one may take',
    isFor: 'A picture that has its light already, so that nobody has to find out.',
    starter: 'picture-link',
    on: ['.picture-link', 0.5, 0.2],
    recipe: /^Lamp on a hook/,
    moments: [{ words: 'Nobody has come: it hangs' }, { words: 'Taken along', on: '.picture-link', u: 0.7, v: 0.6 }],
    check: async ({ alone }) => {
      await eventually(() => opacityOf(alone, '[class$="-dark"]')).toBeCloseTo(0.62, 2)
      const at = await moveTo(alone, '.picture-link', { u: 0.7, v: 0.6 })
      await eventually(() => missOf(alone, '[class$="-pool"]', at.x, at.y)).toBeLessThan(1)
    },
  }),
  recipeWalk({
    id: 'window-all-dark',
    title: 'A first screen that is dark until somebody brings a light',
    isFor: 'A secret, or a night.',
    starter: 'hero',
    on: ['.hero', 0.9, 0.1],
    recipe: /^Night with closed shutters/,
    moments: [{ words: 'Away, all is dark' }, { words: 'By the lamp', on: '.hero', u: 0.42, v: 0.47 }],
    check: async ({ alone }) => {
      await eventually(() => opacityOf(alone, '[class$="-dark"]')).toBeCloseTo(0.94, 2)
      const at = await moveTo(alone, '.hero', { u: 0.4, v: 0.5 })
      await eventually(() => missOf(alone, '[class$="-pool"]', at.x, at.y)).toBeLessThan(1)
    },
  }),
]
