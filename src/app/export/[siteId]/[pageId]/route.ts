import { fileNameOf } from '@/core/site/path'
import { packPage } from '@/server/download'
import { exportPage } from '@/server/export'
import { checkIdentifiers } from '@/server/identifiers'
import { answerPage } from '@/server/problem'
import { readPage } from '@/server/sites'
import { filesOf } from '@/core/site/site'

interface Context {
  readonly params: Promise<{ siteId: string; pageId: string }>
}

/** The page with its effects: one HTML file, or a ZIP where files came with it. */
export function GET(_request: Request, { params }: Context) {
  return answerPage(async () => {
    const { siteId, pageId } = checkIdentifiers(await params)
    const { site, html, page } = await readPage(siteId, pageId)
    const files = filesOf(site, page)
    const { type, body, extension } = await packPage(await exportPage(site, page, html), page, files)
    return new Response(body, {
      headers: {
        'content-type': type,
        'content-disposition': `attachment; filename="${fileNameOf(page.name)}.${extension}"`,
        'x-content-type-options': 'nosniff',
        'content-security-policy': 'sandbox',
        'cache-control': 'no-store',
      },
    })
  })
}
