// Saves a window's edits: at once on this browser's disk, soon after on the server; and says how that stands.
import * as z from 'zod'
import { clashSchema, editsRefused, markSent, nextBatch, type Entry, type Journal } from '../../core/site/journal'
import type { Clash } from '../../core/site/patch'
import { siteSchema, type Site } from '../../core/site/site'
import type { EditLog, Leftover, RefusedEdit } from './edit-log'
import { observable, type Observable } from './observable'
import { paced } from './paced'

/** How saving stands. */
export type SaveState = { readonly state: 'saved' } | { readonly state: 'saving' } | { readonly state: 'offline'; readonly detail: string }

const savedSchema = z.object({
  revision: z.number().int(),
  last: z.number().int(),
  site: siteSchema.optional(),
  clashes: z.array(clashSchema),
  refusals: z.array(z.object({ number: z.number().int(), detail: z.string() })),
})
const stateSchema = z.object({ revision: z.number().int(), site: siteSchema, lasts: z.record(z.string(), z.number().int()) })
const problemSchema = z.object({ detail: z.string(), type: z.string().optional() })

export type FullState = z.infer<typeof stateSchema>

/** Edits are sent after a pause so long, and while one goes on editing after so long at the latest, ms. */
const pauseMs = 400
const longestMs = 2000
const retryMs = 1500
/** How often a drag is written on the disk, ms: what is younger may be lost with the browser. */
const writeMs = 25
/** How long the server is waited for, ms. */
const answerMs = 15_000
/** The most that a browser sends for a window that is gone, bytes. */
const farewellBytes = 60_000
const unreachable = 'The studio’s server cannot be reached.'
const inBrowser = 'Your edits are kept in this browser, not yet saved, and are saved when it comes back.'
const inWindow =
  'This browser cannot keep your edits (its storage is full or turned off), so leave this window open: they are here alone, and are saved as soon as that works again.'

export interface Saver {
  readonly saving: Observable<SaveState>
  /** Edits that the server will not take, also those of earlier windows. */
  readonly refused: Observable<readonly RefusedEdit[]>
  /** Lets go of the refused edits, and gives them. */
  readonly release: () => readonly RefusedEdit[]
  /** Keeps an entry of the journal, new or amended. */
  readonly keep: (entry: Entry) => void
  /** Resolves when all that was written is saved; false when it cannot be now. */
  readonly settle: () => Promise<boolean>
  /** Takes up and sends what windows that are gone left behind. */
  readonly takeUp: () => Promise<void>
  /** Sends what is not saved without waiting for an answer: the window closes. What is too much for that is on the disk. */
  readonly leave: () => void
  /** Asks the server how the site is now. */
  readonly refresh: () => Promise<void>
  /** Whether something would be lost if the window closed now. */
  readonly isAtRisk: () => boolean
  readonly end: () => void
}

interface SaverOptions {
  readonly siteId: string
  readonly log: EditLog
  readonly journal: () => Journal
  readonly setSent: (journal: Journal) => void
  /** Hears the server's answer to what was sent of a window; `site` is undefined where it is what was expected. */
  readonly onSaved: (
    window: string,
    answer: { readonly revision: number; readonly last: number; readonly site: Site | undefined; readonly clashes: readonly Clash[] },
  ) => void
  readonly onState: (state: FullState) => void
  readonly onLeftovers: (leftovers: readonly Leftover[]) => void
}

class Unsaved extends Error {}

const isSameEdit = (one: RefusedEdit, other: RefusedEdit) => one.window === other.window && one.entry.number === other.entry.number

const posted = { method: 'POST', headers: { 'content-type': 'application/json' } }
const bodyOf = ({ window, revision }: Pick<Journal, 'window' | 'revision'>, entries: readonly Entry[]) =>
  JSON.stringify({ window, revision, entries })

/** Sends edits to the server: what it answers, or why it will never take them. Throws an Unsaved where it cannot be reached, or cannot save now. */
async function postEdits(siteId: string, body: string): Promise<z.infer<typeof savedSchema> | { readonly refused: string }> {
  let response: Response
  try {
    response = await fetch(`/api/sites/${siteId}/edits`, { ...posted, body, signal: AbortSignal.timeout(answerMs) })
  } catch (error) {
    throw new Unsaved(error instanceof DOMException && error.name === 'TimeoutError' ? 'The studio’s server does not answer.' : unreachable)
  }
  const answered: unknown = await response.json().catch(() => undefined)
  const problem = problemSchema.safeParse(answered).data
  if (problem?.type === editsRefused) return { refused: problem.detail }
  if (!response.ok) throw new Unsaved(problem?.detail ?? `The studio’s server did not take this (status ${response.status}).`)
  const saved = savedSchema.safeParse(answered)
  if (!saved.success) throw new Unsaved('The studio’s server gave an answer that cannot be read.')
  return saved.data
}

/** Keeps edits on the browser's disk, as far as the server does not have them. */
function makeWriter(log: EditLog, windowOf: () => string) {
  let isKept = true
  /** The last number that the server has. */
  let savedUpTo = 0
  /** What could not be written yet. */
  const unwritten = new Map<number, Entry>()
  const write = paced<Entry>(writeMs, async (entries) => {
    for (const entry of entries) unwritten.set(entry.number, entry)
    try {
      for (const entry of unwritten.values()) {
        // What is saved by now need not be kept any more.
        if (entry.number > savedUpTo) await log.keep(windowOf(), entry)
        unwritten.delete(entry.number)
      }
      isKept = true
    } catch {
      // A full or forbidden storage; it is tried again with the next edit, and the server gets every one.
      isKept = false
    }
  })
  return { write, isKept: () => isKept, noteSaved: (upTo: number) => void (savedUpTo = Math.max(savedUpTo, upTo)) }
}

