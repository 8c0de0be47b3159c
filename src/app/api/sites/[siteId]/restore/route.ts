import { checkIdentifiers } from '@/server/identifiers'
import { answer } from '@/server/problem'
import { restoreReadable } from '@/server/versions'

interface Context {
  readonly params: Promise<{ siteId: string }>
}

/** Brings back the last version that can be read, for a site whose document cannot. */
export function POST(_request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId } = checkIdentifiers(await params)
    await restoreReadable(siteId)
    return Response.json({})
  })
}
