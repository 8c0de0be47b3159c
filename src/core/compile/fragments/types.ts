// The shapes that fragments share. Lengths in CSS px, times in ms; nothing of this is left in a script.

/** Where an element lies: what takes a point of the window to its padding box, and its size. */
export interface Frame {
  readonly toFrame: DOMMatrix
  readonly width: number
  readonly height: number
  /** Widths of the borders: top, right, bottom, left. */
  readonly border: readonly [number, number, number, number]
  /** Radii of the border box's corners: upper left, upper right, lower right, lower left. */
  readonly radii: readonly [number, number, number, number]
}

/** The pointer at one instant, as an element sees it. */
export interface At extends Frame {
  readonly x: number
  readonly y: number
  readonly t: number
  readonly place: Place
  /** What other elements of the effect show, where one of them has just changed. */
  readonly others?: Look | undefined
}

/** What is missing to the target, and how fast that changes (per second); whether it is seen, and will go on. */
export interface Motion {
  readonly gap: number
  readonly speed: number
  /** Whether it will go on. */
  readonly moves: boolean
}

/** What is left of a motion at `t`. */
export type Feel = (follower: Follower, t: number) => Motion

/** One value on its way, in closed form since its target last changed. */
export interface Follower {
  target: number
  since: number
  gap: number
  speed: number
  feel: Feel
  /** How near the target is rest. */
  band: number
  /** The share of its time that it takes, and where it came from. */
  share?: number
  from?: number
  /** The last reading, and the last one that the page was told of. */
  reading?: number
  told?: number
  /** The last turn of the wheel, or of two fingers, that it has taken. */
  turn?: number
  /** Where turns have brought it. */
  turnedTo?: number
  /** What the pointer was on last. */
  held?: Element | undefined
  /** A follower of its own, for what takes its time before it is followed. */
  own?: Follower
  /** The values of the links, where it is a chain: what each is missing. */
  gaps?: number[]
  halfLifeMs?: number
}

/** A follower of a value of an effect. */
export interface ValueFollower extends Follower {
  readonly value: Value
  /** The parts that it is written on. */
  seen?: readonly HTMLElement[]
}

/** A value that follows the pointer. */
export interface Value {
  /** The custom property that carries it. */
  readonly property: string
  readonly read: (at: At, follower: Follower) => number
  /** Where it lies while the pointer is away. */
  readonly pose: number
  /** What a reading becomes before it is followed. */
  readonly curve?: (reading: number) => number
  readonly feel: Feel
  readonly going?: Feel
  readonly band: number
  /** What it is while the pointer is away, where that is no fixed pose. */
  readonly leave?: (at: At, follower: Follower) => number
  /** It stays where it is left: always, or where a finger leaves it. */
  readonly holds?: true | 'touch'
  /** Which value tells whether this one is seen. */
  readonly seenBy?: number
  /** It is seen by what the stylesheet does. */
  readonly beginsUnseen?: boolean
  /** So many glides in a row, and which of them is written. */
  readonly links?: number
  readonly link?: number
  readonly halfLifeMs?: number
  readonly goingHalfLifeMs?: number
  /** So many times where the pointer was, each so many ms earlier again, along this axis. */
  readonly pieces?: number
  readonly lagMs?: number
  readonly axis?: 'x' | 'y'
  /** It is where pieces are painted, along this axis. */
  readonly paints?: 'x' | 'y'
  /** It tells this of how near the pointer is to letters. */
  readonly nears?: 'x' | 'y' | 'here'
  /** The next instant at which it changes by itself; whether that goes on for ever. */
  readonly due?: (at: Pick<At, 't' | 'place'>, follower: Follower) => number
  readonly isEndless?: boolean
  /** It hangs on how large things are. */
  readonly bySize?: boolean
  /** Feels for some pairs of looks, and where it starts from when a look comes. */
  readonly byLook?: boolean
  readonly timing?: readonly (readonly [from: string, to: string, feel: Feel])[]
  readonly start?: (at: At) => number | undefined
  /** It is written on parts alone. */
  readonly isOfParts?: boolean
  /** It is written in px. */
  readonly isLength?: boolean
  /** How many decimals are written. */
  readonly digits?: number
  /** What it is written on, and how. */
  readonly onSelf?: boolean
  readonly within?: string
  readonly linked?: string
  readonly onParts?: string
  readonly as?: (value: number) => string | number
  /** It is a zone, which the page is told of by this name. */
  readonly zone?: string
  /** Which one it tells before the pointer first comes. */
  readonly zoneFirst?: number
  /** The elements of which the one that gets the focus chooses it. */
  readonly zoneFocus?: string
  /** The slider of its effect shows it, along this axis. */
  readonly slides?: 'x' | 'y'
}

