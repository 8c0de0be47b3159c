import { describe, expect, it } from 'vitest'
import { placeLoose } from './place-loose'

const file = (path: string, text = path) => ({ path, bytes: new TextEncoder().encode(text) })
const page = (html: string, path = 'index.html') => ({ path, html })
const placed = (files: readonly ReturnType<typeof file>[], ...pages: readonly ReturnType<typeof page>[]) =>
  placeLoose(files, pages).map(({ path }) => path)

describe('files that lost their folders', () => {
  it('stand where the page asks for them', () => {
    expect(placed([file('hero.svg')], page('<img src="img/hero.svg">'))).toEqual(['img/hero.svg'])
    expect(placed([file('Hero.SVG')], page('<img src="img/hero.svg?v=2">'))).toEqual(['img/hero.svg'])
    expect(placed([file('app.js')], page('<script src="js/app.js"></script>'))).toEqual(['js/app.js'])
  })

  it('and where their sheets ask for others', () => {
    const files = [
      file('site.css', '@import "parts/cards.css"; body { background: url(../img/night.png) }'),
      file('cards.css', '.card { background: url(paper.png) }'),
      file('night.png'),
      file('paper.png'),
    ]
    expect(placed(files, page('<link rel="stylesheet" href="css/site.css">')).sort()).toEqual([
      'css/parts/cards.css',
      'css/parts/paper.png',
      'css/site.css',
      'img/night.png',
    ])
  })

  it('stay where they are asked for already, and serve both where another page asks otherwise', () => {
    expect(placed([file('hero.svg')], page('<img src="hero.svg">'))).toEqual(['hero.svg'])
    expect(placed([file('a/hero.svg')], page('<img src="a/hero.svg">'), page('<img src="hero.svg">', 'b/two.html'))).toEqual([
      'a/hero.svg',
      'b/hero.svg',
    ])
  })

  it('of several that are called alike the one whose folders fit, or none', () => {
    expect(placed([file('x/1/hero.svg'), file('y/2/hero.svg')], page('<img src="2/hero.svg">'))).toEqual([
      'x/1/hero.svg',
      'y/2/hero.svg',
      '2/hero.svg',
    ])
    expect(placed([file('x/hero.svg'), file('y/hero.svg')], page('<img src="img/hero.svg">'))).toEqual(['x/hero.svg', 'y/hero.svg'])
  })

  it('are not taken for what lies elsewhere', () => {
    expect(placed([file('hero.svg')], page('<img src="https://example.test/img/hero.svg">'))).toEqual(['hero.svg'])
  })
})
