// What a frame is by itself, with the pointer and without it: its size, and what a zone chooses of several.
import { pxSpan, type Reader } from './reader'
import type { Signal } from './signal'

type Chosen = Extract<Signal, { of: 'chosen' }>

const isChosen: Reader<Chosen>['read'] = ({ by }, { presence, index }) => Number(presence.zones.get(by) === index)
export const chosen: Reader<Chosen> = { span: () => 1, read: isChosen, away: isChosen }

const sized = (read: Reader<Signal>['read']): Reader<Signal> => ({ span: () => pxSpan, read, away: read })
export const width = sized((_, { frame }) => frame.width)
export const height = sized((_, { frame }) => frame.height)
export const overflowX = sized((_, { frame }) => frame.overflowX)
export const overflowY = sized((_, { frame }) => frame.overflowY)
export const excessX = sized((_, { frame, area }) => Math.max(0, frame.width - area.width))
export const excessY = sized((_, { frame, area }) => Math.max(0, frame.height - area.height))

const sizes: ReadonlySet<string> = new Set(['width', 'height', 'overflowX', 'overflowY', 'excessX', 'excessY'])

/** Whether a channel hangs on how large things are, so that it changes with that, pointer or none. */
export const isBySize = ({
  signal,
  away,
}: {
  readonly signal: Signal
  readonly away: { readonly isShare?: boolean | undefined }
}): boolean => away.isShare === true || sizes.has(signal.of)
