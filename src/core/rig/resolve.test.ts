import { describe, expect, it } from 'vitest'
import { liesInBy, overlapsOf, platformBy, resolveArea, touchedBy, withSelectors, type Platform } from './resolve'
import { readRig } from './check'
import { findIn, parentOf, readTree } from '../page/tree'

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

const page = readTree(
  '<section id="a"><i class="card"><b id="1"></b><b id="2"></b></i><i class="card"><b id="3"></b></i></section><b id="4"></b>',
)
const onTree = platformBy(
  (select) => findIn(page, select),
  (element) => parentOf(element),
)
const idsOf = (elements: readonly { readonly attribs: Readonly<Record<string, string>> }[] | undefined) =>
  elements?.map(({ attribs }) => attribs.id)

describe('an area on a platform', () => {
  it('has a place for each match, with what of a frame lies in it; what lies in none is in the first', () => {
    const places = resolveArea({ of: 'each', select: '.card' }, ['area', { each: 'b' }, { box: 'section' }], onTree)
    expect(places.map(({ elements }) => elements.length)).toEqual([1, 1])
    expect(places.map(({ frames }) => frames.map(idsOf))).toEqual([
      [undefined, ['1', '2', '4'], ['a']],
      [undefined, ['3'], ['a']],
    ])
  })

  it('is one place as a group or as the window, with everything in it', () => {
    const [group, ...more] = resolveArea({ of: 'group', select: '.card' }, [{ each: 'b' }], onTree)
    expect(more).toEqual([])
    expect([group?.elements.length, idsOf(group?.frames[0])]).toEqual([2, ['1', '2', '3', '4']])
    const [whole] = resolveArea({ of: 'window', select: '' }, ['window', { each: 'b' }], onTree)
    expect([whole?.elements, whole?.frames.map(idsOf)]).toEqual([[], [undefined, ['1', '2', '3', '4']]])
  })

  it('is found in boxes alone as in a page', () => {
    const boxes: Readonly<Record<string, readonly (readonly [from: number, to: number])[]>> = {
      '.card': [
        [0, 9],
        [10, 19],
      ],
      b: [
        [1, 2],
        [12, 14],
        [50, 51],
      ],
    }
    const onLine: Platform<readonly [number, number]> = {
      find: (select) => boxes[select],
      homeOf: ([from, to], among) => among.findIndex(([start, end]) => start <= (from + to) / 2 && (from + to) / 2 <= end),
    }
    expect(resolveArea({ of: 'each', select: '.card' }, [{ each: 'b' }], onLine).map(({ frames }) => frames)).toEqual([
      [
        [
          [1, 2],
          [50, 51],
        ],
      ],
      [[[12, 14]]],
    ])
    expect(resolveArea({ of: 'each', select: '.gone' }, [{ each: 'b' }], onLine)).toEqual([])
  })
})

it('what lies in what is found by the nearest that it is in', () => {
  const isIn = liesInBy(onTree)
  expect([isIn('b', '.card'), isIn('.card', '.card'), isIn('section', '.card'), isIn('b', 'em')]).toEqual([true, true, false, false])
})

describe('the selectors of a rig', () => {
  const rig = readRig({
    areas: [{ id: 'a', of: 'each', select: '&', bridge: '&b', beyond: '&', box: 'still', among: 'all', pointer: 'any', touch: 'none' }],
    channels: [
      {
        id: 'x',
        area: 'a',
        signal: { of: 'nearest', among: '&z' },
        frame: { each: '&f' },
        away: { kind: 'hold', pose: 0 },
        feel: { kind: 'direct' },
        group: 'light',
      },
    ],
    knobs: [],
    outputs: [
      { slot: { on: 'opacity' }, to: { within: '&w' }, base: 0, factor: 1, strength: 1, channel: 'x' },
      { slot: { on: 'opacity' }, to: { part: 'p' }, base: 0, factor: 1, strength: 1, channel: 'x' },
    ],
    parts: [{ id: 'p', area: 'a', css: {} }],
    rules: [{ select: '&r', css: {} }],
  })

  it('are those that it reads and those that it writes on', () => {
    expect(touchedBy(rig)).toEqual({ read: ['&', '&', '&f', '&z'], written: ['&f &w'] })
  })

  it('are changed everywhere, and nothing else is', () => {
    const changed = withSelectors(rig, (select) => select.replace('&', '.own-'))
    expect(touchedBy(changed)).toEqual({ read: ['.own-', '.own-', '.own-f', '.own-z'], written: ['.own-f .own-w'] })
    expect([changed.areas[0]?.bridge, changed.rules[0]?.select, changed.outputs[1]?.to]).toEqual(['.own-b', '.own-r', { part: 'p' }])
    expect(withSelectors(rig, (select) => select)).toEqual(rig)
  })
})
