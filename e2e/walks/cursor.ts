import { eventually, expect } from '../support/house'
import type { Walk } from '../support/walk'

export const results: readonly Walk[] = [
  {
    id: 'cursor-becomes-disc',
    result: 6,
    acts: 6,
    title: 'A drawn dot for a cursor that becomes a labelled disc over a picture that is a link, while the picture grows',
    isFor: 'To say what a click does where it is done.',
    starters: ['picture-link'],
    moments: [
      { words: 'On the picture', on: '.picture-link', u: 0.5, v: 0.45 },
      { words: 'Beside it', on: 'body', u: 0.008, v: 0.5 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.picture-link', 0.5, 0.5)
      await hand.clickOn(/^A disc with a word/)
      await hand.choose(/^What it says/, /its label/i)
      await hand.pointAt(frame, '.picture-link img', 0.4, 0.5)
      await hand.clickOn(/^Sprung/)
    },
    check: async ({ alone }) => {
      const shape = alone.locator('.cursor-shape')
      const size = async () => (await shape.boundingBox())?.width
      await alone.mouse.move(20, 20)
      await eventually(size).toBe(14)
      expect(await alone.locator('body').evaluate((element) => getComputedStyle(element).cursor)).toBe('none')
      await alone.mouse.move(640, 300)
      await eventually(size).toBe(72)
      expect(await alone.locator('.cursor-text').textContent()).toBe('Read the story')
      await eventually(() => alone.locator('.picture-link img').evaluate((element) => Number(getComputedStyle(element).scale))).toBeCloseTo(
        1.07,
        2,
      )
      // Where the disc is, is where the pointer is; what lies below it is a link still.
      const box = await shape.boundingBox()
      expect(box && [box.x + box.width / 2, box.y + box.height / 2]).toEqual([640, 300])
      await alone.mouse.click(640, 300)
      await eventually(() => alone.url()).toContain('#story')
      await alone.mouse.move(20, 20)
      await eventually(size).toBe(14)
    },
  },
  {
    id: 'trail-fizzes',
    result: 15,
    acts: 4,
    title: 'A trail of shrinking pieces that fizzes when the pointer rests',
    isFor: 'Something light on a dark ground, for a page that wants to be played with.',
    starters: ['dark'],
    moments: [
      { words: 'On its way', on: '.dark-section', u: 0.4, v: 0.35, restMs: 30 },
      { words: 'At rest', on: '.dark-section', u: 0.4, v: 0.35, restMs: 1500 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.dark-section', 0.1, 0.9)
      await hand.clickOn(/^On a string/)
      await hand.choose(/^When the pointer rests/, /they fizz/i)
      await hand.drag('How many', 20)
    },
    check: async ({ alone }) => {
      const pieces = alone.locator('.dark-section-trail-piece')
      await alone.mouse.move(200, 200)
      await eventually(() => pieces.count()).toBeGreaterThan(9)
      const sizes = await pieces.evaluateAll((all) => all.map((element) => parseFloat(getComputedStyle(element, '::before').width)))
      expect(sizes[0]).toBe(18)
      expect(sizes.at(-1)).toBe(5)
      expect([...sizes].sort((one, other) => other - one)).toEqual(sizes)
      const fizzing = () => alone.evaluate(() => document.getAnimations().filter((each) => each instanceof CSSAnimation).length)
      await eventually(fizzing).toBe(sizes.length)
      await alone.mouse.move(260, 240)
      await eventually(fizzing).toBe(0)
    },
  },
  {
    id: 'lens-over-picture',
    result: 22,
    acts: 3,
    title: 'A lens over a picture, stronger than it was',
    isFor: 'To look closely without leaving the page.',
    starters: ['picture-link'],
    moments: [
      { words: 'The lens at the ridge', on: '.picture-link', u: 0.4, v: 0.5 },
      { words: 'The lens at the sun', on: '.picture-link', u: 0.68, v: 0.4 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.picture-link img', 0.5, 0.5)
      await hand.clickOn(/^Hand lens/)
      await hand.drag('So many times as large', 20)
    },
    check: async ({ alone, frame }) => {
      const lens = frame.locator('[class$="-hand"]')
      await eventually(() => lens.evaluate((each) => getComputedStyle(each).opacity)).toBe('1')
      const zoomIn = (near: Element) => new DOMMatrix(getComputedStyle(near).transform).a
      const near = frame.locator('[class$="-near"]')
      await eventually(() => near.evaluate(zoomIn)).toBeGreaterThan(2.5)
      const zoom = await near.evaluate(zoomIn)

      await alone.mouse.move(640, 300)
      const seen = alone.locator('[class$="-hand"]')
      await eventually(() => seen.evaluate((each) => getComputedStyle(each).opacity)).toBe('1')
      const box = await alone.locator('[class$="-lens"]').boundingBox()
      expect(box && [box.x + box.width / 2, box.y + box.height / 2, box.width]).toEqual([640, 300, 190])
      expect(await alone.locator('[class$="-near"]').evaluate(zoomIn)).toBe(zoom)
      await alone.mouse.click(640, 300)
      await eventually(() => alone.url()).toContain('#story')
    },
  },
]
