import * as z from 'zod'
import { readBody } from '@/server/body'
import { costsOf, scriptOf, shapeOf } from '@/server/export'
import { checkIdentifiers } from '@/server/identifiers'
import { answer, Problem } from '@/server/problem'
import { readPage } from '@/server/sites'
import { presentSiteSchema } from '@/core/site/site'

interface Context {
  readonly params: Promise<{ siteId: string }>
}

/** The script of a page as it was saved last, for the studio that opens it. */
export function GET(request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId, pageId } = checkIdentifiers({ ...(await params), pageId: new URL(request.url).searchParams.get('page') ?? '' })
    const { site, page, html } = await readPage(siteId, pageId)
    return Response.json(await shapeOf(site, page, html))
  })
}

const asked = z.object({
  page: z.string().max(100),
  only: z.string().max(100).optional(),
  effects: presentSiteSchema.shape.effects,
  values: presentSiteSchema.shape.values,
  script: presentSiteSchema.shape.script,
  what: z.enum(['text', 'costs']).default('text'),
})

/** The script of a page for these effects, which need not be saved yet; or what each thing that it allows for weighs in it. */
export function POST(request: Request, { params }: Context) {
  return answer(async () => {
    const { siteId } = checkIdentifiers(await params)
    const given = asked.safeParse(await readBody(request))
    if (!given.success) throw new Problem(422, 'This cannot be compiled', 'The effects that were sent are none that this studio knows.')
    const { page: pageId, only, effects, values, script, what } = given.data
    const { site, page, html } = await readPage(siteId, pageId)
    return Response.json(await (what === 'text' ? scriptOf : costsOf)({ ...site, effects, values, script }, page, html, only))
  })
}
