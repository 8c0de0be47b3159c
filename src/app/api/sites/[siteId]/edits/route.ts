import { checkIdentifiers } from '@/server/identifiers'
import { log } from '@/server/log'
import { answer } from '@/server/problem'
import { readBody } from '@/server/body'
import { orRefused, saveEdits } from '@/server/saving'

interface Context {
  readonly params: Promise<{ siteId: string }>
}

/** Saves edits of a window; those that are saved already are passed over, so that a lost answer may be asked for again. */
export function POST(request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId } = checkIdentifiers(await params)
    const saved = await orRefused(async () => saveEdits(siteId, await readBody(request)))
    log.info({ site: siteId, revision: saved.revision }, 'saved')
    return Response.json(saved)
  })
}
