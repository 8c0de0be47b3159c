// What is known of a page when its script is compiled. What the page cannot do is not compiled in.
import type { OwnRule } from './own-rules'

export interface Facts {
  /** Elements of the effects may have borders, or round corners that count. */
  readonly hasBorders: boolean
  /** The page may position them, so that what is added to them stands where they are. */
  readonly hasPositions: boolean
  /** The page may itself turn or scale them, or what they lie in. */
  readonly hasTurns: boolean
  /** The page may give them transforms, filters, shadows or pictures of their own in ways that its rules do not tell. */
  readonly hasOwnStyles: boolean
  /** They may have some in their own `style`: from the start, or by scripts of the page. */
  readonly hasInlineStyles: boolean
  /** The page may have transitions on them that would make effects lag, in ways that its rules do not tell. */
  readonly hasTransitions: boolean
  /** Rules by which the page gives them such styles and transitions: the stylesheet takes these over. */
  readonly ownRules: readonly OwnRule[]
  /** The layers of the page's sheets, in their order. */
  readonly ownLayers: readonly string[]
  /** Transitions of the page reach what scripts add. */
  readonly hasPartTransitions: boolean
  /** What else its rules give whatever is in things, and so what scripts add: the properties by name. */
  readonly partStyles: readonly string[]
  /** What looks give while the pointer is there, and stronger rules of the page or its own `style` would give otherwise: the properties by name. */
  readonly contested: readonly string[]
  /** The page gives what they stand in a perspective. */
  readonly hasEyes: boolean
  /** Elements of the effects may cut off what sticks out of their padding boxes. */
  readonly hasClips: boolean
  /** Elements may come later than the script. */
  readonly hasLateElements: boolean
  /** The page has code of its own, which may listen to what effects tell. */
  readonly hasOwnCode: boolean
  /** Whether some element of the first selector is one of the second, or lies in one. */
  readonly liesIn: (inner: string, outer: string) => boolean
}

/** Whether the sheets of a page were read, or one of them is missing, or was not read to its end because it has too much in it. */
export const sheetsKnown = ['read', 'missing', 'unread'] as const
export type Sheets = (typeof sheetsKnown)[number]

/** What a script may count on, one by one. */
export const factNames = [
  'hasBorders',
  'hasPositions',
  'hasTurns',
  'hasOwnStyles',
  'hasInlineStyles',
  'hasTransitions',
  'hasLateElements',
  'hasOwnCode',
] as const
export type FactName = (typeof factNames)[number]

/** What a designer asks of the script besides. */
export interface Leaving {
  /** What it allows for, although the page as it is needs none of it. */
  readonly allows?: readonly FactName[] | undefined
  /** It gives a function that takes all of it off the page again. */
  readonly takesOff?: true | undefined
  /** It is a module. */
  readonly isModule?: true | undefined
}

/** The facts with what is to be allowed for all the same. */
export const allowing = (facts: Facts, { allows = [] }: Leaving): Facts => ({
  ...facts,
  ...Object.fromEntries(allows.map((name) => [name, true])),
})

/** What a page may be of which nothing is known. */
export const worstFacts: Facts = {
  hasBorders: true,
  hasPositions: true,
  hasTurns: true,
  hasOwnStyles: true,
  hasInlineStyles: true,
  hasTransitions: true,
  hasLateElements: true,
  hasOwnCode: true,
  ownRules: [],
  ownLayers: [],
  hasPartTransitions: true,
  partStyles: [],
  contested: [],
  hasClips: true,
  // A page of its own perspective has sheets that say so.
  hasEyes: false,
  liesIn: (inner, outer) => inner === outer || inner.startsWith(`${outer} `),
}

/** A plain page: boxes that nothing but effects turns, and no styles that would meet theirs. */
export const plainFacts: Facts = {
  ...worstFacts,
  hasBorders: false,
  hasPositions: false,
  hasTurns: false,
  hasOwnStyles: false,
  hasInlineStyles: false,
  hasTransitions: false,
  hasLateElements: false,
  hasOwnCode: false,
  hasPartTransitions: false,
  hasClips: false,
  hasEyes: false,
}
