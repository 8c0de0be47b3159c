import { describe, expect, it } from 'vitest'
import { readDressed } from '../compile/tree-facts'
import { elementsOf, readTree } from '../page/tree'
import { tell, type ToldAsked } from './told'

const asked: ToldAsked = {
  select: '.card',
  written: ['.card'],
  driven: ['transform'],
  takesClip: false,
  adds: true,
  shut: [],
  takesFocus: false,
  layers: [],
  roles: {},
}

function toldOf(html: string, more: Partial<ToldAsked> = {}) {
  const tree = readTree(html)
  const all = elementsOf(tree)
  const nameOf = (number: number) => all[number]?.attribs.id ?? all[number]?.name
  const { matches, unreached, important, upset } = tell(
    readDressed({ tree, lacksSheets: false, hasScripts: false }),
    (element) => all.indexOf(element),
    { ...asked, ...more },
  )
  return {
    matches: matches.map(nameOf),
    unreached: unreached.map(nameOf),
    important: important.map(({ number, properties }) => [nameOf(number), ...properties]),
    upset,
  }
}

const page = (css: string, body: string) => `<!doctype html><html><head><style>${css}</style></head><body>${body}</body></html>`

describe('what a page tells of an effect', () => {
  it('which elements it is on, and which the focus cannot reach', () => {
    const told = toldOf(
      page(
        '',
        '<div class="card" id="a"></div><div class="card" id="b"><p><a href="#">x</a></p></div><a href="#"><span class="card" id="c"></span></a><button class="card" id="d"></button><a class="card" id="e">no address</a>',
      ),
    )
    expect(told.matches).toEqual(['a', 'b', 'c', 'd', 'e'])
    expect(told.unreached).toEqual(['a', 'e'])
    const faces = page(
      '',
      '<div class="card" id="a"><p></p><p class="back"><button></button></p></div><div class="card" id="b"><a href="#"></a></div>',
    )
    expect(toldOf(faces).unreached).toEqual([])
    expect(toldOf(faces, { shut: ['.back'] }).unreached).toEqual(['a'])
    expect(toldOf(faces, { shut: ['.back'], takesFocus: true }).unreached).toEqual([])
  })

  it('what keeps two layers from standing apart', () => {
    const apart = (body: string, layers: readonly string[] = ['.front', '.back']) => {
      const tree = readTree(page('', body))
      return tell(readDressed({ tree, lacksSheets: false, hasScripts: false }), () => 0, { ...asked, layers }).apart
    }
    expect(apart('<p class="front"></p><p class="back"></p>')).toBeNull()
    expect(apart('<p class="front"></p>')).toBeNull()
    expect(apart('<p class="front back"></p>')).toBe('same')
    expect(apart('<div class="front"><i><b class="back"></b></i></div>')).toBe('inside')
    expect(apart('<div class="back"><b class="front"></b></div>')).toBe('inside')
    expect(apart('<p class="back"></p>')).toBeNull()
    expect(apart('<p class="front"></p>', [])).toBeNull()
  })

  it('which roles match nothing, and on how many elements it is', () => {
    const tree = readTree(page('', '<p class="front"></p>'))
    const { unmet } = tell(readDressed({ tree, lacksSheets: false, hasScripts: false }), () => 0, {
      ...asked,
      roles: { front: '.front', back: '.back', broken: 'p::' },
    })
    expect(unmet).toEqual(['back', 'broken'])
    const { matches, count } = tell(
      readDressed({ tree: readTree(page('', '<ul class="card"><li><li></ul>')), lacksSheets: false, hasScripts: false }),
      () => 0,
      { ...asked, own: 'li' },
    )
    expect([matches.length, count]).toEqual([1, 2])
  })

  it('what is important in a style attribute of what it writes on', () => {
    const told = toldOf(
      page(
        '.card { transform: none !important }',
        '<p class="card" id="a" style="transform: none !important; color: red !important"></p><p class="card" id="b" style="transform: none"></p><p id="c" style="transform: none !important"></p><p class="card" id="d" style="transition: all 1s !important"></p>',
      ),
    )
    expect(told.important).toEqual([
      ['a', 'transform'],
      ['d', 'transition'],
    ])
  })

  it('what of its own cannot go on beside the effect', () => {
    const css =
      '@keyframes float { to { transform: translateY(-9px); color: red } } .card { animation: float 2s infinite } .other { clip-path: circle() } .card.cut { clip-path: circle() } .card:hover { clip-path: none }'
    const displaced = (body: string, driven: readonly string[]) => {
      const tree = readTree(page(css, body))
      return tell(readDressed({ tree, lacksSheets: false, hasScripts: false }), () => 0, { ...asked, driven }).displaced
    }
    expect(displaced('<p class="card"></p><p class="other"></p>', ['transform', 'clip-path'])).toEqual(['transform'])
    expect(displaced('<p class="card cut"></p>', ['opacity', 'clip-path'])).toEqual(['clip-path'])
    expect(displaced('<p class="other"></p>', ['transform', 'clip-path'])).toEqual([])
  })

  it('which rules count from the end where it adds something, as they are without that', () => {
    const css =
      '.card > :last-child { margin: 0 } @media (min-width: 9px) { .card p:nth-last-child(2) { color: red !important } } .other :last-child { top: 0 } .card:last-child { left: 0 } .card:empty { width: 9px }'
    const body = '<div class="card"><p>one</p><p>two</p></div><div class="other"><p>three</p></div>'
    const { upset } = toldOf(page(css, body))
    expect(upset).toEqual([
      { select: '.card>:last-child', css: '.card>:nth-last-child(1 of :not([data-part])) { margin: 0; }' },
      {
        select: '.card p:nth-last-child(2)',
        css: '@media (min-width:9px) { .card p:nth-last-child(2 of :not([data-part])) { color: red !important; } }',
      },
    ])
    const mended = `${css} ${upset.map((each) => each.css).join(' ')}`
    expect(toldOf(page(mended, body)).upset).toEqual([])
    expect(toldOf(page(css, body), { adds: false }).upset).toEqual([])
    expect(toldOf(page(css, '<div class="card"></div>')).upset.map(({ select }) => select)).toEqual(['.card:empty'])
  })
})
