// What the screen shows beside the document: what is selected, pointed at, tried.
import type { FromStageOf, RunSample, Under, Visitor } from '../../stage/protocol'
import type { Finding } from '../../core/check/checks'
import type { Match, Rung } from '../../worker/protocol'
import { fitted, narrowPanel, usualPlate, type Zoom } from '../frame/layout'
import { visitor as usualWindow, type WindowSize } from '../visitor'
import { keepHabits, readHabits, type Habits } from './habits'
import { observable, type Observable } from './observable'
import { realPointer, type PointerMode } from './pointer-mode'

/** A rung of the ladder as it lies under the pointer. */
export interface LadderRung extends Rung {
  readonly how: Under['how']
  /** How large it is seen, px of the page; 0 where it was not pointed at. */
  readonly width: number
  readonly height: number
  /** Whether it is plainly seen as a box. */
  readonly isBox: boolean
}

/** What is pointed at for: a new effect or the markup, a role of an effect, or the place that an element is moved to. */
export type Goal =
  | { readonly for: 'new' }
  | { readonly for: 'role'; readonly effect: string; readonly role: string }
  | { readonly for: 'move'; readonly number: number }

/** Pointing: nothing, looking for an element, or choosing on the ladder what was clicked. */
export interface Pointing {
  readonly stage: 'no' | 'looking' | 'choosing'
  readonly goal: Goal
  readonly rungs: readonly LadderRung[]
  readonly pick: number
  /** Which of the rung's choices is meant, and a selector that was typed instead. */
  readonly choice: number
  readonly typed: string | null
  /** Selectors chosen before, for several places at once. */
  readonly also: readonly string[]
  /** Whether the recipes, the presets or the markup are shown for what is chosen. */
  readonly tab: 'effects' | 'presets' | 'markup'
}

/** What may stand beside the page. */
export type Drawer = 'checks' | 'code' | 'markup' | 'pages' | 'revisions' | 'keys' | 'tries' | 'phone'

/** Two states of the selected effect under one trace: tries by id, or the present settings; a kept trace or a built-in run. */
export interface Comparison {
  readonly one: string
  readonly other: string
  readonly trace: string
  /** The trace itself, played once both pages are there; none where a try is only tried on. */
  readonly run?: readonly RunSample[]
}

/** The present settings, among the tries. */
export const presentTry = 'now'

export interface View extends Habits {
  /** The page that is seen, by id. */
  readonly page: string
  /** The selected effect's id. */
  readonly selected: string | null
  /** Effects that are chosen in the list beside it, by id. */
  readonly chosen: readonly string[]
  /** The effect whose menu is open, and where on the screen, px. */
  readonly effectMenu: { readonly id: string; readonly x: number; readonly y: number } | null
  /** The word in hand: a control by its id, or a role by what `roleWord` makes of its id. */
  readonly touched: string | null
  readonly pointing: Pointing
  /** Whether only the selected effect plays. */
  readonly onlyThis: boolean
  /** The recipe that is being tried, as `kind/recipe`. */
  readonly trial: string | null
  readonly drawer: Drawer | null
  readonly indexOpen: boolean
  /** Whether the less used rows of the selected effect are shown. */
  readonly rowsOpen: boolean
  /** As whom the page is visited, and in which windows: one, or several side by side. */
  readonly visitor: Visitor | 'noscript'
  readonly windows: readonly WindowSize[]
  readonly zoom: Zoom
  /** Whether the page is being moved on the plate, while Space is held. */
  readonly panning: boolean
  /** How much room the page leaves for panels, px; and at which scale it is shown. */
  readonly beside: number
  readonly scale: number
  /** How many elements each selector matches on each page; null where it cannot be read. */
  readonly counts: ReadonlyMap<string, Readonly<Record<string, number>> | null>
  /** The sets of selectors that meet on an element of a page of this site. */
  readonly overlaps: readonly (readonly string[])[]
  /** What the selected effect's selector is about. */
  readonly described: { readonly select: string; readonly rung: Rung } | null
  /** The matches of the selected effect on this page, with what each shows. */
  readonly matches: { readonly select: string; readonly all: readonly Match[]; readonly grounds: readonly string[] } | null
  /** What of this page is hidden until a script shows it, and what was held back. */
  readonly unseen: Unseen
  /** What is amiss with the effects of this page; null until it has been looked at. */
  readonly findings: readonly Finding[] | null
  /** The colours that the page uses most. */
  readonly colours: readonly string[]
  /** The custom properties of the page that are colours, with what they come to. */
  readonly colourNames: readonly { readonly name: string; readonly css: string }[]
  /** Whose the pointer of the page is. */
  readonly mode: PointerMode
  readonly comparison: Comparison | null
  /** What was just added, by id: it is scrolled to and lit. */
  readonly lit: string | null
  /** A sentence for the moment, such as where a link would go. */
  readonly notice: string | null
}

export type Unseen = Omit<FromStageOf<'unseen'>, 'type'>
export const nothingUnseen: Unseen = { elements: [], share: 0, held: {} }

export const notPointing: Pointing = {
  stage: 'no',
  goal: { for: 'new' },
  rungs: [],
  pick: 0,
  choice: 0,
  typed: null,
  also: [],
  tab: 'effects',
}

export interface ViewStore extends Observable<View> {
  /**
   * Whether the real pointer was last seen on the page, and how large the area is that it was in (px); outside React, since it changes as the
   * pointer moves. And the plate as it is laid out, for whoever zooms.
   */
  readonly hand: { isOnPage: boolean; areaSize: WindowSize; plate: { readonly space: WindowSize; readonly windows: readonly WindowSize[] } }
  readonly update: (change: Partial<View>) => void
}

/** What is in view when a page opens; what is remembered of it is kept as it changes. */
export function makeViewStore(
  page: string,
  selected: string | null,
  storage: Pick<Storage, 'getItem' | 'setItem'>,
  counts: View['counts'] = new Map(),
): ViewStore {
  const view = observable<View>({
    ...readHabits(storage),
    page,
    selected,
    chosen: [],
    effectMenu: null,
    touched: null,
    pointing: notPointing,
    onlyThis: false,
    trial: null,
    drawer: null,
    indexOpen: false,
    rowsOpen: false,
    visitor: 'mouse',
    windows: [usualWindow],
    zoom: fitted,
    panning: false,
    beside: narrowPanel,
    scale: 1,
    counts,
    overlaps: [],
    described: null,
    matches: null,
    unseen: nothingUnseen,
    findings: null,
    colours: [],
    colourNames: [],
    mode: realPointer,
    comparison: null,
    lit: null,
    notice: null,
  })
  return {
    ...view,
    hand: { isOnPage: false, areaSize: { width: 0, height: 0 }, plate: { space: usualPlate, windows: [usualWindow] } },
    update: (change) => {
      view.set({ ...view.get(), ...change })
      if ('folded' in change || 'panels' in change || 'lately' in change || 'listStays' in change) keepHabits(storage, view.get())
    },
  }
}
