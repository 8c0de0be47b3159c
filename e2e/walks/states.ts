import { eventually, expect } from '../support/house'
import { boxOf, styleOf, chosenOf } from '../support/readings'
import { movePointer } from '../support/stage'
import type { Walk } from '../support/walk'

export const results: readonly Walk[] = [
  {
    id: 'window-chooses',
    result: 5,
    acts: 5,
    title: 'The pointer anywhere in the window chooses one of four elements, between margins; something linked changes with it',
    isFor: 'No target to hit: where one is, is what one looks at.',
    starters: ['stations'],
    moments: [
      { words: 'In the second quarter', on: '.station-2' },
      { words: 'In the last one', on: '.station-4' },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.station-2', 0.5, 0.8)
      await hand.clickOn(/^Across the window/)
      await hand.drag('Margins at the sides', 60)
      await hand.pointRole(frame, 'linked element', '.station-text-2')
    },
    check: async ({ alone, page }) => {
      await movePointer(page, 420, 300, 4)
      await expect(page.getByText(/x 0\.\d\d\s+y 0\.\d\d\s+pointer, on, zone \d/)).toBeVisible()

      await eventually(() => chosenOf(alone, '.station')).toEqual([0])
      const margin = await alone.evaluate(() =>
        Number(/zoneOf\(at, \[[^,]+, (\d+)/.exec(document.scripts[document.scripts.length - 1]?.textContent ?? '')?.[1]),
      )
      expect(margin).toBeGreaterThan(20)
      const width = await alone.evaluate(() => innerWidth)
      for (const [x, which] of [
        [margin + (width - 2 * margin) * 0.4, 1],
        [margin + (width - 2 * margin) * 0.7, 2],
        [width - 5, 3],
        [5, 0],
      ] as const) {
        await alone.mouse.move(x, 600)
        await eventually(() => chosenOf(alone, '.station')).toEqual([which])
        expect(await chosenOf(alone, '.station-text')).toEqual([which])
        await eventually(() => styleOf(alone, '.station-text', 'opacity', which)).toBe('1')
        await eventually(() => styleOf(alone, '.station-text', 'visibility', (which + 1) % 4)).toBe('hidden')
      }
      // In the margin the last one stays.
      await alone.mouse.move(width - 5, 300)
      await eventually(() => chosenOf(alone, '.station')).toEqual([3])
    },
  },
  {
    id: 'rows-roll-in',
    result: 9,
    acts: 7,
    title:
      'A list of ten whose rows roll in from the side they are entered by, each with its picture; nothing left over after a fast sweep',
    isFor: 'An index that shows what is behind each line before one goes there.',
    starters: ['rows'],
    moments: [
      { words: 'A row that is met', on: '.row', index: 3, u: 0.4 },
      { words: 'Another one', on: '.row', index: 6, u: 0.55 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.row', 0.4, 0.5)
      await hand.clickOn(/^Rolled over/)
    },
    check: async ({ alone }) => {
      const out = () =>
        alone.locator('.row-on').evaluateAll((all) => all.filter((each) => getComputedStyle(each).visibility === 'hidden').length)
      const shots = () => alone.locator('.row > [data-part]').count()
      await eventually(out).toBe(10)
      const { x, y, height } = await boxOf(alone, '.row', 4)
      await alone.mouse.move(x + 200, y + height + 30)
      await alone.mouse.move(x + 200, y + height - 4)
      await eventually(() => styleOf(alone, '.row-on', 'visibility', 4)).toBe('visible')
      await eventually(() => styleOf(alone, '.row-on', 'transform', 4)).toBe('matrix(1, 0, 0, 1, 0, 0)')
      expect(await styleOf(alone, '.row-off', 'visibility', 4)).toBe('hidden')
      expect(await styleOf(alone, '.row > [data-part] > [data-part]', 'background-image')).toContain('data:image/svg')
      for (let sweep = 0; sweep < 6; sweep++) await alone.mouse.move(x + 200, sweep % 2 ? 20 : 700, { steps: 3 })
      await alone.mouse.move(x - 20, 5)
      await eventually(out).toBe(10)
      await eventually(shots).toBe(0)
    },
  },
  {
    id: 'note-comes-up',
    result: 12,
    acts: 4,
    title: 'Information that comes up beside a button, can be moved onto, and goes its way',
    isFor: 'A word that has more to say, and says it where it stands.',
    starters: ['note'],
    moments: [
      { words: 'The pointer on the button', on: '.note-anchor' },
      { words: 'Moved onto what came up', on: '.note-anchor', v: -0.9 },
    ],
    walk: async ({ hand, frame }) => {
      await hand.pointAt(frame, '.note-anchor')
      await hand.clickOn(/^Comes up, and goes on/)
    },
    check: async ({ alone }) => {
      const shows = () => styleOf(alone, '.note', 'display')
      await eventually(shows).toBe('none')
      const anchor = await boxOf(alone, '.note-anchor')
      await alone.mouse.move(anchor.x + 20, anchor.y + 10)
      await eventually(shows).toBe('block')
      await eventually(() => styleOf(alone, '.note', 'translate')).toBe('0px')
      const lies = await boxOf(alone, '.note')
      expect(lies.y + lies.height).toBeCloseTo(anchor.y - 10, 0)
      await alone.mouse.move(lies.x + 40, lies.y + 20)
      await alone.waitForTimeout(500)
      expect(await shows()).toBe('block')
      await alone.mouse.move(5, 700)
      await eventually(shows).toBe('none')
      expect(await styleOf(alone, '.note', 'translate')).toBe('0px -7px')
    },
  },
]
