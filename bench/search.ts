// In the worker: what the elements under a pointer could mean.
import { indexPage, type PageIndex } from '../src/core/page/selector'
import { elementsOf, readTree } from '../src/core/page/tree'
import { answerQuestion } from '../src/worker/answers'
import type { Rung } from '../src/worker/protocol'

const pages = new Map<string, PageIndex>()

addEventListener('message', ({ data }: MessageEvent<string | null>) => {
  if (typeof data === 'string') {
    pages.set('page', indexPage(readTree(data)))
    postMessage({ ms: 0, selects: [] })
    return
  }
  // Twelve neighbours in the middle of the page: pictures, texts and all that wraps them.
  const middle = Math.floor(elementsOf(pages.get('page')?.tree ?? readTree('')).length / 2)
  const begun = performance.now()
  const rungs = answerQuestion(pages, {
    ask: 'rungs',
    page: 'page',
    numbers: Array.from({ length: 12 }, (_, i) => middle + i),
  }) as readonly Rung[]
  const ms = performance.now() - begun
  postMessage({ ms, selects: rungs.flatMap(({ choices }) => choices.map(({ select }) => select)) })
})
