// What only some rigs need. An exported script holds those that its page's figures use.
import { tracking } from '../signal/track'
import { crossings } from './crossings'
import { flow } from './flow'
import { late } from './late'
import { looks } from './looks'

interface Features {
  readonly crossings?: typeof crossings
  readonly flow?: typeof flow
  readonly late?: typeof late
  readonly looks?: typeof looks
  readonly tracking?: typeof tracking
}

export const features: Features = { crossings, flow, late, looks, tracking }
