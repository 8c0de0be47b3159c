// All walks in the order in which they are listed.
import { results as cursor } from './cursor'
import { results as depthAndLight } from './depth-and-light'
import { more as moreDepthAndLight } from './more-depth-and-light'
import { more as moreReveal } from './more-reveal'
import { more as moreStatesAndCursor } from './more-states-and-cursor'
import { results as reveal } from './reveal'
import { results as states } from './states'

export const results = [...cursor, ...depthAndLight, ...reveal, ...states].toSorted(
  ({ result: one = 0 }, { result: other = 0 }) => one - other,
)

/** What else people ask for. */
export const more = [...moreDepthAndLight, ...moreReveal, ...moreStatesAndCursor]
