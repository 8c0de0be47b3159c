// Asking about the pages of a site: the worker knows them before it is asked, whoever asks first.
import { afterEach, expect, it, vi } from 'vitest'
import { siteFormat, type Site } from '../../core/site/site'
import type { ToWorker } from '../../worker/protocol'
import { makeSearch } from './search'

afterEach(() => vi.unstubAllGlobals())

/** A site of these pages, each by its source; what the worker is told, and answers of its own. */
function searchIn(sources: Readonly<Record<string, string>>) {
  const pages = { ...sources }
  const told: string[] = []
  vi.stubGlobal('fetch', (url: string) => Promise.resolve(new Response(`the text of ${url.slice(-1)}`)))
  const listeners: ((event: { data: object }) => void)[] = []
  const worker = {
    addEventListener: (type: string, listener: (event: { data: object }) => void) => type === 'message' && listeners.push(listener),
    postMessage: (message: ToWorker) => {
      if ('question' in message) {
        told.push(message.question.ask)
        for (const listener of listeners) listener({ data: { id: message.id, answer: told.length } })
      } else told.push(message.tell === 'page' ? `${message.page}: ${message.html}` : `${message.page} is gone`)
    },
  }
  const siteNow = (): Site => ({
    format: siteFormat,
    name: 'A site',
    pages: Object.entries(pages).map(([id, source]) => ({ id, name: id, source })),
    effects: [],
  })
  return { search: makeSearch(() => worker as unknown as Worker, siteNow), pages, told }
}

it('tells the worker of each page once, before the first question and after each change', async () => {
  const { search, pages, told } = searchIn({ home: 'a', about: 'b' })
  await Promise.all([search.ask({ ask: 'count', selects: [] }), search.ask({ ask: 'overlaps', selects: [] })])
  expect(told).toEqual(['home: the text of a', 'about: the text of b', 'count', 'overlaps'])
  pages.home = 'c'
  delete pages.about
  await search.ask({ ask: 'matches', page: 'home', select: 'p' })
  expect(told.slice(4)).toEqual(['about is gone', 'home: the text of c', 'matches'])
})

it('says that a page cannot be had, and asks for it again with the next question', async () => {
  const { search, told } = searchIn({ home: 'a' })
  const fetched = fetch
  vi.stubGlobal('fetch', () => Promise.reject(new Error()))
  await expect(search.ask({ ask: 'count', selects: [] })).rejects.toThrow('cannot be reached')
  vi.stubGlobal('fetch', fetched)
  await search.ask({ ask: 'count', selects: [] })
  expect(told).toEqual(['home: the text of a', 'count'])
})
