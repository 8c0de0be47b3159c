// Keeps a site's edits: at once in this browser, soon after on the server, and says how that stands.
import * as z from 'zod'
import { mergeSites, type Merge } from '../../core/site/merge'
import { siteSchema, type Site } from '../../core/site/site'
import { observable, type Observable } from './observable'

/** How saving stands. */
export type Keeping = { readonly state: 'saved' } | { readonly state: 'saving' } | { readonly state: 'offline'; readonly detail: string } | { readonly state: 'refused'; readonly detail: string }

/** What this browser remembers until the server has it: our version, and the one that it was made from. */
const pendingSchema = z.object({ revision: z.number().int(), base: siteSchema, site: siteSchema })
export type Pending = z.infer<typeof pendingSchema>
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
  /** Edits that earlier windows kept here and the server never acknowledged; they are this window's from now on. */
  readonly leftOver: () => readonly Pending[]
}

interface KeeperOptions {
  readonly siteId: string
  /** What the server has, and its revision. */
  readonly site: Site
  readonly revision: number
  readonly storage: Storage
  /** Names this window among those of this browser. */
  readonly window: string
  /** Hears of a version that was saved elsewhere and is now merged with ours. */
  readonly onMerge: (merge: Merge) => void
}

/** A keeper for one site. */
export function makeKeeper({ siteId, site: first, revision, storage, window: name, onMerge }: KeeperOptions): Keeper {
  const prefix = `glass-moth:unsaved:${siteId}:`
  const key = prefix + name
  const keeping = observable<Keeping>({ state: 'saved' })
  let base = revision
  // What the server had at that revision: a merge begins from there.
  let ground = first
  let latest: Site | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> | undefined

  let isRemembered = true
  const remember = (site: Site) => {
    try {
      storage.setItem(key, JSON.stringify({ revision: base, base: ground, site }))
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
    if (!site) return
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
      ground = site
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
      const merge = mergeSites(ground, latest ?? site, conflict.data.document)
      base = conflict.data.revision
      ground = conflict.data.document
      latest = merge.site
      remember(latest)
      onMerge(merge)
      keeping.set({ state: 'saving' })
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
      if (state !== 'offline') {
        keeping.set({ state: 'saving' })
        later(pauseMs)
      }
    },
    settle: async () => {
      // What came while something was on its way goes after it.
      do await send()
      while (latest && keeping.get().state === 'saving')
      return keeping.get().state === 'saved'
    },
    leftOver: () => {
      const keys = Array.from({ length: storage.length }, (_, i) => storage.key(i)).filter((each): each is string => each?.startsWith(prefix) === true && each !== key)
      return keys.flatMap((each) => {
        const text = storage.getItem(each)
        storage.removeItem(each)
        try {
          const read = pendingSchema.safeParse(JSON.parse(text ?? ''))
          return read.success ? [read.data] : []
        } catch {
          return []
        }
      })
    },
  }
}
