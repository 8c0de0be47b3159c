import { randomBytes } from 'node:crypto'
import { readAsset } from '@/server/assets'
import { stageScript } from '@/server/built'
import { copyPage } from '@/server/copy'
import { exportPage } from '@/server/export'
import { framePolicy, scriptlessPolicy, withAgent, withFiles } from '@/server/frame'
import { checkIdentifiers } from '@/server/identifiers'
import { answerPage } from '@/server/problem'
import { readPage } from '@/server/sites'
import { readPageOfVersion } from '@/server/versions'

interface Context {
  readonly params: Promise<{ siteId: string; pageId: string }>
}

/** The page for the studio's frame; with `?visit=noscript` as a visitor without script has it, our effects' styles included, and then of an earlier version too. */
export function GET(request: Request, { params }: Context) {
  return answerPage(async () => {
    const { siteId, pageId } = checkIdentifiers(await params)
    const { searchParams } = new URL(request.url)
    const isScriptless = searchParams.get('visit') === 'noscript'
    const version = Number(searchParams.get('version') ?? NaN)
    const { site, page, html } = await (isScriptless && Number.isSafeInteger(version)
      ? readPageOfVersion(siteId, pageId, version)
      : readPage(siteId, pageId))
    const nonce = isScriptless ? undefined : randomBytes(18).toString('base64')
    const source = isScriptless ? await exportPage(site, page, html) : html
    const copy = await copyPage(site, page, source, nonce)
    const body = nonce === undefined ? await withFiles(copy.html, readAsset) : withAgent(copy, stageScript(), nonce)
    return new Response(body, {
      headers: {
        'content-type': 'text/html; charset=utf-8',
        'content-security-policy': nonce === undefined ? scriptlessPolicy : framePolicy(nonce),
        'x-content-type-options': 'nosniff',
        'referrer-policy': 'no-referrer',
        // The names in links are looked up by nobody.
        'x-dns-prefetch-control': 'off',
        'cache-control': 'no-store',
      },
    })
  })
}
