// The one document store: the site with its history, saved as it changes, together with what other windows do to it.
import type { Edit } from '../../core/site/edit'
import { beginHistory, doEdit, redo, undo, type Done, type History } from '../../core/site/history'
import { beginJournal, hearOther, hearServer, shownSite, takeEntries, writeEntry, type Entry, type Journal } from '../../core/site/journal'
import { applyPatch, isSame, type Clash } from '../../core/site/patch'
import { tidySite, type Site } from '../../core/site/site'
import { markOpen, openEditLog, type EditLog } from './edit-log'
import { joinNeighbours, type Neighbours, type News } from './neighbours'
import { observable, type Observable } from './observable'
import { olderEdits } from './older-edits'
import { paced } from './paced'
import { makeSaver, type FullState, type Saver } from './saving'

/** What a window is told of what others did. */
export type Told =
  /** Two windows changed the same at once: what counts, and the other value; `before` is the site as it was shown until then. */
  | { readonly what: 'clash'; readonly clashes: readonly Clash[]; readonly before: Site }
  /** Undoing left alone what somebody else changed since. */
  | { readonly what: 'left alone'; readonly words: string }
  /** Edits that were kept in this browser and cannot be read; they stay where they are. */
  | { readonly what: 'unreadable'; readonly count: number }

export interface SiteStore {
  readonly id: string
  readonly history: Observable<History>
  readonly saver: Saver
  /** Does an edit; those with the same gesture are one step of undo. */
  readonly edit: (edit: Edit, words: string, gesture?: string) => void
  /** Does the edits that were refused again, on the site as it is now. */
  readonly tryAgain: () => void
  readonly undo: () => void
  readonly redo: () => void
  /** What is to be told; null once it was read. */
  readonly told: Observable<Told | null>
  /**
   * Begins to talk with the browser's other windows, its disk and the server. What keeps an edit from being lost with the window begins
   * at once; what is to be heard from others may wait for a moment. Gives how to stop.
   */
  readonly connect: (moment?: Promise<void>) => () => void
}

/** How often a drag is told to other windows, ms. */
const tellMs = 30

/** How often it is looked whether windows that told us of edits are gone, ms. */
const leftoverMs = 5000

let gestures = 0
/** A name for one gesture, such as one drag. */
export const newGesture = () => `gesture-${++gestures}`

interface StoreOptions {
  readonly id: string
  readonly site: Site
  readonly revision: number
  /** Names this window among all that ever were. */
  readonly window: string
  readonly log?: EditLog
  readonly join?: typeof joinNeighbours
  /** Where an earlier version kept its edits. */
  readonly storage?: Storage | undefined
}

