import { writePage } from '@/bundle/page'
import { needsOf } from '@/core/export/needs'
import { planFigures, playedFigures } from '@/core/export/plan'
import { writeScript } from '@/core/export/script'
import { writeStylesheet } from '@/core/export/stylesheet'
import { checkIdentifiers } from '@/server/identifiers'
import { answer } from '@/server/problem'
import { playerFor } from '@/server/scripts'
import { readPage } from '@/server/sites'

interface Context {
  readonly params: Promise<{ siteId: string; pageId: string }>
}

export function GET(_request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId, pageId } = checkIdentifiers(await params)
    const { site, html, name } = await readPage(siteId, pageId)
    const figures = planFigures(site, siteId)
    const played = playedFigures(figures)
    const page = writePage(html, writeStylesheet(figures), writeScript(playerFor(needsOf(played)).readable, played))
    const fileName = `${name.toLowerCase().replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '') || 'page'}.html`
    return new Response(page, {
      headers: {
        'content-type': 'text/html; charset=utf-8',
        'content-disposition': `attachment; filename="${fileName}"`,
        'x-content-type-options': 'nosniff',
        'content-security-policy': 'sandbox',
        'cache-control': 'no-store',
      },
    })
  })
}
