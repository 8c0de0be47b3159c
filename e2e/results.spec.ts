// The results that designers come for, from starters: walked through the interface, acts counted, and the exported page tried by itself.
// In `npm test` those that go by ways of their own: a lean, a light, a preset; all in `npm run test:long`.
import { isLong } from './support/long'
import { walkAll } from './support/walk'
import { results } from './walks/all'

const chosen = new Set([2, 20, 21])

walkAll(results.filter(({ result = 0 }) => isLong || chosen.has(result)))
