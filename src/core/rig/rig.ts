// The rig: what an effect is made of. Data only; every kind expands to one, and scripts are made of nothing else.
import type { ColourCurve } from '../curve/colour'
import type { Curve } from '../curve/curve'
import type { Feel } from '../feel/feel'
import type { Insets } from '../geometry/insets'
import type { Look } from '../look/look'
import type { Signal } from '../signal/signal'
import type { Handle } from './handle'
import type { Slot } from './slot'

/** Where the pointer is read. */
export interface Area {
  readonly id: string
  /** Each element that `select` matches, all of them as one place, or the whole window (then nothing is selected). */
  readonly of: 'each' | 'group' | 'window'
  readonly select: string
  /** How far inside its edges the area counts; negative: outside. */
  readonly insets?: Insets | undefined
  /** `still`: where it would lie if no effect moved it. `live`: where it is. */
  readonly box: 'still' | 'live'
  /** Whether one match at most has the pointer, or all that hold it. */
  readonly among: 'one' | 'all'
  /** Beyond its own box it counts only where the pointer is on another match: a light that goes over the border between two. */
  readonly beyond?: 'fellows' | undefined
  /** More elements that count as the same place: inside the match, or anywhere for a group. */
  readonly bridge?: string | undefined
  /** `fine`: a mouse or a pen only. `any`: a finger too. */
  readonly pointer: 'fine' | 'any'
  /** What a finger does to it; the page scrolls along the axes that are left. */
  readonly touch: 'none' | 'tap' | 'drag-x' | 'drag-y' | 'drag'
  /** The hover looks of each match, where it has some. */
  readonly looks?: Looks | undefined
}

/** The hover state machine of an area. Times in ms. */
export interface Looks {
  /** How long it stays on after the last cause has gone. */
  readonly goDelayMs: number
  /** After standing still for so long it shows `still`; never when left out. */
  readonly stillMs?: number | undefined
  /** At most one match is on; the latest cause wins. */
  readonly atMostOne: boolean
  /** The keyboard's focus counts as a cause. */
  readonly keys: boolean
}

/**
 * Where a channel lies when the pointer is not there: it settles at a pose (a number of the signal), holds what it had,
 * or lets go: it holds, and the weight of its outputs goes to 0, so that the page's own style comes back.
 */
export type Away = { readonly kind: 'settle'; readonly pose: number } | { readonly kind: 'hold'; readonly pose: number } | { readonly kind: 'letGo'; readonly pose: number }

/** In whose coordinates the pointer is read: the area's, the window's, each element of a role's, or one box's. */
export type FrameOf = 'area' | 'window' | { readonly each: string } | { readonly box: string }

/** The feel of the way from one look to another. */
export interface Timing {
  readonly from: Look | 'any'
  readonly to: Look
  readonly feel: Feel
}

/** One follower: a signal through a curve, following with one feel; `going` is the feel for the way to `away`. */
export interface Channel {
  readonly id: string
  readonly area: string
  readonly frame: FrameOf
  readonly signal: Signal
  readonly away: Away
  readonly curve?: Curve | undefined
  readonly feel: Feel
  readonly going?: Feel | undefined
  /** For looks: other feels for some pairs. */
  readonly timing?: readonly Timing[] | undefined
  /** The channel that tells whether this one is seen: while that is 0 it starts at the pointer, not where it was left. */
  readonly seenBy?: string | undefined
  /** A chain of so many followers, each after the one before; the feel is a glide. */
  readonly chain?: number | undefined
  /** What it moves; with reduced motion everything but `light` and `state` stays at its away pose. */
  readonly group: 'turn' | 'travel' | 'scale' | 'light' | 'state'
}

/** A number that the designer may turn in the exported stylesheet, where it is a custom property. */
export interface Knob {
  readonly id: string
  readonly value: number
  readonly unit: Unit
  /** What it does, for the comment beside it. */
  readonly note: string
  /** It says how much of the effect is seen: the strength of the whole scales it. */
  readonly isAmount?: boolean | undefined
  /** Another knob that it is a multiple of: then it is `value` times that one. */
  readonly times?: string | undefined
  /** For rigs by hand: the least and greatest value that makes sense, and how it is drawn on the page. */
  readonly range?: readonly [number, number] | undefined
  readonly handle?: Handle | undefined
}

/** A colour, a gradient, a text or a picture that the designer may set in the exported stylesheet: `{id}` in the rig's CSS stands for it. */
export interface Token {
  readonly id: string
  readonly of: 'colour' | 'gradient' | 'text' | 'picture'
  /** As CSS writes it. */
  readonly value: string
  readonly note: string
}

