// What is known of a page by its own sheets.
import type { Text } from 'domhandler'
import { describe, expect, it } from 'vitest'
import { findKind } from '../effect/kinds'
import { elementsOf, readTree } from '../page/tree'
import { factsOf, pageFactsOf } from './tree-facts'

const tilt = findKind('tilt')
const sourceFor = (select: string) => ({
  rig: tilt?.expand(tilt.defaults, select, {}) ?? { areas: [], channels: [], knobs: [], outputs: [], parts: [], rules: [] },
  names: { title: '', name: 'card' },
})
const factsFor = (
  css: string,
  more: Partial<Parameters<typeof factsOf>[0]> = {},
  body = '<main class="wrap"><article class="card">A</article><p class="note">B</p></main>',
  selects = ['.card'],
) =>
  factsOf(
    { tree: readTree(`<!doctype html><style>${css}</style><body>${body}</body>`), lacksSheets: false, hasScripts: false, ...more },
    selects.map(sourceFor),
  )

const plain = {
  hasBorders: false,
  hasPositions: false,
  hasTurns: false,
  hasOwnStyles: false,
  hasInlineStyles: false,
  hasTransitions: false,
  hasPartTransitions: false,
  hasLateElements: false,
  hasOwnCode: false,
  ownRules: [],
}
/** A rule of the page that is taken over. */
const own = (select: string, property: string, value: string, ...context: string[]) => ({
  ownRules: [{ context, select, declarations: [[property, value]] }],
})

