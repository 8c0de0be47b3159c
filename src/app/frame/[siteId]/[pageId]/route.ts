import { randomBytes } from 'node:crypto'
import { stageScript } from '@/server/built'
import { framePolicy, prepareFrame } from '@/server/frame'
import { checkIdentifiers } from '@/server/identifiers'
import { answer } from '@/server/problem'
import { readPage } from '@/server/sites'

interface Context {
  readonly params: Promise<{ siteId: string; pageId: string }>
}

export function GET(_request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId, pageId } = checkIdentifiers(await params)
    const { html } = await readPage(siteId, pageId)
    const nonce = randomBytes(18).toString('base64')
    return new Response(prepareFrame(html, stageScript(), nonce), {
      headers: {
        'content-type': 'text/html; charset=utf-8',
        'content-security-policy': framePolicy(nonce),
        'x-content-type-options': 'nosniff',
        'referrer-policy': 'no-referrer',
        'cache-control': 'no-store',
      },
    })
  })
}
