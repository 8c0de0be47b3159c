// Keeps a site's edits: at once in this browser, soon after on the server, and says how that stands.
import * as z from 'zod'
import { siteSchema, type Site } from '../../core/site/site'
import { observable, type Observable } from './observable'

/** How saving stands. `conflict`: the site was saved elsewhere since; `theirs` is what is stored. */
export type Keeping =
  | { readonly state: 'saved' }
  | { readonly state: 'saving' }
  | { readonly state: 'offline'; readonly detail: string }
  | { readonly state: 'refused'; readonly detail: string }
  | { readonly state: 'conflict'; readonly detail: string; readonly theirs: Site; readonly revision: number }

const pendingSchema = z.object({ revision: z.number().int(), site: siteSchema })
const problemSchema = z.object({ detail: z.string() })
const conflictSchema = problemSchema.extend({ revision: z.number().int(), document: siteSchema })

const pauseMs = 400
const retryMs = 1500
const unreachable = 'The studio’s server cannot be reached.'
const unanswered = 'The database does not answer.'
const inBrowser = 'Your edits are kept in this browser, not yet saved, and are saved when it comes back.'
const inWindow = 'This browser keeps nothing, so leave this window open: your edits are here alone, and are saved when it comes back.'

export interface Keeper {
  readonly keeping: Observable<Keeping>
  /** Keeps this state of the site. */
  readonly keep: (site: Site) => void
  /** Resolves when all that was kept is saved; false when it cannot be now. */
  readonly settle: () => Promise<boolean>
  /** Ends a conflict: what is kept from now on builds on the stored revision. */
  readonly buildOn: (revision: number) => void
  /** Edits that an earlier window kept here and the server never acknowledged. */
  readonly leftOver: () => { readonly revision: number; readonly site: Site } | undefined
}

/** A keeper for one site that stands at `revision` on the server. */
export function makeKeeper(siteId: string, revision: number, storage: Storage): Keeper {
  const key = `glass-moth:unsaved:${siteId}`
  const keeping = observable<Keeping>({ state: 'saved' })
  let base = revision
  let latest: Site | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> | undefined

  let isRemembered = true
  const remember = (site: Site) => {
    try {
      storage.setItem(key, JSON.stringify({ revision: base, site }))
      isRemembered = true
    } catch {
      // A full or forbidden storage; the server still gets every edit.
      isRemembered = false
    }
  }
  const later = (ms: number) => {
    clearTimeout(timer)
    timer = setTimeout(() => void send(), ms)
  }

  const waitFor = (what: string) => {
    keeping.set({ state: 'offline', detail: `${what} ${isRemembered ? inBrowser : inWindow}` })
    later(retryMs)
  }

  const send = async (): Promise<void> => {
    clearTimeout(timer)
    if (sending) return sending
    const site = latest
    if (!site || keeping.get().state === 'conflict') return
    sending = deliver(site).finally(() => {
      sending = undefined
    })
    await sending
    if (latest && latest !== site && keeping.get().state === 'saving') await send()
  }

  const deliver = async (site: Site): Promise<void> => {
    let response: Response
    try {
      response = await fetch(`/api/sites/${siteId}`, { method: 'PUT', headers: { 'content-type': 'application/json', 'if-match': `"${base}"` }, body: JSON.stringify(site) })
    } catch {
      return waitFor(unreachable)
    }
    if (response.ok) {
      base += 1
      if (latest === site) {
        latest = undefined
        storage.removeItem(key)
        keeping.set({ state: 'saved' })
      } else if (latest) {
        remember(latest)
        keeping.set({ state: 'saving' })
      }
      return
    }
    const body: unknown = await response.json().catch(() => undefined)
    const conflict = response.status === 412 ? conflictSchema.safeParse(body) : undefined
    if (conflict?.success) {
      keeping.set({ state: 'conflict', detail: conflict.data.detail, theirs: conflict.data.document, revision: conflict.data.revision })
    } else if (response.status >= 500) {
      waitFor(response.status === 503 ? unanswered : unreachable)
    } else {
      const problem = problemSchema.safeParse(body)
      keeping.set({ state: 'refused', detail: problem.success ? problem.data.detail : 'The server refused to save this.' })
    }
  }

  return {
    keeping,
    keep: (site) => {
      latest = site
      remember(site)
      const { state } = keeping.get()
      if (state === 'conflict') return
      if (state !== 'offline') {
        keeping.set({ state: 'saving' })
        later(pauseMs)
      }
    },
    settle: async () => {
      await send()
      return keeping.get().state === 'saved'
    },
    buildOn: (revision) => {
      base = revision
      keeping.set({ state: 'saving' })
    },
    leftOver: () => {
      const text = storage.getItem(key)
      if (text === null) return undefined
      try {
        const read = pendingSchema.safeParse(JSON.parse(text))
        return read.success ? read.data : undefined
      } catch {
        return undefined
      }
    },
  }
}
