// The feels: how a value follows its target in time. Data only; `follower.ts` makes them move.
import type { Direct } from './direct'
import type { Glide } from './glide'
import type { Spring } from './spring'
import type { Timed } from './timed'

export type Feel = Direct | Glide | Spring | Timed
export type { Direct, Glide, Spring, Timed }
