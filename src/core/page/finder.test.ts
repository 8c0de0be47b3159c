// Elements by the names that a selector asks for are those that a look at every element finds.
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { makeFinder } from './finder'
import { findIn, readTree } from './tree'

const html = `<!doctype html><main id="m" class="a b"><P class="a">x<i></i></P><p class="b\tc">y <svg><linearGradient id="G" class="A"/></svg></p>
  <ul><li class="a" data-x="1"><a href="#">l</a></li><li><a class="c" href="/">m</a></li></ul></main><section class="a"><p>z</p></section>`
const tree = readTree(html)
const { find, looks, all } = makeFinder(tree)
const name = fc.constantFrom(
  '.a',
  '.b',
  '.c',
  '.A',
  'p',
  'P',
  'li',
  'a',
  '*',
  '#m',
  '#G',
  '#g',
  'linearGradient',
  '[data-x]',
  '[class=a]',
  '[class~=b]',
  ':first-child',
  ':nth-child(2)',
  ':not(.a)',
  ':has(a)',
  ':is(p, .c)',
  ':nth-child(2 of .b)',
  ':root',
)
const compound = fc
  .array(name, { minLength: 1, maxLength: 2 })
  .map((names) => names.toSorted((one, other) => Number(/^[a-z*]/i.test(other)) - Number(/^[a-z*]/i.test(one))).join(''))
const complex = fc
  .array(fc.tuple(fc.constantFrom(' ', ' > ', ' + ', ' ~ '), compound), { minLength: 1, maxLength: 3 })
  .map((parts) => parts.map(([by, each], i) => (i === 0 ? each : by + each)).join(''))

it('finds what is found one by one, in the order of the page', () => {
  fc.assert(
    fc.property(fc.array(complex, { minLength: 1, maxLength: 3 }), (selects) => {
      const select = selects.join(', ')
      expect(find(select), select).toEqual(findIn(tree, select))
    }),
    { numRuns: 400 },
  )
})

it('looks at those alone that have the name, and says what cannot be read', () => {
  const before = looks()
  expect(find('ul .c')?.map((element) => element.name)).toEqual(['a'])
  expect(looks() - before).toBe(2)
  expect(find(':not(.a)')?.length).toBeGreaterThan(0)
  expect(looks() - before).toBe(2 + all.length)
  expect(find(':is(')).toBeUndefined()
})
