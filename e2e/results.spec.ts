// The results that designers come for, from starters: walked through the interface, acts counted, and the exported page tried by itself.
import { walkAll } from './support/walk'
import { results } from './walks/all'

walkAll(results)
