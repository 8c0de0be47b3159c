// What comes with the pointer and goes with it, each in a time of its own: CSS does that by itself, by transitions.
import { gives, type OwnRule } from '../compile/own-rules'
import type { Timed } from '../feel/feel'
import { isPlain } from './plan'
import { nearOf, partOf, type Channel, type Output, type Rig } from './rig'
import { selectOf } from './resolve'
import { turnedSelects } from './states'

/** What has to be known of a page for its stylesheet to have transitions of ours. */
export interface ComingFacts {
  /** The page may have transitions of its own on what effects write on: a list of ours would take their place. */
  readonly hasTransitions: boolean
  readonly ownRules: readonly OwnRule[]
  /** Whether some element of the first selector is one of the second, or lies in one. */
  readonly liesIn: (inner: string, outer: string) => boolean
}

/** A channel that comes and goes, with its times. */
export type Coming = Channel & { readonly feel: Timed; readonly going?: Timed | undefined }

const takesTime = (feel: Channel['feel']): feel is Timed => feel.kind === 'timed' && feel.durationMs > 0

/** Whether a channel is 1 while the pointer is there and 0 while it is not, and nothing but time lies between. */
function comes(channel: Channel, { areas, parts }: Rig): channel is Coming {
  const { signal, frame, away, curve, feel, going, chain, area } = channel
  const own = areas.find(({ id }) => id === area)
  return (
    signal.of === 'inside' &&
    frame === 'area' &&
    away.kind === 'settle' &&
    away.pose === 0 &&
    !curve &&
    chain === undefined &&
    takesTime(feel) &&
    (going === undefined || takesTime(going)) &&
    own !== undefined &&
    own.of !== 'group' &&
    own.looks === undefined &&
    // How near it is to letters is worked out by the script.
    !parts.some((part) => nearOf(part)?.here === channel.id)
  )
}

/** What a channel is seen in. */
export const outputsOf = ({ outputs }: Rig, { id }: Channel): readonly Output[] =>
  outputs.filter(({ channel, weight }) => channel === id || weight === id)

/** Whether CSS can say all that a channel is seen in: by plain curves, on the elements themselves, in them, or on parts. */
const isSaid = (rig: Rig, channel: Channel) => {
  const shown = outputsOf(rig, channel)
  return (
    shown.length > 0 &&
    shown.every((output) => !(typeof output.to === 'object' && 'linked' in output.to) && (output.channel !== channel.id || isPlain(output)))
  )
}

/** For each of these effects the channels that come and go by its stylesheet, on a page of which this is known: the same for stylesheet and script. */
export function comingsOf(
  sources: readonly { readonly rig: Rig }[],
  { hasTransitions, ownRules, liesIn }: ComingFacts,
): readonly (readonly Coming[])[] {
  // An element has one list of transitions: what looks turn has theirs.
  const taken = sources.flatMap(({ rig }) => turnedSelects(rig))
  const hasOwnLists = hasTransitions || gives(ownRules, 'transition')
  return sources.map(({ rig }) => {
    const able = rig.channels.filter((channel): channel is Coming => comes(channel, rig) && isSaid(rig, channel))
    const selects = able.flatMap((channel) =>
      outputsOf(rig, channel)
        .filter(({ to }) => partOf(to) === undefined)
        .map((output) => selectOf(rig, output)),
    )
    // An element has one list of transitions: the first effect has it, and where the page may have one of its own none of ours.
    if (selects.length > 0 && (hasOwnLists || selects.some((one) => taken.some((other) => liesIn(one, other) || liesIn(other, one)))))
      return []
    taken.push(...selects)
    return able
  })
}
