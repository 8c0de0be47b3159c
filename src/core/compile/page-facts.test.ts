// What is known of a page by its own sheets.
import { describe, expect, it } from 'vitest'
import { findKind } from '../effect/kinds'
import { readTree } from '../page/tree'
import { factsOf } from './tree-facts'

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
  hasTransitions: false,
  hasLateElements: false,
  hasOwnCode: false,
}

describe('the facts about a page', () => {
  it.each([
    ['', plain],
    ['.card { color: red; padding: 4px; border: none; transition: none }', plain],
    ['.note { transform: rotate(3deg); border: 1px solid; transition: all 1s }', plain],
    ['.card { border: 1px solid }', { ...plain, hasBorders: true }],
    ['.wrap { zoom: 1.2 }', { ...plain, hasTurns: true }],
    ['.card:hover { transform: scale(1.1) }', { ...plain, hasTurns: true, hasOwnStyles: true }],
    ['@media (min-width: 900px) { .card { filter: blur(2px) } }', { ...plain, hasOwnStyles: true }],
    ['.card { transition: transform 0.3s }', { ...plain, hasTransitions: true }],
    ['.card { background: #fff; transform: none }', plain],
    ['.card { background: url(a.png) }', { ...plain, hasOwnStyles: true }],
    ['.card { position: static }', plain],
    ['.card:focus { position: sticky }', { ...plain, hasPositions: true }],
    [
      '.card { animation: come 1s } @keyframes come { from { transform: scale(0) } 50% { opacity: 1 } }',
      { ...plain, hasTurns: true, hasOwnStyles: true, hasTransitions: true },
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
      hasOwnStyles: true,
      hasLateElements: true,
    })
    expect(factsFor('.note.is-in { transform: scale(1) }', { hasScripts: true })).toMatchObject({ hasTurns: false })
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

  it('tells what lies in what', () => {
    const { liesIn } = factsFor('', {}, undefined, ['.card', '.wrap', '.note'])
    expect(liesIn('.card', '.wrap')).toBe(true)
    expect(liesIn('.card', '.card')).toBe(true)
    expect(liesIn('.note', '.card')).toBe(false)
  })
})
