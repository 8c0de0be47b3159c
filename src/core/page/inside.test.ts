import { describe, expect, it } from 'vitest'
import { insideMatches } from './inside'
import { indexPage } from './selector'
import { findIn, readTree } from './tree'

const card = (inner: string) => `<article class="card">${inner}</article>`
const page = indexPage(
  readTree(
    `<body>${card('<h2>One</h2><img class="wide"><p>a</p><p class="price">b</p>')}${card('<h2>Two</h2><img><p>a</p><p class="price">b</p>')}<img></body>`,
  ),
)
const inside = (own: string, pointed: string, select = pointed) => {
  const element = findIn(page.tree, pointed)?.[0]
  return insideMatches(page, own, (element && page.numbers.get(element)) ?? -1, select)
}

describe('what is pointed at within a match', () => {
  it.each([
    ['.card', '.card:nth-child(1) h2', '& h2'],
    ['.card', '.price', '& .price'],
    // Only one picture is called wide.
    ['.card', '.wide', '& .wide'],
    ['.card', '.card:nth-child(2) > :nth-child(2)', '& img'],
    ['.card', '.card:nth-child(2) > p:nth-child(3)', '& > :nth-child(3)'],
    ['.card:nth-child(1)', '.card:nth-child(1) .price', '& .price'],
    ['.card, footer', '.card:nth-child(1) h2', '& h2'],
    ['.card', '.card:nth-child(2)', '&'],
  ])('on %s, %s is %s', (own, pointed, told) => {
    expect(inside(own, pointed)).toBe(told)
  })

  it('stays as it was pointed at where it lies outside, or others are meant that do', () => {
    expect(inside('.card', 'body > img')).toBeUndefined()
    expect(inside('.card', '.wide', 'img')).toBeUndefined()
    expect(inside('.none', 'h2')).toBeUndefined()
  })

  it('of several elements in a match stays several', () => {
    expect(inside('.card', '.card > p', '.card > p')).toBe('& > p')
  })
})