/** What is heard, as far as it matters. */
export type Heard = Pick<PointerEvent, 'type' | 'timeStamp' | 'clientX' | 'clientY' | 'target' | 'buttons'> & {
  readonly pointerType?: string
  /** How far a wheel turned, px, or how many times as large two fingers made it. */
  readonly by?: number
  readonly key?: string
}

export type LookName = 'off' | 'on' | 'pressed' | 'still'

/** The hover state of an element. */
export interface Look {
  state: LookName | 'going'
  shown: LookName
  before: LookName
  /** When it goes on by itself. */
  dueAt: number
  tapped: boolean
  /** Escape put it off, until its causes have gone. */
  dismissed?: boolean
}

export interface Place {
  /** The element in which values are read, and the area that it lies in. */
  readonly element: Element
  readonly area: Element
  readonly followers: readonly ValueFollower[]
  isOn: boolean
  /** Whether it was a finger that left last. */
  byTouch?: boolean
  moves: boolean
  /** Until when the stylesheet makes it come or go. */
  comesUntil: number
  /** What the page itself gives its elements: which, the property that keeps it, and the text. */
  own?: readonly (readonly [HTMLElement, string, string])[]
  /** Where the pointer has stood, within 3 px, and since when. */
  stood: { x: number; y: number; t: number }
  /** What the stylesheet last told of what is painted, and the colour of each piece by that. */
  painted?: { readonly told: readonly string[]; readonly colours: readonly string[] }
  /** When it came in, and when it went out again. */
  arrivedAt?: number
  leftAt?: number | undefined
  /** The sides by which it came in and went out: 0 top, 1 right, 2 bottom, 3 left; of all, across, down. */
  entry: readonly number[]
  exit: readonly number[]
  focused: boolean
  look: Look
  told?: boolean
  lookTold?: string
  framesMoving?: number
  /** The ways along which its parts are dropped. */
  ways?: Map<Part, Way>
  /** What elsewhere counts as the same place. */
  beside?: HTMLElement | undefined
}

/** A letter that is laid over a text: where its middle is, px of the frame, and how near the pointer last was to it. */
export interface Letter {
  readonly element: HTMLElement
  readonly x: number
  readonly y: number
  /** Half of how wide a line is, px of its frame; other letters count by their middle. */
  readonly half?: number
  near: number
}

export interface Part {
  readonly part: string
  /** What it is, where it is no span. */
  readonly tag?: 'canvas'
  /** It comes and goes with the pointer. */
  readonly passes?: boolean
  readonly inside?: string
  /** Where it stands, if not in the area: a selector, or the top layer. */
  readonly host?: string
  readonly count?: number
  readonly coversBorder?: boolean
  readonly copies?: boolean
  /** It holds a text or a picture, given by the host or by an element in it. */
  readonly told?: 'text' | 'picture'
  readonly source?: string
  readonly attribute?: string
  /** It holds what its host holds, apart from the page. */
  readonly copiesApart?: boolean
  /** The same, however much that is; pictures have sources so many times as large, or the one that this attribute tells. */
  readonly copiesLive?: boolean
  readonly zoom?: number
  readonly sharper?: string
  /** It says what the element says that the pointer is on, of those that these select, each in its own way; and is as round. */
  readonly asks?: readonly string[]
  readonly says?: readonly (((element: Element) => string | null | undefined) | undefined)[]
  readonly isRound?: boolean
  met?: Element
  /** Each of several has its number. */
  readonly isNumbered?: boolean
  /** It is the first element of the page that this selects. */
  readonly is?: string
  /** It is one letter, or one word, of what its host says. */
  readonly splits?: 'letters' | 'words'
  /** It is one of these, laid over where it stands. */
  readonly lays?: 'letters' | 'words' | 'lines'
  /** The knob that says how near the pointer has to be, px; whether they go away from it. */
  readonly reach?: string
  readonly isAside?: boolean
  /** It can be reached, by this role where it has one. */
  readonly reached?: boolean
  readonly role?: string
  /** It is a slider, named by what these select. */
  readonly namedBy?: readonly string[]
  /** Where it is at first, 0..1. */
  readonly shows?: string
  /** It is dropped along the pointer's way: with every so many px of it, or ms; for how long, ms; at most so many. */
  readonly stride?: number
  readonly byTime?: boolean
  readonly forMs?: number
  readonly atMost?: number
  /** It lies in the window; in another part, by where that lies in its area. */
  readonly inWindow?: boolean
  readonly home?: string
}

/** The pointer's way over an area, along which a part is dropped. */
export interface Way {
  x: number
  y: number
  t: number
  /** How far it still is to the next one. */
  toNext: number
  count: number
  fallen: Drop[]
}

/** What was dropped: its number, where, and when. */
export interface Drop {
  readonly index: number
  readonly x: number
  readonly y: number
  readonly t: number
  element?: HTMLElement
}

