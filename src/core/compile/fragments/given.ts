// What is known of a script when it is compiled. Where a fragment asks for one of these, the compiler puts the answer in its place,
// and what then can never happen is left out; tables are asked in the same way for what none of their entries has, or all have alike.
import type { Effect } from './types'

export const given = {
  /** The events that are heard. */
  heard: [
    'pointermove',
    'pointerover',
    'pointerout',
    'pointerdown',
    'pointerup',
    'pointercancel',
    'focusin',
    'focusout',
    'scroll',
    'resize',
  ],
  /** There are several effects, of which one may fail. */
  hasMany: true,
  /** Some effect responds to a finger. */
  hasTouch: true,
  /** What a finger brings stays when it is lifted. */
  staysByTouch: true,
  /** Some effect plays under a condition, and rests elsewhere. */
  playsByMedia: true,
  /** Some effect asks for the focus, for taps, for the track of the pointer, or by which side it came and went. */
  hasFocus: true,
  hasTaps: true,
  /** Some effect hears keys: Escape, or arrows; a wheel, or two fingers. */
  hasKeys: true,
  hasEscape: true,
  hasArrowKeys: true,
  hasWheel: true,
  hasPinch: true,
  /** Some look has moving pictures or sound play. */
  hasMedia: true,
  restarts: true,
  /** Some look spares some elements. */
  sparesSome: true,
  /** Some look waits before it goes, or for the pointer to stand still. */
  hasDues: true,
  /** Some look is another when the pointer stands still; some stays, or is there from the start. */
  hasStill: true,
  hasStaying: true,
  hasFirst: true,
  /** Some element elsewhere counts as the same place, and may be laid beside it; some look is put on by taps on links too. */
  hasJoined: true,
  placesBeside: true,
  opensByTap: true,
  /** Of some looks one at most is on. */
  hasAtMostOne: true,
  /** Parts that are there only with the pointer; values of what others show; places that are met by what the pointer hits alone. */
  partsMeet: true,
  tellsOthers: true,
  hasByHit: true,
  /** Some reach beyond their own boxes, of which the nearest one has the pointer. */
  hasByNearest: true,
  /** Some value is followed; some is written. */
  hasValues: true,
  hasWritten: true,
  /** Some zone is chosen by the focus; some before the pointer comes. */
  hasFocusedZones: true,
  hasFirstZone: true,
  hasTrack: true,
  /** Some ask how fast it was, or which way it went; some values are where it was at several times. */
  asksSpeed: true,
  hasPieces: true,
  hasPath: true,
  /** Some element may have borders, or round corners that count. */
  hasBorders: true,
  /** The page may position elements that parts are added to. */
  hasPositions: true,
  /** The selectors of the elements that effects move. */
  moved: '.card',
  asksButtons: true,
  /** The selectors of where some effect is another while something is pressed. */
  pressed: '.card',
  /** Some value asks how long the pointer has stood. */
  asksStood: true,
  /** Some values are only followed, since others hang on them. */
  hasUnwritten: true,
  /** Some values take a given time. */
  hasTimed: true,
  /** Some values change between events; some effect has hover looks. */
  hasFlows: true,
  /** Some effect finds all its elements, or keeps their places. */
  hasFinds: true,
  hasLooks: true,
  /** Whether the page may itself give elements what effects drive, or transitions that would lag; which properties these are. */
  hasOwn: true,
  hasTransitions: true,
  /** What the page gives is asked for as it is computed; else only what stands in the elements' own style, which may change. */
  readsComputed: true,
  watchesStyles: true,
  ownProperties: ['transform', 'filter', 'box-shadow', 'background-image', 'mask-image'],
  driven: ['transform'],
  /** Some value is written on other elements than those it is read in; some part is seen only with the pointer; some zone is told. */
  hasOthers: true,
  /** Some parts hold copies of their hosts, lie over borders or are more than one. */
  partsCopy: true,
  partsTell: true,
  partsElsewhere: true,
  partsOnTop: true,
  partsReached: true,
  /** Some part is a slider. */
  partsSlide: true,
  partsSplit: true,
  partsLaid: true,
  lettersAside: true,
  laysLines: true,
  partsCover: true,
  hasClips: true,
  partsCount: true,
  partsApart: true,
  /** Some are kept so step by step, and some pictures in these have a sharper source. */
  partsLive: true,
  partsSharpen: true,
  /** Some pieces are painted on a canvas; some as a ribbon. */
  partsPaint: true,
  paintsRibbon: true,
  /** Some part says what the element under the pointer says, and is as round; some is an element of the page; some have numbers. */
  partsAsk: true,
  partsRound: true,
  partsTaken: true,
  partsNumbered: true,
  partsDrop: true,
  /** Some values are read in parts. */
  readsParts: true,
  /** Some elements share a vanishing point with what stands beside them. */
  sharesEye: true,
  /** What stands without the pointer may come later. */
  watches: true,
  hasZones: true,
  /** Some value hangs on what a zone chooses, or on how large things are. */
  hasChosen: true,
  hasSizes: true,
  /** Whether all of it can be taken off again. */
  takesOff: true,
  /** Whether effects tell the page's own code what happens. */
  tells: true,
}

/** The effects of the page, in their order: the compiler writes them. */
export const effects: Effect[] = []
