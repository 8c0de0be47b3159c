// The one document store: the site with its history, kept as it changes.
import type { Edit } from '../../core/site/edit'
import { beginHistory, doEdit, redo, undo, type History } from '../../core/site/history'
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
  /** Ends a conflict in favour of the stored version, or of ours. Either stays within reach of undo or revisions. */
  readonly takeTheirs: () => void
  readonly keepOurs: () => void
}

let gestures = 0
/** A name for one gesture, such as one drag. */
export const newGesture = () => `gesture-${++gestures}`

/** A store for a site as the server gave it. Edits that an earlier window left unsaved are taken up again. */
export function makeSiteStore(id: string, site: Site, revision: number, storage: Storage): SiteStore {
  const keeper = makeKeeper(id, revision, storage)
  const history = observable(beginHistory(site))
  const change = (next: History) => {
    if (next === history.get()) return
    history.set(next)
    keeper.keep(next.site)
  }
  const store: SiteStore = {
    id,
    history,
    keeper,
    edit: (edit, words, gesture = newGesture()) => change(doEdit(history.get(), edit, words, gesture)),
    undo: () => change(undo(history.get())),
    redo: () => change(redo(history.get())),
    takeTheirs: () => {
      const conflict = keeper.keeping.get()
      if (conflict.state !== 'conflict') return
      keeper.buildOn(conflict.revision)
      store.edit({ do: 'replace', site: conflict.theirs }, 'Taking the stored version')
    },
    keepOurs: () => {
      const conflict = keeper.keeping.get()
      if (conflict.state !== 'conflict') return
      keeper.buildOn(conflict.revision)
      keeper.keep(history.get().site)
    },
  }
  return store
}

/** Takes up what an earlier window left unsaved in this browser. Call once the screen is there. */
export function takeUpLeftOvers(store: SiteStore, site: Site, revision: number): void {
  const left = store.keeper.leftOver()
  if (!left || JSON.stringify(left.site) === JSON.stringify(site)) return
  store.keeper.buildOn(left.revision <= revision ? left.revision : revision)
  store.edit({ do: 'replace', site: left.site }, 'Edits kept in this browser')
}
