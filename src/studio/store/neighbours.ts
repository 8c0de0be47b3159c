// What other windows do: those of this browser tell it to each other at once, and one of them hears from the server for all.
import * as z from 'zod'
import { clashSchema, entrySchema, type Entry } from '../../core/site/journal'
import type { Clash } from '../../core/site/patch'

const newsSchema = z.object({ site: z.string(), revision: z.number(), window: z.string(), last: z.number(), clashes: z.array(clashSchema) })
/** What was saved, as the server tells it: by which window, up to which of its numbers, and what had been changed by others at the same time. */
export interface News {
  readonly revision: number
  readonly window: string
  readonly last: number
  readonly clashes: readonly Clash[]
}

const wordSchema = z.union([
  z.object({ say: z.literal('edit'), site: z.string(), window: z.string(), entry: entrySchema }),
  z.object({ say: z.literal('news'), news: newsSchema }),
  /** Whoever listens was cut off for a while and may have missed something. */
  z.object({ say: z.literal('missed') }),
])
type Word = z.infer<typeof wordSchema>

export interface Neighbours {
  /** Tells the other windows of this browser of an edit, new or amended. */
  readonly tell: (entry: Entry) => void
  readonly end: () => void
}

interface NeighbourOptions {
  readonly site: string
  readonly window: string
  readonly onEdit: (window: string, entry: Entry) => void
  readonly onNews: (news: News) => void
  /** News may have been missed. */
  readonly onMissed: () => void
}

const channelName = 'glass-moth'
const listenerLock = 'glass-moth:listener'

/** Joins the windows of this browser. */
export function joinNeighbours({ site, window, onEdit, onNews, onMissed }: NeighbourOptions): Neighbours {
  const channel = new BroadcastChannel(channelName)
  const hear = (word: Word) => {
    if (word.say === 'edit' && word.site === site && word.window !== window) onEdit(word.window, word.entry)
    if (word.say === 'news' && word.news.site === site) onNews(word.news)
    if (word.say === 'missed') onMissed()
  }
  channel.onmessage = ({ data }) => {
    const word = wordSchema.safeParse(data)
    if (word.success) hear(word.data)
  }
  const sayToAll = (word: Word) => {
    channel.postMessage(word)
    hear(word)
  }
  let source: EventSource | undefined
  const ended = new AbortController()
  const listen = () =>
    new Promise<void>((resolve) => {
      source = new EventSource('/api/news')
      let wasCut = false
      source.onerror = () => (wasCut = true)
      source.onopen = () => {
        if (wasCut) sayToAll({ say: 'missed' })
        wasCut = false
      }
      source.onmessage = ({ data }) => {
        const news = newsSchema.safeParse(JSON.parse(String(data)))
        if (news.success) sayToAll({ say: 'news', news: news.data })
      }
      ended.signal.addEventListener('abort', () => {
        source?.close()
        resolve()
      })
    })
  // One connection for all windows, since a browser opens few to one server; when its window goes, another takes over.
  if ('locks' in navigator) void navigator.locks.request(listenerLock, { signal: ended.signal }, listen).catch(() => undefined)
  else void listen()
  return {
    tell: (entry) => channel.postMessage({ say: 'edit', site, window, entry }),
    end: () => {
      ended.abort()
      channel.close()
    },
  }
}
