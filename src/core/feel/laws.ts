// The law of each feel.
import { direct } from './direct'
import type { Feel } from './feel'
import { glide } from './glide'
import type { Law } from './law'
import { spring } from './spring'
import { timed } from './timed'

/** By the feel's kind; each law is only ever asked with a feel of its own kind. */
export const laws = { direct, glide, spring, timed } as Readonly<Record<Feel['kind'], Law<Feel>>>
