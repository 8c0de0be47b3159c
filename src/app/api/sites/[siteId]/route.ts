import { checkIdentifiers, readIfMatch } from '@/server/identifiers'
import { log } from '@/server/log'
import { answer, Problem } from '@/server/problem'
import { readSite, saveSite, setRemoved } from '@/server/sites'
import * as z from 'zod'

interface Context {
  readonly params: Promise<{ siteId: string }>
}

/** A document this long is no site that the studio made. */
const longestDocument = 4_000_000

export function GET(_request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId } = checkIdentifiers(await params)
    const { revision, site } = await readSite(siteId)
    return Response.json(site, { headers: { etag: `"${revision}"`, 'cache-control': 'no-store' } })
  })
}

export function PUT(request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId } = checkIdentifiers(await params)
    const revision = readIfMatch(request.headers.get('if-match'))
    const next = await saveSite(siteId, revision, await readJson(request))
    log.info({ site: siteId, revision: next }, 'saved')
    return Response.json({ revision: next }, { headers: { etag: `"${next}"` } })
  })
}

const changeSchema = z.union([z.object({ name: z.string() }).strict(), z.object({ removed: z.boolean() }).strict()])

/** Renames a site, removes it, or brings it back. */
export function PATCH(request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId } = checkIdentifiers(await params)
    const change = changeSchema.safeParse(await readJson(request))
    if (!change.success) throw new Problem(422, 'Nothing to change', 'A site is given another name, removed, or brought back.')
    if ('removed' in change.data) await setRemoved(siteId, change.data.removed)
    else {
      const { revision, site } = await readSite(siteId)
      await saveSite(siteId, revision, { ...site, name: change.data.name })
    }
    return Response.json({})
  })
}

async function readJson(request: Request): Promise<unknown> {
  const text = await request.text()
  if (text.length > longestDocument) throw new Problem(413, 'The document is too large', 'A site holds at most 4 MB of settings; this one is larger and was not saved.')
  try {
    return JSON.parse(text)
  } catch {
    throw new Problem(400, 'The document cannot be read', 'What was sent is not JSON, so nothing was saved.')
  }
}
