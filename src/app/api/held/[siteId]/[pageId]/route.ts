import { copyPage } from '@/server/copy'
import { checkIdentifiers } from '@/server/identifiers'
import { answer } from '@/server/problem'
import { readPage } from '@/server/sites'

interface Context {
  readonly params: Promise<{ siteId: string; pageId: string }>
}

/** What of a page does not play in the studio. */
export function GET(_request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId, pageId } = checkIdentifiers(await params)
    const { site, page, html } = await readPage(siteId, pageId)
    const { heldBack } = await copyPage(site, page, html, 'none')
    return Response.json(heldBack, { headers: { 'cache-control': 'no-store' } })
  })
}
