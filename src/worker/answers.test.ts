import { describe, expect, it } from 'vitest'
import { indexPage } from '../core/page/selector'
import { readTree } from '../core/page/tree'
import { answerQuestion } from './answers'

const pageOf = (html: string) => indexPage(readTree(html))
const card = '<article class="card"><div class="picture"></div><h2>A title</h2><p>one</p><p>two</p></article>'
const cards = `<section class="cards">${card.repeat(8)}</section>`

describe('the worker', () => {
  const site = new Map([
    ['a', pageOf(cards)],
    ['b', pageOf('<p class="card">')],
  ])

  it('counts on each page, and says what cannot be read', () => {
    expect(answerQuestion(site, { ask: 'count', selects: ['.card', '.none', 'a['] })).toEqual({
      '.card': { a: 8, b: 1 },
      '.none': { a: 0, b: 0 },
      'a[': null,
    })
  })

  it('walks the tree', () => {
    const first = answerQuestion(site, { ask: 'first', page: 'a', select: '.card:nth-child(2)' }) as { number: number }
    const walk = (number: number, to: 'parent' | 'child' | 'next' | 'previous') =>
      answerQuestion(site, { ask: 'way', page: 'a', number, to }) as number | null
    const next = walk(first.number, 'next') ?? -1
    expect(walk(next, 'previous')).toBe(first.number)
    expect(walk(walk(first.number, 'child') ?? -1, 'parent')).toBe(first.number)
    expect(walk(0, 'parent')).toBeNull()
    expect(answerQuestion(site, { ask: 'way', page: 'gone', number: 1, to: 'next' })).toBeNull()
  })

  it('tells each match with a selector of its own', () => {
    const matches = answerQuestion(site, { ask: 'matches', page: 'a', select: '.card' }) as readonly { select: string; words: string }[]
    expect(matches.map(({ select }) => select)).toEqual(Array.from({ length: 8 }, (_, i) => `.card:nth-child(${i + 1})`))
    expect(matches[0]?.words).toBe('A title one two')
  })
})
