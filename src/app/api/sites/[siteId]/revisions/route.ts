import { checkIdentifiers } from '@/server/identifiers'
import { answer } from '@/server/problem'
import { listVersions } from '@/server/versions'

interface Context {
  readonly params: Promise<{ siteId: string }>
}

export function GET(_request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId } = checkIdentifiers(await params)
    return Response.json(await listVersions(siteId), { headers: { 'cache-control': 'no-store' } })
  })
}
