import { describe, expect, it } from 'vitest'
import type { Thing } from '../../core/effect/thing'
import type { Under } from '../../stage/protocol'
import { likeliest } from './likeliest'

interface Lying extends Partial<Omit<Under, 'number'>> {
  /** How many likes it has, by its first choice. */
  readonly likes?: number
  readonly isReplaced?: boolean
  readonly thing?: Thing
  readonly element?: string
}

/** The index that is meant among what lies there, the topmost first. */
const meant = (...lying: readonly Lying[]) =>
  likeliest(
    lying.map(({ how = 'wraps', likes = 1, isReplaced = false, thing = 'box', element = 'div' }, number) => ({
      number,
      how,
      isReplaced,
      thing,
      element,
      choices: [{ how: 'class', select: `.e${number}`, specificity: [0, 1, 0], count: likes, counts: {} }],
    })),
    lying.map(({ how = 'wraps', width = 300, height = 200, isBox = false }, number) => ({ number, how, width, height, isBox })),
  )

describe('what is most likely meant under the pointer', () => {
  it('is the box that is seen, not what wraps it as often', () => {
    expect(meant({ how: 'seen', height: 30, likes: 8 }, { likes: 8, isBox: true }, { likes: 8 }, { likes: 8 })).toBe(1)
  })

  it('is a box that is one of its kind, not a wrapper several levels up that has likes', () => {
    expect(meant({ how: 'seen', height: 24 }, { isBox: true }, {}, { likes: 3, width: 900 })).toBe(1)
  })

  it('is the card where a large part of it is a box itself', () => {
    expect(meant({ how: 'seen', likes: 8, isBox: true }, { likes: 8 }, { likes: 8, isBox: true }, { likes: 8 })).toBe(2)
  })

  it('is a small box too, such as a button on a card', () => {
    expect(meant({ how: 'seen', width: 120, height: 40, likes: 4, isBox: true }, { likes: 4, isBox: true })).toBe(0)
  })

  it('is the card and not its picture, nor the frame that is as large as the picture', () => {
    expect(meant({ how: 'seen', likes: 8, isReplaced: true }, { likes: 8 })).toBe(1)
    expect(
      meant({ how: 'seen', likes: 8, isReplaced: true }, { likes: 8, isBox: true, width: 302 }, { likes: 8, isBox: true, height: 340 }),
    ).toBe(2)
  })

  it('is the nearest of some size that has likes where the next box is farther out', () => {
    expect(meant({ how: 'seen', height: 24 }, { likes: 6 }, { width: 1200, height: 700, isBox: true })).toBe(1)
  })

  it('is nothing that is hidden or covered', () => {
    expect(meant({ how: 'seen', likes: 2 }, { how: 'covered', likes: 9, isBox: true })).toBe(0)
    expect(meant({ how: 'hidden', isBox: true }, { how: 'seen', likes: 2 })).toBe(1)
  })

  it('is a link, a button or a cell, not the box several levels up that it stands in', () => {
    const sidebar = { isBox: true, width: 240, height: 800 }
    expect(meant({ how: 'seen', thing: 'link', height: 24, likes: 6 }, { height: 30 }, { height: 200 }, {}, sidebar)).toBe(0)
    expect(meant({ how: 'seen', thing: 'text', height: 20 }, { thing: 'link', height: 24 }, { isBox: true, likes: 4 })).toBe(1)
    expect(meant({ how: 'seen', element: 'td.price', height: 40, likes: 9 }, { element: 'tr', likes: 3 }, { isBox: true })).toBe(0)
    // A link that lies under something else is not meant.
    expect(meant({ how: 'seen', isBox: true }, { how: 'covered', thing: 'link' })).toBe(0)
  })

  it('is the topmost where nothing tells more', () => {
    expect(meant({ how: 'seen' }, {}, {})).toBe(0)
    expect(meant({ how: 'seen', height: 20 }, { isBox: true }, {})).toBe(1)
  })
})
