import { checkIdentifiers } from '@/server/identifiers'
import { answerPage } from '@/server/problem'
import { isPreviewCaller, previewOf } from '@/server/preview'

interface Context {
  readonly params: Promise<{ siteId: string; pageId: string; path?: string[] }>
}

/** A page as it is exported, or a file beside it, for the preview's own address: not for the studio's, where its scripts would run beside the studio. */
export function GET(request: Request, { params }: Context) {
  return answerPage(async () => {
    const { siteId, pageId, path = [] } = await params
    isPreviewCaller(request)
    return previewOf(checkIdentifiers({ siteId, pageId }), path.join('/'))
  })
}
