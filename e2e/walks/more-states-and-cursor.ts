// More of what people ask for: looks of what is met, what comes to the hand, letters, and what is drawn at the pointer.
import { eventually, expect } from '../support/house'
import { boxOf, chosenOf, moveTo, shiftOf, styleOf } from '../support/readings'
import type { Walk } from '../support/walk'
import { recipeWalk } from './build'

export const more: readonly Walk[] = [
  recipeWalk({
    id: 'cards-lifted',
    title: 'Cards that are lifted when they are met',
    isFor: 'The answer that every grid of links should have at least.',
    starter: 'card-grid',
    on: ['.grid-card', 0.5, 0.8],
    all: /all 6 like it/,
    recipe: /^Lifted/,
    moments: [
      { words: 'The second card', on: '.grid-card', index: 1 },
      { words: 'Pressed', on: '.grid-card', index: 1, isPressed: true },
    ],
    reads: [
      { at: 'first', select: '.grid-card', index: 1, property: 'translate', is: 'none' },
      { at: 0, select: '.grid-card', index: 1, property: 'translate', is: '0px -4px' },
      { at: 1, select: '.grid-card', index: 1, property: 'scale', is: '0.98' },
    ],
    check: async ({ alone }) => expect(await alone.locator('script').count()).toBe(0),
  }),
  recipeWalk({
    id: 'others-dimmed',
    title: 'The card that is met stands out, the others are dimmed',
    isFor: 'To help to choose one of many.',
    starter: 'card-grid',
    on: ['.grid-card', 0.5, 0.8],
    all: /all 6 like it/,
    recipe: /^Only this one/,
    moments: [
      { words: 'The second card', on: '.grid-card', index: 1 },
      { words: 'The sixth card', on: '.grid-card', index: 5 },
    ],
    reads: [
      { at: 0, select: '.grid-card', index: 1, property: 'scale', is: '1.03' },
      { at: 0, select: '.grid-card', index: 0, property: 'opacity', is: '0.45' },
      { at: 1, select: '.grid-card', index: 1, property: 'opacity', is: '0.45' },
    ],
  }),
  recipeWalk({
    id: 'button-inked',
    title: 'A button that takes ink',
    isFor: 'A quiet button that becomes a loud one under the pointer.',
    starter: 'buttons',
    on: ['.button-quiet'],
    recipe: /^Inked/,
    moments: [{ words: 'The pointer on it', on: '.button-quiet' }, { words: 'Away' }],
    reads: [
      { at: 0, select: '.button-quiet', property: 'background-color', is: 'rgb(36, 66, 74)' },
      { at: 0, select: '.button-quiet', property: 'color', is: 'rgb(255, 255, 255)' },
      { at: 1, select: '.button-quiet', property: 'color', is: 'rgb(35, 48, 58)' },
    ],
  }),
  recipeWalk({
    id: 'links-one-after-another',
    title: 'Links that answer one after another',
    isFor: 'A row that is greeted as a whole.',
    starter: 'links',
    on: ['.links', 0.02, 0.5],
    recipe: /^One after another/,
    moments: [
      { words: 'The pointer has just come', on: '.links', restMs: 140 },
      { words: 'A moment later', on: '.links', restMs: 1200 },
    ],
    check: async ({ alone }) => {
      await moveTo(alone, '.links')
      const delays = () =>
        alone.evaluate(() => [...document.querySelectorAll('.link')].map((each) => getComputedStyle(each).transitionDelay))
      await eventually(async () => new Set(await delays()).size).toBeGreaterThan(1)
    },
  }),
  recipeWalk({
    id: 'magnetic-button',
    title: 'A button that comes to the pointer when it is near',
    isFor: 'The one thing on the page that is to be pressed.',
    starter: 'buttons',
    on: ['.button'],
    recipe: /^Drawn near/,
    moments: [
      { words: 'The pointer beside it', on: '.button', u: 1.1, v: -0.2 },
      { words: 'On it', on: '.button', u: 0.2, v: 0.7 },
    ],
    check: async ({ alone }) => {
      const box = await boxOf(alone, '.button')
      const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
      await alone.mouse.move(middle.x + 40, middle.y + 10, { steps: 4 })
      // A third of the way.
      await eventually(async () => (await shiftOf(alone, '.button')).x).toBeCloseTo(40 * 0.32, 0)
      await alone.mouse.move(3, 3)
      await eventually(async () => Math.abs((await shiftOf(alone, '.button')).x)).toBeLessThan(0.1)
    },
  }),
  recipeWalk({
    id: 'links-loose',
    title: 'Links that sit loosely in their places',
    isFor: 'A menu of few words that gives a little when it is touched.',
    starter: 'links',
    on: ['.link'],
    all: /all 5 like it/,
    recipe: /^Loose in its socket/,
    moments: [
      { words: 'At the right of the second', on: '.link', index: 1, u: 0.9 },
      { words: 'At the left of the fourth', on: '.link', index: 3, u: 0.1, v: 0.8 },
    ],
    check: async ({ alone }) => {
      const box = await boxOf(alone, '.link', 1)
      await alone.mouse.move(box.right - 2, box.y + box.height / 2, { steps: 4 })
      // A fifth of the way, and 8 px at most.
      await eventually(async () => (await shiftOf(alone, '.link', 1)).x).toBeCloseTo(Math.min(8, 0.22 * (box.width / 2 - 2)), 0)
      await eventually(async () => Math.abs((await shiftOf(alone, '.link', 0)).x)).toBeLessThan(0.05)
    },
  }),
  recipeWalk({
    id: 'nearest-station',
    title: 'The nearest of four pictures is chosen, and stays so',
    isFor: 'A choice that needs no aim.',
    starter: 'stations',
    on: ['.station-2', 0.5, 0.8],
    recipe: /^The nearest one/,
    moments: [
      { words: 'Nearest to the second', on: '.station-2', u: 0.4, v: 0.4 },
      { words: 'Nearest to the fourth', on: '.station-4', u: 0.6, v: 0.6 },
    ],
    check: async ({ alone }) => {
      await moveTo(alone, '.station', { index: 1 })
      await eventually(() => chosenOf(alone, '.station')).toEqual([1])
      await moveTo(alone, '.station', { index: 3 })
      await eventually(() => chosenOf(alone, '.station')).toEqual([3])
    },
  }),
  recipeWalk({
    id: 'letters-heavier',
    title: 'Letters that are heavier near the pointer',
    isFor: 'A headline in a variable font that shows what it can do.',
    starter: 'heading',
    on: ['.large-heading'],
    recipe: /^Heavier nearby/,
    moments: [
      { words: 'The pointer at the left', on: '.large-heading', u: 0.25, v: 0.3 },
      { words: 'The pointer at the right', on: '.large-heading', u: 0.7, v: 0.3 },
    ],
    check: async ({ alone }) => {
      await moveTo(alone, '.large-heading', { u: 0.3, v: 0.3 })
      const near = () =>
        alone
          .locator('[class$="-letter"]')
          .evaluateAll((all) => all.map((each) => Number(getComputedStyle(each).getPropertyValue('--near'))))
      await eventually(async () => Math.max(...(await near()))).toBeGreaterThan(0.5)
      expect(Math.min(...(await near()))).toBe(0)
      // Whoever has it read out hears the words, and nothing of the letters.
      await expect(alone.getByRole('heading')).toHaveAccessibleName('Words as wide as the page')
    },
  }),
  recipeWalk({
    id: 'letters-in-a-wave',
    title: 'Letters that rise in a wave under the pointer',
    isFor: 'A headline to run one’s hand along.',
    starter: 'heading',
    on: ['.large-heading'],
    recipe: /^In a wave/,
    moments: [
      { words: 'The pointer at the left', on: '.large-heading', u: 0.25, v: 0.3 },
      { words: 'The pointer at the right', on: '.large-heading', u: 0.7, v: 0.3 },
    ],
    check: async ({ alone }) => {
      await moveTo(alone, '.large-heading', { u: 0.3, v: 0.3 })
      const rises = () =>
        alone.locator('[class$="-letter"]').evaluateAll((all) => all.map((each) => new DOMMatrix(getComputedStyle(each).transform).m42))
      await eventually(async () => Math.min(...(await rises()))).toBeLessThan(-7)
      expect(Math.max(...(await rises()))).toBeCloseTo(0, 1)
    },
  }),
  recipeWalk({
    id: 'line-you-read',
    title: 'The line that one reads stands out',
    isFor: 'Long texts for tired eyes.',
    starter: 'text',
    on: ['.text-block p'],
    recipe: /^The line you read/,
    moments: [
      { words: 'The first line', on: '.text-block p', u: 0.3, v: 0.25 },
      { words: 'The second line', on: '.text-block p', u: 0.1, v: 0.8 },
    ],
    check: async ({ alone }) => {
      await moveTo(alone, '.text-block p', { u: 0.3, v: 0.25 })
      const near = () =>
        alone
          .locator('[class$="-letter"]')
          .evaluateAll((all) => all.map((each) => Number(getComputedStyle(each).getPropertyValue('--near'))))
      // The first line is the pointer's, and the second one once it is there.
      await eventually(async () => (await near()).map((each) => each > 0.9)).toEqual([true, false])
      await moveTo(alone, '.text-block p', { u: 0.1, v: 0.76 })
      await eventually(async () => (await near()).map((each) => each > 0.9)).toEqual([false, true])
    },
  }),
  recipeWalk({
    id: 'dot-and-ring',
    title: 'A dot with a ring that comes after it',
    isFor: 'A cursor that belongs to the site and hides nothing.',
    starter: 'picture-grid',
    on: ['.picture-card', 0.5, 0.4],
    recipe: /^A dot and a ring/,
    moments: [
      { words: 'On its way', on: '.picture-card', index: 1, u: 0.3, v: 0.3, restMs: 16 },
      { words: 'At rest', on: '.picture-card', index: 1, u: 0.6, v: 0.6 },
    ],
    check: async ({ alone }) => {
      await alone.mouse.move(500, 300, { steps: 3 })
      const middle = async (select: string) => {
        const box = await boxOf(alone, select)
        return Math.hypot(box.x + box.width / 2 - 500, box.y + box.height / 2 - 300)
      }
      await eventually(() => middle('.cursor-shape')).toBeLessThan(1)
      await eventually(() => middle('.cursor-ring')).toBeLessThan(1)
      expect((await boxOf(alone, '.cursor-ring')).width).toBeCloseTo(38, 0)
    },
  }),
  recipeWalk({
    id: 'cursor-in-negative',
    title: 'A disc at the pointer in which the page is seen in the negative',
    isFor: 'A strong sign on a page of few colours.',
    starter: 'hero',
    on: ['.hero', 0.9, 0.1],
    recipe: /^In the negative/,
    moments: [
      { words: 'On the heading', on: '.hero h1', u: 0.3 },
      { words: 'On the line under it', on: '.hero p', u: 0.8 },
    ],
    check: async ({ alone }) => {
      await alone.mouse.move(500, 300, { steps: 3 })
      await eventually(async () => (await boxOf(alone, '.cursor-shape')).width).toBeCloseTo(56, 0)
      const blends = () =>
        alone.evaluate(() => [...document.querySelectorAll('[data-part]')].map((each) => getComputedStyle(each).mixBlendMode))
      expect(await blends()).toContain('difference')
    },
  }),
  recipeWalk({
    id: 'silk-ribbon',
    title: 'A ribbon of silk behind the pointer',
    isFor: 'One line that shows how the hand moves.',
    starter: 'dark',
    on: ['.dark-section', 0.1, 0.9],
    recipe: /^Silk/,
    moments: [
      { words: 'On its way', on: '.dark-section', u: 0.4, v: 0.4, restMs: 16 },
      { words: 'Somewhere else', on: '.dark-section', u: 0.7, v: 0.6, restMs: 16 },
    ],
    check: async ({ alone }) => {
      await alone.mouse.move(200, 200)
      await alone.mouse.move(600, 400, { steps: 12 })
      const drawn = () =>
        alone.evaluate(() =>
          [...document.querySelectorAll('canvas')].some((canvas) => {
            const pixels = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height).data ?? []
            return pixels.some((each, i) => i % 4 === 3 && each > 0)
          }),
        )
      await eventually(drawn).toBe(true)
    },
  }),
  recipeWalk({
    id: 'pollen-dropped',
    title: 'Grains that are dropped along the way of the pointer',
    isFor: 'A trace that is left, and is gone a little later.',
    starter: 'dark',
    on: ['.dark-section', 0.1, 0.9],
    recipe: /^Pollen/,
    moments: [
      { words: 'On its way', on: '.dark-section', u: 0.4, v: 0.4, restMs: 60 },
      { words: 'A while later', on: '.dark-section', u: 0.4, v: 0.4, restMs: 1500 },
    ],
    check: async ({ alone }) => {
      await alone.mouse.move(200, 200)
      await alone.mouse.move(700, 420, { steps: 14 })
      const pieces = () => alone.locator('[class$="-trail-piece"]').count()
      await eventually(pieces).toBeGreaterThan(3)
      // Nothing is left behind for good.
      await alone.mouse.move(3, 3)
      await eventually(pieces).toBe(0)
    },
  }),
  recipeWalk({
    id: 'reading-strip',
    title: 'A strip that makes the line under the pointer larger',
    isFor: 'Small print: notes, tables, terms.',
    starter: 'text',
    on: ['.text-block p'],
    all: /^text-block /,
    recipe: /^Reading strip/,
    moments: [
      { words: 'On the first paragraph', on: '.text-block p', u: 0.3, v: 0.3 },
      { words: 'On the second', on: '.text-block p', index: 1, u: 0.4 },
    ],
    check: async ({ alone }) => {
      await moveTo(alone, '.text-block p', { u: 0.4, v: 0.3 })
      const seen = alone.locator('[class$="-hand"]')
      await eventually(() => seen.evaluate((each) => getComputedStyle(each).opacity)).toBe('1')
      const zoom = await alone.locator('[class$="-near"]').evaluate((near) => new DOMMatrix(getComputedStyle(near).transform).a)
      expect(zoom).toBeCloseTo(1.8, 3)
    },
  }),
  recipeWalk({
    id: 'swells-nearby',
    title: 'A card that swells as the pointer comes near, made by hand from a signal and a property',
    isFor: 'Whatever no kind is for: any signal to any property.',
    starter: 'card',
    on: ['.card', 0.5, 0.8],
    recipe: /^Swell/,
    moments: [
      { words: 'The pointer at its middle', on: '.card' },
      { words: 'At its edge', on: '.card', u: 0.98, v: 0.95 },
    ],
    check: async ({ alone }) => {
      const rest = await boxOf(alone, '.card')
      await alone.mouse.move(rest.x + rest.width / 2, rest.y + rest.height / 2)
      await eventually(async () => (await boxOf(alone, '.card')).width / rest.width).toBeGreaterThan(1.02)
      expect(await styleOf(alone, '.card', 'transform')).not.toBe('none')
    },
  }),
]
