// The worker that searches the pages of a site, so that the studio goes on while it looks.
import { answerQuestion } from './answers'
import type { ToWorker } from './protocol'
import { indexPage, type PageIndex } from '../core/page/selector'
import { readTree } from '../core/page/tree'

const pages = new Map<string, PageIndex>()

addEventListener('message', ({ data }: MessageEvent<ToWorker>) => {
  if ('question' in data) return postMessage({ id: data.id, answer: answerQuestion(pages, data.question) })
  if (data.tell === 'gone') pages.delete(data.page)
  else pages.set(data.page, indexPage(readTree(data.html)))
})
