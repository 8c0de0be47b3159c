// What the screen shows beside the document: what is selected, pointed at, tried.
import type { Rung } from '../../stage/protocol'
import { observable, type Observable } from './observable'

/** Pointing: nothing, looking for an element, or choosing on the ladder what was clicked. */
export interface Pointing {
  readonly stage: 'no' | 'looking' | 'choosing'
  readonly rungs: readonly Rung[]
  readonly pick: number
  readonly scope: 'one' | 'likes'
}

export interface View {
  /** The selected effect's id. */
  readonly selected: string | null
  /** The control in hand, by id. */
  readonly touched: string | null
  readonly pointing: Pointing
  /** The recipe that is being tried, as `kind/recipe`. */
  readonly trial: string | null
  readonly codeOpen: boolean
  readonly indexOpen: boolean
  /** Whether the caption shows its less used rows. */
  readonly rowsOpen: boolean
  readonly walking: boolean
  /** How many elements each selector matches on this page; null where it cannot be read. */
  readonly counts: ReadonlyMap<string, number | null>
  /** The selectors that share elements with each. */
  readonly shared: ReadonlyMap<string, readonly string[]>
  /** What the selected effect's selector is about, as the page tells. */
  readonly described: { readonly select: string; readonly rung: Rung } | null
  /** A sentence for the moment, such as where a link would go. */
  readonly notice: string | null
}

export const notPointing: Pointing = { stage: 'no', rungs: [], pick: 0, scope: 'one' }

export interface ViewStore extends Observable<View> {
  /** Whether the real pointer was last seen on the page; outside React, since it changes as the pointer moves. */
  readonly hand: { isOnPage: boolean }
  readonly update: (change: Partial<View>) => void
}

export function makeViewStore(selected: string | null): ViewStore {
  const view = observable<View>({
    selected, touched: null, pointing: notPointing, trial: null, codeOpen: false, indexOpen: false, rowsOpen: false, walking: false, counts: new Map(), shared: new Map(), described: null, notice: null,
  })
  return { ...view, hand: { isOnPage: false }, update: (change) => view.set({ ...view.get(), ...change }) }
}