/** A store for a site as the server gave it. */
export function makeSiteStore({
  id,
  site,
  revision,
  window,
  log = openEditLog(id),
  join = joinNeighbours,
  storage,
}: StoreOptions): SiteStore {
  let journal: Journal = beginJournal(window, site, revision)
  /** The last number that is known to be saved of each other window; what is heard late of it is known already. */
  const known = new Map<string, number>()
  const history = observable(beginHistory(site))
  const told = observable<Told | null>(null)
  let neighbours: Neighbours | undefined
  const tell = paced<Entry>(tellMs, (entries) => entries.forEach((entry) => neighbours?.tell(entry)))

  /** Takes a journal that heard from elsewhere, and shows what has come of it. */
  const take = (next: Journal) => {
    journal = next
    const shown = shownSite(next)
    // What came from elsewhere is no step of ours: undo takes back ours alone.
    if (!isSame(shown, history.get().site)) history.set({ ...history.get(), site: shown })
  }
  const hear = (of: string, entry: Entry) => take(hearOther(journal, of, entry, known.get(of)))
  const tellClashes = (clashes: readonly Clash[], before: Site) => clashes.length > 0 && told.set({ what: 'clash', clashes, before })
  const onState = ({ revision: next, site: now, lasts }: FullState) => {
    for (const [each, last] of Object.entries(lasts)) known.set(each, Math.max(last, known.get(each) ?? 0))
    take(hearServer(journal, { revision: next, site: now, lasts }))
  }
  const onNews = ({ revision: next, window: from, last, clashes }: News) => {
    if (from === window) return
    if (from !== '') known.set(from, Math.max(last, known.get(from) ?? 0))
    if (next <= journal.revision && !(from in journal.others)) return
    const before = history.get().site
    void saver.refresh().then(() => tellClashes(clashes, before))
  }
  const saver = makeSaver({
    siteId: id,
    log,
    journal: () => journal,
    setSent: (next) => (journal = next),
    onState,
    onLeftovers: (leftovers) => {
      // One that leaves no site is not shown; the server says what is wrong with it.
      const isSound = (entry: Entry) => takeEntries(history.get().site, entry.number - 1, [entry]).refusals.length === 0
      for (const { window: of, entries } of leftovers) for (const entry of entries) if (isSound(entry)) hear(of, entry)
      const count = leftovers.reduce((sum, { unreadable }) => sum + unreadable, 0)
      if (count > 0) told.set({ what: 'unreadable', count })
    },
    onSaved: (of, { revision: next, last, site: now, clashes }) => {
      known.set(of, Math.max(last, known.get(of) ?? 0))
      // What was expected is the base with what was sent on top.
      const sent = [...(of === window ? journal.own : (journal.others[of] ?? []))].filter(({ number }) => number <= last)
      const base = now ?? tidySite(sent.reduce((each, { patch }) => applyPatch(each, patch).value, journal.base))
      const before = history.get().site
      take(hearServer(journal, { revision: next, site: base, lasts: { [of]: last } }))
      // How far the edits of others are in this answer, it does not say.
      if (now && Object.keys(journal.others).length > 0) void saver.refresh()
      tellClashes(clashes, before)
    },
  })
  const write = ({ history: next, step, isPartial }: Done) => {
    history.set(next)
    if (isPartial) told.set({ what: 'left alone', words: step.words })
    if (step.patch.length === 0) return
    const written = writeEntry(journal, step.patch, step.words, step.gesture)
    journal = written.journal
    saver.keep(written.entry)
    tell(written.entry)
  }
  const change = (done: Done | undefined) => void (done && write(done))
  /** Undoing is a gesture of its own, so that it amends no edit. */
  const apart = (done: Done | undefined) => change(done && { ...done, step: { ...done.step, gesture: newGesture() } })
  /** Keeps watch that no edit is lost with the window. Gives the way to stop. */
  const guard = () => {
    log.open()
    let close = markOpen(window)
    const ask = (event: BeforeUnloadEvent) => saver.isAtRisk() && event.preventDefault()
    // The document that follows in this tab finds what this one leaves, and knows that it is gone.
    const leave = () => {
      saver.leave()
      close()
    }
    const comeBack = ({ persisted }: PageTransitionEvent) => {
      if (!persisted) return
      close = markOpen(window)
      if (document.visibilityState === 'visible') void saver.refresh()
    }
    addEventListener('pagehide', leave)
    addEventListener('pageshow', comeBack)
    addEventListener('beforeunload', ask)
    return () => {
      removeEventListener('beforeunload', ask)
      removeEventListener('pagehide', leave)
      removeEventListener('pageshow', comeBack)
      close()
    }
  }
  /** Hears from other windows and the server, and takes up what windows that are gone left. Gives the way to stop. */
  const meetOthers = () => {
    neighbours = join({ site: id, window, onEdit: hear, onNews, onMissed: () => void saver.refresh() })
    // Once it is told what is saved meanwhile, it asks what was saved before.
    void saver.refresh()
    for (const { patch, forget } of storage ? olderEdits(storage, id) : []) {
      // Not over what was saved since.
      const { value } = applyPatch(history.get().site, patch, 'careful')
      change(doEdit(history.get(), { do: 'replace', site: tidySite(value) }, 'Edits kept by an earlier version', newGesture()))
      void saver.settle().then((isSaved) => isSaved && forget())
    }
    void saver.takeUp()
    // What a window told us of and could not save before it was closed is saved by us.
    const timer = setInterval(() => Object.keys(journal.others).length > 0 && void saver.takeUp(), leftoverMs)
    const look = () => document.visibilityState === 'visible' && void saver.refresh()
    document.addEventListener('visibilitychange', look)
    return () => {
      document.removeEventListener('visibilitychange', look)
      clearInterval(timer)
      neighbours?.end()
    }
  }
  return {
    id,
    history,
    saver,
    told,
    edit: (edit, words, gesture = newGesture()) => change(doEdit(history.get(), edit, words, gesture)),
    tryAgain: () => {
      for (const { entry } of saver.release()) change(doEdit(history.get(), { do: 'patch', patch: entry.patch }, entry.words, newGesture()))
    },
    undo: () => apart(undo(history.get())),
    redo: () => apart(redo(history.get())),
    connect: (moment) => {
      const stopGuarding = guard()
      let leaveOthers: (() => void) | undefined
      let hasEnded = false
      const meet = () => {
        if (!hasEnded) leaveOthers = meetOthers()
      }
      if (moment) void moment.then(meet)
      else meet()
      return () => {
        hasEnded = true
        stopGuarding()
        leaveOthers?.()
        saver.end()
      }
    },
  }
}
