import { checkIdentifiers } from '@/server/identifiers'
import { answer } from '@/server/problem'
import { readRevision } from '@/server/sites'

interface Context {
  readonly params: Promise<{ siteId: string; revision: string }>
}

export function GET(_request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId, revision } = checkIdentifiers(await params)
    return Response.json(await readRevision(siteId, Number(revision) || 0), { headers: { 'cache-control': 'no-store' } })
  })
}
