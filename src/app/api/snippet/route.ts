import { snippetScript } from '@/server/built'
import { answer } from '@/server/problem'

/** The snippet that saves a page as it is rendered, for the console of a designer's own browser. */
export function GET() {
  return answer(() =>
    Promise.resolve(
      new Response(snippetScript(), {
        headers: { 'content-type': 'text/plain; charset=utf-8', 'x-content-type-options': 'nosniff', 'cache-control': 'no-store' },
      }),
    ),
  )
}
