import { describe, expect, it } from 'vitest'
import { overlapsOf } from './overlaps'
import { findIn, readTree } from './tree'

const tree = readTree('<main><div class="card lit" id="one"></div><div class="card"></div><p class="lit"></p></main>')

describe('selectors that meet', () => {
  it('are told once for each set of them, elements that only one matches aside', () => {
    expect(overlapsOf(['.card', '.lit', '#one', 'main', 'p'], (select) => findIn(tree, select))).toEqual([
      ['.card', '.lit', '#one'],
      ['.lit', 'p'],
    ])
  })

  it('do not where they cannot be read', () => {
    expect(overlapsOf(['.card[', '::before'], (select) => findIn(tree, select))).toEqual([])
    expect(overlapsOf([], (select) => findIn(tree, select))).toEqual([])
  })
})
