import * as z from 'zod'
import { readBody } from '@/server/body'
import { checkIdentifiers } from '@/server/identifiers'
import { answer, Problem } from '@/server/problem'
import { changeSite } from '@/server/saving'
import { readSite, setRemoved } from '@/server/sites'

interface Context {
  readonly params: Promise<{ siteId: string }>
}

export function GET(_request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId } = checkIdentifiers(await params)
    const { revision, site } = await readSite(siteId)
    return Response.json(site, { headers: { etag: `"${revision}"`, 'cache-control': 'no-store' } })
  })
}

const changeSchema = z.union([z.object({ name: z.string() }).strict(), z.object({ removed: z.boolean() }).strict()])

/** Renames a site, removes it, or brings it back. */
export function PATCH(request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId } = checkIdentifiers(await params)
    const change = changeSchema.safeParse(await readBody(request))
    if (!change.success) throw new Problem(422, 'Nothing to change', 'A site is given another name, removed, or brought back.')
    const { data } = change
    if ('removed' in data) await setRemoved(siteId, data.removed)
    else await changeSite(siteId, 'Renaming the site', (site) => ({ ...site, name: data.name }))
    return Response.json({})
  })
}
