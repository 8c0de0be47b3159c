// What else people ask for, from starters, each with its page in the cookbook; and the list of all of them.
import { keepIndex } from './support/cookbook'
import { isLong } from './support/long'
import { expect, test } from './support/house'
import { walkAll } from './support/walk'
import { more, results } from './walks/all'

// What is walked in `npm test` are the results; the rest in `npm run test:long`.
if (isLong) walkAll(more)

test('the list of the cookbook has every walk', () => {
  const ids = [...results, ...more].map(({ id }) => id)
  expect(new Set(ids).size).toBe(ids.length)
  expect(keepIndex(results, more), 'docs/cookbook/README.md has been written anew').toBe(true)
})