describe('the facts about a page', () => {
  it.each([
    ['', plain],
    ['.card { color: red; padding: 4px; border: none; transition: none }', plain],
    ['.note { transform: rotate(3deg); border: 1px solid; transition: all 1s }', plain],
    ['.card { border: 1px solid }', { ...plain, hasBorders: true }],
    ['.wrap { zoom: 1.2 }', { ...plain, hasTurns: true }],
    ['.card:hover { transform: scale(1.1) }', { ...plain, hasTurns: true, ...own('.card:hover', 'transform', 'scale(1.1)') }],
    [
      '@media (min-width: 900px) { .card { scale: 1; transform: scale(2) } }',
      { ...plain, hasTurns: true, ...own('.card', 'transform', 'scale(2)', '@media (min-width:900px)') },
    ],
    // What no effect drives here is nobody's business.
    ['.card { filter: blur(2px); opacity: 0.5 }', plain],
    ['.card { transition: transform 0.3s }', { ...plain, ...own('.card', 'transition', 'transform 0.3s') }],
    ['.card { transition-duration: 0.3s }', { ...plain, hasTransitions: true }],
    ['@scope (.wrap) { .card { transform: scale(2) } }', { ...plain, hasTurns: true, hasOwnStyles: true }],
    ['@starting-style { .card { transform: scale(2) } }', { ...plain, hasTurns: true }],
    ['.card { all: unset }', { ...plain, hasBorders: true, hasPositions: true, hasTurns: true, hasOwnStyles: true, hasTransitions: true }],
    [
      '* { transition: all 1s !important }',
      { ...plain, hasPartTransitions: true, ownRules: [{ context: [], select: '*', declarations: [['transition', 'all 1s', true]] }] },
    ],
    [
      '.wrap { & .card:hover { transform: none } .card { transform: scale(2) } }',
      {
        ...plain,
        hasTurns: true,
        ownRules: [
          { context: [], select: ':is(.wrap) .card:hover', declarations: [['transform', 'none']] },
          { context: [], select: ':is(.wrap) .card', declarations: [['transform', 'scale(2)']] },
        ],
      },
    ],
    ['.card { background: #fff; transform: none }', plain],
    ['.card { background: url(a.png) }', plain],
    ['.card { position: static }', plain],
    ['.card:focus { position: sticky }', { ...plain, hasPositions: true }],
    [
      '.card { animation: come 1s } @keyframes come { from { transform: scale(0) } 50% { opacity: 1 } }',
      { ...plain, hasTurns: true, hasOwnStyles: true },
    ],
    ['.wrap { & .card { border: 1px solid } }', { ...plain, hasBorders: true }],
    ['.note:not(.card) { rotate: 2deg }', plain],
    ['main > :hover { scale: 2 }', { ...plain, hasTurns: true }],
    ['.card::before { transform: rotate(3deg); border: 1px solid }', plain],
  ])('of %j', (css, facts) => {
    expect(factsFor(css)).toMatchObject(facts)
  })

  it('counts a class that no element has now where scripts may give it', () => {
    expect(factsFor('.is-in { transform: scale(1) }')).toMatchObject(plain)
    expect(factsFor('.is-in { transform: scale(1) }', { hasScripts: true })).toMatchObject({
      hasTurns: true,
      hasInlineStyles: true,
      hasLateElements: true,
      ...own('.is-in', 'transform', 'scale(1)'),
    })
    expect(factsFor('.note.is-in { transform: scale(1) }', { hasScripts: true })).toMatchObject({ hasTurns: false })
  })

  it('takes the worst where sheets are longer, or rules ask more of elements, than is looked at', () => {
    const tree = readTree(`<!doctype html><style>.card { color: red }</style><article class="card">${'<i></i>'.repeat(10_000)}</article>`)
    const style = elementsOf(tree).find((element) => element.name === 'style')?.children[0] as Text
    const read = (css: string) => {
      style.data = css
      return pageFactsOf({ tree, lacksSheets: false, hasScripts: false }, [sourceFor('.card')])
    }
    const rules = (select: (i: number) => string) => Array.from({ length: 1100 }, (_, i) => `${select(i)} { border: 1px solid }`).join('\n')
    expect(read(rules((i) => `.c${i}`))).toMatchObject({ sheets: 'read', hasBorders: false })
    expect(read(rules((i) => `[data-c${i}]`))).toMatchObject({ sheets: 'unread', hasBorders: true })
    expect(read('/* long */'.repeat(850_000))).toMatchObject({ sheets: 'unread', hasBorders: true })
  })

  it('takes the worst where a sheet is missing, and reads attributes too', () => {
    expect(factsFor('', { lacksSheets: true })).toMatchObject({
      hasBorders: true,
      hasTurns: true,
      hasOwnStyles: true,
      hasTransitions: true,
    })
    expect(factsFor('', {}, '<div style="rotate: 3deg"><button class="card">A</button></div>')).toMatchObject({
      hasTurns: true,
      hasBorders: true,
      hasOwnStyles: false,
    })
  })

  it.each([
    // A class in one of its states loses to an id, to more classes and to what is important; not to one class or a tag.
    ['#go:hover { color: red }', ['color']],
    ['main .card:hover { color: red } .wrap > .card { background: #eee }', ['color', 'background-color']],
    ['.card { color: red !important }', ['color']],
    ['a:hover, .card { color: red } .note.card { color: red }', []],
    ['#go { border: 1px solid }', []],
  ])('tells what looks give and %j gives by what counts before them', (css, contested) => {
    const looks = {
      ...findKind('hover-look')?.expand({ ...(findKind('hover-look')?.defaults as object), ground: 'own', ink: 'own' }, '.card'),
    }
    const tree = readTree(`<style>${css}</style><main class="wrap"><a class="card" id="go">A</a><p class="note">B</p></main>`)
    const facts = factsOf({ tree, lacksSheets: false, hasScripts: false }, [
      { ...sourceFor('.card'), rig: looks as ReturnType<typeof sourceFor>['rig'] },
    ])
    expect(facts.contested).toEqual(contested)
  })

  it.each([
    ['span { padding: 3px; color: red } .card > * { position: relative; filter: blur(1px); margin: 0 }', ['padding', 'position', 'filter']],
    ['* { box-sizing: border-box; margin: 0; padding: 0; font: inherit }', []],
    ['.card p { opacity: .5 } .card::before { opacity: .5 } span.mark { opacity: .5 }', []],
    ['.card span { background: #f0f url(a.png) no-repeat; transition: all 1s }', ['background-image', 'background-color']],
  ])('tells what %j gives whatever is in things', (css, partStyles) => {
    expect(factsFor(css).partStyles).toEqual(partStyles)
  })

  it('tells of what clips, and of perspective around', () => {
    expect(factsFor('.card { overflow: hidden }')).toMatchObject({ hasClips: true, hasEyes: false })
    expect(factsFor('.wrap { overflow: hidden; perspective: 500px }')).toMatchObject({ hasClips: false, hasEyes: true })
    expect(factsFor('.card { overflow: visible; perspective: none }')).toMatchObject({ hasClips: false, hasEyes: false })
  })

  it('tells what lies in what', () => {
    const { liesIn } = factsFor('', {}, undefined, ['.card', '.wrap', '.note'])
    expect(liesIn('.card', '.wrap')).toBe(true)
    expect(liesIn('.card', '.card')).toBe(true)
    expect(liesIn('.note', '.card')).toBe(false)
  })
})
