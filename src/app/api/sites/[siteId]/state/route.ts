import { checkIdentifiers } from '@/server/identifiers'
import { answer } from '@/server/problem'
import { readState } from '@/server/saving'

interface Context {
  readonly params: Promise<{ siteId: string }>
}

/** The site as it is now, with the last number that is saved of each window that `windows` names. */
export function GET(request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId } = checkIdentifiers(await params)
    const windows = (new URL(request.url).searchParams.get('windows') ?? '')
      .split(',')
      .filter((each) => /^[A-Za-z0-9_-]{1,40}$/.test(each))
      .slice(0, 50)
    return Response.json(await readState(siteId, windows), { headers: { 'cache-control': 'no-store' } })
  })
}
