// A figure as it is played: where it listens, and which custom property follows which signal.
import type { ColourCurve } from '../curve/colour'
import type { Curve } from '../curve/curve'
import type { Area, Channel, FrameOf, Part, Target } from './rig'

export type PlayedArea = Pick<Area, 'of' | 'select' | 'insets' | 'box' | 'among' | 'beyond' | 'bridge' | 'pointer' | 'looks'> & { readonly touch?: 'tap' | undefined }

/** A custom property that is written, and on what; through a curve where CSS cannot say it. */
export interface Write {
  readonly property: string
  readonly to?: Exclude<Target, 'self'> | undefined
  readonly curve?: Curve | ColourCurve | undefined
  readonly link?: number | undefined
}

export type PlayedChannel = Pick<Channel, 'signal' | 'away' | 'curve' | 'feel' | 'going' | 'timing' | 'chain' | 'group'> & {
  readonly id: string
  /** The index of the channel of its frame that tells whether it is seen. */
  readonly seenBy?: number | undefined
  readonly writes: readonly Write[]
  /** It turns with frames alone, as a stylesheet's transition does. */
  readonly inFrames?: true | undefined
}

/** The channels that are read in one frame of reference. */
export interface PlayedFrame {
  readonly of: FrameOf
  readonly channels: readonly PlayedChannel[]
}

export type PlayedPart = Pick<Part, 'id' | 'inside' | 'count' | 'whileOn' | 'covers' | 'holds'> & { readonly className: string }

export interface PlayedFigure {
  /** How the console names it, should it fail. */
  readonly title: string
  /** Its name in attributes and events. */
  readonly name: string
  readonly area: PlayedArea
  readonly frames: readonly PlayedFrame[]
  readonly parts?: readonly PlayedPart[] | undefined
  /** The custom properties that keep what the page itself gives an element, by the property that it gives. */
  readonly own?: Readonly<Record<string, string>> | undefined
  /** The CSS properties that follow its values: a transition of the page's own on them would lag. */
  readonly drives: readonly string[]
  /** Rules of it count where its own elements are marked as being played, whether anything is written on them or not. */
  readonly marksArea?: true | undefined
  /** Its elements share a vanishing point with what stands beside them. */
  readonly sharesEye?: true | undefined
  /** It plays only where this media query holds. */
  readonly media?: string | undefined
  /** It does not play for visitors who prefer reduced motion. */
  readonly notCalm?: true | undefined
}
