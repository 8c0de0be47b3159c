// The pages of a site as sources: fetched once by their hash, told to the worker, and asked about.
import * as z from 'zod'
import type { Site } from '../../core/site/site'
import { reach } from './reach'
import type { Answer, FromWorker, Question, ToWorker } from '../../worker/protocol'

export interface Search {
  /** The source that was kept under a hash. Throws an Error with a sentence when it cannot be had. */
  readonly source: (hash: string) => Promise<string>
  /** Keeps a source and gives its hash. Throws an Error with a sentence when it cannot be kept. */
  readonly keep: (html: string) => Promise<string>
  /** The answer of the worker, which knows the pages of the site as they are now. Throws an Error with a sentence when a page cannot be had. */
  readonly ask: <Q extends Question>(question: Q) => Promise<Answer<Q['ask']>>
  readonly end: () => void
}

const keptSchema = z.object({ hash: z.string() })

/** A search in the pages of the site that `siteNow` gives. */
export function makeSearch(makeWorker: () => Worker, siteNow: () => Site): Search {
  const sources = new Map<string, string>()
  const told = new Map<string, string>()
  const waiting = new Map<number, (answer: never) => void>()
  let worker: Worker | undefined
  let next = 0
  const post = (message: ToWorker) => {
    if (!worker) {
      worker = makeWorker()
      worker.addEventListener('message', ({ data }: MessageEvent<FromWorker>) => {
        waiting.get(data.id)?.(data.answer as never)
        waiting.delete(data.id)
      })
      // One that could not be loaded, as when the server is away, answers nobody: the next question begins another.
      worker.addEventListener('error', (event) => {
        event.preventDefault()
        worker = undefined
        told.clear()
      })
    }
    worker.postMessage(message)
  }
  const source = async (hash: string) => {
    const known = sources.get(hash)
    if (known !== undefined) return known
    const html = await (await reach(`/api/sources/${hash}`)).text()
    sources.set(hash, html)
    return html
  }
  /** Tells the worker of the pages that changed; resolves when it knows them all. */
  const follow = async (site: Site) => {
    for (const id of [...told.keys()]) {
      if (site.pages.some((page) => page.id === id)) continue
      told.delete(id)
      post({ tell: 'gone', page: id })
    }
    await Promise.all(
      site.pages
        .filter(({ id, source: hash }) => told.get(id) !== hash)
        .map(async ({ id, source: hash }) => {
          const html = await source(hash)
          if (told.get(id) === hash) return
          told.set(id, hash)
          post({ tell: 'page', page: id, html })
        }),
    )
  }
  return {
    source,
    keep: async (html) => {
      const { hash } = keptSchema.parse(
        await (
          await reach('/api/sources', { method: 'POST', headers: { 'content-type': 'text/plain; charset=utf-8' }, body: html })
        ).json(),
      )
      sources.set(hash, html)
      return hash
    },
    ask: async (question) => {
      if (question.ask !== 'trace') await follow(siteNow())
      return new Promise((resolve) => {
        const id = ++next
        waiting.set(id, resolve)
        post({ id, question })
      })
    },
    end: () => {
      worker?.terminate()
      worker = undefined
      told.clear()
    },
  }
}

/** The worker of the studio. */
export const searchWorker = () => new Worker(new URL('../../worker/search.ts', import.meta.url), { type: 'module' })
