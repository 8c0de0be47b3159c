// Answers that say how far a long piece of work is: JSON lines, of which the last one is the result or the problem.
import { plainly, problemOf } from './problem'

const jsonLines = 'application/jsonl'

/** Whether a request accepts such an answer. */
export const wantsCount = (request: Request): boolean => request.headers.get('accept')?.includes(jsonLines) === true

/** Some work that says how much of it is done, until a signal ends it. */
type CountedWork = (watch: { readonly signal: AbortSignal; readonly onCount: (done: number, of: number) => void }) => Promise<object>

/** The answer of some work, with a line for each count that it tells. The work is ended where nobody reads any more. */
export function counted(request: Request, work: CountedWork): Response {
  const encoder = new TextEncoder()
  const unread = new AbortController()
  const signal = AbortSignal.any([request.signal, unread.signal])
  const run = async (controller: ReadableStreamDefaultController<Uint8Array>) => {
    const write = (line: object) => {
      if (!signal.aborted) controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`))
    }
    try {
      write({ result: await work({ signal, onCount: (done, of) => write({ done, of }) }) })
    } catch (error) {
      // What was ended is no error.
      if (!signal.aborted) write({ problem: plainly(problemOf(error)) })
    }
    if (!unread.signal.aborted) controller.close()
  }
  let running: Promise<void> | undefined
  const body = new ReadableStream<Uint8Array>({
    start: (controller) => void (running = run(controller)),
    cancel: () => {
      unread.abort()
      return running
    },
  })
  return new Response(body, { headers: { 'content-type': jsonLines, 'cache-control': 'no-store' } })
}
