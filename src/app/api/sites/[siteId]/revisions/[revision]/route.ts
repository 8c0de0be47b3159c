import * as z from 'zod'
import { readBody } from '@/server/body'
import { checkIdentifiers } from '@/server/identifiers'
import { answer, Problem } from '@/server/problem'
import { nameVersion, readVersion } from '@/server/versions'

interface Context {
  readonly params: Promise<{ siteId: string; revision: string }>
}

export function GET(_request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId, revision } = checkIdentifiers(await params)
    return Response.json(await readVersion(siteId, Number(revision) || 0), { headers: { 'cache-control': 'no-store' } })
  })
}

const nameSchema = z.strictObject({ name: z.string().max(400) })

/** Gives a version a name, by which it is kept; an empty one takes it away. */
export function PATCH(request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId, revision } = checkIdentifiers(await params)
    const given = nameSchema.safeParse(await readBody(request))
    if (!given.success) throw new Problem(422, 'No name', 'A version is given a name.')
    await nameVersion(siteId, Number(revision) || 0, given.data.name)
    return Response.json({})
  })
}