/** A saver for one site. */
export function makeSaver({ siteId, log, journal, setSent, onSaved, onState, onLeftovers }: SaverOptions): Saver {
  const saving = observable<SaveState>({ state: 'saved' })
  const refused = observable<readonly RefusedEdit[]>([])
  const left = new Map<string, readonly Entry[]>()
  const { write, isKept, noteSaved } = makeWriter(log, () => journal().window)
  let timer: ReturnType<typeof setTimeout> | undefined
  let firstUnsent = 0
  let sending: Promise<void> | undefined
  let hasEnded = false

  const sayOffline = (cause: string) => saving.set({ state: 'offline', detail: `${cause} ${isKept() ? inBrowser : inWindow}` })
  const later = (ms: number) => {
    clearTimeout(timer)
    if (!hasEnded) timer = setTimeout(() => void send(), ms)
  }

  const post = async (window: string, entries: readonly Entry[]): Promise<void> => {
    const answer = await postEdits(siteId, bodyOf({ window, revision: journal().revision }, entries))
    if ('refused' in answer) return refuse(window, entries, answer.refused)
    if (window === journal().window) noteSaved(answer.last)
    for (const { number, detail } of answer.refusals) await keepRefused(window, number, entries, detail)
    onSaved(window, { ...answer, site: answer.site })
    await log.drop(window, answer.last).catch(() => undefined)
  }

  const keepRefused = async (window: string, number: number, entries: readonly Entry[], detail: string) => {
    const entry = entries.find((each) => each.number === number)
    if (!entry) return
    const edit = { window, entry, detail }
    refused.set([...refused.get(), edit])
    // Where the browser keeps nothing, it is here as long as the window is.
    await log.refuse(edit).catch(() => undefined)
  }

  /** What the server will never take is sent by itself, so that it keeps nothing else back; alone, it is left out, kept apart and told. */
  const refuse = async (window: string, entries: readonly Entry[], reason: string) => {
    const [first] = entries
    if (entries.length > 1) for (const entry of entries) await post(window, [entry])
    else if (first) {
      const detail = `“${first.words}” cannot be saved. ${reason}`
      await keepRefused(window, first.number, entries, detail)
      onSaved(window, { revision: journal().revision, last: first.number, site: journal().base, clashes: [] })
      await log.drop(window, first.number).catch(() => undefined)
    }
  }

  const deliver = async (): Promise<void> => {
    for (const [window, entries] of left) {
      // As many at once as a window's own.
      for (let rest = entries; rest.length > 0;) {
        const batch = nextBatch({ own: rest })
        await post(window, batch)
        rest = rest.slice(batch.length)
        left.set(window, rest)
      }
      left.delete(window)
    }
    const batch = nextBatch(journal())
    const last = batch.at(-1)
    if (!last) return
    setSent(markSent(journal(), last.number))
    await post(journal().window, batch)
  }
  const isAllSaved = () => left.size === 0 && journal().own.length === 0

  const send = (): Promise<void> => {
    clearTimeout(timer)
    sending ??= deliver()
      .then(() => {
        firstUnsent = 0
        if (isAllSaved()) saving.set({ state: 'saved' })
        else {
          saving.set({ state: 'saving' })
          later(pauseMs)
        }
      })
      .catch((error: unknown) => {
        sayOffline(error instanceof Unsaved ? error.message : unreachable)
        later(retryMs)
      })
      .finally(() => {
        sending = undefined
      })
    return sending
  }

  const takeUp = async (): Promise<void> => {
    let leftovers: readonly Leftover[]
    try {
      leftovers = await log.leftovers(journal().window)
    } catch {
      // A storage that cannot be read holds nothing for us.
      return
    }
    onLeftovers(leftovers)
    const before = await log.refused().catch(() => [])
    if (before.length > 0) refused.set([...before, ...refused.get().filter((edit) => !before.some((each) => isSameEdit(each, edit)))])
    for (const { window, entries } of leftovers) if (entries.length > 0) left.set(window, entries)
    if (left.size === 0) return
    saving.set({ state: 'saving' })
    void send()
  }

  return {
    saving,
    refused,
    release: () => {
      const edits = refused.get()
      refused.set([])
      for (const edit of edits) void log.forget(edit).catch(() => undefined)
      return edits
    },
    keep: (entry) => {
      write(entry)
      if (saving.get().state === 'offline') return
      saving.set({ state: 'saving' })
      const now = performance.now()
      firstUnsent ||= now
      if (!sending) later(Math.max(0, Math.min(pauseMs, firstUnsent + longestMs - now)))
    },
    settle: async () => {
      await takeUp()
      do await send()
      while (!isAllSaved() && saving.get().state === 'saving')
      return saving.get().state === 'saved'
    },
    takeUp,
    leave: () => {
      const entries = nextBatch(journal())
      const body = bodyOf(journal(), entries)
      if (entries.length > 0 && new Blob([body]).size < farewellBytes)
        void fetch(`/api/sites/${siteId}/edits`, { ...posted, body, keepalive: true }).catch(() => undefined)
    },
    refresh: async () => {
      const { window, others } = journal()
      try {
        const response = await fetch(`/api/sites/${siteId}/state?windows=${[window, ...Object.keys(others), ...left.keys()].join(',')}`, {
          signal: AbortSignal.timeout(answerMs),
        })
        if (response.ok) onState(stateSchema.parse(await response.json()))
      } catch {
        // It is asked for again with the next news.
      }
    },
    isAtRisk: () => !isKept() && !isAllSaved(),
    end: () => {
      hasEnded = true
      // What is under way is brought to its end; what is not saved by then is on the disk.
      void (isAllSaved() ? Promise.resolve() : send()).finally(() => log.close())
    },
  }
}
