// @vitest-environment jsdom
import { beforeEach, describe, expect, it } from 'vitest'
import { makeLadder } from './ladder'

// The parts of the browser that jsdom leaves out, as far as the ladder asks for them.
beforeEach(() => {
  globalThis.CSS ??= { escape: (text: string) => text.replace(/[^\w-]/g, (character) => `\\${character}`) } as typeof CSS
  Element.prototype.getBoundingClientRect = () => ({ width: 200, height: 150 }) as DOMRect
  document.body.innerHTML = ''
})

const show = (html: string) => {
  document.body.innerHTML = html
}
const rungsFor = (...selects: string[]) => makeLadder(selects.map((select) => document.querySelector(select)).filter((element) => element !== null))
const card = '<article class="card"><div class="picture"></div><h2>t</h2></article>'

describe('a rung of the ladder', () => {
  it('counts the likes by class, and names one alone by its place', () => {
    show(`<section class="cards">${card.repeat(8)}</section>`)
    const [rung] = rungsFor('.card:nth-child(3)').rungs
    expect(rung).toEqual({ noun: 'card', element: 'article.card', one: '.card:nth-child(3)', likes: { select: '.card', count: 8 } })
    expect(document.querySelectorAll(rung?.one ?? '')).toHaveLength(1)
  })

  it('has no likes when it stands alone', () => {
    show('<main><div id="hero" class="stage"></div></main>')
    expect(rungsFor('.stage').rungs[0]).toEqual({ noun: 'stage', element: 'div#hero.stage', one: '.stage' })
  })

  it('goes by structure where there is no class, and past class names that a build step makes', () => {
    show('<ul class="list"><li>a</li><li>b</li></ul><div class="css-1x2y3z"><p class="a1b2c3">x</p><p>y</p></div>')
    expect(rungsFor('li').rungs[0]?.likes).toEqual({ select: '.list > li', count: 2 })
    expect(rungsFor('p').rungs[0]?.likes).toEqual({ select: 'div > p', count: 2 })
  })

  it('finds a selector for one alone in every case', () => {
    show(`<div><div><span></span><span></span></div><div><span></span></div></div><section class="a">${card}</section><section class="a">${card}</section>`)
    for (const element of document.querySelectorAll('body *')) {
      const [rung] = makeLadder([element]).rungs
      expect([...document.querySelectorAll(rung?.one ?? '')]).toEqual([element])
    }
  })
})

describe('the rung that is picked', () => {
  it('is the card rather than the picture that each card holds', () => {
    show(`<section class="cards">${card.repeat(8)}</section>`)
    const { rungs, pick } = rungsFor('.picture', '.card', '.cards')
    expect(rungs[pick]?.noun).toBe('card')
  })

  it('is never something that lies behind, however often it repeats', () => {
    show(`<section class="cards">${'<article class="card"><div class="paper"></div><div class="picture"></div></article>'.repeat(8)}</section>`)
    const { rungs, pick } = rungsFor('.picture', '.card', '.cards', '.paper')
    expect(rungs[pick]?.noun).toBe('card')
  })

  it('is the topmost element where nothing repeats', () => {
    show('<main><div class="hero"><h1>t</h1></div></main>')
    expect(rungsFor('h1', '.hero', 'main').pick).toBe(0)
  })
})
