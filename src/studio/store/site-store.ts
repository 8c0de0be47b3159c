// The one document store: the site with its history, kept as it changes.
import type { Edit } from '../../core/site/edit'
import { beginHistory, doEdit, redo, undo, type History } from '../../core/site/history'
import { isSame, mergeSites, type Merge } from '../../core/site/merge'
import type { Site } from '../../core/site/site'
import { makeKeeper, type Keeper } from './keeping'
import { observable, type Observable } from './observable'

export interface SiteStore {
  readonly id: string
  readonly history: Observable<History>
  readonly keeper: Keeper
  /** Does an edit; those with the same gesture are one step of undo. */
  readonly edit: (edit: Edit, words: string, gesture?: string) => void
  readonly undo: () => void
  readonly redo: () => void
  /** What came in last from another window; null once it was read. */
  readonly merged: Observable<Merge | null>
}

let gestures = 0
/** A name for one gesture, such as one drag. */
export const newGesture = () => `gesture-${++gestures}`

/** A store for a site as the server gave it. `window` names this window among those of this browser. */
export function makeSiteStore(id: string, site: Site, revision: number, storage: Storage, window = 'window'): SiteStore {
  const history = observable(beginHistory(site))
  const merged = observable<Merge | null>(null)
  // What came from elsewhere is no step of ours: undo takes back ours alone.
  const onMerge = (merge: Merge) => {
    history.set({ ...history.get(), site: merge.site })
    merged.set(merge)
  }
  const keeper = makeKeeper({ siteId: id, site, revision, storage, window, onMerge })
  const change = (next: History) => {
    if (next === history.get()) return
    history.set(next)
    keeper.keep(next.site)
  }
  return {
    id,
    history,
    keeper,
    merged,
    edit: (edit, words, gesture = newGesture()) => change(doEdit(history.get(), edit, words, gesture)),
    undo: () => change(undo(history.get())),
    redo: () => change(redo(history.get())),
  }
}

/** Takes up what earlier windows left unsaved in this browser. Call once the screen is there. */
export function takeUpLeftOvers(store: SiteStore): void {
  for (const { base, site } of store.keeper.leftOver()) {
    const now = store.history.get().site
    const merge = mergeSites(base, site, now)
    if (!isSame(merge.site, now)) store.edit({ do: 'replace', site: merge.site }, 'Edits kept in this browser')
  }
}
