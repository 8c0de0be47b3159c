import { fileNameOf } from '@/core/site/path'
import { packSite } from '@/server/download'
import { checkIdentifiers } from '@/server/identifiers'
import { answerPage } from '@/server/problem'
import { readSite } from '@/server/sites'

interface Context {
  readonly params: Promise<{ siteId: string }>
}

/** A whole site as a ZIP: all pages with their effects, the files beside them, and the site's document. */
export function GET(_request: Request, { params }: Context) {
  return answerPage(async () => {
    const { siteId } = checkIdentifiers(await params)
    const { site } = await readSite(siteId)
    const { type, body, extension } = await packSite(site)
    return new Response(body, {
      headers: {
        'content-type': type,
        'content-disposition': `attachment; filename="${fileNameOf(site.name)}.${extension}"`,
        'x-content-type-options': 'nosniff',
        'cache-control': 'no-store',
      },
    })
  })
}
