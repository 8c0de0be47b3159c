import * as z from 'zod'
import { bundleSchema, pageSchema } from '@/core/site/site'
import { readBody } from '@/server/body'
import { newSiteFrom } from '@/server/new-site'
import { answer, Problem } from '@/server/problem'

/** What a new site begins with: a starter, a template, pages that were brought in, or another site. */
const newSchema = z.union([
  z.object({ starter: z.string() }).strict(),
  z.object({ template: z.string() }).strict(),
  z.object({ copyOf: z.string() }).strict(),
  z.object({ pages: z.array(pageSchema).min(1), bundle: bundleSchema.optional() }).strict(),
])

export function POST(request: Request) {
  return answer(async () => {
    const wanted = newSchema.safeParse(await readBody(request))
    if (!wanted.success)
      throw new Problem(
        422,
        'Nothing to begin with',
        'A new site begins with a starter, with pages that were brought in, or as a copy of another.',
      )
    return Response.json(await newSiteFrom(wanted.data))
  })
}
