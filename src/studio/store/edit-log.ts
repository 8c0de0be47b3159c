// The edits of this browser's windows on its disk, until the server has them. Each entry is written once it is made, and again where
// it is amended; never a whole document.
import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import { entrySchema, type Entry } from '../../core/site/journal'

interface Schema extends DBSchema {
  entries: {
    key: [string, string, number]
    value: { readonly site: string; readonly window: string; readonly number: number; readonly entry: unknown; readonly detail?: string }
  }
}

/** What a window that is gone left behind. */
export interface Leftover {
  readonly window: string
  readonly entries: readonly Entry[]
  /** How many of its entries cannot be read; they stay where they are. */
  readonly unreadable: number
}

/** An edit that the server will not take, with the reason. It is kept until somebody decides what becomes of it. */
export interface RefusedEdit {
  readonly window: string
  readonly entry: Entry
  readonly detail: string
}

export interface EditLog {
  /** Keeps an entry, or its amended form; resolves when it is on the disk. Throws where the browser keeps nothing. */
  readonly keep: (window: string, entry: Entry) => Promise<void>
  /** Lets go of the entries of a window up to a number, which the server has. */
  readonly drop: (window: string, upTo: number) => Promise<void>
  /** What other windows left, except those that are open. */
  readonly leftovers: (own: string) => Promise<readonly Leftover[]>
  /** Keeps an edit as one that the server will not take. */
  readonly refuse: (edit: RefusedEdit) => Promise<void>
  readonly refused: () => Promise<readonly RefusedEdit[]>
  /** Lets go of one that was refused. */
  readonly forget: (edit: RefusedEdit) => Promise<void>
  /** Opens it ahead of its first use, so that an edit is on the disk soon. */
  readonly open: () => void
  readonly close: () => void
}

const databaseName = 'glass-moth'
/** Where refused edits of a site are, apart from those that are still to be sent. */
const refusedOf = (site: string) => `${site}/refused`
const above = '\uffff'

/** The windows of this browser that are open, by the locks that they hold. */
async function openWindows(): Promise<ReadonlySet<string>> {
  const { held = [], pending = [] } = await navigator.locks.query()
  return new Set([...held, ...pending].flatMap(({ name }) => (name?.startsWith(lockPrefix) ? [name.slice(lockPrefix.length)] : [])))
}

const lockPrefix = 'glass-moth:window:'

/** Marks a window as open until it is closed or gives it up. Without locks nothing is marked, and every entry counts as left behind; the server knows each by its number. */
export function markOpen(window: string): () => void {
  let release: () => void = () => undefined
  const gone = new Promise<void>((resolve) => (release = resolve))
  if ('locks' in navigator) void navigator.locks.request(lockPrefix + window, () => gone)
  return release
}

/** The log of one site. It is opened at the first use. */
export function openEditLog(site: string): EditLog {
  let opened: Promise<IDBPDatabase<Schema>> | undefined
  const open = () =>
    (opened ??= openDB<Schema>(databaseName, 1, {
      upgrade: (db) => void db.createObjectStore('entries', { keyPath: ['site', 'window', 'number'] }),
    }).catch((error: unknown) => {
      opened = undefined
      throw error
    }))
  return {
    keep: async (window, entry) => {
      const writing = (await open()).transaction('entries', 'readwrite', { durability: 'strict' })
      const put = writing.store.put({ site, window, number: entry.number, entry })
      // Else it would wait for an answer to commit itself, and be undone with a window that closes meanwhile.
      writing.commit()
      await Promise.all([put, writing.done])
    },
    drop: async (window, upTo) => {
      await (await open()).delete('entries', IDBKeyRange.bound([site, window, 0], [site, window, upTo]))
    },
    leftovers: async (own) => {
      const rows = await (await open()).getAll('entries', IDBKeyRange.bound([site], [site, above]))
      const alive = 'locks' in navigator ? await openWindows() : new Set<string>()
      const windows = [...new Set(rows.map(({ window }) => window))].filter((window) => window !== own && !alive.has(window))
      return windows.map((window) => {
        const read = rows.filter((row) => row.window === window).map(({ entry }) => entrySchema.safeParse(entry))
        return {
          window,
          entries: read.flatMap(({ success, data }) => (success ? [data] : [])),
          unreadable: read.filter(({ success }) => !success).length,
        }
      })
    },
    refuse: async ({ window, entry, detail }) => {
      await (await open()).put('entries', { site: refusedOf(site), window, number: entry.number, entry, detail })
    },
    refused: async () => {
      const rows = await (await open()).getAll('entries', IDBKeyRange.bound([refusedOf(site)], [refusedOf(site), above]))
      return rows.flatMap(({ window, entry, detail = '' }) => {
        const { data } = entrySchema.safeParse(entry)
        return data ? [{ window, entry: data, detail }] : []
      })
    },
    forget: async ({ window, entry }) => {
      await (await open()).delete('entries', [refusedOf(site), window, entry.number])
    },
    open: () => void open().catch(() => undefined),
    close: () => {
      void opened?.then(
        (db) => db.close(),
        () => undefined,
      )
      opened = undefined
    },
  }
}
