import { describe, expect, it } from 'vitest'
import { findAlike } from './alike'
import { rungOf, type How } from './candidates'
import { indexPage, writeSelector } from './selector'
import { elementsOf, findIn, readTree } from './tree'

const pageOf = (html: string) => indexPage(readTree(html))
const rungIn = (html: string, select: string, others: Readonly<Record<string, string>> = {}) => {
  const site = new Map(Object.entries({ here: html, ...others }).map(([id, text]) => [id, pageOf(text)]))
  const page = site.get('here')
  const first = page && findIn(page.tree, select)?.[0]
  return rungOf(site, 'here', page && first ? (page.numbers.get(first) ?? -1) : -1)
}
const choice = (html: string, select: string, how: How) => rungIn(html, select)?.choices.find((each) => each.how === how)?.select

const card =
  '<article class="card"><div class="picture"><img alt=""></div><h2>A title</h2><p>one</p><p class="last-words">two</p></article>'
const cards = `<section class="cards">${card.repeat(8)}</section>`

describe('a rung of the ladder', () => {
  it('says what holds nothing that CSS could draw in', () => {
    expect(['.card', '.picture', '.card img'].map((select) => rungIn(cards, select)?.isReplaced)).toEqual([false, false, true])
  })

  it('tells its likes by class, itself alone by its place, and what both come to', () => {
    const rung = rungIn(cards, '.card:nth-child(3)')
    expect(rung).toMatchObject({ noun: 'card', element: 'article.card' })
    expect(rung?.choices.slice(0, 2)).toEqual([
      { how: 'one', select: '.card:nth-child(3)', specificity: [0, 2, 0], count: 1, counts: { here: 1 } },
      { how: 'class', select: '.card', specificity: [0, 1, 0], count: 8, counts: { here: 8 } },
    ])
  })

  it('tells the one like it in each repeat, by a class of its own or by its place', () => {
    expect(choice(cards, '.last-words', 'repeat')).toBe('.card .last-words')
    expect(choice(cards, 'h2', 'repeat')).toBe('.card > h2')
    expect(choice(cards, 'p:not([class])', 'repeat')).toBe('.card > p:nth-child(3)')
  })

  it('tells a field of a form by its name, unless others have it too', () => {
    const form =
      '<form><p><input name="e-mail"></p><p><input name="a&quot;b"></p><p><input name="size" value="s"></p><p><input name="size" value="m"></p></form>'
    expect(choice(form, 'input', 'one')).toBe('input[name="e-mail"]')
    expect(choice(form, 'p:nth-child(2) input', 'one')).toBe('input[name="a\\"b"]')
    expect(choice(form, 'p:nth-child(3) input', 'one')).not.toContain('name')
  })

  it('tells links of a menu, items of a list, rows of a table and cells of a column', () => {
    const page = `<nav id="main"><a href="#a">A</a><ul><li><a href="#b">B</a></li><li>C</li></ul></nav><a href="#c">Elsewhere</a>
      <table class="prices"><thead><tr><th>Name</th><th>Price</th></tr></thead><tbody><tr><td>One</td><td>1</td></tr><tr><td>Two</td><td>2</td></tr></tbody></table>
      <table><tr><td>Other</td><td>table</td></tr></table>`
    expect(choice(page, 'nav > a', 'links')).toBe('#main a')
    expect(choice(page, 'li', 'items')).toBe('ul > li')
    expect(choice(page, 'tbody tr', 'rows')).toBe('.prices tbody > tr')
    expect(choice(page, 'td:nth-child(2)', 'column')).toBe('.prices td:nth-child(2)')
    expect(choice(page, 'body > a', 'links')).toBeUndefined()
  })

  it('tells the outermost that holds only the picture', () => {
    expect(choice(cards, 'img', 'picture')).toBe('.picture')
    expect(choice('<a href="#"><figure><picture><source><img></picture></figure></a>', 'img', 'picture')).toBe('body > a')
    expect(choice('<a href="#"><img> words</a>', 'img', 'picture')).toBeUndefined()
  })

  it('hangs on nothing that a build step names or that only says how it looks', () => {
    const built =
      '<main><div class="_1x2y3z flex"><div class="a1b2c3 inset-4 wide:half letters-18">x</div><div class="a1b2c3 inset-4 wide:half letters-18">y</div></div></main>'
    const rung = rungIn(built, '.a1b2c3')
    for (const { select } of rung?.choices ?? []) expect(select).not.toMatch(/_1x|a1b2c3|inset|wide|letters|flex/)
    expect(rung?.choices.find(({ how }) => how === 'structure')?.select).toBe('main > div > div')
  })

  it('counts on every page of the site', () => {
    expect(rungIn(cards, '.card', { other: card, third: '<p>' })?.choices.find(({ how }) => how === 'class')?.counts).toEqual({
      here: 8,
      other: 1,
      third: 0,
    })
  })

  it('always has a selector for this one alone, which a browser reads the same way', () => {
    const odd =
      '<div><div><span></span><span></span></div><div><span class="1a b:c"></span></div></div><p id="9"></p><p id="a.b"></p><ul><li>x<li>y</ul><section class="a"></section><section class="a"></section>'
    const page = pageOf(odd)
    for (const element of elementsOf(page.tree)) {
      const own = rungOf(new Map([['here', page]]), 'here', page.numbers.get(element) ?? -1)?.choices.find(({ how }) => how === 'one')
      expect(findIn(page.tree, own?.select ?? ''), own?.select).toEqual([element])
    }
  })

  it('counts as a general reader of selectors does', () => {
    const page = pageOf(cards + '<ul><li class="x">1<li>2</ul>')
    for (const element of page.elements) {
      for (const { select, count } of rungOf(new Map([['here', page]]), 'here', page.numbers.get(element) ?? -1)?.choices ?? [])
        expect(findIn(page.tree, select)).toHaveLength(count)
    }
  })
})

describe('a selector', () => {
  it('is written so that any name can stand in it', () => {
    expect(
      writeSelector([
        { joint: '', classes: ['1a', 'b:c', '-'] },
        { joint: ' > ', tag: 'p', id: 'x.y', nth: 2 },
      ]),
    ).toBe('.\\31 a.b\\:c.\\- > p#x\\.y:nth-child(2)')
  })
})

describe('elements of an earlier version', () => {
  it('are found again by what they are and hold, not by their class alone', () => {
    const before = pageOf(cards)
    const now = pageOf(
      `<main><section class="grid">${card.replaceAll('class="card"', 'class="tile"').repeat(6)}</section><article class="aside">Something else altogether</article></main>`,
    )
    expect(findAlike(before, now, '.card')[0]).toEqual({ select: '.tile', count: 6 })
    expect(findAlike(before, pageOf('<p>nothing of the sort</p>'), '.card')).toEqual([])
  })
})
