// The rig: what an effect is made of. Data only; every kind expands to one, and the player plays nothing else.
import type { Curve } from '../curve/curve'
import type { Feel } from '../feel/feel'
import type { SignalName } from '../signal/signal'

/** Where the pointer is read: the still box of each element that the selector matches. */
export interface Area {
  readonly select: string
  /** `fine`: a mouse or a pen only. `any`: a finger too. */
  readonly pointer: 'fine' | 'any'
}

/** Where a channel lies when the pointer is not there: it settles at a pose, or holds what it had. */
export type Away = { readonly kind: 'settle'; readonly pose: number } | { readonly kind: 'hold'; readonly pose: number }

/** One follower: a signal through a curve, following with one feel; `going` is the feel for the way to `away`. */
export interface Channel {
  readonly id: string
  readonly signal: SignalName
  readonly away: Away
  readonly curve?: Curve | undefined
  readonly feel: Feel
  readonly going?: Feel | undefined
  /** What it moves; with reduced motion everything but `light` stays at its away pose. */
  readonly group: 'turn' | 'travel' | 'scale' | 'light'
}

/** A number that the designer may turn in the exported stylesheet, where it is a custom property. */
export interface Knob {
  readonly id: string
  readonly value: number
  readonly unit: 'deg' | 'px' | ''
  /** What it does, for the comment beside it. */
  readonly note: string
}

/** The transform functions, in the order in which they are composed. */
export const transformFunctions = ['perspective', 'translateZ', 'rotateX', 'rotateY', 'scale'] as const
export type TransformFunction = (typeof transformFunctions)[number]

/** One transform function of the element: `base + factor * knob * channel`; without a channel it stands still. */
export interface Output {
  readonly fn: TransformFunction
  readonly base: number
  readonly factor: number
  readonly knob: string
  readonly channel?: string | undefined
}

export interface Rig {
  readonly area: Area
  readonly channels: readonly Channel[]
  readonly knobs: readonly Knob[]
  readonly outputs: readonly Output[]
}
