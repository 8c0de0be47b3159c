import { describe, expect, it } from 'vitest'
import { layersIn, nested, splitList, takeOver, writeOwn } from './own-rules'

describe('what of a rule of the page is taken over', () => {
  it('is what effects may drive, and transitions as a whole', () => {
    expect(
      takeOver([
        ['transform', 'rotate(3deg)', true],
        ['color', 'red'],
        ['transition', 'all 1s'],
        ['-webkit-mask-image', 'none'],
      ]),
    ).toEqual({
      taken: [
        ['transform', 'rotate(3deg)', true],
        ['transition', 'all 1s'],
        ['mask-image', 'none'],
      ],
      unsaid: [],
    })
  })

  it('is not what a shorthand hides, nor a part of a transition by itself', () => {
    expect(takeOver([['background', 'var(--paper)']]).unsaid).toEqual(['background-image'])
    expect(takeOver([['background-image', '']]).unsaid).toEqual(['background-image'])
    expect(takeOver([['transition-duration', '1s']]).unsaid).toEqual(['transition'])
    expect(takeOver([['all', 'unset']]).unsaid).toContain('transform')
  })
})

describe('the rule that stands for it', () => {
  it.each([
    [['transform', 'rotate(3deg)'], '--own-transform: rotate(3deg);'],
    [['transform', 'none'], '--own-transform: initial;'],
    [['filter', 'revert-layer', true], '--own-filter: initial !important;'],
    [['opacity', '40%'], '--own-opacity: 0.4;'],
    [['opacity', 'var(--dim)'], '--own-opacity: var(--dim);'],
    [['transition', 'none'], '--own-transition: initial;'],
    [['transition', 'all .3s'], '--own-transition: all .3s;'],
    [
      ['transition', 'transform .3s cubic-bezier(.2, 0, 0, 1), color 1s'],
      '--own-transition: transform .3s cubic-bezier(.2, 0, 0, 1), --own-transform .3s cubic-bezier(.2, 0, 0, 1), color 1s;',
    ],
    [['transition', '.3s opacity'], '--own-transition: .3s opacity;'],
  ] as const)('of %j', (declaration, text) => {
    expect(writeOwn(declaration, ['transform'])).toBe(text)
  })
})

describe('selectors and layers within others', () => {
  it('come to what they are by themselves', () => {
    expect(nested('.a', '')).toBe('.a')
    expect(nested('&:hover, .b > &', '.card')).toBe(':is(.card):hover, .b > :is(.card)')
    expect(nested('p, h2', '.card, .note')).toBe(':is(.card, .note) p, :is(.card, .note) h2')
    expect(layersIn(['@layer page', '@media print'], 'base, parts')).toEqual(['page.base', 'page.parts'])
  })

  it('split a list at the commas that are its own', () => {
    expect(splitList('a(1, 2), b , c(d(3, 4), 5)')).toEqual(['a(1, 2)', 'b', 'c(d(3, 4), 5)'])
    expect(splitList('')).toEqual([])
  })
})
