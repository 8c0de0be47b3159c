import { hearNews } from '@/server/news'

export const dynamic = 'force-dynamic'

/** A comment now and then keeps the connection open, ms. */
const breathMs = 20_000

/** What is saved, as it is saved (server-sent events). */
export function GET(request: Request) {
  const text = new TextEncoder()
  let stop: () => void = () => undefined
  const stream = new ReadableStream({
    start(controller) {
      const say = (line: string) => {
        try {
          controller.enqueue(text.encode(`${line}\n\n`))
        } catch {
          stop()
        }
      }
      const stopHearing = hearNews((news) => say(`data: ${JSON.stringify(news)}`))
      const timer = setInterval(() => say(':'), breathMs)
      stop = () => {
        stopHearing()
        clearInterval(timer)
      }
      request.signal.addEventListener('abort', () => stop())
      say('retry: 1000')
    },
    cancel: () => stop(),
  })
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream; charset=utf-8', 'cache-control': 'no-store, no-transform', 'x-accel-buffering': 'no' },
  })
}
