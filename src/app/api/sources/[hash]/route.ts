import { checkHash } from '@/server/identifiers'
import { answer } from '@/server/problem'
import { readSource } from '@/server/sites'

interface Context {
  readonly params: Promise<{ hash: string }>
}

/** A page's HTML as text. */
export function GET(_request: Request, { params }: Context) {
  return answer(async () => {
    const html = await readSource(checkHash((await params).hash))
    return new Response(html, {
      headers: {
        'content-type': 'text/plain; charset=utf-8',
        'content-disposition': 'attachment',
        'x-content-type-options': 'nosniff',
        'cache-control': 'private, max-age=31536000, immutable',
      },
    })
  })
}