/** What is done with elements while their place shows some looks. */
export interface Deed extends Pick<Value, 'onSelf' | 'within' | 'linked' | 'onParts'> {
  readonly looks: readonly LookName[]
  readonly attributes: readonly (readonly [name: string, text: string])[]
  /** Not done with those that this selects. */
  readonly unless?: string
  readonly media?: 'play' | 'restart' | 'pause'
}

export interface Effect {
  readonly select: string
  /** The name of its attribute and its events. */
  readonly name: string
  /** Those of other effects that are one with it. */
  readonly alsoNamed?: readonly string[]
  readonly mark: string
  readonly values: readonly Value[]
  readonly places: Map<Element, Place>
  /** What is not foreign on its elements: others of its own, and what effects move. */
  readonly notForeign: string
  /** All of its elements are found and measured, not only those under the pointer. */
  readonly findsAll?: boolean
  /** It comes and goes by the stylesheet, by what its mark says. */
  readonly comes?: boolean
  /** For how long, ms, where something waits for that. */
  readonly comesMs?: number
  readonly goesMs?: number
  /** It is seen on its elements themselves, on what within them, and which elements are linked to them. */
  readonly seenOnSelf?: boolean
  readonly seenWithin?: string
  readonly seenLinked?: readonly string[]
  /** Its places are kept once they rest: something of them would be lost. */
  readonly keeps?: boolean
  /** It is unmarked once it has come to rest. */
  readonly bareAtRest?: boolean
  /** It is seen without the pointer. */
  readonly stands?: boolean
  readonly isGroup?: boolean
  readonly isWindow?: boolean
  /** All elements that hold the pointer have it, not one alone; beyond themselves only where it comes from another. */
  readonly amongAll?: boolean
  /** What the pointer has to be on beyond it; on what it is not there. */
  readonly beyond?: string
  readonly except?: string
  /** How far inside its edges the pointer counts: top, right, bottom, left. */
  readonly insets?: (width: number, height: number) => readonly [number, number, number, number]
  readonly bridge?: string
  /** What elsewhere counts as the same place, in step with its elements; whether that describes them, and where it is laid. */
  readonly joined?: string
  readonly describes?: boolean
  readonly side?: string
  readonly align?: string
  readonly gapPx?: number
  /** How it is found out where an element lies. */
  readonly measure: (element: Element) => Frame
  /** Where values are read, if not in the element itself. */
  readonly readsIn?: string
  /** Which is of parts that have been added. */
  readonly readsParts?: boolean
  readonly readsInBox?: string
  readonly readsInWindow?: boolean
  /** Fingers do not count. */
  readonly fine?: boolean
  /** Under which condition it plays; elsewhere it is as it is without the pointer. */
  readonly playsIn?: Pick<MediaQueryList, 'matches'>
  /** It hears taps; what of it they are meant for instead. */
  readonly taps?: string
  readonly focuses?: boolean
  /** By which share of its size an arrow key moves the pointer on it; it hears two fingers. */
  readonly arrowKeys?: number
  /** The part that has the focus instead of the area. */
  readonly slider?: string
  readonly pinches?: boolean
  /** It has hover looks: how long one stays on, and after standing how long it is still, ms. */
  readonly turnsLooks?: boolean
  readonly goDelayMs?: number
  readonly stillMs?: number
  /** At most one is on; the focus puts one on; one stays on when its causes have gone; which is on from the start. */
  readonly atMostOne?: boolean
  readonly takesKeys?: boolean
  readonly staysOn?: boolean
  readonly firstOn?: number
  /** Escape puts it off; a tap on a link puts it on first. */
  readonly escapes?: boolean
  readonly opensByTap?: boolean
  /** What goes with looks; what they are seen on is linked, or hangs on what was shown before; what is numbered by its order. */
  readonly deeds?: readonly Deed[]
  readonly linkedLooks?: boolean
  readonly tellsBefore?: boolean
  readonly indexed?: readonly (readonly [property: string, within: string])[]
  /** What a zone chooses: of which elements, by the name of the zone. */
  readonly chosen?: readonly (readonly [select: string, zone: string])[]
  readonly parts?: readonly Part[]
  /** Parts that are seen only with the pointer. */
  readonly shownWhileOn?: string
  /** Some value of a place is what others show. */
  readonly tellsOthers?: boolean
  /** At how many places at most its parts are there, where they come and go with the pointer; where they are, the oldest first. */
  readonly meets?: number
  alive?: Place[]
  /** The canvas on which it is painted, the properties that tell how, and whether that is a ribbon. */
  readonly canvas?: string
  readonly paintedBy?: readonly string[]
  readonly isRibbon?: boolean
  /** What else lies over all, and has the pointer. */
  under?: Element | null
  /** Nothing moves its elements: what the pointer hits tells which it is on. */
  readonly byHit?: boolean
  hit?: Place | undefined
}
