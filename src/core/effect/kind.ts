// What a kind of effect brings along. Nothing outside its folder knows it by name.
import type * as z from 'zod'
import type { Blend } from '../curve/seen-colour'
import type { Feel } from '../feel/feel'
import type { Place } from '../geometry/place'
import type { Rig, Role } from '../rig/rig'
import type { Control, Piece } from './control'
import type { Family } from './families'
import type { Sample } from './samples'
import type { Sketch } from './sketch'
import type { Thing } from './thing'

/** Which elements fill the roles of an effect beside its own, as selectors by the role's id. */
export type Filled = Readonly<Record<string, string>>

/** A kind with settings, ready to be tried on an element. */
export interface Recipe<S> {
  readonly id: string
  readonly title: string
  readonly need: string
  readonly settings: S
  /** Which elements fill its other roles until they are pointed at: selectors inside the chosen element, and a noun. */
  readonly roles?: Readonly<Record<string, { readonly within: string; readonly noun: string }>> | undefined
}

/** Roles of which there may be more or fewer. */
export interface MoreRoles<S> {
  /** What one of them is called: "layer". */
  readonly noun: string
  readonly add: (settings: S) => S
  /** The same settings without it; those very settings for a role that is none of them. */
  readonly remove: (settings: S, role: string) => S
}

/** Light, or shade, that an effect lays on its elements: a CSS colour, its strength 0..1, and how it meets what is there. */
export interface Light {
  readonly colour: string
  readonly strength: number
  readonly blend: Blend
}

/** The row or column in which elements stand: how many are in it, its gap, what each has beside its contents, px, and how it is laid out. */
export interface RowOf {
  readonly count: number
  readonly gapPx: number
  readonly besidePx: number
  readonly along: 'across' | 'down'
  readonly isFlex: boolean
  readonly isGrid: boolean
}

export interface Feels {
  readonly follow: Feel
  readonly back: Feel
  readonly come: Feel
  readonly go: Feel
}

export interface Kind<S> {
  readonly id: string
  readonly title: string
  /** What it does to a page, in one plain line. */
  readonly does: string
  /** What it is most often put on: it is offered there first. */
  readonly suits: readonly Thing[]
  /** What people call such an effect otherwise: it is found by these words too. */
  readonly alsoCalled: readonly string[]
  /** Under which heading its recipes stand, and what they are shown on: `forSample` gives the settings that suit something so small. */
  readonly family: Family
  readonly sample: Sample
  readonly forSample?: (settings: S) => S
  readonly settings: z.ZodType<S>
  readonly defaults: S
  /** Its roles for these settings; the first is what the effect itself is about. */
  readonly roles: (settings: S) => readonly Role[]
  readonly moreRoles?: MoreRoles<S> | undefined
  /** The same settings for an element that the page draws flat, by a property such as `overflow`: what is in it cannot rise out of it. */
  readonly onFlat?: (settings: S) => S
  /** The same settings for an element that holds nothing of the page, and so nothing of ours: a picture, a video. */
  readonly onReplaced?: (settings: S) => S
  /** The same settings for an element whose corners are so round, px. */
  readonly onCorners?: (settings: S, radiusPx: number) => S
  /** The same settings for elements that stand in such a row. */
  readonly onRow?: (settings: S, row: RowOf) => S
  /** The same settings for elements that stand in a line, as words do: what becomes a grid of its own stays in it. */
  readonly onInline?: (settings: S) => S
  /** The same settings for elements whose size hangs on what is in them: they cannot be containers of a size. */
  readonly onHugging?: (settings: S) => S
  /** The same settings with the two roles that have to lie over each other laid so, or where the page has them. */
  readonly laid?: (settings: S, how: 'over' | 'page') => S
  /** It is about a box that is seen as one, such as a hero or a card, rather than about the words in it. */
  readonly wantsBox?: true
  /** It is about what holds just so many elements, such as two faces. */
  readonly wantsHolder?: number
  /** It is for several of a kind side by side: put on one of them, it is on all like it. */
  readonly wantsSeveral?: true
  /** It does nothing on one element alone. */
  readonly needsSeveral?: true
  /** It is for the whole page: put on an element, it is on the page, and that element fills this role, where there is one. */
  readonly onPage?: (settings: S) => string | undefined
  /** The role that what lies under the chosen element fills until it is pointed at, where something about as large does. */
  readonly covers?: string
  /** Roles whose elements go with its own one for one, wherever they are. */
  readonly inStep?: readonly string[]
  /** CSS for the page where the effect finds nothing to do there: what it does in words, and its rules. */
  readonly remedy?: (settings: S, select: string, roles: Filled) => { readonly words: string; readonly css: string }
  /** Two roles whose elements have to stand apart: neither is the other, nor lies in it. */
  readonly apart?: readonly [string, string]
  /** What it lays on the ground of its elements, which may be too like it to be seen. */
  readonly lights?: (settings: S) => readonly Light[]
  /** The same settings with such light in another colour, laid on plainly. */
  readonly litIn?: (settings: S, colour: string) => S
  readonly controls: (settings: S) => readonly Control<S>[]
  readonly recipes: readonly Recipe<S>[]
  /** A drawing of its own, for controls whose drawing is `sketch`. */
  readonly sketch?: (settings: S) => Sketch
  /** The effect told as a sentence, made from its settings. */
  readonly sentence: (settings: S) => readonly Piece[]
  /** The line of time beneath it, which may hang on what fills its roles. */
  readonly time: (settings: S, roles?: Filled) => readonly Piece[]
  /** What it does for a finger, a keyboard, reduced motion and without script. */
  readonly answers: { readonly touch: string; readonly keyboard: string; readonly reducedMotion: string; readonly noScript: string }
  /** The same settings with the direction turned. */
  readonly turned: (settings: S) => S
  /** Where the pointer is imagined while it is away, and a change of it; undefined while it holds. */
  readonly awayPlace: (settings: S) => Place | undefined
  readonly withAwayPlace: (settings: S, place: Place) => S
  /** The feels by which it follows and goes back, and by which what is only there with the pointer comes and goes. */
  readonly feels: (settings: S) => Feels
  /** `strength` is how many times as strong as designed it will be shown, 0..2, for what has to have room for it. */
  readonly expand: (settings: S, select: string, roles?: Filled, strength?: number) => Rig
  /** What of that which all kinds have in common is a matter of its own settings. */
  readonly lacks?: readonly ('strength' | 'insets' | 'touch' | 'reducedMotion' | 'neighbours')[]
}