/** What an element is to an effect; filled by pointing at it. */
export interface Role {
  readonly id: string
  readonly title: string
  /** Whether it works on elements of the page, is added at run time, or needs markup around it that the effect brings along. */
  readonly needs: 'yours' | 'added' | 'shell'
  readonly shell?: Shell | undefined
}

/** Markup that an element needs around it: its two tags, by what the page tells that it is there, and its CSS. */
export interface Shell {
  readonly open: string
  readonly close: string
  readonly select: string
  readonly css: string
}

export const units = ['', 'deg', 'px', '%', 'ms', 's', 'em', 'rem', 'vw', 'vh', 'turn'] as const
export type Unit = (typeof units)[number]

/** What an output is written on: the frame's own element, some inside it, the elements in step with the matches, or a part. */
export type Target = 'self' | { readonly within: string } | { readonly linked: string } | { readonly part: string }

/**
 * One property of an element: `base + factor * knob * channel`, the channel through a curve of its own where there is
 * one. Without a channel it stands still. Shown is `neutral + weight * strength * (value - neutral)`.
 */
export interface Output {
  readonly to: Target
  readonly slot: Slot
  readonly base: number
  readonly factor: number
  readonly knob?: string | undefined
  readonly channel?: string | undefined
  /** Which link of the channel's chain. */
  readonly link?: number | undefined
  readonly curve?: Curve | ColourCurve | undefined
  /** The channel that is its weight, 0..1. */
  readonly weight?: string | undefined
  readonly strength: number
}

/**
 * A decorative element that the effect adds: to each match, inside it or inside another of its parts, or once for each
 * link of a chain. It is hidden from assistive technology and takes no pointer events.
 */
export interface Part {
  readonly id: string
  readonly area: string
  readonly inside?: string | undefined
  readonly count?: number | undefined
  /** Seen only while the pointer is there, and until its values have come to rest: what nobody sees costs nothing. */
  readonly whileOn?: boolean | undefined
  /** It covers the border of the match too; else it lies in the padding box. */
  readonly covers?: 'border' | undefined
  /** It holds a copy of what the match holds, kept in step with it; nobody can select, focus or hear it. */
  readonly holds?: 'copy' | undefined
  readonly css: Readonly<Record<string, string>>
}

/** Declarations that the effect brings along for the page's elements. */
export interface Rule {
  readonly select: string
  /** Only where the script is at work: without it the page stands as designed. `select` is then that of an area. */
  readonly whilePlayed?: boolean | undefined
  /** The knobs and tokens stand on these elements too, which lie outside the areas. */
  readonly bearsKnobs?: boolean | undefined
  readonly css: Readonly<Record<string, string>>
}

/** One entry of a property that is a list: CSS with holes, `{name}`, which outputs on one target fill, or knobs and tokens of that id. */
export interface Layer {
  readonly id: string
  readonly css: string
}

export interface Rig {
  readonly areas: readonly Area[]
  readonly channels: readonly Channel[]
  readonly knobs: readonly Knob[]
  readonly outputs: readonly Output[]
  readonly parts: readonly Part[]
  readonly rules: readonly Rule[]
  readonly layers?: readonly Layer[] | undefined
  readonly tokens?: readonly Token[] | undefined
  /** For rigs by hand: roles beside the effect's own; a selector names them `&id`, and the effect's own elements `&`. */
  readonly roles?: readonly Role[] | undefined
  /** Its rules count only where there is a mouse or a pen: what a finger could never lift would stay. */
  readonly finePointerOnly?: boolean | undefined
  /** It plays only where this media query of the window's width holds. */
  readonly media?: string | undefined
  /** It does not play for visitors who prefer reduced motion. */
  readonly notCalm?: boolean | undefined
}

/** The part that a target is, by id; undefined for elements of the page. */
export function partOf(to: Target | undefined): string | undefined {
  return typeof to === 'object' && 'part' in to ? to.part : undefined
}

/** A knob's own unit, or that of the knob that it is a multiple of. */
export function unitOfKnob(knobs: readonly Knob[], id: string | undefined, depth = 0): Unit | undefined {
  const knob = knobs.find((each) => each.id === id)
  return knob?.unit === '' && knob.times !== undefined && depth < knobs.length ? unitOfKnob(knobs, knob.times, depth + 1) : knob?.unit
}
